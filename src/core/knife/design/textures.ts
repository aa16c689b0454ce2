import type { Texture, TextureKind } from "./schema";
import { PRINT_KINDS } from "./textureKinds";

/** Of the box round a shallow round print, its width by its depth, half is cut out. Geometry. */
const PRINT_FILL = 0.5;

/** What is missing under a face's high places, as a thickness all over it, mm; of prints, share · depth / 2. */
export function meanLossMm(face: Texture): number {
  return "share" in face ? face.share * face.depthMm * PRINT_FILL : face.meanLossMm;
}

/** Depth, and what of it is missing, as they are usual. From memory. */
const USUAL: Readonly<Record<TextureKind, readonly [depthMm: number, loss: number]>> = {
  natural: [2, 0.8],
  jigged: [1, 0.35],
  dimpled: [0.4, 0.5],
  peened: [0.2, 0.9],
  hammered: [0.3, 0.8],
};

/** A texture to begin from: depth and mean loss, mm, or depth and the share that prints cover. */
export function newTexture(kind: TextureKind): Texture {
  const [depthMm, loss] = USUAL[kind];
  return isPrint(kind) ? { kind, depthMm, share: loss } : { kind, depthMm, meanLossMm: loss };
}

type PrintKind = (typeof PRINT_KINDS)[number];
const isPrint = (kind: TextureKind): kind is PrintKind => PRINT_KINDS.some((k) => k === kind);
