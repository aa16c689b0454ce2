import { shapeKindOf } from "../../kinds/pieceShapes/registry";
import type { Design, ScalesHandle, StackHandle } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import { pieceNaming } from "../../knife/shapes/itemNames";
import { jointTilt, slackPiece } from "../../knife/shapes/pieces";
import { scalesSpan } from "../../knife/shapes/scaleEnd";
import { bolsterJoint } from "../../knife/shapes/scales";
import type { Draft } from "../draft";
import { placeFields } from "./boredPoints";
import { gripPoints } from "./gripPoints";
import { type BenchPoint, LEAN_AT_MM, leanOf, leanX, setHeld, setPlace } from "./types";

/** Joints, bolsters, pieces and rings: what of the handle can be dragged besides its outline. */
export function handlePoints(design: Design, selected: string | null): BenchPoint[] {
  const { handle } = design;
  const own =
    handle.kind === "scales"
      ? [
          ...bolsterPoints(design, handle, selected),
          ...scaleEndPoints(design, handle, selected),
          ...jointPoints(handle, selected),
        ]
      : handle.kind === "stack"
        ? [...piecePoints(design, handle, selected), ...ringPoints(handle)]
        : [];
  return [...own, ...gripPoints(design)];
}

/** A lean is shown for the joint that is picked out, or is being dragged itself. */
const leaning = (selected: string | null, id: string) => selected === id || selected === `${id}-lean`;

/** How far a joint of scales leans at most. */
const MOST_LEAN_DEG = 60;

/** The lean of a joint or an edge of the scales, where it is picked out: what it belongs to is found in the handle dragged. */
function scaleLean(
  id: string,
  selected: string | null,
  at: { readonly xMm: number; readonly tiltDeg: number },
  find: (
    handle: Extract<Draft<Design>["handle"], { kind: "scales" }>,
  ) => { tiltDeg: number } | null | undefined,
): BenchPoint[] {
  if (!leaning(selected, id)) return [];
  return [
    {
      id: `${id}-lean`,
      name: { point: "lean" },
      at: { x: leanX(at.xMm, at.tiltDeg), y: LEAN_AT_MM },
      corner: true,
      move: (d, to) => {
        const mine = d.handle.kind === "scales" ? find(d.handle) : null;
        if (mine) mine.tiltDeg = leanOf(to.x, at.xMm, LEAN_AT_MM, MOST_LEAN_DEG);
      },
      fields: [],
    },
  ];
}

function bolsterPoints(design: Design, handle: ScalesHandle, selected: string | null): BenchPoint[] {
  const span = scalesSpan(handle, layoutOf(design).span);
  return (["front", "rear"] as const).flatMap((end) => {
    const bolster = handle.bolsters[end];
    if (!bolster) return [];
    const id = `bolster-${end}`;
    const xMm = bolsterJoint(bolster, end, span);
    const points: BenchPoint[] = [
      {
        id,
        name: { point: end === "front" ? "front-bolster" : "rear-bolster" },
        at: { x: xMm, y: 0 },
        move: (d, to) => {
          const mine = d.handle.kind === "scales" && d.handle.bolsters[end];
          const lengthMm = end === "front" ? span[1] - to.x : to.x - span[0];
          if (mine) setHeld(d, `handle.bolsters.${end}.lengthMm`, lengthMm);
        },
        remove: (d) => {
          if (d.handle.kind === "scales") d.handle.bolsters[end] = null;
        },
        fields: [{ path: `handle.bolsters.${end}.lengthMm` }],
      },
    ];
    const lean = scaleLean(id, selected, { xMm, tiltDeg: bolster.tiltDeg }, ({ bolsters }) => bolsters[end]);
    return [...points, ...lean];
  });
}

/** Where scales end ahead of the butt, and the lean of their edge. */
function scaleEndPoints(design: Design, handle: ScalesHandle, selected: string | null): BenchPoint[] {
  const { rearEnd } = handle;
  if (!rearEnd) return [];
  const { buttX } = layoutOf(design);
  const id = "scale-end";
  const xMm = buttX + rearEnd.bareMm;
  const points: BenchPoint[] = [
    {
      id,
      name: { point: "scale-end" },
      at: { x: xMm, y: 0 },
      move: (d, to) => {
        if (d.handle.kind === "scales" && d.handle.rearEnd) setHeld(d, "handle.rearEnd.bareMm", to.x - buttX);
      },
      remove: (d) => {
        if (d.handle.kind === "scales") d.handle.rearEnd = null;
      },
      fields: [{ path: "handle.rearEnd.bareMm" }],
    },
  ];
  return [...points, ...scaleLean(id, selected, { xMm, tiltDeg: rearEnd.tiltDeg }, (h) => h.rearEnd)];
}

function jointPoints({ joints }: ScalesHandle, selected: string | null): BenchPoint[] {
  return joints.flatMap((j, i) => {
    const points: BenchPoint[] = [
      {
        id: j.id,
        name: { point: "joint", number: i + 1 },
        at: { x: j.xMm, y: 0 },
        move: (d, to) => {
          if (d.handle.kind === "scales") setHeld(d, `handle.joints.${i}.xMm`, Math.min(0, to.x));
        },
        remove: (d) => {
          if (d.handle.kind === "scales") d.handle.joints.splice(i, 1);
        },
        fields: [{ path: `handle.joints.${i}.xMm`, behind: true }],
      },
    ];
    return [...points, ...scaleLean(j.id, selected, j, ({ joints: all }) => all[i])];
  });
}

/** The joint of each piece that has a length of its own, its lean, and the ends of shaped pieces. */
function piecePoints(design: Design, handle: StackHandle, selected: string | null): BenchPoint[] {
  const { pieces: stations } = layoutOf(design);
  const slack = slackPiece(handle);
  return handle.pieces.flatMap((piece, i): BenchPoint[] => {
    const [to, from] = stations[i];
    const called = { role: piece.role, naming: pieceNaming(design, i) };
    const path = `handle.pieces.${i}`;
    // Pieces ahead of the one that takes the rest are dragged by their rear, those behind it by their front.
    const ahead = slack < 0 || i < slack;
    const points: BenchPoint[] = [];
    if (i !== slack)
      points.push({
        id: piece.id,
        name: { point: "piece", end: ahead ? "rear" : "front", piece: called },
        at: { x: ahead ? to : from, y: 0 },
        move: (d, at) => {
          if (d.handle.kind !== "stack") return;
          const pressed = ahead ? from - at.x : at.x - to;
          setHeld(d, `handle.pieces.${i}.lengthMm`, pressed / (1 - piece.pressedShare));
        },
        remove: (d) => {
          if (d.handle.kind === "stack" && d.handle.pieces.length > 1) d.handle.pieces.splice(i, 1);
        },
        fields: [{ path: `${path}.lengthMm` }],
      });
    const next = handle.pieces[i + 1];
    if (next && !piece.shape && !next.shape && leaning(selected, piece.id))
      points.push({
        id: `${piece.id}-lean`,
        name: { point: "lean" },
        at: { x: leanX(to, jointTilt(handle, i)), y: LEAN_AT_MM },
        corner: true,
        move: (d, at) => {
          if (d.handle.kind === "stack") d.handle.pieces[i].tiltDeg = leanOf(at.x, to, LEAN_AT_MM, 45);
        },
        fields: [],
      });
    return [...points, ...shapePoints(design, handle, i, [to, from])];
  });
}

/** A piece with an outline of its own, by the points that its kind gives. */
function shapePoints(
  design: Design,
  handle: StackHandle,
  i: number,
  range: readonly [number, number],
): BenchPoint[] {
  const { shape, id, role } = handle.pieces[i];
  if (!shape || shape.kind === "mesh") return [];
  const path = `handle.pieces.${i}.shape`;
  const called = { role, naming: pieceNaming(design, i) };
  return shapeKindOf(shape)
    .points(shape, range)
    .map(
      (p): BenchPoint => ({
        id: `${id}-${p.id}`,
        name: { point: "piece-shape", of: p.id, piece: called },
        at: p.at,
        corner: true,
        move: (d, at) => {
          const mine = d.handle.kind === "stack" && d.handle.pieces[i].shape;
          const value = p.per * (at.y - p.zero);
          if (mine && mine.kind === shape.kind)
            setHeld(d, `${path}.${p.field}`, p.per === 2 ? Math.abs(value) : value);
        },
        fields: [p.field, ...p.also].map((field) => ({
          path: `${path}.${field}`,
        })),
      }),
    );
}

function ringPoints({ rings }: StackHandle): BenchPoint[] {
  return rings.map((r, i) => ({
    id: r.id,
    name: { point: "ring", number: i + 1 },
    at: { x: r.xMm, y: r.yMm },
    radiusMm: r.boreMm / 2,
    move: (d, to) => {
      setPlace(d, "handle.rings", r.id, to);
    },
    remove: (d) => {
      if (d.handle.kind === "stack") d.handle.rings.splice(i, 1);
    },
    fields: [...placeFields(`handle.rings.${i}`), { path: `handle.rings.${i}.boreMm` }],
    snaps: { ys: rings.filter((o) => o.id !== r.id).map((o) => o.yMm) },
  }));
}

/** The waist's middle, on the view from above. */
export function handlePlanPoints({ handle }: Design): BenchPoint[] {
  const { waist } = handle;
  if (!waist) return [];
  const half = waist.chordMm / 2;
  return [
    {
      id: "waist",
      name: { point: "waist" },
      at: { x: waist.xMm, y: 0 },
      move: (d, to) => {
        if (d.handle.waist) setHeld(d, "handle.waist.xMm", Math.min(0, to.x));
      },
      remove: (d) => {
        d.handle.waist = null;
      },
      fields: [{ path: "handle.waist.xMm", behind: true }, { path: "handle.waist.chordMm" }],
    },
    {
      id: "waist-end",
      name: { point: "waist-end" },
      at: { x: waist.xMm + half, y: 0 },
      corner: true,
      move: (d, to) => {
        if (d.handle.waist) setHeld(d, "handle.waist.chordMm", 2 * Math.abs(to.x - waist.xMm));
      },
      fields: [{ path: "handle.waist.chordMm" }],
    },
  ];
}
