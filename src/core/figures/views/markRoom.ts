import { remembered } from "../../base/record/remembered";
import { SAME_PLACE_MM } from "../../base/tolerances";
import { joined } from "../../geometry/contours/clip";
import type { Point } from "../../geometry/curve/bezier";
import { chordsMeet, distanceToChord, signedDistance } from "../../geometry/curve/crossing";
import { type DrawnLine, faceLines } from "../../geometry/solids/faceLines";
import type { BladeMark, Design } from "../../knife/design/schema";
import { aroundMark, markMiddle, placedMark } from "../../knife/layout/bladeMarks";
import { bladeEdges } from "../../knife/layout/bladeParts";
import { layoutOf } from "../../knife/layout/layout";
import { seenSides } from "./seenSides";

/** What a mark may cross: the blade's own outline with its notches, what covers it, a line of its face, or another mark. */
export type MarkNeighbour = "outline" | "handle" | "bolster" | "mark" | DrawnLine["of"];

/** The least distance from a mark to what it must not cross, mm: 0 where it does; where that is, and what. */
export interface MarkRoom {
  readonly mm: number;
  readonly at: Point;
  readonly of: MarkNeighbour;
}

interface Neighbour {
  readonly of: MarkNeighbour;
  readonly points: readonly Point[];
}

interface SideRoom {
  /** What is seen of the blade. */
  readonly steel: readonly (readonly Point[])[];
  readonly neighbours: readonly Neighbour[];
}

const sideRooms = remembered((design: Design) => ({
  right: roomOn(design, "right"),
  left: roomOn(design, "left"),
}));

function roomOn(design: Design, side: BladeMark["side"]): SideRoom {
  const seen = seenSides(design, side);
  const isSteel = (kind: string) => kind === "blade" || kind === "tang";
  const steel = joined(seen.filter((s) => isSteel(s.key.kind)).flatMap((s) => s.loops));
  const closed =
    (of: MarkNeighbour) =>
    (l: readonly Point[]): Neighbour => ({ of, points: [...l, l[0]] });
  const { bolster } = design.blade;
  return {
    steel,
    neighbours: [
      // What covers comes first: where it ends the blade that is seen ends too.
      ...seen.filter((s) => !isSteel(s.key.kind)).flatMap((s) => s.loops.map(closed("handle"))),
      ...steel.map(closed("outline")),
      ...faceLines(layoutOf(design).blade, side),
      ...(bolster
        ? [
            {
              of: "bolster" as const,
              points: bladeEdges(design.blade, bolster.lengthMm).map((y) => ({ x: bolster.lengthMm, y })),
            },
          ]
        : []),
    ],
  };
}

/** What stands about a mark: all on its side of the blade, and the other marks there. */
function roomAbout(design: Design, mark: BladeMark): SideRoom {
  const side = sideRooms(design)[mark.side];
  const others = design.blade.marks.filter((m) => m.id !== mark.id && m.side === mark.side);
  const around = others.map((m): Neighbour => {
    const points = aroundMark(placedMark(design.blade, m));
    return { of: "mark", points: [...points, points[0]] };
  });
  return { ...side, neighbours: [...side.neighbours, ...around] };
}

/** The room that a mark has where it stands. */
export function markRoom(design: Design, mark: BladeMark): MarkRoom {
  const around = aroundMark(placedMark(design.blade, mark));
  return roomOf(roomAbout(design, mark), around, markMiddle(design.blade, mark));
}

function roomOf({ steel, neighbours }: SideRoom, around: readonly Point[], middle: Point): MarkRoom {
  let least: MarkRoom = { mm: Number.POSITIVE_INFINITY, at: middle, of: "outline" };
  for (const { of, points } of neighbours)
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [points[i - 1], points[i]];
      const here = chordRoom(around, a, b);
      if (here.mm < least.mm - SAME_PLACE_MM) least = { ...here, of };
      if (least.mm === 0) return least;
    }
  const isIn = neighbours.some(
    ({ of, points }) => of === "mark" && around.some((p) => signedDistance(points.slice(1), p) < 0),
  );
  if (isIn) return { ...least, mm: 0, of: "mark" };
  const isOff = around.some((p) => steel.filter((l) => signedDistance(l, p) < 0).length % 2 === 0);
  return isOff ? { ...least, mm: 0 } : least;
}

/** From a convex outline to a chord: 0 where they meet, or the chord lies in it. */
function chordRoom(around: readonly Point[], a: Point, b: Point): { mm: number; at: Point } {
  let least = { mm: Number.POSITIVE_INFINITY, at: a };
  const put = (mm: number, at: Point) => {
    if (mm < least.mm) least = { mm, at };
  };
  if (around.length > 2 && signedDistance(around, a) < 0) return { mm: 0, at: a };
  around.forEach((p, i) => {
    const q = around[(i + 1) % around.length];
    const at = chordsMeet(p, q, a, b);
    if (at) put(0, at);
    put(distanceToChord(a, b, p), p);
    put(distanceToChord(p, q, a), a);
    put(distanceToChord(p, q, b), b);
  });
  return least;
}

/** Heights that a new mark is tried in, mm, and the room that it is given. */
const NEW_HEIGHTS_MM = [5, 4, 3, 2, 1.5] as const;
const NEW_ROOM_MM = 0.5;

/** A new mark where there is room for it, near the front of the right side; as large as there is room for. */
export function newMark(
  design: Design,
  of: Pick<BladeMark, "id" | "says" | "madeFrom" | "art"> & { readonly heightMm: number | null },
): BladeMark {
  const { blade } = design;
  const at = (heightMm: number): BladeMark => ({
    ...of,
    side: "right",
    xMm: Math.round(Math.min(blade.lengthMm / 2, blade.ricassoMm + 20)),
    downMm: Math.max(1, Math.round(blade.heelHeightMm / 5)),
    heightMm,
    turnedDeg: 0,
    depthMm: 0.05,
    way: "current",
  });
  const heights = [...(of.heightMm === null ? [] : [of.heightMm]), ...NEW_HEIGHTS_MM];
  for (const heightMm of heights) {
    const to = roomierPlace(design, at(heightMm), NEW_ROOM_MM);
    if (to) return { ...at(heightMm), ...to };
  }
  return at(NEW_HEIGHTS_MM[2]);
}

/** How far a better place is looked for, mm, and by which steps. */
const REACH_MM = { along: 40, up: 20 } as const;
const STEP_MM = 0.5;

/** The nearest place at which a mark has so much room, or null of none within reach. */
export function roomierPlace(
  design: Design,
  mark: BladeMark,
  wantedMm: number,
): Pick<BladeMark, "xMm" | "downMm"> | null {
  const side = roomAbout(design, mark);
  const around = aroundMark(placedMark(design.blade, mark));
  const middle = markMiddle(design.blade, mark);
  // Distances change by no more than the way that is gone: nothing is better within as much as is missing.
  const ruledOut: { readonly dx: number; readonly dy: number; readonly within: number }[] = [];
  for (const [dx, dy] of MOVES) {
    const x = middle.x + dx;
    if (x < 0 || x > design.blade.lengthMm) continue;
    if (ruledOut.some((r) => Math.hypot(dx - r.dx, dy - r.dy) < r.within)) continue;
    const moved = around.map((p) => ({ x: p.x + dx, y: p.y + dy }));
    const { mm } = roomOf(side, moved, middle);
    if (mm > wantedMm - SAME_PLACE_MM) {
      const downMm = bladeEdges(design.blade, x)[1] - middle.y - dy;
      return { xMm: Math.round(x * 100) / 100, downMm: Math.round(downMm * 100) / 100 };
    }
    if (mm > 0) ruledOut.push({ dx, dy, within: wantedMm - mm - SAME_PLACE_MM });
  }
  return null;
}

/** Ways to move, the shortest first. */
const MOVES: readonly (readonly [number, number])[] = (() => {
  const moves: [number, number][] = [];
  const [nx, ny] = [REACH_MM.along / STEP_MM, REACH_MM.up / STEP_MM];
  for (let i = -nx; i <= nx; i++) for (let j = -ny; j <= ny; j++) moves.push([i * STEP_MM, j * STEP_MM]);
  return moves.sort((a, b) => Math.hypot(...a) - Math.hypot(...b));
})();
