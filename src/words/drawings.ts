import type { OutlineFailure } from "@/core/exchange/pattern/applyOutline";
import type { FoundShapes } from "@/core/exchange/pattern/found";
import { hundredthUp } from "@/core/exchange/pattern/gaps";
import { JOINED_MM } from "@/core/exchange/pattern/joins";
import type {
  Counted,
  DrawingDoubt,
  DrawingFailure,
  PassedOver,
  RawDrawing,
  Unseen,
} from "@/core/geometry/contours/raw";
import { byCount, counted } from "./grammar";

const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`;

/** What was passed over, in plain words: kinds of writing, pictures and scripts that no line comes from. */
export function passedOverWords(passedOver: PassedOver): string {
  return Object.entries(passedOver)
    .map(([kind, count]) => `${count} × ${kind}`)
    .join(", ");
}

/** Why lines are not seen, behind their number: "3 lines on layers that are off". */
const UNSEEN_WORDS: Readonly<Record<Unseen, (count: number) => string>> = {
  "layer-off": (n) => byCount(n, "on a layer that is off", "on layers that are off"),
  "layer-frozen": (n) => byCount(n, "on a layer that is frozen", "on layers that are frozen"),
  "marked-invisible": () => "marked invisible",
  "not-displayed": (n) => byCount(n, "that is not displayed", "that are not displayed"),
  transparent: (n) => byCount(n, "that is transparent", "that are transparent"),
  "no-paint": () => "with neither fill nor stroke",
  "outside-page": () => "outside the page",
};

/** Lines that are left out since nobody sees them, each with why. */
export const unseenWords = (unseen: Counted<Unseen>): string =>
  (Object.entries(unseen) as [Unseen, number][])
    .map(([why, count]) => `${counted(count, "line")} ${UNSEEN_WORDS[why](count)}`)
    .join(", ");

const DOUBT_WORDS: Readonly<Record<DrawingDoubt, (count: number) => string>> = {
  "cut-away": (n) =>
    `${counted(n, "line")} ${byCount(n, "is", "are")} cut off by a clip, a mask or the page where the drawing is seen: read whole`,
  animated: (n) => `${counted(n, "thing")} ${byCount(n, "moves", "move")} with time: read as drawn`,
};

/**
 * What a maker should know of what was read: passed over, not seen, guessed, joined or doubtful; a sentence each, without
 * a full stop. `guessedUnit` where the file states none.
 */
export function drawingWarnings(
  drawing: RawDrawing,
  found: FoundShapes,
  guessedUnit: string | null,
): string[] {
  const passed = passedOverWords(drawing.passedOver);
  const unseen = unseenWords(drawing.unseen);
  const asides = found.shapes.flatMap((s) => (s.kind === "outline" && s.aside ? [s.aside] : []));
  return [
    ...(guessedUnit ? [`The file states no unit: ${guessedUnit} is the likely one`] : []),
    ...(passed ? [`Passed over: ${passed}`] : []),
    ...(unseen ? [`Left out as not seen: ${unseen}`] : []),
    ...(Object.entries(drawing.doubts) as [DrawingDoubt, number][]).map(([doubt, n]) =>
      DOUBT_WORDS[doubt](n),
    ),
    ...(["page", "frame"] as const)
      .filter((aside) => asides.includes(aside))
      .map((aside) => `A rectangle round the drawing is taken as its ${aside}, and proposed last`),
    ...(found.doubled > 0 ? [`${counted(found.doubled, "line")} drawn twice: left out once`] : []),
    ...(found.widestJoinMm > JOINED_MM
      ? [`Gaps of up to ${found.widestJoinMm.toFixed(2)} mm were closed by straight lines`]
      : found.joined > 0
        ? [`${counted(found.joined, "line")} open by a hair: joined`]
        : []),
    ...(found.gapMm !== null
      ? [`An outline does not close: its widest gap is ${found.gapMm.toFixed(2)} mm, which can be closed`]
      : []),
  ];
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
      const unseen = unseenWords(failure.unseen);
      if (unseen)
        return `Nothing of this drawing is seen: ${unseen}. Show what is the pattern, and save it again.`;
      const passed = passedOverWords(failure.passedOver);
      return `There are no lines in this drawing${passed ? ` (passed over: ${passed})` : ""}. Writing has to be turned into outlines first.`;
    }
    case "not-understood":
      return `This drawing places its lines by something that is not read here (${failure.what}). Open it in a drawing program, turn it into plain outlines, and save it again.`;
    case "too-much":
      return `This drawing asks for too much work: more than ${failure.most.toLocaleString("en")} points, or blocks and copies in each other. Leave out what is not the pattern.`;
  }
}

/** Why nothing of a drawing can be a part: what keeps it from closing. */
export function noOutlineWords({ shapes, gapMm }: FoundShapes): string {
  if (gapMm !== null)
    return `no outline closes: the widest gap that keeps one open is ${gapMm.toFixed(2)} mm; --close ${hundredthUp(gapMm).toFixed(2)}mm closes it`;
  const open = shapes.find((s) => s.kind === "open");
  return open
    ? `no outline closes: the ends of the longest line are ${open.gapMm.toFixed(2)} mm apart`
    : "there is no closed outline in this drawing";
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
