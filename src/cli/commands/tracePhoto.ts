import { writeKnife } from "@/core/exchange/files/knife/write";
import { type OutlineRole, TRACED_FIT } from "@/core/exchange/pattern/applyOutline";
import { proposedAssignment, traced } from "@/core/exchange/pattern/trace";
import { toldBy } from "@/core/exchange/photo/exif";
import { flattenedPhoto } from "@/core/exchange/photo/flatPhoto";
import { greyOf } from "@/core/exchange/photo/image";
import {
  EDGE_REACH_SHARE,
  LARGEST_PICTURE_BYTES,
  LONGEST_SIDE,
  pictureSize,
  SHEETS_OF_PAPER,
  type SheetOfPaper,
} from "@/core/exchange/photo/picture";
import { planeIn } from "@/core/exchange/photo/planeIn";
import type { PhotoScale } from "@/core/exchange/photo/planeScale";
import { type Seeing, shapesInPhoto, USUAL_SEEING } from "@/core/exchange/photo/shapes";
import { foundCorners } from "@/core/exchange/photo/sheetEdges";
import { faultsOf } from "@/core/figures/weigh/faults";
import { refusalOf } from "@/core/knife/design/refusal";
import { outlineFailureWords } from "@/words/drawings";
import { photoWarningWords, pictureFailureWords, scaleFailureWords } from "@/words/photos";
import { problemWords } from "@/words/problems";
import type { Input } from "../command";
import { bytesWithin, fixedIn, lengthIn, numberIn, withinTime, writeTo } from "../input";
import { Refusal } from "../refusal";
import { pickedFirst, shapeSaid } from "./traced";

/** What of a trace's options a photo asks for. */
type PhotoInput = Input<
  | "onto"
  | "out"
  | "list"
  | "pick"
  | "scale"
  | "paper"
  | "corners"
  | "shape"
  | "threshold"
  | "thickness"
  | "camera"
>;

/** Puts the outline and the holes in a photo onto a knife; places are in the picture's own pixels, as it is seen. */
export async function tracePhoto(
  { args: [path], needed, text, has }: PhotoInput,
  as: OutlineRole | "holes",
): Promise<unknown> {
  const [onto, out] = [needed("onto"), needed("out")];
  const bytes = await bytesWithin(path, LARGEST_PICTURE_BYTES);
  const size = pictureSize(bytes);
  if (!size.ok) throw new Refusal(pictureFailureWords(size));
  const { photo, shrunk } = await decoded(bytes);
  const scale = scaleIn(text, shrunk);
  const reachPx = EDGE_REACH_SHARE * Math.max(photo.width, photo.height);
  const sure: PhotoScale =
    scale.kind === "paper" ? { ...scale, corners: foundCorners(photo, scale.corners, reachPx) } : scale;
  const plane = planeIn(photo, sure);
  if (!plane.ok) throw new Refusal(scaleFailureWords(plane));
  const shape = text("shape") ?? "dark";
  if (shape !== "dark" && shape !== "light") throw new Refusal(`--shape is dark or light, not "${shape}"`);
  const typed = text("threshold");
  const threshold = typed === undefined ? null : numberIn(typed, "--threshold");
  const thicknessMm = lengthIn(text("thickness"), "--thickness", LARGEST_THICKNESS_MM);
  const cameraMm = lengthIn(text("camera"), "--camera", FARTHEST_CAMERA_MM);
  const told = await toldBy(bytes, size, Math.hypot(photo.width, photo.height));
  const flat = withinTime(() => flattenedPhoto(photo, plane, undefined, told));
  const seeing: Seeing = { ...USUAL_SEEING, shape, threshold, thicknessMm, cameraMm };
  const seen = withinTime(() => shapesInPhoto(flat, seeing));
  const said = {
    widthMm: flat.widthMm,
    heightMm: flat.heightMm,
    threshold: seen.threshold,
    lens: seen.lensBowMm > 0 ? { bowMm: seen.lensBowMm } : null,
    camera: seen.camera && { heightMm: seen.camera.heightMm, tiltDeg: seen.camera.tiltDeg },
    warnings: seen.warnings.map((w) => photoWarningWords(w, "metric")),
    found: seen.shapes.map(shapeSaid),
  };
  if (has("list")) return said;
  const before = (await fixedIn(onto)).design;
  const assigned = proposedAssignment(before, pickedFirst(seen.shapes, text("pick")), as, "by-hand");
  if (!assigned) throw new Refusal("no shape was found in this photo; is it --shape dark or light?");
  const answer = withinTime(() => traced(before, assigned, TRACED_FIT));
  if (!answer.ok) throw new Refusal(outlineFailureWords(answer));
  const refused = refusalOf(answer.design);
  if (refused) throw new Refusal(problemWords(refused));
  await writeTo(out, writeKnife(answer.design));
  return {
    out,
    ...said,
    used: answer.used,
    largestDeviationMm: answer.largestDeviationMm,
    canBeBuilt: faultsOf(answer.design).every((f) => f.severity !== "error"),
  };
}

/** A piece is no thicker, and a camera no farther from its paper, mm. */
const LARGEST_THICKNESS_MM = 100;
const FARTHEST_CAMERA_MM = 10_000;

/** The picture as it is seen, turned by its mark, and how much smaller it is than it was stored. */
async function decoded(bytes: Uint8Array) {
  // A native decoder, loaded when it is asked for.
  const { default: sharp } = await import("sharp");
  try {
    const turned = sharp(bytes).rotate();
    const { width, height, orientation = 1 } = await turned.metadata();
    const across = orientation >= 5 ? height : width;
    const { data, info } = await turned
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: "inside", withoutEnlargement: true })
      .toColourspace("srgb")
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const photo = greyOf(new Uint8Array(data), info.width, info.height, 4);
    return { photo, shrunk: info.width / (across ?? info.width) };
  } catch {
    throw new Refusal(pictureFailureWords({ code: "not-a-picture" }));
  }
}

function scaleIn(text: PhotoInput["text"], shrunk: number): PhotoScale {
  const numbers = (option: "corners" | "scale", count: number): number[] => {
    const list = (text(option) ?? "").split(",").map((n) => (n.trim() === "" ? Number.NaN : Number(n)));
    if (list.length !== count || !list.every(Number.isFinite))
      throw new Refusal(`--${option} is ${count} numbers with commas between, not "${text(option)}"`);
    return list;
  };
  const at = (x: number, y: number) => ({ x: x * shrunk, y: y * shrunk });
  if (text("corners") !== undefined) {
    const n = numbers("corners", 8);
    const paper = text("paper") ?? "a4";
    if (!Object.hasOwn(SHEETS_OF_PAPER, paper))
      throw new Refusal(`--paper is ${Object.keys(SHEETS_OF_PAPER).join(", ")}, not "${paper}"`);
    const corners = [0, 2, 4, 6].map((i) => at(n[i], n[i + 1]));
    return { kind: "paper", corners, ...SHEETS_OF_PAPER[paper as SheetOfPaper] };
  }
  if (text("scale") === undefined)
    throw new Refusal(
      "a photo needs --scale x1,y1,x2,y2,MM, or --paper and --corners x1,y1,x2,y2,x3,y3,x4,y4",
    );
  const [x1, y1, x2, y2, mm] = numbers("scale", 5);
  return { kind: "points", a: at(x1, y1), b: at(x2, y2), mm };
}
