/** A film frame of 36 × 24 mm, whose diagonal a lens's length is likened to. */
const FRAME_DIAGONAL_MM = Math.hypot(36, 24);
/** Of what is a lens: from a fisheye to a telescope, mm on such a frame. */
const LENSES_MM = [5, 2000] as const;
/** A picture of another shape than its file says that it was taken in was cropped: its middle is not the lens's. */
const SAME_SHAPE = 0.01;

interface Told {
  readonly FocalLengthIn35mmFormat?: unknown;
  readonly ExifImageWidth?: unknown;
  readonly ExifImageHeight?: unknown;
}

/** What is known of a picture's camera from its file. */
export interface PictureTold {
  /** Focal length, px of the picture; null where the file tells none. */
  readonly focalPx: number | null;
  /** The picture was cropped: by what its file tells, or by a shape that no camera takes. */
  readonly isCropped: boolean;
}
export const NOTHING_TOLD: PictureTold = { focalPx: null, isCropped: false };

/** How much longer than high pictures are that cameras take, whichever way up (common practice, no source). */
const CAMERA_SHAPES = [
  1,
  5 / 4,
  4 / 3,
  11 / 8,
  7 / 5,
  3 / 2,
  8 / 5,
  5 / 3,
  16 / 9,
  17 / 9,
  2,
  18.5 / 9,
  13 / 6,
  20 / 9,
];

/**
 * What a photo's file tells, for a picture that is worked on with so many pixels across its diagonal. The focal length is by
 * the one that is equal on a 35 mm film, with an error of some per cent; of a picture that was cropped there is none.
 * @see CIPA DC-008 (Exif 2.32), FocalLengthIn35mmFilm, PixelXDimension (from memory).
 */
export async function toldBy(
  bytes: Uint8Array,
  stored: { readonly width: number; readonly height: number },
  diagonalPx: number,
): Promise<PictureTold> {
  const told = await exifIn(bytes);
  const [width, height] = [told?.ExifImageWidth, told?.ExifImageHeight];
  const shape = shapeOf(stored);
  const near = (other: number) => Math.abs(other / shape - 1) <= SAME_SHAPE;
  const isCropped =
    typeof width === "number" && typeof height === "number" && width > 0 && height > 0
      ? !near(shapeOf({ width, height }))
      : !CAMERA_SHAPES.some(near);
  const focalMm = told?.FocalLengthIn35mmFormat;
  const isLens = typeof focalMm === "number" && focalMm > LENSES_MM[0] && focalMm < LENSES_MM[1];
  return { focalPx: isLens && !isCropped ? (focalMm / FRAME_DIAGONAL_MM) * diagonalPx : null, isCropped };
}

async function exifIn(bytes: Uint8Array): Promise<Told | undefined> {
  const { default: exif } = await import("exifr");
  try {
    return await exif.parse(bytes, {
      pick: ["FocalLengthIn35mmFormat", "ExifImageWidth", "ExifImageHeight"],
    });
  } catch {
    return undefined;
  }
}

/** How much longer than high a picture is, whichever way up it lies. */
const shapeOf = ({ width, height }: { readonly width: number; readonly height: number }) =>
  Math.max(width, height) / Math.min(width, height);
