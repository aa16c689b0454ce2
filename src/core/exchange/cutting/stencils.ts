import { remembered } from "../../base/record/remembered";
import { common, evenOdd, nonZero } from "../../geometry/contours/clip";
import { flattened } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import { placedMark } from "../../knife/layout/bladeMarks";
import { blank } from "./cutParts";
import type { CutSettings } from "./cutSettings";
import { type Cuttable, cuttableOf } from "./cuttable";
import { FILM, type Stencil } from "./film";
import { asLoops } from "./follows";

/** Film stands so far beyond marks along the blade, and beyond the blade over spine and edge, mm. */
const BESIDE_MM = 20;
const BEYOND_MM = 12;
/** Register crosses stand so far inside the film's corners, off the blade, mm. */
const CROSS_IN_MM = 6;
/** The blade under a film is drawn by chords within this, mm. */
const DRAWN_MM = 0.02;
/** Of a film as it is bought, mm. Common practice, no source. */
const FILM_MM = 0.1;

/** Films for both sides of a blade with marks, those with openings first; none without marks. */
export const stencils = remembered((design: Design): readonly Stencil[] => {
  const { marks } = design.blade;
  if (marks.length === 0) return [];
  const placed = marks.map((m) => ({ mark: m, lines: placedMark(design.blade, m) }));
  const xs = placed.flatMap((p) => p.lines.flat().map((q) => q.x));
  const ys = placed.flatMap((p) => p.lines.flat().map((q) => q.y));
  const [x0, x1] = [Math.min(...xs) - BESIDE_MM, Math.max(...xs) + BESIDE_MM];
  const tall = { y0: -1000, y1: 1000 };
  const outline = blank(design).outlines.map((l) => flattened(l, DRAWN_MM));
  const near = common(evenOdd(outline), [boxLine({ x0, x1, ...tall })]).flat();
  const [y0, y1] = [
    Math.min(...ys, ...near.map((p) => p.y)) - BEYOND_MM,
    Math.max(...ys, ...near.map((p) => p.y)) + BEYOND_MM,
  ];
  const film = boxLine({ x0, x1, y0, y1 });
  const crosses = boxLine({
    x0: x0 + CROSS_IN_MM,
    x1: x1 - CROSS_IN_MM,
    y0: y0 + CROSS_IN_MM,
    y1: y1 - CROSS_IN_MM,
  });
  const found = (["right", "left"] as const).map((side): Stencil => {
    const here = placed.filter((p) => p.mark.side === side);
    return {
      side,
      marks: here.map((p) => p.mark),
      film,
      // Where two marks lie over each other both are opened.
      openings: nonZero(here.flatMap((p) => evenOdd(p.lines))),
      crosses,
      blade: common(evenOdd(outline), [film]),
    };
  });
  return found.sort((a, b) => Number(b.marks.length > 0) - Number(a.marks.length > 0));
});

const boxLine = ({ x0, x1, y0, y1 }: { x0: number; x1: number; y0: number; y1: number }): Point[] => [
  { x: x0, y: y0 },
  { x: x1, y: y0 },
  { x: x1, y: y1 },
  { x: x0, y: y1 },
];

/** The films as they are cut, `stencil-right` and `mask-left`: crosses are only marked. */
export const stencilCuttables = (design: Design, settings: CutSettings): Cuttable[] =>
  stencils(design).map((s) => {
    const name = `${s.marks.length > 0 ? "stencil" : "mask"}-${s.side}`;
    const outlines = asLoops([[...s.film], ...s.openings.map((l) => [...l].reverse())]);
    const part = { outlines, holes: [] };
    // A film is no stock that anything is ground off.
    const cut = cuttableOf(
      { name, part, mirrored: s.side === "left" },
      { ...settings, allowanceMm: 0 },
      { count: 1, material: FILM, thicknessMm: FILM_MM, mayTurn: true },
    );
    const ahead = s.side === "left" ? -1 : 1;
    return {
      ...cut,
      layer: { ...cut.layer, centres: s.crosses.map(({ x, y }) => ({ x: ahead * x, y })) },
    };
  });
