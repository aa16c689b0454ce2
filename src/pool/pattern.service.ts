import { TooMuchWork } from "@/core/base/work";
import { DRAWING_FORMATS } from "@/core/exchange/files/drawings";
import { shapesIn } from "@/core/exchange/pattern/found";
import { lotOutlineIn } from "@/core/exchange/pattern/lotOutline";
import { markIn } from "@/core/exchange/pattern/markIn";
import { NOTHING_TOLD, type PictureTold, toldBy } from "@/core/exchange/photo/exif";
import { type FlatPhoto, flattenedPhoto } from "@/core/exchange/photo/flatPhoto";
import { type GreyImage, greyOf } from "@/core/exchange/photo/image";
import { paperIn } from "@/core/exchange/photo/paperIn";
import { LONGEST_SIDE, pictureSize } from "@/core/exchange/photo/picture";
import { planeIn } from "@/core/exchange/photo/planeIn";
import { shapesInPhoto } from "@/core/exchange/photo/shapes";
import { foundCorners } from "@/core/exchange/photo/sheetEdges";
import type { RawDrawing } from "@/core/geometry/contours/raw";
import type { PatternService } from "../workers/pattern.messages";

let drawing: RawDrawing | null = null;
let photo: GreyImage | null = null;
let told: PictureTold = NOTHING_TOLD;
let flat: FlatPhoto | null = null;

/** What the pattern worker answers with: the core's own functions, and the browser's decoder. */
export const patternService: PatternService = {
  readDrawing: async (bytes, format) => {
    const read = await DRAWING_FORMATS[format].read();
    const reading = read(bytes);
    drawing = reading.ok ? reading.drawing : null;
    return reading;
  },

  shapesInDrawing: (mmPerUnit, closeMm) => {
    if (!drawing) return null;
    try {
      return { ok: true, found: shapesIn(drawing, mmPerUnit, undefined, closeMm ?? undefined) };
    } catch (error) {
      if (error instanceof TooMuchWork) return { ok: false, code: "too-much" };
      throw error;
    }
  },

  lotInDrawing: () => {
    if (!drawing) return null;
    try {
      return lotOutlineIn(shapesIn(drawing, drawing.mmPerUnit ?? 1));
    } catch (error) {
      if (error instanceof TooMuchWork) return null;
      throw error;
    }
  },

  markInDrawing: () => {
    if (!drawing) return null;
    try {
      return markIn(drawing);
    } catch (error) {
      if (error instanceof TooMuchWork) return { ok: false, code: "too-much" };
      throw error;
    }
  },

  openPhoto: async (bytes) => {
    const size = pictureSize(bytes);
    if (!size.ok) return size;
    let whole: ImageBitmap;
    try {
      // Turned by its mark: that is the decoder's own way.
      whole = await createImageBitmap(new Blob([bytes as BlobPart]), { imageOrientation: "from-image" });
    } catch {
      return { ok: false, code: "not-a-picture" };
    }
    const share = Math.min(1, LONGEST_SIDE / Math.max(whole.width, whole.height));
    const [width, height] = [Math.round(whole.width * share), Math.round(whole.height * share)];
    const canvas = new OffscreenCanvas(width, height);
    const pen = canvas.getContext("2d")!;
    pen.fillStyle = "#fff";
    pen.fillRect(0, 0, width, height);
    pen.drawImage(whole, 0, 0, width, height);
    whole.close();
    photo = greyOf(pen.getImageData(0, 0, width, height).data, width, height, 4);
    told = await toldBy(bytes, size, Math.hypot(width, height));
    flat = null;
    const picture = await canvas.convertToBlob({ type: "image/jpeg", quality: 0.85 });
    return { ok: true, width, height, picture, corners: paperIn(photo) };
  },

  findCorners: (marked, reachPx) => (photo ? foundCorners(photo, marked, reachPx) : [...marked]),

  flatten: async (scale, tell) => {
    if (!photo) return { ok: false, code: "no-sheet" };
    const seen = planeIn(photo, scale);
    if (!seen.ok) return seen;
    flat = flattenedPhoto(photo, seen, tell, told);
    const { image, widthMm, heightMm } = flat;
    const pixels = new Uint8ClampedArray(image.width * image.height * 4);
    for (let i = 0; i < image.data.length; i++) {
      pixels.fill(image.data[i], 4 * i, 4 * i + 3);
      pixels[4 * i + 3] = 255;
    }
    const canvas = new OffscreenCanvas(image.width, image.height);
    canvas.getContext("2d")!.putImageData(new ImageData(pixels, image.width, image.height), 0, 0);
    const picture = await canvas.convertToBlob({ type: "image/jpeg", quality: 0.8 });
    return { ok: true, widthMm, heightMm, picture };
  },

  findShapes: (seeing) => (flat ? shapesInPhoto(flat, seeing) : null),
};
