/** Merges what two people made of the same thing: fields only one of them touched are taken, fields both changed are asked about. */
import { saysTheSame } from './equal';

export interface Conflict<T> {
  field: keyof T & string;
  base: unknown;
  mine: unknown;
  theirs: unknown;
}

export interface Merged<T> {
  /** With theirs where both changed a field and it was not decided. */
  merged: T;
  conflicts: Conflict<T>[];
  /** Fields taken from the other side without asking. */
  taken: string[];
}

/**
 * Field by field over a document's own fields.
 *
 * @param base what both began from
 * @param keepMine fields in which mine is wanted although both changed them
 */
export function merge<T extends object>(base: T, mine: T, theirs: T, keepMine: readonly string[] = []): Merged<T> {
  const merged: Record<string, unknown> = {};
  const conflicts: Conflict<T>[] = [];
  const taken: string[] = [];
  const at = (doc: T, field: string): unknown => (doc as Record<string, unknown>)[field];
  for (const field of new Set([...Object.keys(base), ...Object.keys(mine), ...Object.keys(theirs)])) {
    const [was, own, other] = [at(base, field), at(mine, field), at(theirs, field)];
    const iChanged = !saysTheSame(was, own);
    const theyChanged = !saysTheSame(was, other);
    const both = iChanged && theyChanged && !saysTheSame(own, other);
    const value = (both && keepMine.includes(field)) || (iChanged && !theyChanged) ? own : other;
    if (value !== undefined) merged[field] = value;
    if (both) conflicts.push({ field: field as keyof T & string, base: was, mine: own, theirs: other });
    else if (theyChanged && !iChanged) taken.push(field);
  }
  return { merged: merged as T, conflicts, taken };
}
