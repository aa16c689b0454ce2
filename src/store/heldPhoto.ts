import { pictureOf } from "./pictureOf";
import { PICTURE_TYPES } from "./tables/photos";
import { holdPicture } from "./unwritten";

/** A photo may have so many bytes. */
const LARGEST_PHOTO_BYTES = 20_000_000;

/** Holds a photo until the row that refers to it is written, and answers its id. Throws, in words, for what is none. */
export async function heldPhoto(file: Blob): Promise<string> {
  if (!PICTURE_TYPES.includes(file.type)) throw new Error("A photo is a JPEG, PNG or WebP picture.");
  if (file.size > LARGEST_PHOTO_BYTES) throw new Error("A photo has 20 MB at most.");
  const picture = pictureOf(new Uint8Array(await file.arrayBuffer()), file.type);
  holdPicture(picture);
  return picture.id;
}
