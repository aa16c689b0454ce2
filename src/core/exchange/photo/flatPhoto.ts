import type { PictureTaken } from "./camera";
import { NOTHING_TOLD, type PictureTold } from "./exif";
import { type GreyImage, shadeAt } from "./image";
import type { PlaneSeen, SheetDoubt } from "./planeIn";
import { seenAt, type TruePlane } from "./planeScale";

/** The plane is looked at with so many pixels a millimetre at most, and in all. */
const MOST_PER_MM = 10;
const MOST_PIXELS = 5_000_000;

/** A photo seen straight from above at true size: shades, how many pixels make a millimetre, and how large it is. */
export interface FlatPhoto {
  readonly image: GreyImage;
  readonly perMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly plane: TruePlane;
  readonly picture: PictureTaken;
  /** How far the lens bowed the sheet's edges, mm, and what is doubtful about the sheet. */
  readonly lensBowMm: number;
  readonly doubts: readonly SheetDoubt[];
}

/** The plane of a photo without its perspective; `tell` hears how far it is, 0 to 1. */
export function flattenedPhoto(
  photo: GreyImage,
  { plane, lensBowMm, doubts }: Omit<PlaneSeen, "ok">,
  tell: (done: number) => void = () => undefined,
  told: PictureTold = NOTHING_TOLD,
): FlatPhoto {
  const { widthMm, heightMm, pixelsPerMm } = plane;
  const perMm = Math.min(MOST_PER_MM, pixelsPerMm, Math.sqrt(MOST_PIXELS / (widthMm * heightMm)));
  const [width, height] = [
    Math.max(2, Math.round(widthMm * perMm)),
    Math.max(2, Math.round(heightMm * perMm)),
  ];
  const data = new Float32Array(width * height);
  // What lies outside the photo is taken as what is most of it.
  const ground = middleShade(photo);
  for (let y = 0; y < height; y++) {
    if (y % 200 === 0) tell(y / height);
    for (let x = 0; x < width; x++) {
      const at = seenAt(plane, { x: (x + 0.5) / perMm, y: (y + 0.5) / perMm });
      data[y * width + x] = shadeAt(photo, at.x - 0.5, at.y - 0.5) ?? ground;
    }
  }
  const picture = { ...told, width: photo.width, height: photo.height };
  return { image: { width, height, data }, perMm, widthMm, heightMm, plane, picture, lensBowMm, doubts };
}

function middleShade({ data }: GreyImage): number {
  const step = Math.max(1, Math.floor(data.length / 5000));
  const some: number[] = [];
  for (let i = 0; i < data.length; i += step) some.push(data[i]);
  return some.sort((a, b) => a - b)[Math.floor(some.length / 2)] ?? 255;
}
