import { misfitOf } from "../../base/fits";
import { radians } from "../../base/number";
import { ROUNDING } from "../../base/tolerances";
import type { Point } from "../../geometry/curve/bezier";
import { polyline, signedDistance } from "../../geometry/curve/crossing";
import { slotContour } from "../../geometry/curve/shapes";
import { lineAt } from "../../geometry/solids/line";
import { kindOf } from "../../kinds/fasteners/registry";
import { holesOf, slotsOf } from "../design/openings";
import type { Design, Fastener } from "../design/schema";
import { widestBore } from "../layout/bores";
import { layoutOf } from "../layout/layout";
import type { Report } from "../parts/faults";
import { itemNames } from "../shapes/itemNames";
import { aheadOfEnd } from "../shapes/scaleEnd";

/** Pins, bolts, holes and slots: inside the handle, clear of each other, and whole in themselves. `edge` is the outline. */
export function checkBored(design: Design, edge: readonly Point[], tell: Report): void {
  const names = itemNames(design);
  const namesOf = (...ids: readonly string[]) => ids.flatMap((id) => names.get(id) ?? []);
  // What is said of one is said by its name.
  const report: Report = (severity, rule, more = {}) =>
    tell(severity, rule, {
      ...more,
      items: more.items ?? (more.subject === undefined ? [] : namesOf(more.subject)),
    });
  const bored = [
    ...design.fasteners.map((f) => ({
      id: f.id,
      xMm: f.xMm,
      yMm: f.yMm,
      diameterMm: widestBore(f),
      rule: "pin-off-handle" as const,
      old: false,
    })),
    ...holesOf(design).map((h) => ({ ...h, rule: "hole-off-tang" as const, old: h.purpose === "old-pin" })),
  ];
  for (const f of bored) {
    const at = { x: f.xMm, y: f.yMm };
    const clear = -signedDistance(edge, at) - f.diameterMm / 2;
    if (!(clear >= 0)) report("error", f.rule, { at, subject: f.id, measured: clear, limit: 0 });
  }
  bored.forEach((f, i) => {
    for (const g of bored.slice(i + 1)) {
      // An old hole that is filled may be drilled into again.
      if (f.old || g.old) continue;
      const gap = Math.hypot(f.xMm - g.xMm, f.yMm - g.yMm) - (f.diameterMm + g.diameterMm) / 2;
      if (!(gap >= 0)) {
        const at = { x: (f.xMm + g.xMm) / 2, y: (f.yMm + g.yMm) / 2 };
        const more = { at, subject: g.id, measured: gap, limit: 0 };
        report("error", "fasteners-overlap", { ...more, items: namesOf(f.id, g.id) });
      }
    }
  });
  for (const s of slotsOf(design)) {
    const at = { x: s.xMm, y: s.yMm };
    const outline = slotContour(at, s.lengthMm, s.widthMm, radians(s.angleDeg));
    const clear = Math.min(...polyline(outline.cubics, 4).map((p) => -signedDistance(edge, p)));
    if (!(clear >= 0)) report("error", "slot-off-tang", { at, subject: s.id, measured: clear, limit: 0 });
  }
  const { scaleEnd } = layoutOf(design);
  for (const f of design.fasteners) {
    const across = scaleEnd ? Math.abs(aheadOfEnd(scaleEnd, f.xMm, f.yMm)) : Number.POSITIVE_INFINITY;
    const reach = widestBore(f) / 2;
    if (across < reach) {
      const more = { at: { x: f.xMm, y: f.yMm }, subject: f.id, measured: across, limit: reach };
      report("error", "pin-across-scale-end", more);
    }
    checkFastener(f, report);
    checkInTang(design, f, report);
  }
  checkSeats(design, report);
}

function checkFastener(f: Fastener, report: Report): void {
  const at = { x: f.xMm, y: f.yMm };
  const kind = kindOf(f);
  const fault = kind.fault(f);
  if (fault) report("error", fault.rule, { ...fault, at, subject: f.id });
  const screw = kind.screwRoom(f);
  if (screw && screw.lengthMm > screw.roomMm + ROUNDING) {
    const more = { at, subject: f.id, measured: screw.lengthMm, limit: screw.roomMm };
    report("warning", "screw-longer-than-room", more);
  }
  const misfit = misfitOf(kind.sizes(f));
  if (!misfit) return;
  const { small, large, isOver } = misfit;
  report(isOver ? "error" : "warning", "fastener-sizes", {
    at,
    subject: f.id,
    measured: small,
    limit: large,
  });
}

/** A fastener's hole in a bar: within it, or beside it, but not through an edge of it, and never across all of it. */
function checkInTang(design: Design, f: Fastener, report: Report): void {
  const { tang } = design;
  if (tang.kind === "full") return;
  const r = kindOf(f).tangBoreMm(f) / 2;
  if (f.xMm - r > 0 || f.xMm + r < -tang.lengthMm) return;
  const { lowY, highY } = layoutOf(design).tangAt(Math.max(-tang.lengthMm, Math.min(0, f.xMm)));
  if (f.yMm - r >= highY || f.yMm + r <= lowY) return;
  const [above, below] = [highY - f.yMm - r, f.yMm - r - lowY];
  const more = { at: { x: f.xMm, y: f.yMm }, subject: f.id };
  if (above <= 0 && below <= 0)
    report("warning", "pin-cuts-tang", { ...more, measured: 2 * r, limit: highY - lowY });
  else if (above < 0 || below < 0 || f.xMm - r < -tang.lengthMm)
    report("warning", "pin-notches-tang", { ...more, measured: Math.min(above, below), limit: 0 });
}

/** Seats of heads and nuts: between the tang and the finished surface. */
function checkSeats(design: Design, report: Report): void {
  const { surfaceAt, tangFace } = layoutOf(design);
  for (const f of design.fasteners) {
    const seatMm = kindOf(f).seat(f)?.seatMm;
    if (seatMm === undefined) continue;
    const at = { x: f.xMm, y: f.yMm };
    const surface = Math.min(surfaceAt(f.xMm, f.yMm, "right"), surfaceAt(f.xMm, f.yMm, "left"));
    const tang = design.tang.kind === "hidden" ? 0 : lineAt(tangFace, f.xMm);
    if (!(seatMm >= tang))
      report("error", "seat-inside-tang", { at, subject: f.id, measured: seatMm, limit: tang });
    else if (!(seatMm < surface))
      report("error", "seat-outside-handle", { at, subject: f.id, measured: seatMm, limit: surface });
  }
}
