import { printLength, type UnitSystem } from "@/core/base/units/print";
import type { PictureFailure } from "@/core/exchange/photo/picture";
import type { ScaleFailure } from "@/core/exchange/photo/planeScale";
import type { PhotoWarning } from "@/core/exchange/photo/shapes";
import { counted } from "./grammar";

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
    case "cropped":
      return `The picture was cropped, so from where it was taken is not sure and the ${mm(warning.thicknessMm)} of the piece are not allowed for: say how high the camera was, or bring in the whole picture.`;
    case "shadow":
      return `A shadow about ${mm(warning.widthMm)} wide lies beside the piece. Its edge is taken where the piece's own shade ends: compare its sizes with the piece, or take the picture again with light from all sides.`;
    case "blurred":
      return `The picture is blurred, coarse, or smoothed too far: the edge of the piece is spread over ${mm(2 * warning.byMm)}, and its tips are read about ${mm(warning.byMm)} short. Take it sharper or from nearer, or mend the tips by points.`;
    case "drawn-lines":
      return `These are lines up to ${mm(warning.widthMm)} wide: their middle is taken. Drawn round a piece, a line lies outside of it by about half its width.`;
    case "open-line":
      return `A line ${mm(warning.lengthMm, 0)} long does not close: go over its gap and take the picture again, or lay points by hand.`;
    case "hole-not-round":
      return `${counted(warning.count, "hole")} not round: the worst shows ${mm(warning.longMm)} long and ${mm(warning.shortMm)} wide. If it is round, measure it and drill by that; of a thick piece the walls are seen.`;
    case "curled-paper":
      return `The paper does not lie flat: its edges are bowed by ${mm(warning.bowMm)}. Sizes are off by as much. Weigh its corners down and take the picture again.`;
    case "bowed-edge":
      return `An edge of the sheet is bowed by ${mm(warning.bowMm)}. If it is cut straight, something covers it or the paper does not lie flat: sizes may be off by as much.`;
    case "corner-off":
      return `A corner is marked ${mm(warning.offMm)} beside where the sheet's edges meet: find the sheet's edges, or drag the mark there.`;
  }
}
