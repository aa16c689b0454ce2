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

/**
 * The focal length that a photo's file tells, as a share of the picture's diagonal; null where it tells none, or where the
 * picture of that stored size was cropped since. By the length that is equal on a 35 mm film, with an error of some per cent
 * @see CIPA DC-008 (Exif 2.32), FocalLengthIn35mmFilm, PixelXDimension (from memory).
 */
export async function focalShareIn(
  bytes: Uint8Array,
  stored: { readonly width: number; readonly height: number },
): Promise<number | null> {
  const { default: exif } = await import("exifr");
  let told: Told | undefined;
  try {
    told = await exif.parse(bytes, {
      pick: ["FocalLengthIn35mmFormat", "ExifImageWidth", "ExifImageHeight"],
    });
  } catch {
    return null;
  }
  const focalMm = told?.FocalLengthIn35mmFormat;
  if (typeof focalMm !== "number" || !(focalMm > LENSES_MM[0] && focalMm < LENSES_MM[1])) return null;
  const [width, height] = [told?.ExifImageWidth, told?.ExifImageHeight];
  const wasCropped =
    typeof width === "number" &&
    typeof height === "number" &&
    Math.abs(shapeOf({ width, height }) / shapeOf(stored) - 1) > SAME_SHAPE;
  return wasCropped ? null : focalMm / FRAME_DIAGONAL_MM;
}

/** How much longer than high a picture is, whichever way up it lies. */
const shapeOf = ({ width, height }: { readonly width: number; readonly height: number }) =>
  Math.max(width, height) / Math.min(width, height);
