import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { NOTHING_TOLD, toldBy } from "./exif";

/** Source: libvips writes the tags; they are read by npm's exifr. */
async function photo(tags: Record<string, string> | null) {
  const blank = sharp({ create: { width: 400, height: 300, channels: 3, background: "#fff" } });
  return new Uint8Array(await (tags ? blank.withExif({ IFD2: tags }) : blank).jpeg().toBuffer());
}
const STORED = { width: 400, height: 300 };

describe("what a photo's file tells of its camera", () => {
  it("is the length on film by the diagonal of a frame of 36 × 24 mm", async () => {
    const bytes = await photo({ FocalLengthIn35mmFilm: "26" });
    const { focalPx, isCropped } = await toldBy(bytes, STORED, 500);
    expect(focalPx).toBeCloseTo((500 * 26) / 43.2666, 2);
    expect(isCropped).toBe(false);
  });

  it("is no length of a file that tells none, and of nonsense", async () => {
    expect(await toldBy(await photo(null), STORED, 500)).toEqual(NOTHING_TOLD);
    expect(await toldBy(await photo({ FocalLengthIn35mmFilm: "0" }), STORED, 500)).toEqual(NOTHING_TOLD);
    expect(await toldBy(new Uint8Array([1, 2, 3]), STORED, 500)).toEqual(NOTHING_TOLD);
  });

  it("is that it was cropped, of another shape than it was taken in, or than cameras take", async () => {
    const told = await photo({ FocalLengthIn35mmFilm: "26" });
    const cropped = { focalPx: null, isCropped: true };
    expect(await toldBy(told, { width: 300, height: 300 }, 424)).toEqual(cropped);
    expect((await toldBy(told, { width: 3000, height: 4000 }, 5000)).isCropped).toBe(false);
    expect(await toldBy(new Uint8Array(), { width: 1000, height: 870 }, 1325)).toEqual(cropped);
    for (const [width, height] of [
      [3, 2],
      [9, 16],
      [1, 1],
      [4, 3],
      [4000, 2250],
    ])
      expect((await toldBy(new Uint8Array(), { width, height }, 1)).isCropped).toBe(false);
  });
});
