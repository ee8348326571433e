/** Whether two pieces of plain data say the same. */
export function saysTheSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null || Array.isArray(a) !== Array.isArray(b)) return false;
  const fields = Object.keys(a);
  if (fields.length !== Object.keys(b).length) return false;
  return fields.every(
    (field) => Object.hasOwn(b, field) && saysTheSame((a as Record<string, unknown>)[field], (b as Record<string, unknown>)[field]),
  );
}
