import { isDry } from "../figures/fit/dry";
import { glueTimes } from "../figures/fit/glue";
import { kindOf } from "../kinds/fasteners/registry";
import { endKindOf } from "../kinds/tangEnds/registry";
import type { Design } from "../knife/design/schema";
import { type After, after, type Planner, surfaced } from "./planner";
import { TASKS } from "./taskKinds";

/** However short a pot life is, so much of it is left to look and to wipe, min. */
const LEAST_LEFT_MIN = 10;

/** All that has to be finished before the handle is put together for good. */
const FITTED: readonly After[] = [
  after("saw-piece", "marked-out-first"),
  after("front-faces", "last-chance"),
  after("check-faces", "last-chance"),
  after("drill-scales", "last-chance"),
  after("drill-one-pass", "last-chance"),
  after("counterbore", "last-chance"),
  after("check-holes", "last-chance"),
  after("fit-bolsters", "last-chance"),
  after("fit-block", "last-chance"),
  after("drill-pins", "last-chance"),
  after("thread-tang", "last-chance"),
  after("fit-end", "last-chance"),
  after("check-guard", "last-chance"),
  after("shape-guard", "last-chance"),
  ...surfaced("finished-before-guard"),
  after("check-straight", "straight-first"),
  after("inspect-blade", "last-chance"),
];

/** Whether the handle comes off again: screws alone hold it. */
export const isRemovable = (design: Design): boolean => design.handle.kind !== "bare" && isDry(design);

const isPeened = ({ fasteners, tang }: Design): boolean =>
  fasteners.some((f) => kindOf(f).peened) || (tang.kind === "hidden" && endKindOf(tang.end).peened);

/** From the dry fit to a handle that holds. */
export function joinTasks(p: Planner, design: Design): void {
  if (design.handle.kind === "bare") return;
  if (!p.has("tape-blade"))
    p.add("tape-blade", [...surfaced("blade-taped"), after("inspect-blade", "blade-taped")]);
  p.add("dry-fit", [...FITTED, after("glue-first", "held-by-glue"), after("carry-indoors", "held-by-glue")]);
  if (isRemovable(design)) {
    p.add("assemble", [after("dry-fit", "last-chance"), after("tape-blade", "blade-taped")]);
  } else glueTasks(p, design);
  if (isPeened(design)) p.add("peen", [after("cure", "cured"), after("assemble", "everything-on")]);
}

function glueTasks(p: Planner, design: Design): void {
  const { potLifeMin, cureH, curesIndoors } = glueTimes(design);
  const clean = p.add("degrease", [after("dry-fit", "clean-joint")]);
  p.add("glue-handle", [
    after("dry-fit", "last-chance"),
    after({ id: clean }, "clean-joint"),
    after("front-faces", "faces-unreachable"),
    after("tape-blade", "blade-taped"),
  ]);
  // The pot life is counted from the mixing, at the beginning of the glue-up.
  const soon = { maxLagMin: Math.max(LEAST_LEFT_MIN, potLifeMin - TASKS["glue-handle"].activeMin) };
  p.add("check-in-line", [after("glue-handle", "pot-life", soon)]);
  p.add("clean-squeeze-out", [after("glue-handle", "pot-life", soon)]);
  if (curesIndoors)
    p.add("carry-indoors", [
      after("glue-handle", "too-cold", soon),
      after("check-in-line", "pot-life"),
      after("clean-squeeze-out", "pot-life"),
    ]);
  p.add(
    "cure",
    [
      after("glue-handle", "pot-life"),
      after("check-in-line", "pot-life"),
      after("clean-squeeze-out", "pot-life"),
      after("carry-indoors", "too-cold"),
    ],
    { waitMin: Math.round(cureH * 60) },
  );
}

/** Shape, surface and finish of the handle, what is wound round it, and the edge last of all. */
export function closingTasks(p: Planner, design: Design): void {
  const { handle, fasteners } = design;
  const joined = [after("cure", "cured"), after("assemble", "everything-on"), after("peen", "peen-shapes")];
  if (handle.kind !== "bare") {
    if (fasteners.some((f) => kindOf(f).glued)) p.add("flush-pins", joined);
    p.add("contour", [...joined, after("flush-pins", "flush-first"), after("tape-blade", "blade-taped")]);
    if (handle.grooves.length > 0) p.add("groove-handle", [after("contour", "shape-first")]);
    p.add("sand-handle", [after("contour", "shape-first"), after("groove-handle", "shape-first")]);
    p.add("finish-handle", [after("sand-handle", "smooth-first")]);
  }
  let under: string | null = null;
  handle.wraps.forEach((_, i) => {
    under = p.add(
      "wind-wrap",
      [
        after("finish-handle", "covered-last"),
        ...surfaced("covered-last"),
        after("inspect-blade", "covered-last"),
        ...(under ? [after({ id: under }, "covered-last")] : []),
      ],
      { of: { kind: "number", number: i + 1 } },
    );
  });
  p.add("sharpen", [
    ...surfaced("sharp-last"),
    after("check-straight", "sharp-last"),
    after("finish-handle", "sharp-last"),
    after("wind-wrap", "sharp-last"),
    after("inspect-blade", "sharp-last"),
    after("check-guard", "sharp-last"),
  ]);
  p.add("weigh-and-log", [after("sharpen", "everything-on")]);
}
