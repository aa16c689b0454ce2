import { downToTenth, roundTo, upToTenth } from "../../../base/number";
import { engagementOf } from "../../../base/units/screws";
import { endKindOf } from "../../../kinds/tangEnds/registry";
import { handleReach } from "../../../knife/design/handleParts";
import { materialsIn } from "../../../knife/design/materials";
import { holesOf, slotsOf } from "../../../knife/design/openings";
import type { Design } from "../../../knife/design/schema";
import { layoutOf } from "../../../knife/layout/layout";
import { endPlace } from "../../../knife/shapes/endPlace";
import { isCutLater } from "../../../knife/starts/starts";
import { toughnessOf } from "../../../materials/working";
import { holdsOf } from "../../fit/dry";
import { tangStress } from "../../fit/strength";
import { tangWalls, thinnerTang, thinnest } from "../../fit/walls";
import type { Fix } from "../types";
import { found, PRACTICE, type Rule, type RuleContext } from "./context";

const set = (...changes: { path: string; value: number }[]): Fix => ({ kind: "set", changes });

/** The walls that are of a kind of material, and the thinnest of them. */
function wallRule(code: "wall-in-wood" | "wall-in-laminate" | "wall-in-metal", limit: number): Rule {
  const kind = code.slice("wall-in-".length);
  return {
    code,
    limit,
    unit: "mm",
    source: PRACTICE,
    check: (c) => {
      const wall = thinnest(c.walls().filter((w) => toughnessOf(materialsIn(c.design)(w.material)) === kind));
      if (!wall || wall.wallMm >= c.limit(code)) return [];
      return [
        found(code, "warning", {
          at: { x: wall.xMm, y: wall.yMm },
          subject: wall.material,
          measured: wall.wallMm,
          limit: c.limit(code),
          fix: c.quick ? null : thickerWall(c, kind, c.limit(code)),
        }),
      ];
    },
  };
}

/** The tang moved up or down to the middle of its handle if that is enough, else thinner by as much as it takes. */
function thickerWall(c: RuleContext, kind: string, wantedMm: number): Fix | null {
  const { tang } = c.design;
  if (tang.kind === "full") return null;
  const wallOf = (design: Design) =>
    thinnest(tangWalls(design).filter((w) => toughnessOf(materialsIn(design)(w.material)) === kind))
      ?.wallMm ?? 0;
  const moved = (yMm: number): Design => ({ ...c.design, tang: { ...tang, yMm } });
  for (const dy of [0.5, -0.5, 1, -1, 2, -2, 3, -3]) {
    const yMm = roundTo(tang.yMm + dy, 2);
    if (wallOf(moved(yMm)) >= wantedMm) return set({ path: "tang.yMm", value: yMm });
  }
  const given = tang.kind === "hidden" && (tang.hole.kind === "milled" || tang.hole.kind === "drilled");
  const share = given ? null : thinnerTang(c.design, wantedMm);
  if (share === null || share === 1) return null;
  const sized = (mm: number) => downToTenth(mm * share);
  return set(
    { path: "tang.frontHeightMm", value: Math.max(1, sized(tang.frontHeightMm)) },
    { path: "tang.endHeightMm", value: Math.max(1, sized(tang.endHeightMm)) },
    { path: "tang.frontThicknessMm", value: Math.max(0.3, sized(tang.frontThicknessMm)) },
    { path: "tang.endThicknessMm", value: Math.max(0.3, sized(tang.endThicknessMm)) },
  );
}

const hardening: Rule = {
  code: "tang-before-hardening",
  limit: 0,
  unit: "none",
  source: PRACTICE,
  check: ({ design }) => {
    const { tang, blade } = design;
    if (blade.measured && !isCutLater(design)) return [];
    const openings = holesOf(design).length + slotsOf(design).length;
    const worked =
      tang.kind === "full" ? openings > 0 || tang.recess !== null || design.fasteners.length > 0 : false;
    const tapped = tang.kind === "hidden" && endKindOf(tang.end).beforeHardening;
    return worked || tapped ? [found("tang-before-hardening", "note")] : [];
  },
};

const short: Rule = {
  code: "tang-short-in-handle",
  limit: 0.5,
  unit: "share",
  source: `${PRACTICE}: at least half, better two thirds, or cross-pinned`,
  check: (c) => {
    const { tang, fasteners } = c.design;
    if (tang.kind !== "hidden" || !endKindOf(tang.end).glueOnly) return [];
    const reach = handleReach(c.design);
    const measured = tang.lengthMm / reach;
    // A pin that goes through the tang holds it as well.
    const pinned = fasteners.some(
      (f) => -f.xMm < tang.lengthMm && Math.abs(f.yMm - tang.yMm) < tang.endHeightMm / 2,
    );
    if (measured >= c.limit("tang-short-in-handle") || pinned) return [];
    return [
      found("tang-short-in-handle", "warning", {
        at: { x: -tang.lengthMm, y: tang.yMm },
        measured,
        limit: c.limit("tang-short-in-handle"),
        fix: set({
          path: "tang.lengthMm",
          value: upToTenth(reach * Math.max(2 / 3, c.limit("tang-short-in-handle"))),
        }),
      }),
    ];
  },
};

const sharp: Rule = {
  code: "shoulder-sharp",
  limit: 1,
  unit: "mm",
  source: `${PRACTICE}; stepped flat bar in bending, Peterson, from memory`,
  check: (c) => {
    const { tang } = c.design;
    if (tang.kind === "full" || tang.shoulderRadiusMm >= c.limit("shoulder-sharp")) return [];
    return [
      found("shoulder-sharp", "warning", {
        at: { x: 0, y: tang.yMm + tang.frontHeightMm / 2 },
        measured: tang.shoulderRadiusMm,
        limit: c.limit("shoulder-sharp"),
        fix: set({ path: "tang.shoulderRadiusMm", value: Math.min(15, c.limit("shoulder-sharp")) }),
      }),
    ];
  },
};

const stress: Rule = {
  code: "tang-stress",
  limit: 0.67,
  unit: "ratio",
  source: "beam theory with Peterson's factor; the share of yield is common practice, no source",
  check: (c) => {
    const { ratio } = tangStress(c.design);
    const limit = c.limit("tang-stress");
    if (ratio <= limit) return [];
    return [
      found("tang-stress", "warning", {
        at: { x: 0, y: 0 },
        measured: ratio,
        limit,
        fix: strongerTang(c.design, limit),
      }),
    ];
  },
};

/** A bar higher at its front by as much as it takes; a rounder shoulder first. */
function strongerTang(design: Design, limit: number): Fix | null {
  const { tang } = design;
  if (tang.kind === "full") return null;
  for (const shoulderRadiusMm of [1, 1.5, 2, 3].filter((r) => r > tang.shoulderRadiusMm)) {
    if (tangStress({ ...design, tang: { ...tang, shoulderRadiusMm } }).ratio <= limit)
      return set({ path: "tang.shoulderRadiusMm", value: shoulderRadiusMm });
  }
  for (let k = 1; k <= 20; k++) {
    const frontHeightMm = upToTenth(tang.frontHeightMm + 0.5 * k);
    if (tangStress({ ...design, tang: { ...tang, frontHeightMm } }).ratio <= limit)
      return set({ path: "tang.frontHeightMm", value: frontHeightMm });
  }
  return null;
}

const engagement: Rule = {
  code: "thread-engagement",
  limit: 1,
  unit: "ratio",
  source:
    "general machine-design practice: steel 1, bronze and brass 1.5, aluminium 2 diameters; from memory",
  check: (c) => {
    const { tang } = c.design;
    const place = endPlace(layoutOf(c.design));
    if (tang.kind !== "hidden" || !place) return [];
    const { hardware, thread } = endKindOf(tang.end);
    const held = thread(tang.end, place);
    if (!held || !hardware) return [];
    const wanted = c.limit("thread-engagement") * engagementOf(held.threadIn, held.nut) * held.diameterMm;
    if (held.engagedMm >= wanted) return [];
    return [
      found("thread-engagement", "warning", {
        at: held.at,
        subject: hardware,
        measured: held.engagedMm,
        limit: wanted,
        fix: set({ path: `tang.end.${held.field}`, value: upToTenth(wanted) }),
      }),
    ];
  },
};

/** What is made to come apart, and would not. */
const forGood: Rule = {
  code: "held-for-good",
  limit: 0,
  unit: "none",
  source: PRACTICE,
  check: ({ design }) => {
    const holds = holdsOf(design);
    if (!holds || design.tang.kind === "full") return [];
    const [pin] = holds.pins;
    return [
      found("held-for-good", "warning", {
        at: pin ? { x: pin.xMm, y: pin.yMm } : { x: -design.tang.lengthMm / 2, y: design.tang.yMm },
        fix: { kind: "unglue" },
      }),
    ];
  },
};

export const TANG_RULES: readonly Rule[] = [
  wallRule("wall-in-wood", 3),
  wallRule("wall-in-laminate", 2),
  wallRule("wall-in-metal", 1),
  hardening,
  short,
  sharp,
  stress,
  engagement,
  forGood,
];
