import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { focalShareIn } from "./exif";

/** Source: libvips writes the tags; they are read by npm's exifr. */
async function photo(tags: Record<string, string> | null) {
  const blank = sharp({ create: { width: 400, height: 300, channels: 3, background: "#fff" } });
  return new Uint8Array(await (tags ? blank.withExif({ IFD2: tags }) : blank).jpeg().toBuffer());
}
const STORED = { width: 400, height: 300 };

describe("the focal length that a photo's file tells", () => {
  it("is its length on film by the diagonal of a frame of 36 × 24 mm", async () => {
    const bytes = await photo({ FocalLengthIn35mmFilm: "26" });
    expect(await focalShareIn(bytes, STORED)).toBeCloseTo(26 / 43.2666, 4);
  });

  it("is none of a file that tells none, of one that is cropped, and of nonsense", async () => {
    expect(await focalShareIn(await photo(null), STORED)).toBeNull();
    expect(await focalShareIn(await photo({ FocalLengthIn35mmFilm: "0" }), STORED)).toBeNull();
    const told = await photo({ FocalLengthIn35mmFilm: "26" });
    expect(await focalShareIn(told, { width: 300, height: 300 })).toBeNull();
    expect(await focalShareIn(told, { width: 3000, height: 4000 })).not.toBeNull();
    expect(await focalShareIn(new Uint8Array([1, 2, 3]), STORED)).toBeNull();
  });
});
