import { endKindOf } from "../../kinds/tangEnds/registry";
import { handleReach } from "../../knife/design/handleParts";
import type { Bar, Design, FullTang, HiddenTang } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { holeBottom } from "../../knife/shapes/bar";
import { endPlace } from "../../knife/shapes/endPlace";
import { openingPoints } from "./boredPoints";
import { type BenchPoint, setHeld } from "./types";

/** What of the tang can be dragged on the side view. */
export function tangPoints(design: Design): BenchPoint[] {
  const { tang } = design;
  if (tang.kind === "full") return [...fullPoints(tang), ...openingPoints(design)];
  const points = barPoints(tang);
  return tang.kind === "hidden"
    ? [...points, ...holePoints(design, tang), ...endPoints(design, tang)]
    : points;
}

function fullPoints({ short, recess }: FullTang): BenchPoint[] {
  const points: BenchPoint[] = [];
  if (short)
    points.push({
      id: "short-end",
      name: { point: "tang-end" },
      at: { x: -short.lengthMm, y: 0 },
      move: (d, to) => {
        if (d.tang.kind === "full" && d.tang.short) setHeld(d, "tang.short.lengthMm", -to.x);
      },
      fields: [{ path: "tang.short.lengthMm" }],
    });
  if (recess)
    points.push({
      id: "recess-front",
      name: { point: "recess-front" },
      at: { x: -recess.fromMm, y: 0 },
      move: (d, to) => {
        if (d.tang.kind === "full" && d.tang.recess) setHeld(d, "tang.recess.fromMm", -to.x);
      },
      fields: [{ path: "tang.recess.fromMm" }, { path: "tang.recess.rimMm" }],
    });
  return points;
}

function barPoints(bar: Bar): BenchPoint[] {
  const end = -bar.lengthMm;
  return [
    {
      id: "bar-front",
      name: { point: "tang-front" },
      at: { x: 0, y: bar.yMm + bar.frontHeightMm / 2 },
      corner: true,
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.frontHeightMm", 2 * (to.y - bar.yMm));
      },
      fields: [{ path: "tang.frontHeightMm" }],
    },
    {
      id: "bar-end-corner",
      name: { point: "tang-end-height" },
      at: { x: end, y: bar.yMm + bar.endHeightMm / 2 },
      corner: true,
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.endHeightMm", 2 * (to.y - bar.yMm));
      },
      fields: [{ path: "tang.endHeightMm" }],
    },
    {
      id: "bar-end",
      name: { point: "tang-end" },
      at: { x: end, y: bar.yMm },
      move: (d, to) => {
        if (d.tang.kind === "full") return;
        setHeld(d, "tang.lengthMm", -to.x);
        setHeld(d, "tang.yMm", to.y);
      },
      fields: [{ path: "tang.lengthMm" }, { path: "tang.yMm" }],
      snaps: { ys: [0] },
    },
  ];
}

/** The bottom of the block's hole. */
function holePoints(design: Design, tang: HiddenTang): BenchPoint[] {
  const { hole } = tang;
  const { frontX: front } = layoutOf(design);
  const at = { x: holeBottom(tang, hole, front), y: tang.yMm - tang.endHeightMm / 2 };
  const common = { id: "hole-bottom", name: { point: "hole-bottom" } as const, at };
  if (hole.kind === "milled")
    return [
      {
        ...common,
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.hole.kind === "milled")
            setHeld(d, "tang.hole.depthMm", front - to.x);
        },
        fields: [{ path: "tang.hole.depthMm" }],
      },
    ];
  if (hole.kind === "drilled") {
    return hole.stages.map((s, i) => ({
      ...common,
      id: `hole-bottom-${i + 1}`,
      at: { x: front - s.depthMm, y: tang.yMm - s.bitMm / 2 },
      move: (d, to) => {
        if (d.tang.kind === "hidden" && d.tang.hole.kind === "drilled")
          setHeld(d, `tang.hole.stages.${i}.depthMm`, front - to.x);
      },
      fields: [{ path: `tang.hole.stages.${i}.depthMm` }],
    }));
  }
  if (-tang.lengthMm < -handleReach(design)) return [];
  return [
    {
      ...common,
      move: (d, to) => {
        if (d.tang.kind === "hidden" && "deeperMm" in d.tang.hole)
          setHeld(d, "tang.hole.deeperMm", -tang.lengthMm - to.x);
      },
      fields: [{ path: "tang.hole.deeperMm" }],
    },
  ];
}

/** What holds the tang at the butt, by the points that its kind gives. */
function endPoints(design: Design, { end }: HiddenTang): BenchPoint[] {
  const place = endPlace(layoutOf(design));
  if (!place) return [];
  return endKindOf(end)
    .points(end, place)
    .map(({ id, at, field, zero, per }) => {
      const path = `tang.end.${field}`;
      return {
        id,
        name: { point: "held-by", end: end.kind, of: id },
        at,
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.end.kind === end.kind) setHeld(d, path, per * (to.x - zero));
        },
        fields: [{ path }],
      };
    });
}

/** Thicknesses of the tang, on the view from above. */
export function tangPlanPoints(design: Design): BenchPoint[] {
  const { tang } = design;
  const butt = -handleReach(design);
  if (tang.kind === "full") {
    const { taper } = tang;
    if (!taper) return [];
    return [
      {
        id: "taper-front",
        name: { point: "tang-front" },
        at: { x: 0, y: taper.frontMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "full" && d.tang.taper) setHeld(d, "tang.taper.frontMm", 2 * to.y);
        },
        fields: [{ path: "tang.taper.frontMm" }],
      },
      {
        id: "taper-butt",
        name: { point: "tang-butt" },
        at: { x: butt, y: taper.buttMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "full" && d.tang.taper) setHeld(d, "tang.taper.buttMm", 2 * to.y);
        },
        fields: [{ path: "tang.taper.buttMm" }],
      },
    ];
  }
  return [
    {
      id: "bar-thick-front",
      name: { point: "tang-front-thickness" },
      at: { x: 0, y: tang.frontThicknessMm / 2 },
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.frontThicknessMm", 2 * to.y);
      },
      fields: [{ path: "tang.frontThicknessMm" }],
    },
    {
      id: "bar-thick-end",
      name: { point: "tang-end-thickness" },
      at: { x: -tang.lengthMm, y: tang.endThicknessMm / 2 },
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.endThicknessMm", 2 * to.y);
      },
      fields: [{ path: "tang.endThicknessMm" }],
    },
  ];
}
