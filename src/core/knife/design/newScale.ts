import type { ScalesHandle } from "./schema";

/** A scale of smooth stock, weighed as it is drawn. */
export const newScale = (material: string, thicknessMm: number): ScalesHandle["right"] => ({
  material,
  thicknessMm,
  face: null,
  weighed: null,
});
