/** The stations that all ranges have in common; from a higher to a lower one where they have none. */
export function commonRange(ranges: readonly (readonly [number, number])[]): [number, number] {
  return [Math.max(...ranges.map((r) => r[0])), Math.min(...ranges.map((r) => r[1]))];
}
