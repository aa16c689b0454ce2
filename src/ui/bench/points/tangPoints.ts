import { handleReach } from "@/core/design/constructions";
import type { Bar, Design, FullTang, HiddenTang } from "@/core/design/schema";
import { holeBottom } from "@/core/layout/bar";
import { layoutOf } from "@/core/layout/layout";
import { openingPoints } from "./boredPoints";
import { type BenchPoint, held } from "./types";

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
        if (d.tang.kind === "full" && d.tang.short) d.tang.short.lengthMm = held(-to.x, 5, 600);
      },
      fields: [{ label: "Length of the tang", path: "tang.short.lengthMm", min: 5, max: 600 }],
    });
  if (recess)
    points.push({
      id: "recess-front",
      title: "Front of the recess",
      at: { x: -recess.fromMm, y: 0 },
      move: (d, to) => {
        if (d.tang.kind === "full" && d.tang.recess) d.tang.recess.fromMm = held(-to.x, 0, 600);
      },
      fields: [
        { label: "Begins behind the front", path: "tang.recess.fromMm", min: 0, max: 600 },
        { label: "Rim left all round", path: "tang.recess.rimMm", min: 0.5, max: 50 },
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
        if (d.tang.kind !== "full") d.tang.frontHeightMm = held(2 * (to.y - bar.yMm), 1, 100);
      },
      fields: [{ label: "Height at the front", path: "tang.frontHeightMm", min: 1, max: 100 }],
    },
    {
      id: "bar-end-corner",
      title: "Tang's height at its end",
      at: { x: end, y: bar.yMm + bar.endHeightMm / 2 },
      corner: true,
      move: (d, to) => {
        if (d.tang.kind !== "full") d.tang.endHeightMm = held(2 * (to.y - bar.yMm), 1, 100);
      },
      fields: [{ label: "Height at the end", path: "tang.endHeightMm", min: 1, max: 100 }],
    },
    {
      id: "bar-end",
      title: "End of the tang",
      at: { x: end, y: bar.yMm },
      move: (d, to) => {
        if (d.tang.kind === "full") return;
        d.tang.lengthMm = held(-to.x, 5, 600);
        d.tang.yMm = held(to.y, -300, 300);
      },
      fields: [
        { label: "Length", path: "tang.lengthMm", min: 5, max: 600 },
        { label: "Middle above the axis", path: "tang.yMm", min: -300, max: 300 },
      ],
      pulls: { ys: [0] },
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
            d.tang.hole.depthMm = held(front - to.x, 0.5, 600);
        },
        fields: [{ label: "Depth from the front", path: "tang.hole.depthMm", min: 0.5, max: 600 }],
      },
    ];
  if (hole.kind === "drilled") {
    return hole.stages.map((s, i) => ({
      ...common,
      id: `hole-bottom-${i + 1}`,
      at: { x: front - s.depthMm, y: tang.yMm - s.bitMm / 2 },
      move: (d, to) => {
        if (d.tang.kind === "hidden" && d.tang.hole.kind === "drilled")
          d.tang.hole.stages[i].depthMm = held(front - to.x, 0.5, 600);
      },
      fields: [{ label: "Depth from the front", path: `tang.hole.stages.${i}.depthMm`, min: 0.5, max: 600 }],
    }));
  }
  if (-tang.lengthMm < -handleReach(design)) return [];
  return [
    {
      ...common,
      move: (d, to) => {
        if (d.tang.kind === "hidden" && "deeperMm" in d.tang.hole)
          d.tang.hole.deeperMm = held(-tang.lengthMm - to.x, 0, 50);
      },
      fields: [{ label: "Deeper than the tang", path: "tang.hole.deeperMm", min: 0, max: 50 }],
    },
  ];
}

/** What holds the tang at the butt. */
function endPoints(design: Design, tang: HiddenTang): BenchPoint[] {
  const { end } = tang;
  const butt = -handleReach(design);
  if (end.kind === "threaded")
    return [
      {
        id: "rod-end",
        title: "End of the threaded rod",
        at: { x: -tang.lengthMm - end.rodMm, y: tang.yMm },
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.end.kind === "threaded")
            d.tang.end.rodMm = held(-tang.lengthMm - to.x, 1, 300);
        },
        fields: [{ label: "Threaded length", path: "tang.end.rodMm", min: 1, max: 300 }],
      },
      {
        id: "nut-seat",
        title: "Nut's seat",
        at: { x: butt + end.seatMm, y: tang.yMm + end.counterboreMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.end.kind === "threaded")
            d.tang.end.seatMm = held(to.x - butt, 0, 100);
        },
        fields: [{ label: "Seat ahead of the butt", path: "tang.end.seatMm", min: 0, max: 100 }],
      },
    ];
  if (end.kind === "take-down")
    return [
      {
        id: "screw-seat",
        title: "Screw head's seat",
        at: { x: butt + end.seatMm, y: tang.yMm + end.counterboreMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.end.kind === "take-down")
            d.tang.end.seatMm = held(to.x - butt, 0.5, 300);
        },
        fields: [{ label: "Head's seat ahead of the butt", path: "tang.end.seatMm", min: 0.5, max: 300 }],
      },
      {
        id: "screw-tip",
        title: "Tip of the screw",
        at: { x: -tang.lengthMm + end.engagedMm, y: tang.yMm },
        move: (d, to) => {
          if (d.tang.kind === "hidden" && d.tang.end.kind === "take-down")
            d.tang.end.engagedMm = held(to.x + tang.lengthMm, 0.5, 100);
        },
        fields: [{ label: "Thread in the tang", path: "tang.end.engagedMm", min: 0.5, max: 100 }],
      },
    ];
  return [];
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
          if (d.tang.kind === "full" && d.tang.taper) d.tang.taper.frontMm = held(2 * to.y, 0.3, 25);
        },
        fields: [{ label: "Thickness at the front", path: "tang.taper.frontMm", min: 0.3, max: 25 }],
      },
      {
        id: "taper-butt",
        title: "Tang at the butt",
        at: { x: butt, y: taper.buttMm / 2 },
        move: (d, to) => {
          if (d.tang.kind === "full" && d.tang.taper) d.tang.taper.buttMm = held(2 * to.y, 0.3, 25);
        },
        fields: [{ label: "Thickness at the butt", path: "tang.taper.buttMm", min: 0.3, max: 25 }],
      },
    ];
  }
  return [
    {
      id: "bar-thick-front",
      title: "Tang's thickness at the front",
      at: { x: 0, y: tang.frontThicknessMm / 2 },
      move: (d, to) => {
        if (d.tang.kind !== "full") d.tang.frontThicknessMm = held(2 * to.y, 0.3, 25);
      },
      fields: [{ label: "Thickness at the front", path: "tang.frontThicknessMm", min: 0.3, max: 25 }],
    },
    {
      id: "bar-thick-end",
      title: "Tang's thickness at its end",
      at: { x: -tang.lengthMm, y: tang.endThicknessMm / 2 },
      move: (d, to) => {
        if (d.tang.kind !== "full") d.tang.endThicknessMm = held(2 * to.y, 0.3, 25);
      },
      fields: [{ label: "Thickness at the end", path: "tang.endThicknessMm", min: 0.3, max: 25 }],
    },
  ];
}
