import type { Texture } from "../design/schema";
import { meanLossMm } from "../design/textures";

/** Which faces of a part are not smooth: its outer one on a side, or on both, its front, or a blade's flats. */
export type WorkedOn = "right" | "left" | "both" | "front" | "flats";

/** A face that is not smooth: what is missing under its high places, as a thickness all over it, mm. */
export interface Worked {
  readonly on: WorkedOn;
  readonly lossMm: number;
}

/** A face as a part has it; null of a smooth one. */
export const workedAs = (face: Texture | null, on: WorkedOn): Worked | null =>
  face && { on, lossMm: meanLossMm(face) };
