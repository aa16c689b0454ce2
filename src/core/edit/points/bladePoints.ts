import { isDouble } from "../../geometry/solids/grind";
import { faceHeightAt } from "../../geometry/solids/groundBlade";
import type { Blade, Design, OutlinePoint } from "../../knife/design/schema";
import { bladeHeights, riseAt } from "../../knife/layout/bladeOutline";
import { bladeEdges } from "../../knife/layout/bladeParts";
import { groundBlade } from "../../knife/layout/groundBlade";
import { type BladeRun, bladePointId, syncBladeMeasures } from "../bladeOutline";
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
      name: { point: "tip" },
      at: { x: blade.lengthMm, y: tip },
      move: (d, to) => {
        setHeld(d, "blade.lengthMm", to.x);
        setHeld(d, "blade.tip.heightShare", (to.y - edge) / blade.heelHeightMm);
      },
      fields: [{ path: "blade.lengthMm" }],
    },
    {
      id: "heel",
      name: { point: "heel" },
      at: { x: blade.ricassoMm, y: edge },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.ricassoMm", to.x);
        setHeld(d, "blade.heelHeightMm", spine - to.y);
      },
      fields: [{ path: "blade.ricassoMm" }, { path: "blade.heelHeightMm" }],
    },
    {
      id: "ricasso",
      name: { point: "ricasso" },
      at: { x: blade.ricassoMm / 2, y: ricassoBottom },
      move: (d, to) => {
        setHeld(d, "blade.ricassoHeightMm", spine - to.y);
      },
      fields: [{ path: "blade.ricassoHeightMm" }],
    },
    {
      id: "drop",
      name: { point: "drop" },
      at: { x: blade.lengthMm - dropMm, y: spine },
      move: (d, to) => {
        setHeld(d, "blade.tip.dropMm", Math.min(blade.lengthMm - to.x, blade.lengthMm));
        setHeld(d, "blade.spineOverAxisMm", to.y);
      },
      fields: [{ path: "blade.tip.dropMm" }, { path: "blade.spineOverAxisMm" }],
    },
    {
      id: "belly",
      name: { point: "belly" },
      at: { x: blade.lengthMm - bellyMm, y: edge },
      move: (d, to) => {
        setHeld(d, "blade.tip.bellyMm", Math.min(blade.lengthMm - to.x, blade.lengthMm));
      },
      fields: [{ path: "blade.tip.bellyMm" }],
    },
  ];
}

/** The shoulder's two corners, the tip, and the points that spine and edge run through. */
function ownPoints(blade: Blade): BenchPoint[] {
  const { outline } = blade;
  if (!outline) return [];
  const { spine, ricassoBottom, tip } = bladeHeights(blade);
  const along = (run: BladeRun) => outline[run].map((p, i) => ownPoint(run, p, i));
  return [
    {
      id: "tip",
      name: { point: "tip" },
      at: { x: blade.lengthMm, y: tip },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.lengthMm", to.x);
        setHeld(d, "blade.outline.tipYMm", to.y);
        syncBladeMeasures(d);
      },
      after: syncBladeMeasures,
      fields: [{ path: "blade.lengthMm" }, { path: "blade.outline.tipYMm" }],
    },
    {
      id: "shoulder-top",
      name: { point: "shoulder-top" },
      at: { x: 0, y: spine },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.spineOverAxisMm", to.y);
        // The shoulder's lower corner stays where it is.
        setHeld(d, "blade.ricassoHeightMm", to.y - ricassoBottom);
        syncBladeMeasures(d);
      },
      after: syncBladeMeasures,
      fields: [{ path: "blade.spineOverAxisMm" }],
    },
    {
      id: "shoulder-bottom",
      name: { point: "shoulder-bottom" },
      at: { x: 0, y: ricassoBottom },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.ricassoHeightMm", spine - to.y);
        syncBladeMeasures(d);
      },
      after: syncBladeMeasures,
      fields: [{ path: "blade.ricassoHeightMm" }],
    },
    ...along("spine"),
    ...along("edge"),
  ];
}

function ownPoint(run: BladeRun, p: OutlinePoint, i: number): BenchPoint {
  const path = `blade.outline.${run}.${i}`;
  return {
    id: bladePointId(run, p.id),
    name: { point: run === "spine" ? "on-spine" : "on-edge", number: i + 1 },
    at: { x: p.xMm, y: p.yMm },
    corner: p.corner,
    move: (d, to) => {
      setHeld(d, `${path}.xMm`, to.x);
      setHeld(d, `${path}.yMm`, to.y);
      syncBladeMeasures(d);
    },
    after: syncBladeMeasures,
    remove: (d) => {
      d.blade.outline?.[run].splice(i, 1);
      syncBladeMeasures(d);
    },
    fields: [{ path: `${path}.xMm` }, { path: `${path}.yMm` }],
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
      name: { point: "plunge" },
      at: { x, y: top },
      move: (d, to) => setHeld(d, "blade.ricassoMm", to.x),
      fields: [{ path: "blade.ricassoMm" }],
    });
  }
  if (isDouble(grind))
    points.push({
      id: "ridge",
      name: { point: "ridge" },
      at: { x: at, y: low + grind.ridgeShare * (high - low) },
      move: (d, to) => setHeld(d, "blade.grind.ridgeShare", (to.y - low) / (high - low)),
      fields: [],
    });
  if (!("along" in grind) || grind.angleDeg !== null) return points;
  if (grind.along.length === 0) {
    const height = faceHeightAt(groundBlade(blade), grind, at, high - low);
    points.push({
      id: "face",
      name: { point: "face" },
      at: { x: at, y: low + height },
      move: (d, to) => setHeld(d, "blade.grind.heightMm", to.y - low),
      fields: [{ path: "blade.grind.heightMm" }],
    });
  }
  grind.along.forEach((p, i) => {
    const path = `blade.grind.along.${i}`;
    points.push({
      id: `face-${p.id}`,
      name: { point: "on-face", number: i + 1 },
      at: { x: p.xMm, y: bladeEdges(blade, p.xMm)[0] + p.heightMm },
      move: (d, to) => {
        setHeld(d, `${path}.xMm`, to.x);
        setHeld(d, `${path}.heightMm`, to.y - bladeEdges(blade, to.x)[0]);
      },
      remove: (d) => {
        if ("along" in d.blade.grind) d.blade.grind.along.splice(i, 1);
      },
      fields: [{ path: `${path}.xMm` }, { path: `${path}.heightMm` }],
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
      name: { point: "spine" },
      at: { x: blade.taperFromMm, y: half(blade.spineMm) },
      move: (d, to) => {
        setHeld(d, "blade.spineMm", 2 * to.y);
        setHeld(d, "blade.taperFromMm", Math.min(to.x, blade.lengthMm));
      },
      fields: [{ path: "blade.spineMm" }, { path: "blade.taperFromMm" }],
    },
    ...blade.taper.map(
      (p, i): BenchPoint => ({
        id: `taper-${p.id}`,
        name: { point: "on-taper", number: i + 1 },
        at: { x: p.xMm, y: half(p.thicknessMm) },
        move: (d, to) => {
          setHeld(d, `blade.taper.${i}.xMm`, to.x);
          setHeld(d, `blade.taper.${i}.thicknessMm`, 2 * to.y);
        },
        remove: (d) => void d.blade.taper.splice(i, 1),
        fields: [{ path: `blade.taper.${i}.xMm` }, { path: `blade.taper.${i}.thicknessMm` }],
      }),
    ),
    {
      id: "spine-tip",
      name: { point: "spine-tip" },
      at: { x: blade.lengthMm, y: half(blade.tipThicknessMm) },
      move: (d, to) => {
        setHeld(d, "blade.tipThicknessMm", 2 * to.y);
      },
      fields: [{ path: "blade.tipThicknessMm" }],
    },
    ...(bolster
      ? [
          {
            id: "bolster-width",
            name: { point: "bolster-width" },
            at: { x: 0, y: half(bolster.widthMm) },
            move: (d, to) => setHeld(d, "blade.bolster.widthMm", 2 * to.y),
            fields: [{ path: "blade.bolster.widthMm" }],
          } satisfies BenchPoint,
        ]
      : []),
  ];
}
