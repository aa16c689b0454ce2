import type { NewUnderlay } from "./underlays";

/** A photo of these bytes as it is put under a knife. */
export const photoOf = (...bytes: readonly number[]): NewUnderlay => ({
  picture: new Blob([Uint8Array.from(bytes)], { type: "image/jpeg" }),
  widthMm: 297,
  heightMm: 210,
  datumX: 150,
  datumY: 100,
  tipDeg: 2,
  mirrored: false,
  opacity: 0.4,
  shown: true,
});
