import type { Blade, Design, OutlinePoint } from "@/core/design/schema";
import { bladeHeights, riseAt } from "@/core/layout/bladeOutline";
import { bladeEdges } from "@/core/layout/bladeParts";
import { groundBlade } from "@/core/layout/groundBlade";
import { isDouble } from "@/core/solids/grind";
import { faceHeightAt } from "@/core/solids/groundBlade";
import { type BladeRun, removeBladePoint, syncBladeMeasures } from "../bladeEdits";
import { bladeCutPoints } from "./bladeCutPoints";
import { type BenchPoint, setHeld } from "./types";

/** The points of the blade on the side view: its outline's, its ground face's, and those of what is cut into it. */
export function bladePoints(design: Design): BenchPoint[] {
  const { blade } = design;
  const outline = blade.outline ? ownPoints(blade) : stylePoints(blade);
  return [...outline.map((p) => raised(blade, p)), ...facePoints(blade), ...bladeCutPoints(blade)];
}

/** A point of the outline where the blade's angle puts it; what it is moved to is taken back by as much. */
function raised(blade: Blade, point: BenchPoint): BenchPoint {
  if (blade.riseDeg === 0) return point;
  const { at, move } = point;
  return {
    ...point,
    at: { x: at.x, y: at.y + riseAt(blade, at.x) },
    move: (d, to) => move(d, { x: to.x, y: to.y - riseAt(blade, to.x) }),
  };
}

/** Tip, heel, plunge line, and where spine and edge begin to run to the tip. */
function stylePoints(blade: Blade): BenchPoint[] {
  const { spine, edge, ricassoBottom, tip } = bladeHeights(blade);
  const { dropMm, bellyMm } = blade.tip;
  return [
    {
      id: "tip",
      title: "Tip",
      at: { x: blade.lengthMm, y: tip },
      move: (d, to) => {
        setHeld(d, "blade.lengthMm", to.x);
        setHeld(d, "blade.tip.heightShare", (to.y - edge) / blade.heelHeightMm);
      },
      fields: [{ label: "Length of the blade", path: "blade.lengthMm" }],
    },
    {
      id: "heel",
      title: "Heel",
      at: { x: blade.ricassoMm, y: edge },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.ricassoMm", to.x);
        setHeld(d, "blade.heelHeightMm", spine - to.y);
      },
      fields: [
        { label: "Ricasso length", path: "blade.ricassoMm" },
        { label: "Heel height", path: "blade.heelHeightMm" },
      ],
    },
    {
      id: "ricasso",
      title: "Ricasso",
      at: { x: blade.ricassoMm / 2, y: ricassoBottom },
      move: (d, to) => {
        setHeld(d, "blade.ricassoHeightMm", spine - to.y);
      },
      fields: [{ label: "Ricasso height", path: "blade.ricassoHeightMm" }],
    },
    {
      id: "drop",
      title: "Spine runs out from here",
      at: { x: blade.lengthMm - dropMm, y: spine },
      move: (d, to) => {
        setHeld(d, "blade.tip.dropMm", Math.min(blade.lengthMm - to.x, blade.lengthMm));
        setHeld(d, "blade.spineOverAxisMm", to.y);
      },
      fields: [
        { label: "Spine runs out over", path: "blade.tip.dropMm" },
        { label: "Spine above the axis", path: "blade.spineOverAxisMm" },
      ],
    },
    {
      id: "belly",
      title: "Belly begins here",
      at: { x: blade.lengthMm - bellyMm, y: edge },
      move: (d, to) => {
        setHeld(d, "blade.tip.bellyMm", Math.min(blade.lengthMm - to.x, blade.lengthMm));
      },
      fields: [{ label: "Belly over", path: "blade.tip.bellyMm" }],
    },
  ];
}

const RUN_WORDS: Record<BladeRun, string> = { spine: "Spine", edge: "Edge" };

/** The shoulder's two corners, the tip, and the points that spine and edge run through. */
function ownPoints(blade: Blade): BenchPoint[] {
  const { outline } = blade;
  if (!outline) return [];
  const { spine, ricassoBottom, tip } = bladeHeights(blade);
  const along = (run: BladeRun) => outline[run].map((p, i) => ownPoint(run, p, i));
  return [
    {
      id: "tip",
      title: "Tip",
      at: { x: blade.lengthMm, y: tip },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.lengthMm", to.x);
        setHeld(d, "blade.outline.tipYMm", to.y);
        syncBladeMeasures(d);
      },
      after: syncBladeMeasures,
      fields: [
        { label: "Length of the blade", path: "blade.lengthMm" },
        { label: "Above the axis", path: "blade.outline.tipYMm" },
      ],
    },
    {
      id: "shoulder-top",
      title: "Spine at the shoulder",
      at: { x: 0, y: spine },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.spineOverAxisMm", to.y);
        // The shoulder's lower corner stays where it is.
        setHeld(d, "blade.ricassoHeightMm", to.y - ricassoBottom);
        syncBladeMeasures(d);
      },
      after: syncBladeMeasures,
      fields: [{ label: "Spine above the axis", path: "blade.spineOverAxisMm" }],
    },
    {
      id: "shoulder-bottom",
      title: "Edge at the shoulder",
      at: { x: 0, y: ricassoBottom },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.ricassoHeightMm", spine - to.y);
        syncBladeMeasures(d);
      },
      after: syncBladeMeasures,
      fields: [{ label: "Height at the shoulder", path: "blade.ricassoHeightMm" }],
    },
    ...along("spine"),
    ...along("edge"),
  ];
}

function ownPoint(run: BladeRun, p: OutlinePoint, i: number): BenchPoint {
  const path = `blade.outline.${run}.${i}`;
  return {
    id: `blade-${run}-${p.id}`,
    title: `${RUN_WORDS[run]}, point ${i + 1}`,
    at: { x: p.xMm, y: p.yMm },
    corner: p.corner,
    move: (d, to) => {
      setHeld(d, `${path}.xMm`, to.x);
      setHeld(d, `${path}.yMm`, to.y);
      syncBladeMeasures(d);
    },
    after: syncBladeMeasures,
    remove: (d) => removeBladePoint(d, run, i),
    fields: [
      { label: "Ahead of the front", path: `${path}.xMm` },
      { label: "Above the axis", path: `${path}.yMm` },
    ],
    snaps: { ys: [0] },
  };
}

/** Where along the ground part a face's one height is dragged. */
const FACE_AT = 0.35;

/** The ground face's height or the ridge's, and the plunge line of a blade with an outline of its own. */
function facePoints(blade: Blade): BenchPoint[] {
  const points: BenchPoint[] = [];
  const { grind, ricassoMm, lengthMm } = blade;
  const at = ricassoMm + FACE_AT * (lengthMm - ricassoMm);
  const [low, high] = bladeEdges(blade, at);
  if (blade.outline) {
    const x = Math.min(ricassoMm, lengthMm);
    const [, top] = bladeEdges(blade, x);
    points.push({
      id: "plunge",
      title: "Plunge line",
      at: { x, y: top },
      move: (d, to) => setHeld(d, "blade.ricassoMm", to.x),
      fields: [{ label: "Ricasso length", path: "blade.ricassoMm" }],
    });
  }
  if (isDouble(grind))
    points.push({
      id: "ridge",
      title: "Ridge",
      at: { x: at, y: low + grind.ridgeShare * (high - low) },
      move: (d, to) => setHeld(d, "blade.grind.ridgeShare", (to.y - low) / (high - low)),
      fields: [],
    });
  if (!("along" in grind) || grind.angleDeg !== null) return points;
  if (grind.along.length === 0) {
    const height = faceHeightAt(groundBlade(blade), grind, at, high - low);
    points.push({
      id: "face",
      title: "Height of the ground face",
      at: { x: at, y: low + height },
      move: (d, to) => setHeld(d, "blade.grind.heightMm", to.y - low),
      fields: [{ label: "Height of the face", path: "blade.grind.heightMm" }],
    });
  }
  grind.along.forEach((p, i) => {
    const path = `blade.grind.along.${i}`;
    points.push({
      id: `face-${p.id}`,
      title: `Ground face, point ${i + 1}`,
      at: { x: p.xMm, y: bladeEdges(blade, p.xMm)[0] + p.heightMm },
      move: (d, to) => {
        setHeld(d, `${path}.xMm`, to.x);
        setHeld(d, `${path}.heightMm`, to.y - bladeEdges(blade, to.x)[0]);
      },
      remove: (d) => {
        if ("along" in d.blade.grind) d.blade.grind.along.splice(i, 1);
      },
      fields: [
        { label: "Ahead of the front", path: `${path}.xMm` },
        { label: "Height of the face", path: `${path}.heightMm` },
      ],
    });
  });
  return points;
}

/** Thicknesses of the spine, on the view from above. */
export function bladePlanPoints({ blade }: Design): BenchPoint[] {
  const half = (mm: number) => mm / 2;
  const { bolster } = blade;
  return [
    {
      id: "spine",
      title: "Spine's thickness",
      at: { x: blade.taperFromMm, y: half(blade.spineMm) },
      move: (d, to) => {
        setHeld(d, "blade.spineMm", 2 * to.y);
        setHeld(d, "blade.taperFromMm", Math.min(to.x, blade.lengthMm));
      },
      fields: [
        { label: "Spine", path: "blade.spineMm" },
        { label: "Distal taper from", path: "blade.taperFromMm" },
      ],
    },
    ...blade.taper.map(
      (p, i): BenchPoint => ({
        id: `taper-${p.id}`,
        title: `Taper, point ${i + 1}`,
        at: { x: p.xMm, y: half(p.thicknessMm) },
        move: (d, to) => {
          setHeld(d, `blade.taper.${i}.xMm`, to.x);
          setHeld(d, `blade.taper.${i}.thicknessMm`, 2 * to.y);
        },
        remove: (d) => void d.blade.taper.splice(i, 1),
        fields: [
          { label: "Ahead of the front", path: `blade.taper.${i}.xMm` },
          { label: "Thickness", path: `blade.taper.${i}.thicknessMm` },
        ],
      }),
    ),
    {
      id: "spine-tip",
      title: "Spine at the tip",
      at: { x: blade.lengthMm, y: half(blade.tipThicknessMm) },
      move: (d, to) => {
        setHeld(d, "blade.tipThicknessMm", 2 * to.y);
      },
      fields: [{ label: "Spine at the tip", path: "blade.tipThicknessMm" }],
    },
    ...(bolster
      ? [
          {
            id: "bolster-width",
            title: "Bolster's width",
            at: { x: 0, y: half(bolster.widthMm) },
            move: (d, to) => setHeld(d, "blade.bolster.widthMm", 2 * to.y),
            fields: [{ label: "Width at the handle", path: "blade.bolster.widthMm" }],
          } satisfies BenchPoint,
        ]
      : []),
  ];
}
