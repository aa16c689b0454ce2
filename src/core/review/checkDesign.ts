import { handleBody, handleFront, tangHalf } from "../assembly/assemble";
import { bladeHeights } from "../assembly/bladeOutline";
import { handleOutline } from "../assembly/handleOutline";
import { hiddenHole } from "../assembly/hiddenTang";
import type { Point } from "../curve/bezier";
import { enclosedArea, polyline, selfCrossing, signedDistance } from "../curve/crossing";
import { profileThrough } from "../curve/profile";
import type { Design, HiddenTang, TangHole } from "../design/schema";
import { groundThickness } from "../solids/grind";
import { lineAt } from "../solids/layer";
import { materialById } from "../stock/materials";
import type { Finding, FindingRule, FindingSeverity } from "./types";

type Report = (
  severity: FindingSeverity,
  rule: FindingRule,
  more?: { at?: Point; subject?: string; measured?: number; limit?: number },
) => void;

/** What makes a design impossible to build ("error"), or not what it says ("warning"). Empty when all is well. */
export function checkDesign(design: Design): Finding[] {
  const findings: Finding[] = [];
  const report: Report = (severity, rule, { at, subject, measured, limit } = {}) =>
    findings.push({
      rule,
      severity,
      at: at ? { x: at.x, y: at.y } : null,
      subject: subject ?? null,
      measured: measured ?? null,
      limit: limit ?? null,
    });
  checkMaterials(design, report);
  checkBlade(design, report);
  const edge = checkOutline(design, report);
  checkIds(design, report);
  checkHoles(design, edge, report);
  checkThickness(design, report);
  checkStack(design, report);
  return findings;
}

/** Ids of all materials that a design names. */
export function materialsOf(design: Design): string[] {
  const { blade, tang, handle, fasteners } = design;
  const named = [
    blade.steel,
    ...holesOf(design).flatMap((h) => (h.fill ? [h.fill] : [])),
    ...(tang.kind === "hidden" && tang.hole.fill ? [tang.hole.fill] : []),
    ...(handle.kind === "scales"
      ? [handle.right.material, handle.left.material, ...handle.liners.map((l) => l.material)]
      : handle.pieces.map((p) => p.material)),
    ...(design.guard ? [design.guard.material] : []),
    ...fasteners.flatMap((f) =>
      f.kind === "patterned-pin" ? [f.tube.material, f.rods.material, f.fill] : [f.material],
    ),
  ];
  return [...new Set(named)];
}

/** The lightening holes of a full tang; none on others. */
export function holesOf({ tang }: Design): readonly TangHole[] {
  return tang.kind === "full" ? tang.holes : [];
}

function checkMaterials(design: Design, report: Report): void {
  for (const id of materialsOf(design))
    if (!materialById(id)) report("error", "unknown-material", { subject: id });
}

function checkBlade({ blade }: Design, report: Report): void {
  const heights = bladeHeights(blade);
  const heel = { x: blade.ricassoMm, y: heights.edge };
  if (blade.ricassoMm >= blade.lengthMm) {
    report("error", "ricasso-longer-than-blade", {
      at: heel,
      measured: blade.ricassoMm,
      limit: blade.lengthMm,
    });
  }
  if (blade.ricassoHeightMm > blade.heelHeightMm) {
    const more = { at: heel, measured: blade.ricassoHeightMm, limit: blade.heelHeightMm };
    report("warning", "ricasso-higher-than-heel", more);
  }
  if (blade.edgeMm >= blade.spineMm) {
    report("error", "edge-thicker-than-spine", { at: heel, measured: blade.edgeMm, limit: blade.spineMm });
  }
  const longest = Math.max(blade.tip.dropMm, blade.tip.bellyMm + blade.ricassoMm);
  if (longest > blade.lengthMm) {
    const at = { x: blade.lengthMm, y: heights.tip };
    report("warning", "tip-longer-than-blade", { at, measured: longest, limit: blade.lengthMm });
  }
  const { grind } = blade;
  if (grind.kind === "hollow") {
    const faceMm = Math.min(grind.heightMm, blade.heelHeightMm);
    const cut = { spineMm: blade.spineMm, edgeMm: blade.edgeMm, faceMm };
    const chord = Math.hypot(faceMm, (blade.spineMm - blade.edgeMm) / 2);
    const at = { x: blade.ricassoMm, y: heights.edge + faceMm / 2 };
    if (2 * grind.wheelRadiusMm <= chord) {
      report("error", "hollow-wheel-too-small", { at, measured: grind.wheelRadiusMm, limit: chord / 2 });
    } else {
      // The thinnest spot of a hollow lies low on the face; a dozen places find it to a few per cent.
      const thin = Math.min(
        ...Array.from({ length: 24 }, (_, i) => groundThickness(grind, cut, (faceMm * i) / 24)),
      );
      if (!(thin > 0)) report("error", "hollow-cuts-through", { at, measured: 0, limit: blade.edgeMm });
    }
  }
}

/** Checks the handle's outline and gives it back as chords, for measuring distances to. */
function checkOutline({ handle }: Design, report: Report): Point[] {
  const nodes = handle.outline;
  const first = nodes[0];
  const last = nodes[nodes.length - 1];
  for (const n of [first, last]) {
    if (Math.abs(n.xMm) > 1e-6) {
      report("error", "outline-front-open", {
        at: { x: n.xMm, y: n.yMm },
        subject: n.id,
        measured: n.xMm,
        limit: 0,
      });
    }
  }
  for (const n of nodes) {
    if (n.xMm > 1e-6 && n !== first && n !== last) {
      report("error", "outline-ahead-of-front", {
        at: { x: n.xMm, y: n.yMm },
        subject: n.id,
        measured: n.xMm,
        limit: 0,
      });
    }
  }
  const { cubics } = handleOutline(handle);
  const chords = polyline(cubics, 24);
  const crossing = selfCrossing(cubics);
  if (crossing) report("error", "outline-crosses-itself", { at: crossing });
  if (!(first.yMm > last.yMm) || !(enclosedArea(chords) > 1)) {
    report("error", "outline-no-area", { at: { x: first.xMm, y: first.yMm } });
  }
  return chords;
}

function checkIds(design: Design, report: Report): void {
  const ids = [...design.fasteners, ...holesOf(design)].map((f) => f.id);
  for (const id of new Set(ids.filter((x, i) => ids.indexOf(x) !== i)))
    report("error", "duplicate-id", { subject: id });
}

function checkHoles(design: Design, edge: readonly Point[], report: Report): void {
  const bored = [
    ...design.fasteners.map((f) => ({ ...f, rule: "pin-off-handle" as const })),
    ...holesOf(design).map((h) => ({ ...h, rule: "hole-off-tang" as const })),
  ];
  for (const f of bored) {
    const at = { x: f.xMm, y: f.yMm };
    const clear = -signedDistance(edge, at) - f.diameterMm / 2;
    if (!(clear >= 0)) report("error", f.rule, { at, subject: f.id, measured: clear, limit: 0 });
  }
  bored.forEach((f, i) => {
    for (const g of bored.slice(i + 1)) {
      const gap = Math.hypot(f.xMm - g.xMm, f.yMm - g.yMm) - (f.diameterMm + g.diameterMm) / 2;
      if (!(gap >= 0)) {
        const at = { x: (f.xMm + g.xMm) / 2, y: (f.yMm + g.yMm) / 2 };
        report("error", "fasteners-overlap", { at, subject: g.id, measured: gap, limit: 0 });
      }
    }
  });
  for (const f of design.fasteners) {
    const at = { x: f.xMm, y: f.yMm };
    if (f.kind === "lanyard-tube" && !(f.boreMm < f.diameterMm)) {
      report("error", "bore-not-inside-tube", { at, subject: f.id, measured: f.boreMm, limit: f.diameterMm });
    }
    if (f.kind === "patterned-pin" && f.tube.share + f.rods.share > 1) {
      report("error", "pattern-overfull", {
        at,
        subject: f.id,
        measured: f.tube.share + f.rods.share,
        limit: 1,
      });
    }
  }
}

function checkThickness(design: Design, report: Report): void {
  const { handle } = design;
  if (handle.kind !== "scales") return;
  const buttX = Math.min(...handle.outline.map((n) => n.xMm));
  const front = handleFront(design);
  const half = tangHalf(design, buttX);
  const liners = handle.liners.reduce((sum, l) => sum + l.thicknessMm, 0);
  const stock = Math.min(handle.right.thicknessMm, handle.left.thicknessMm);
  const crown = profileThrough(handle.plan.map((p) => ({ x: p.xMm, v: p.halfMm })));
  for (const p of handle.plan) {
    const at = { x: p.xMm, y: 0 };
    const core = lineAt(half, p.xMm) + liners;
    if (!(p.halfMm > core)) {
      report("error", "handle-thinner-than-tang", { at, subject: p.id, measured: p.halfMm, limit: core });
    } else if (p.halfMm > core + stock + 1e-9) {
      report("warning", "stock-thinner-than-handle", {
        at,
        subject: p.id,
        measured: p.halfMm,
        limit: core + stock,
      });
    }
  }
  const bevel = handle.frontBevel;
  if (bevel) {
    const cut = bevel.lengthMm * Math.tan((bevel.angleDeg * Math.PI) / 180);
    const face = lineAt(half, front);
    const deep = Math.min(crown.at(front - bevel.lengthMm), face + liners + stock) - face;
    if (cut > deep)
      report("warning", "bevel-too-deep", { at: { x: front, y: 0 }, measured: cut, limit: deep });
  }
}

/** Guard, pieces and hidden tang: what cannot be put together. */
function checkStack(design: Design, report: Report): void {
  const { tang, handle, guard } = design;
  const butt = handleOutline(handle).xRange[0];
  const front = handleFront(design);
  if ((tang.kind === "full") !== (handle.kind === "scales")) {
    report("error", "tang-and-handle-apart", { at: { x: front, y: 0 } });
  }
  if (!(front > butt)) {
    report("error", "guard-longer-than-handle", { at: { x: front, y: 0 }, measured: -front, limit: -butt });
    return;
  }
  if (guard && tang.kind === "full") {
    const nodes = handle.outline;
    const short = Math.min(guard.aboveMm - nodes[0].yMm, guard.belowMm + nodes[nodes.length - 1].yMm);
    if (short < 0)
      report("warning", "guard-lower-than-tang", { at: { x: front, y: 0 }, measured: -short, limit: 0 });
  }
  if (handle.kind === "stack") {
    const given = handle.pieces.slice(0, -1).reduce((sum, p) => sum + p.lengthMm, 0);
    const room = front - butt;
    if (!(given < room))
      report("error", "pieces-longer-than-handle", { at: { x: butt, y: 0 }, measured: given, limit: room });
  }
  if (tang.kind !== "hidden") return;
  if (guard) {
    const over = Math.max(
      tang.yMm + tang.frontHeightMm / 2 - guard.aboveMm,
      -guard.belowMm - (tang.yMm - tang.frontHeightMm / 2),
      (tang.frontThicknessMm - guard.widthMm) / 2,
    );
    if (!(over < 0))
      report("error", "tang-through-guard", { at: { x: 0, y: tang.yMm }, measured: over, limit: 0 });
  }
  checkHiddenHole(design, tang, front, butt, report);
}

/** Follows the corners of a hidden tang's hole along the handle; the last rounding of a through hole is left out. */
function checkHiddenHole(
  design: Design,
  tang: HiddenTang,
  front: number,
  butt: number,
  report: Report,
): void {
  const body = handleBody(design);
  const hole = hiddenHole(tang, front);
  const through = tang.lengthMm + tang.hole.deeperMm >= -butt;
  const end = through ? butt + 0.12 * (front - butt) : Math.max(butt, hole.outline.xRange[0]);
  let worst = { wall: Number.POSITIVE_INFINITY, x: front, y: 0 };
  for (let i = 0; i <= 24; i++) {
    const x = front - 1e-6 + ((end - front + 2e-6) * i) / 24;
    const cut = body.sliceAt(x);
    const [low, high] = hole.outline.cut(x);
    if (low === undefined) continue;
    for (const y of [low, high]) {
      const inside = cut?.ys && y > cut.ys[0] && y < cut.ys[cut.ys.length - 1];
      const wall = inside ? cut.high(y) - lineAt(hole.half, x) : -1;
      if (wall < worst.wall) worst = { wall, x, y };
    }
  }
  if (!(worst.wall > 0)) {
    report("error", "tang-hole-breaks-out", {
      at: { x: worst.x, y: worst.y },
      measured: worst.wall,
      limit: 0,
    });
  }
}
