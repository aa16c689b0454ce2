/** Whether one weighing holds for both designs: they share all that is weighed, the very same records. */
export function weighAlike<D extends object>(a: D, b: D, notWeighed: ReadonlySet<string>): boolean {
  return (Object.keys(a) as (keyof D & string)[]).every((key) => notWeighed.has(key) || a[key] === b[key]);
}
