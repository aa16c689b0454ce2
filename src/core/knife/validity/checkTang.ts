import { byKind } from "../../base/record/byKind";
import { INSIDE_MM, ROUNDING } from "../../base/tolerances";
import { lineAt } from "../../geometry/solids/line";
import type { Region } from "../../geometry/solids/region";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design, FramedTang, FullTang, HiddenTang } from "../design/schema";
import { barHalf, barHeight, barTangOutline, holeBottom } from "../layout/bar";
import { endPlace } from "../layout/endPlace";
import { type Layout, layoutOf } from "../layout/layout";
import { wallEnd } from "../layout/wallEnd";
import type { Report } from "./types";

/** The kinds of tang that each kind of handle goes on. */
const TANGS_OF: Readonly<Record<Design["handle"]["kind"], readonly Design["tang"]["kind"][]>> = {
  scales: ["full", "framed"],
  stack: ["hidden"],
  bare: ["full"],
};

/** The tang against the handle it stands in: openings, hole, frame, and what is at its end. */
export function checkTang(design: Design, report: Report): void {
  const { tang, handle } = design;
  const layout = layoutOf(design);
  const { frontX: front } = layout;
  if (!TANGS_OF[handle.kind].includes(tang.kind)) {
    const bare = handle.kind === "bare";
    report("error", bare ? "bare-needs-full-tang" : "tang-and-handle-apart", {
      at: { x: bare ? 0 : front, y: 0 },
    });
    return;
  }
  byKind(tang, {
    full: (full) => checkFull(layout, full, report),
    framed: (framed) => checkFramed(layout, framed, report),
    hidden: (hidden) => checkHidden(layout, hidden, report),
  });
}

function checkFull(layout: Layout, { recess, short }: FullTang, report: Report): void {
  if (recess) checkRecess(layout, recess, report);
  const limit = -layout.buttX;
  if (short && short.lengthMm >= limit)
    report("warning", "tang-not-short", { at: { x: layout.buttX, y: 0 }, measured: short.lengthMm, limit });
}

function checkFramed(layout: Layout, tang: FramedTang, report: Report): void {
  const { frontX: front } = layout;
  const half = barHalf(tang);
  const measured = 2 * Math.max(lineAt(half, front), lineAt(half, -tang.lengthMm));
  const limit = tang.frame.thicknessMm;
  if (!(measured < limit))
    report("error", "tang-thicker-than-frame", { at: { x: front, y: tang.yMm }, measured, limit });
  checkWalls(layout, [layout.body], -tang.lengthMm - tang.hole.deeperMm, false, report);
}

function checkHidden(layout: Layout, tang: HiddenTang, report: Report): void {
  const { frontX: front } = layout;
  const solids = [layout.plainBody, ...layout.shapedPieces.flatMap((s) => s.stretches.flat())];
  const bottom = holeBottom(tang, tang.hole, front);
  checkWalls(layout, solids, bottom, endKindOf(tang.end).through, report);
  checkFit(tang, front, Math.min(...solids.map((s) => s.xRange[0])), report);
  const place = endPlace(layout);
  const faults = place ? endKindOf(tang.end).faults(tang.end, place) : [];
  for (const { severity, rule, ...where } of faults) report(severity, rule, where);
}

function checkRecess(layout: Layout, recess: NonNullable<FullTang["recess"]>, report: Report): void {
  const at = { x: -recess.fromMm, y: 0 };
  const { recess: outline, tangFace } = layout;
  if (!outline) {
    report("error", "recess-no-room", { at, measured: recess.rimMm });
    return;
  }
  const thin = Math.min(lineAt(tangFace, outline.xRange[0]), lineAt(tangFace, outline.xRange[1]));
  if (!(recess.depthMm < thin))
    report("error", "recess-cuts-through", { at, measured: recess.depthMm, limit: thin });
}

/**
 * Follows the border of a hole along the handle, in every direction of the section; the last rounding of a through
 * hole is left out.
 */
function checkWalls(
  layout: Layout,
  solids: readonly Region[],
  bottom: number,
  through: boolean,
  report: Report,
): void {
  const { buttX: butt, frontX: front, tangHoles: holes } = layout;
  const goesOut = through || bottom <= butt;
  const end = goesOut ? wallEnd(layout) : Math.max(butt, bottom);
  let worst = { wall: Number.POSITIVE_INFINITY, x: front, y: 0 };
  for (let i = 0; i <= 24; i++) {
    const x = front - INSIDE_MM + ((end - front + 2 * INSIDE_MM) * i) / 24;
    const cuts = solids.map((s) => (x > s.xRange[0] && x < s.xRange[1] ? s.sliceAt(x) : null));
    for (const hole of holes) {
      const h = x > hole.xRange[0] && x < hole.xRange[1] ? hole.sliceAt(x) : null;
      if (!h?.ys || h.ys.length < 2) continue;
      const [low, high] = [h.ys[0], h.ys[h.ys.length - 1]];
      for (let k = 0; k <= 8; k++) {
        const y = low + ((high - low) * k) / 8;
        const inside = cuts.filter((c) => c?.ys && y > c.ys[0] && y < c.ys[c.ys.length - 1]);
        const wall =
          inside.length > 0
            ? Math.max(...inside.map((c) => Math.min(c!.high(y) - h.high(y), h.low(y) - c!.low(y))))
            : -1;
        if (wall < worst.wall) worst = { wall, x, y };
      }
    }
  }
  if (!(worst.wall > 0)) {
    const at = { x: worst.x, y: worst.y };
    report("error", "tang-hole-breaks-out", { at, measured: worst.wall, limit: 0 });
  }
}

/** A milled or drilled hole that the bar does not go into. */
function checkFit(tang: HiddenTang, front: number, rear: number, report: Report): void {
  const { hole } = tang;
  if (hole.kind === "broached" || hole.kind === "burned") return;
  const end = Math.max(-tang.lengthMm, rear);
  const deep = front - holeBottom(tang, hole, front);
  if (deep < front - end) {
    const at = { x: front - deep, y: tang.yMm };
    report("warning", "tang-does-not-fit-hole", { at, measured: deep, limit: front - end });
    return;
  }
  for (let i = 0; i <= 12; i++) {
    const x = front + ((end - front) * i) / 12;
    const [tall, thick] = [barHeight(tang, x), 2 * lineAt(barHalf(tang), x)];
    const depth = front - x;
    const stages = hole.kind === "drilled" ? hole.stages.filter((s) => s.depthMm >= depth - ROUNDING) : [];
    const high =
      hole.kind === "milled"
        ? hole.heightMm
        : Math.max(0, ...stages.map((s) => s.bitMm + (s.count - 1) * s.pitchMm));
    const wide = hole.kind === "milled" ? hole.widthMm : Math.max(0, ...stages.map((s) => s.bitMm));
    if (tall > high || thick > wide) {
      const [measured, limit] = tall > high ? [tall, high] : [thick, wide];
      report("warning", "tang-does-not-fit-hole", { at: { x, y: tang.yMm }, measured, limit });
      return;
    }
  }
}

/** Lowest and highest point of the bar where it leaves the guard. */
export function barAtFront(design: Design): { low: number; high: number; half: number } | null {
  const { tang } = design;
  if (tang.kind === "full") return null;
  const ys = barTangOutline(tang).cut(-INSIDE_MM);
  return { low: ys[0], high: ys[ys.length - 1], half: lineAt(barHalf(tang), 0) };
}
