import { handleReach } from "@/core/design/constructions";
import type { Bar, Design, FullTang, HiddenTang } from "@/core/design/schema";
import { holeBottom } from "@/core/layout/bar";
import { endPlace } from "@/core/layout/endPlace";
import { layoutOf } from "@/core/layout/layout";
import { own } from "@/core/own";
import { endKindOf } from "@/core/tangEnds/registry";
import { TANG_END_WORDS } from "@/words/tangEnds";
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
      title: "End of the tang",
      at: { x: -short.lengthMm, y: 0 },
      move: (d, to) => {
        if (d.tang.kind === "full" && d.tang.short) setHeld(d, "tang.short.lengthMm", -to.x);
      },
      fields: [{ label: "Length of the tang", path: "tang.short.lengthMm" }],
    });
  if (recess)
    points.push({
      id: "recess-front",
      title: "Front of the recess",
      at: { x: -recess.fromMm, y: 0 },
      move: (d, to) => {
        if (d.tang.kind === "full" && d.tang.recess) setHeld(d, "tang.recess.fromMm", -to.x);
      },
      fields: [
        { label: "Begins behind the front", path: "tang.recess.fromMm" },
        { label: "Rim left all round", path: "tang.recess.rimMm" },
      ],
    });
  return points;
}

function barPoints(bar: Bar): BenchPoint[] {
  const end = -bar.lengthMm;
  return [
    {
      id: "bar-front",
      title: "Tang at the front",
      at: { x: 0, y: bar.yMm + bar.frontHeightMm / 2 },
      corner: true,
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.frontHeightMm", 2 * (to.y - bar.yMm));
      },
      fields: [{ label: "Height at the front", path: "tang.frontHeightMm" }],
    },
    {
      id: "bar-end-corner",
      title: "Tang's height at its end",
      at: { x: end, y: bar.yMm + bar.endHeightMm / 2 },
      corner: true,
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.endHeightMm", 2 * (to.y - bar.yMm));
      },
      fields: [{ label: "Height at the end", path: "tang.endHeightMm" }],
    },
    {
      id: "bar-end",
      title: "End of the tang",
      at: { x: end, y: bar.yMm },
      move: (d, to) => {
        if (d.tang.kind === "full") return;
        setHeld(d, "tang.lengthMm", -to.x);
        setHeld(d, "tang.yMm", to.y);
      },
      fields: [
        { label: "Length", path: "tang.lengthMm" },
        { label: "Middle above the axis", path: "tang.yMm" },
      ],
      snaps: { ys: [0] },
    },
  ];
}

/** The bottom of the block's hole. */
function holePoints(design: Design, tang: HiddenTang): BenchPoint[] {
  const { hole } = tang;
  const { frontX: front } = layoutOf(design);
  const at = { x: holeBottom(tang, hole, front), y: tang.yMm - tang.endHeightMm / 2 };
  const common = { id: "hole-bottom", title: "Bottom of the hole", at };
  if (hole.kind === "milled")
    return [
      {
        ...common,
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.hole.kind === "milled")
            setHeld(d, "tang.hole.depthMm", front - to.x);
        },
        fields: [{ label: "Depth from the front", path: "tang.hole.depthMm" }],
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
      fields: [{ label: "Depth from the front", path: `tang.hole.stages.${i}.depthMm` }],
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
      fields: [{ label: "Deeper than the tang", path: "tang.hole.deeperMm" }],
    },
  ];
}

/** What holds the tang at the butt, by the points that its kind gives. */
function endPoints(design: Design, { end }: HiddenTang): BenchPoint[] {
  const place = endPlace(layoutOf(design));
  if (!place) return [];
  const { points: called = {} } = TANG_END_WORDS[end.kind];
  return endKindOf(end)
    .points(end, place)
    .map(({ id, at, field, zero, per }) => {
      const path = `tang.end.${field}`;
      return {
        id,
        title: own(called, id)?.title ?? id,
        at,
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.end.kind === end.kind) setHeld(d, path, per * (to.x - zero));
        },
        fields: [{ label: own(called, id)?.label ?? id, path }],
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
        title: "Tang at the front",
        at: { x: 0, y: taper.frontMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "full" && d.tang.taper) setHeld(d, "tang.taper.frontMm", 2 * to.y);
        },
        fields: [{ label: "Thickness at the front", path: "tang.taper.frontMm" }],
      },
      {
        id: "taper-butt",
        title: "Tang at the butt",
        at: { x: butt, y: taper.buttMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "full" && d.tang.taper) setHeld(d, "tang.taper.buttMm", 2 * to.y);
        },
        fields: [{ label: "Thickness at the butt", path: "tang.taper.buttMm" }],
      },
    ];
  }
  return [
    {
      id: "bar-thick-front",
      title: "Tang's thickness at the front",
      at: { x: 0, y: tang.frontThicknessMm / 2 },
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.frontThicknessMm", 2 * to.y);
      },
      fields: [{ label: "Thickness at the front", path: "tang.frontThicknessMm" }],
    },
    {
      id: "bar-thick-end",
      title: "Tang's thickness at its end",
      at: { x: -tang.lengthMm, y: tang.endThicknessMm / 2 },
      move: (d, to) => {
        if (d.tang.kind !== "full") setHeld(d, "tang.endThicknessMm", 2 * to.y);
      },
      fields: [{ label: "Thickness at the end", path: "tang.endThicknessMm" }],
    },
  ];
}
