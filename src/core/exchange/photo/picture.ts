import { imageSize } from "image-size";

/** Pictures that are taken: what every browser shows. */
const TYPES = ["jpg", "png", "webp"] as const;
export const LARGEST_PICTURE_BYTES = 60_000_000;
/** More pixels than a camera in the hand has use for. */
export const MOST_PICTURE_PIXELS = 64_000_000;
/** A photo is looked at with no more pixels than this along its longer side. */
export const LONGEST_SIDE = 4000;

export type PictureFailure =
  | { readonly code: "not-a-picture" }
  | { readonly code: "picture-too-large"; readonly bytes: number; readonly most: number }
  | { readonly code: "too-many-pixels"; readonly pixels: number; readonly most: number };

/** What a picture's first bytes tell, before it is decoded: its size as it is stored, or why it is not taken. */
export function pictureSize(
  bytes: Uint8Array,
):
  | { readonly ok: true; readonly width: number; readonly height: number }
  | ({ readonly ok: false } & PictureFailure) {
  if (bytes.byteLength > LARGEST_PICTURE_BYTES)
    return { ok: false, code: "picture-too-large", bytes: bytes.byteLength, most: LARGEST_PICTURE_BYTES };
  let size: ReturnType<typeof imageSize>;
  try {
    size = imageSize(bytes);
  } catch {
    return { ok: false, code: "not-a-picture" };
  }
  const { width, height, type } = size;
  if (!TYPES.some((t) => t === type) || !(width > 1 && height > 1))
    return { ok: false, code: "not-a-picture" };
  if (width * height > MOST_PICTURE_PIXELS)
    return { ok: false, code: "too-many-pixels", pixels: width * height, most: MOST_PICTURE_PIXELS };
  return { ok: true, width, height };
}

/** Sheets of paper that are laid under a pattern, mm. @see ISO 216 (A4), ANSI/ASME Y14.1 (Letter). */
export const SHEETS_OF_PAPER = {
  a4: { longMm: 297, shortMm: 210 },
  letter: { longMm: 279.4, shortMm: 215.9 },
} as const;
export type SheetOfPaper = keyof typeof SHEETS_OF_PAPER;

/** Edges of a sheet are looked for this near to the lines between its corners, as a share of the picture's longer side. */
export const EDGE_REACH_SHARE = 0.025;
