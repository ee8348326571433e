/**
 * Stored documents read through their schemas, each by itself: one that cannot be read is left out and told, and takes
 * none of its neighbours with it.
 */
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import type { Unreadable } from '../../contract/schemas';
import { Refusal } from '../refusal';

/** A document's own text: reading it is left to `read`, for a broken one must not fail the whole query. */
export const textOf = (column: SQLiteColumn): SQL<string> => sql<string>`${column}`;

export type Read<T> = { doc: T } | { why: string };

/** A stored text as its document, or why it is none. */
export function read<T>(schema: Pick<z.ZodType, 'safeParse'>, text: string): Read<T> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { why: 'it is not whole' };
  }
  const parsed = schema.safeParse(raw);
  if (parsed.success) return { doc: parsed.data as T };
  const [first] = parsed.error.issues;
  return { why: `${first?.path.join('.') || 'it'}: ${first?.message ?? 'not valid'}` };
}

/** What can still be told of a document that cannot be read: the name it seems to have. */
function nameIn(text: string): string {
  const found = /"name":"((?:[^"\\]|\\.){1,80})"/.exec(text)?.[1];
  return found === undefined ? '' : found.replaceAll(/\\(.)/g, '$1');
}

export const unreadable = (what: string, id: string, text: string, why: string): Unreadable => ({ what, id, name: nameIn(text), why });

/** Many texts of one kind: those that can be read, and what is told of the others. */
export function readAll<T>(
  schema: Pick<z.ZodType, 'safeParse'>,
  what: string,
  rows: readonly { id: string; text: string }[],
): { docs: T[]; unreadable: Unreadable[] } {
  const docs: T[] = [];
  const unreadableDocs: Unreadable[] = [];
  for (const { id, text } of rows) {
    const result = read<T>(schema, text);
    if ('doc' in result) docs.push(result.doc);
    else unreadableDocs.push(unreadable(what, id, text, result.why));
  }
  return { docs, unreadable: unreadableDocs };
}

/** @returns the refusal for one document that was asked for by itself and cannot be read */
export const cannotBeRead = (what: string, id: string, why: string): Refusal =>
  new Refusal(
    'conflict',
    'Cannot be read',
    `The ${what} “${id}” is stored in a shape this app cannot read (${why}). It is left as it is; a backup from before may hold it whole.`,
    [{ field: 'id', message: `${what} cannot be read` }],
  );
