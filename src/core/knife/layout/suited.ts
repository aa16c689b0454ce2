import { produce } from "immer";
import { putAt } from "../../base/record/path";
import { THREADS, type Thread } from "../../base/units/threads";
import { endKindOf } from "../../kinds/tangEnds/registry";
import { round } from "../design/create";
import type { Design } from "../design/schema";
import { threadChange } from "../design/threadChange";
import { type KnifeSizes, resized, sizesOf } from "./resized";
import { withinEnds } from "./withinEnds";

/**
 * A new knife in the sizes that its maker typed, with what those ask for: fasteners still hold the ends down, a bar has its
 * shoulders, no more thickness than the handle has room for, and a thread that it can carry. The same sizes give the same
 * knife.
 */
export function suitedTo(before: Design, to: KnifeSizes): Design {
  const now = sizesOf(before);
  const plain = withinEnds(before, resized(before, to));
  const barred = { ...plain, tang: withBarOf(before, plain, to.spineMm > now.spineMm) };
  return to.spineMm < now.spineMm ? withThreadThatFits(barred) : barred;
}

/** A shoulder stands so far over its tang on each side at least, mm; or as far as it did. */
const SHOULDER_MM = 1.2;

/** The bar of a knife in other sizes: within its blade's height at the front, and no thicker than before in the same handle. */
function withBarOf(before: Design, { tang, blade }: Design, isThicker: boolean): Design["tang"] {
  if (tang.kind === "full" || before.tang.kind === "full") return tang;
  const halfOf = ({ spineOverAxisMm: top, ricassoHeightMm: height }: Design["blade"]) =>
    Math.min(top - tang.yMm, tang.yMm - (top - height));
  const shoulderMm = Math.min(SHOULDER_MM, halfOf(before.blade) - before.tang.frontHeightMm / 2);
  const frontHeightMm = Math.min(tang.frontHeightMm, Math.max(2, round(2 * (halfOf(blade) - shoulderMm))));
  const { frontThicknessMm, endThicknessMm } = isThicker ? before.tang : tang;
  const endHeightMm = Math.min(tang.endHeightMm, frontHeightMm);
  return { ...tang, frontHeightMm, endHeightMm, frontThicknessMm, endThicknessMm };
}

/** A screw leaves so much of the bar that it goes into on both sides together, mm. */
const ROUND_SCREW_MM = 0.5;

/** The knife with a thread on its tang's end that the bar has room for: the largest of the coarse metric ones. */
function withThreadThatFits(design: Design): Design {
  const { tang } = design;
  if (tang.kind !== "hidden" || !("pitchMm" in tang.end)) return design;
  const { end } = tang;
  const room =
    Math.min(tang.endThicknessMm, tang.endHeightMm) - (endKindOf(end).rod(end)?.ofTang ? 0 : ROUND_SCREW_MM);
  if (end.diameterMm <= room) return design;
  const thread = THREADS.filter((t) => t.name.startsWith("M") && t.diameterMm <= room).reduce<Thread | null>(
    (best, t) => (best && best.diameterMm >= t.diameterMm ? best : t),
    null,
  );
  const change = thread && threadChange(design, "tang.end", thread);
  if (!change) return design;
  return produce(design, (draft) => {
    for (const { path, value } of change.sets) putAt(draft, path, value);
  });
}
