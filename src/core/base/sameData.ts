/** Whether two pieces of plain data hold the same; NaN is the same as NaN, and functions are only the same as themselves. */
export function sameData(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  for (const key of keys)
    if (!Object.hasOwn(b, key) || !sameData(a[key as keyof typeof a], b[key as keyof typeof b])) return false;
  return true;
}
