/**
 * What a schema's fault says where the schema itself gives no words: plain ones, never the schema library's own.
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

type Issue = { code?: string | undefined; input?: unknown } & Record<string, unknown>;

const isCounted = ({ origin }: Issue): boolean => origin === 'string' || origin === 'array';

/** Words by the code of an issue, as the schema library raises it. */
const WORDS: Record<string, (issue: Issue) => string> = {
  invalid_type: ({ input, expected }) =>
    input === undefined ? 'This is missing.' : `This must be ${KINDS[String(expected)] ?? String(expected)}.`,
  too_big: (issue) =>
    isCounted(issue)
      ? `Keep it to ${sized(issue.origin, issue.maximum)}.`
      : `This must be ${issue.inclusive === false ? 'under' : 'at most'} ${String(issue.maximum)}.`,
  too_small: (issue) => {
    if (issue.origin === 'string' && issue.minimum === 1) return 'This is empty.';
    return isCounted(issue)
      ? `It needs at least ${sized(issue.origin, issue.minimum)}.`
      : `This must be ${issue.inclusive === false ? 'over' : 'at least'} ${String(issue.minimum)}.`;
  },
  invalid_format: ({ format }) => FORMATS[String(format)] ?? 'This is not written as it should be.',
  invalid_value: (issue) => {
    const values = (issue.values as unknown[] | undefined) ?? [];
    if (values.length === 1) return `This must be “${String(values[0])}”.`;
    const shown = values.slice(0, MOST_CHOICES).map(String).join(', ');
    return `This must be one of: ${shown}${values.length > MOST_CHOICES ? ' and others' : ''}.`;
  },
  invalid_union: () => 'This is of no known kind.',
  unrecognized_keys: ({ keys }) => `These fields are not known: ${((keys as string[] | undefined) ?? []).join(', ')}.`,
  invalid_key: () => 'A name in it is not one that is known.',
  not_multiple_of: ({ divisor }) => `This must go in steps of ${String(divisor)}.`,
};

/** Plain words for a fault the schema has no words of its own for. */
const plainFault = (issue: Issue): string => WORDS[issue.code ?? '']?.(issue) ?? 'This cannot be taken as it is.';

/** Lets every schema of the program speak plainly; asked once wherever schemas begin. */
export const speakPlainly = (): void => void z.config({ localeError: (issue) => plainFault(issue as Issue) });
