import { printLength, type UnitSystem } from "@/core/base/units/print";
import type { PictureFailure } from "@/core/exchange/photo/picture";
import type { ScaleFailure } from "@/core/exchange/photo/planeScale";
import type { PhotoWarning } from "@/core/exchange/photo/shapes";

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

/** What is doubtful about what was read from a photo, and what to do about it. */
export function photoWarningWords(warning: PhotoWarning, units: UnitSystem): string {
  const mm = (value: number, digits = 1) => printLength(value, units, digits);
  switch (warning.code) {
    case "thickness-unsaid": {
      const { thicknessMm, tooLongMm } = warning;
      const by =
        tooLongMm === null
          ? "longer than it is"
          : `up to ${mm(tooLongMm)} longer across the sheet than it is`;
      return `Say whether a piece lies on the paper or is drawn on it: a piece ${mm(thicknessMm)} thick reads ${by}.`;
    }
    case "camera-unknown":
      return `The picture does not tell how high the camera was, so the ${mm(warning.thicknessMm)} of the piece are not allowed for: say how high it was, or take the picture aslant.`;
    case "camera-too-low":
      return `A camera ${mm(warning.heightMm)} over the paper is too low for a piece as thick as that: one of the two is not right.`;
  }
}
