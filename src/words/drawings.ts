import type { OutlineFailure } from "@/core/exchange/pattern/applyOutline";
import type { DrawingFailure, PassedOver } from "@/core/geometry/contours/raw";

const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/** What was passed over, in plain words: kinds of writing, pictures and scripts that no line comes from. */
export function passedOverWords(passedOver: PassedOver): string {
  return Object.entries(passedOver)
    .map(([kind, count]) => `${count} × ${kind}`)
    .join(", ");
}

/** Why a drawing was not taken in. */
export function drawingFailureWords(failure: DrawingFailure): string {
  switch (failure.code) {
    case "too-large":
      return `The file has ${megabytes(failure.bytes)}; drawings up to ${megabytes(failure.most)} are taken. Leave out what is not the pattern.`;
    case "not-a-drawing":
      return `This is no ${failure.format} drawing, or it is damaged.`;
    case "binary":
      return "This is a binary DXF: save it as a DXF of text (ASCII).";
    case "three-dimensional":
      return "This is a drawing in space: solids, meshes or lines that do not lie in one plane. Bring the flat outline, or the mesh on the Parts step.";
    case "no-lines": {
      const passed = passedOverWords(failure.passedOver);
      return `There are no lines in this drawing${passed ? ` (passed over: ${passed})` : ""}. Writing has to be turned into outlines first.`;
    }
    case "too-much":
      return `This drawing asks for too much work: more than ${failure.most.toLocaleString("en")} points, or blocks and copies in each other. Leave out what is not the pattern.`;
  }
}

const OF_WORDS = { blade: "blade", handle: "handle", tang: "tang" } as const;

/** Why an outline cannot be a part of a knife. */
export function outlineFailureWords(failure: OutlineFailure): string {
  if (failure.code === "datum-outside")
    return "The datum has to lie in the outline, with the blade ahead of it and the tang behind it: move it.";
  const { of, mm, least, most } = failure;
  return `The ${OF_WORDS[of]} would be ${mm < 1000 ? `${mm.toFixed(1)} mm` : `${(mm / 1000).toFixed(1)} m`} long; it can be ${least} to ${most} mm. Is the unit right, and the datum?`;
}

/** Said where a whole drawing is too long or too short for a knife. */
export const reachWords = (mm: number, shortest: number, longest: number): string =>
  `In that unit the drawing is ${mm < 1000 ? `${mm.toFixed(1)} mm` : `${(mm / 1000).toFixed(1)} m`} long, and a knife is ${shortest} to ${longest} mm. Choose another unit.`;
