/** How far apart the two outlines lie at a fold round a square spine of so much, mm: leather keeps its length within it. */
export const squareFoldMm = (spineMm: number, leatherMm: number, neutral: number): number =>
  spineMm + Math.PI * neutral * leatherMm;
