import type { PictureFailure } from "@/core/exchange/photo/picture";
import type { ScaleFailure } from "@/core/exchange/photo/planeScale";

/** Why a picture was not taken. */
export function pictureFailureWords(failure: PictureFailure): string {
  switch (failure.code) {
    case "not-a-picture":
      return "This is not a JPEG, PNG or WebP picture, or it is damaged.";
    case "picture-too-large":
      return `The picture has ${(failure.bytes / 1e6).toFixed(0)} MB; up to ${(failure.most / 1e6).toFixed(0)} MB are taken.`;
    case "too-many-pixels":
      return `The picture has ${(failure.pixels / 1e6).toFixed(0)} million pixels; up to ${(failure.most / 1e6).toFixed(0)} are taken. Save it smaller: 12 are plenty.`;
  }
}

/** Why a photo's true size is not known. */
export function scaleFailureWords(failure: ScaleFailure): string {
  return failure.code === "no-distance"
    ? "The two points need a distance between them, in the picture and in millimetres."
    : "These are not the four corners of a sheet: mark each one, in any order.";
}
