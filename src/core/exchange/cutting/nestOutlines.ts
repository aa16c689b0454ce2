import simplify from "simplify-js";
import { grown, joined, swept } from "../../geometry/contours/clip";
import type { Layer } from "../../geometry/contours/drawing";
import { flattened, signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { type LaidPiece, onePiece, type Panel, type Wanted } from "./panel";
import { layerBox, placed, QUARTERS, type Quarters } from "./place";

/** A piece is laid out by a simpler outline round it, within this of its own, mm. */
const SIMPLER_MM = 0.4;
/** A room as wide as the piece itself is still one, mm. */
const LEAST_ROOM_MM = 2e-3;

/** A piece to lay out: outlines round it with half the gap about the middle of its box, and how it may be turned. */
interface Shape {
  readonly around: readonly (readonly Point[])[];
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turns: readonly Quarters[];
}

/** A shape turned, and where the middle of its box lies. */
interface Standing {
  readonly shape: Shape;
  readonly quarters: Quarters;
  readonly at: Point;
}

/** Which way a sheet fills up: from its left end, or from below. */
type FillFrom = "left" | "below";

/**
 * Pieces laid out by their outlines, once from each end: each in turn, the largest first, goes to the place nearest to one end of the first
 * sheet that has room. Places where it would meet another are the Minkowski sum of the other's outline and its own turned
 * about (the no-fit polygon). Openings in a piece stay empty. Each piece fits on the sheet, if need be on its side.
 */
export function nestedOutlines(wanted: readonly Wanted[], sheet: Panel): LaidPiece[][][] {
  const shapes = new Map(wanted.map(({ layer, mayTurn }) => [layer, shapeOf(layer, mayTurn, sheet.gapMm)]));
  const between = noFits();
  return (["left", "below"] as const).map((from) => filled(wanted, shapes, sheet, between, from));
}

function filled(
  wanted: readonly Wanted[],
  shapes: ReadonlyMap<Layer, Shape | null>,
  sheet: Panel,
  between: ReturnType<typeof noFits>,
  from: FillFrom,
): LaidPiece[][] {
  const sheets: { standing: Standing[]; laid: LaidPiece[] }[] = [];
  const pieces = onePiece(wanted).flatMap(({ layer, name }) => {
    const shape = shapes.get(layer);
    return shape ? [{ layer, name, shape }] : [];
  });
  pieces.sort((a, b) => b.shape.widthMm * b.shape.heightMm - a.shape.widthMm * a.shape.heightMm);
  const placeOn = (standing: readonly Standing[], shape: Shape): Standing | null =>
    shape.turns
      .flatMap((quarters) => {
        const taken = standing.flatMap((s) =>
          between(s, shape, quarters).map((l) => l.map(({ x, y }) => ({ x: x + s.at.x, y: y + s.at.y }))),
        );
        return roomFor(shape, quarters, sheet, taken).map((at) => ({ shape, quarters, at }));
      })
      .reduce<Standing | null>((best, s) => (best && !nearer(s, best, from) ? best : s), null);
  for (const { layer, name, shape } of pieces) {
    let [on, place] = [sheets[0], null as Standing | null];
    for (let i = 0; !place; i++) {
      if (i === sheets.length) sheets.push({ standing: [], laid: [] });
      on = sheets[i];
      place = placeOn(on.standing, shape);
      if (on.standing.length === 0) break;
    }
    if (!place) continue;
    on.standing.push(place);
    const [w, h] = sizeOf(shape, place.quarters);
    const { at, quarters } = place;
    on.laid.push({ layer, name, x: at.x - w / 2, y: at.y - h / 2, quarters });
  }
  return sheets.map((s) => s.laid);
}

const sizeOf = ({ widthMm, heightMm }: Shape, quarters: Quarters): [number, number] =>
  quarters % 2 === 0 ? [widthMm, heightMm] : [heightMm, widthMm];

/** Whether one reaches less far from the end that the sheet is filled from, then along it. */
function nearer(a: Standing, b: Standing, from: FillFrom): boolean {
  const reach = ({ at, shape, quarters }: Standing) => {
    const [w, h] = sizeOf(shape, quarters);
    return from === "left" ? [at.x + w / 2, at.y + h / 2] : [at.y + h / 2, at.x + w / 2];
  };
  const [[a0, a1], [b0, b1]] = [reach(a), reach(b)];
  return a0 < b0 - LEAST_ROOM_MM || (a0 < b0 + LEAST_ROOM_MM && a1 < b1 - LEAST_ROOM_MM);
}

/** Grain runs along the sheet either way: what is not laid on its side still may lie the other way round. */
function shapeOf(layer: Layer, mayTurn: boolean, gapMm: number): Shape | null {
  const box = layerBox(layer);
  if (!box) return null;
  const [widthMm, heightMm] = [box.x1 - box.x0, box.y1 - box.y0];
  const outer = placed(layer, { x: -widthMm / 2, y: -heightMm / 2 })
    .loops.map((l) => flattened(l, SIMPLER_MM / 10))
    .filter((l) => signedArea(straightLoop(l)) > 0);
  const around = grown(joined(outer), gapMm / 2 + SIMPLER_MM).map(simpler);
  return { around, widthMm, heightMm, turns: QUARTERS.filter((q) => mayTurn || q % 2 === 0) };
}

/** Douglas and Peucker's, both halves of a closed line apart. */
function simpler(line: readonly Point[]): Point[] {
  const closed = simplify([...line, line[0]], SIMPLER_MM, true).slice(0, -1);
  return closed.length >= 3 ? closed : [...line];
}

const turned = (line: readonly Point[], quarters: Quarters): Point[] =>
  line.map(
    ({ x, y }) =>
      [
        { x, y },
        { x: -y, y: x },
        { x: -x, y: -y },
        { x: y, y: -x },
      ][quarters],
  );

/**
 * Where the middle of a shape must not be, beside another whose middle is at 0, 0. Worked out once for two shapes and the
 * turn from one to the other: turning both turns it, and seen from the other it is turned about.
 */
function noFits() {
  const known = new Map<Shape, Map<Shape, Map<Quarters, Point[][]>>>();
  const ofBoth = (a: Shape, b: Shape): Map<Quarters, Point[][]> => {
    const ofA = known.get(a) ?? new Map<Shape, Map<Quarters, Point[][]>>();
    known.set(a, ofA);
    const both = ofA.get(b) ?? new Map<Quarters, Point[][]>();
    ofA.set(b, both);
    return both;
  };
  return (beside: Standing, shape: Shape, quarters: Quarters): Point[][] => {
    const turn = QUARTERS[(quarters - beside.quarters + 4) % 4];
    const here = ofBoth(beside.shape, shape);
    let found = here.get(turn);
    if (!found) {
      const about = QUARTERS[(turn + 2) % 4];
      found = beside.shape.around.flatMap((a) => shape.around.flatMap((b) => swept(a, turned(b, about))));
      here.set(turn, found);
      const back = QUARTERS[(4 - turn) % 4];
      ofBoth(shape, beside.shape).set(
        back,
        found.map((line) => turned(line, QUARTERS[(back + 2) % 4])),
      );
    }
    return found.map((line) => turned(line, beside.quarters));
  };
}

/** Corners of the room in which the middle of a shape may lie. */
function roomFor(
  shape: Shape,
  quarters: Quarters,
  { widthMm, heightMm, rimMm }: Panel,
  taken: readonly (readonly Point[])[],
): Point[] {
  const [w, h] = sizeOf(shape, quarters);
  const [left, right, low, top] = [
    rimMm + w / 2,
    widthMm - rimMm - w / 2,
    rimMm + h / 2,
    heightMm - rimMm - h / 2,
  ];
  if (right < left - LEAST_ROOM_MM || top < low - LEAST_ROOM_MM) return [];
  if (taken.length === 0) return [{ x: left, y: low }];
  const [x1, y1] = [Math.max(right, left + LEAST_ROOM_MM), Math.max(top, low + LEAST_ROOM_MM)];
  const room = [
    { x: left, y: low },
    { x: x1, y: low },
    { x: x1, y: y1 },
    { x: left, y: y1 },
  ];
  return joined([room], taken).flat();
}
