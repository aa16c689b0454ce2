/** The round hole that a bar of a rectangular section, its corners rounded, just goes into: its diameter, mm. */
export function roundFor(heightMm: number, thicknessMm: number, cornerMm: number): number {
  const [half, halfThick] = [heightMm / 2, thicknessMm / 2];
  const corner = Math.min(Math.max(0, cornerMm), half, halfThick);
  return 2 * (Math.hypot(half - corner, halfThick - corner) + corner);
}
