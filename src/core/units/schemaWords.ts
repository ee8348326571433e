/**
 * What a schema's fault says where the schema itself gives no words: plain ones, never the schema library's own.
 * Set once for the whole program as this file is loaded.
 */
import { z } from 'zod';

/** Names of JSON's kinds as people know them. */
const KINDS: Record<string, string> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a record with named fields',
  record: 'a record with named fields',
  null: 'empty',
};
const FORMATS: Record<string, string> = {
  date: 'This must be a day, written like 2026-11-27.',
  uuid: 'This is no id: an id has 36 letters, figures and hyphens.',
  base64: 'This is not base64.',
};
const MOST_CHOICES = 12;

const sized = (origin: unknown, n: unknown): string =>
  origin === 'string' ? `${n} letters` : origin === 'array' || origin === 'set' ? `${n} of them` : String(n);

/** Plain words for a fault the schema has no words of its own for. Takes an issue as the schema library raises it. */
function plainFault(issue: { code?: string | undefined; input?: unknown } & Record<string, unknown>): string {
  switch (issue.code) {
    case 'invalid_type': {
      if (issue.input === undefined) return 'This is missing.';
      const kind = String(issue.expected);
      return `This must be ${KINDS[kind] ?? kind}.`;
    }
    case 'too_big':
      return issue.origin === 'string' || issue.origin === 'array'
        ? `Keep it to ${sized(issue.origin, issue.maximum)}.`
        : `This must be ${issue.inclusive === false ? 'under' : 'at most'} ${String(issue.maximum)}.`;
    case 'too_small':
      if (issue.origin === 'string' && issue.minimum === 1) return 'This is empty.';
      return issue.origin === 'string' || issue.origin === 'array'
        ? `It needs at least ${sized(issue.origin, issue.minimum)}.`
        : `This must be ${issue.inclusive === false ? 'over' : 'at least'} ${String(issue.minimum)}.`;
    case 'invalid_format':
      return FORMATS[String(issue.format)] ?? 'This is not written as it should be.';
    case 'invalid_value': {
      const values = (issue.values as unknown[] | undefined) ?? [];
      if (values.length === 1) return `This must be “${String(values[0])}”.`;
      const shown = values.slice(0, MOST_CHOICES).map(String).join(', ');
      return `This must be one of: ${shown}${values.length > MOST_CHOICES ? ' and others' : ''}.`;
    }
    case 'invalid_union':
      return 'This is of no known kind.';
    case 'unrecognized_keys':
      return `These fields are not known: ${((issue.keys as string[] | undefined) ?? []).join(', ')}.`;
    case 'invalid_key':
      return 'A name in it is not one that is known.';
    case 'not_multiple_of':
      return `This must go in steps of ${String(issue.divisor)}.`;
    default:
      return 'This cannot be taken as it is.';
  }
}

z.config({ localeError: (issue) => plainFault(issue as Parameters<typeof plainFault>[0]) });
