import { radians } from "@/core/base/number";
import { AS_DRAWN } from "@/core/exchange/cutting/cutSettings";
import { type EndFacePart, endFaces } from "@/core/exchange/cutting/endFaces";
import { gauges } from "@/core/exchange/cutting/gauges";
import { type DrawnPiece, drawnPieces, pieceLayer } from "@/core/exchange/cutting/pieceLayers";
import type { Item } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { type MarkedHole, pieceFigure } from "@/core/exchange/paper/pieceFigure";
import type { NamedFigure } from "@/core/exchange/paper/tile";
import { wayOf } from "@/core/figures/fit/holeGroups";
import type { Hole } from "@/core/figures/fit/holes";
import { grindLines } from "@/core/figures/views/grindLines";
import { grooveEdges } from "@/core/figures/views/grooveEdges";
import type { Layer } from "@/core/geometry/contours/drawing";
import type { Point } from "@/core/geometry/curve/bezier";
import type { DrawnLine } from "@/core/geometry/solids/faceLines";
import { placedMark } from "@/core/knife/layout/bladeMarks";
import { faceTitle, holeLine, pieceLines, pieceTitle } from "@/words/sheets";
import type { PageBuilder } from "./pageBuilder";

/** Pieces that are distinguished by an index, so that they come back to the same place. */
const INDEXED = ["pommel", "butt-plate"];

/** Every part at its own size, the faces that are marked out on pieces, gauges of the handle's sections, and the front bevel's. */
export function templatePages(builder: PageBuilder): Page[] {
  const { design } = builder.source;
  const figures = [
    ...drawnPieces(design).map((p) => templateOf(builder, p)),
    ...endFaces(design).map((f) => faceFigure(builder, f)),
    ...gaugeFigures(builder),
    ...bevelFigure(builder),
    ...waistFigure(builder),
  ];
  return builder.trueSize("templates", figures);
}

function templateOf(builder: PageBuilder, piece: DrawnPiece): NamedFigure {
  const { units } = builder.source;
  const layer = pieceLayer(piece, AS_DRAWN);
  const { key } = piece.part;
  const indexed = key.kind === "piece" && INDEXED.includes(key.sort);
  // A sheet between two others is cut out on its side, and has no slot to mill.
  const slotted = key.kind === "guard" && piece.part.face === "front";
  const holes = holeMarks(builder, piece.part.drilled, piece.mirrored);
  const says = [
    ...pieceLines(piece, builder.materialOf, units),
    ...(slotted ? cutterLines(builder) : []),
    ...(indexed ? ["Cross: the spine is up. Mark it on piece and handle before they come apart."] : []),
    ...holes.lines,
  ];
  const figure = pieceFigure(layer, says, piece.part.face === "side" || indexed, holes.marks);
  const drawn = slotted
    ? cutterPath(builder, figure.toPaper)
    : key.kind === "blade"
      ? grindItems(builder, figure.toPaper)
      : piece.part.face === "side"
        ? grooveLines(builder, piece, figure.toPaper)
        : [];
  return { ...figure, items: [...figure.items, ...drawn], name: pieceTitle(piece) };
}

type ToPaper = (p: Point) => Point;

/** Lines of the grind on the blade's right side, and dashed those of its left side that lie elsewhere. */
function grindItems(builder: PageBuilder, toPaper: ToPaper): Item[] {
  const { design } = builder.source;
  const { right, leftOnly } = grindLines(design);
  const drawn = (lines: readonly DrawnLine[], pen: "mark" | "hidden") =>
    lines.map((l): Item => ({ kind: "line", pen, points: l.points.map(toPaper) }));
  return [
    ...drawn(right, "mark"),
    ...drawn(leftOnly, "hidden"),
    ...design.blade.marks.flatMap((m) =>
      placedMark(design.blade, m).map(
        (l): Item => ({
          kind: "line",
          pen: m.side === "right" ? "mark" : "hidden",
          points: [...l, l[0]].map(toPaper),
        }),
      ),
    ),
    ...lineLabels(builder, [...right, ...leftOnly]).map(
      // Toward the tip it is written to the left, so that it stays over the blade.
      ({ at, text }): Item => ({
        kind: "text",
        ...toPaper(at),
        text,
        sizeMm: LABEL_MM,
        anchor: at.x > design.blade.lengthMm / 2 ? "end" : "start",
      }),
    ),
  ];
}

const LABEL_MM = 2.3;

/** What each line of the grind is, with its station: once for each kind of line and each fuller. */
function lineLabels(
  { source: { design }, length }: PageBuilder,
  lines: readonly DrawnLine[],
): { readonly at: Point; readonly text: string }[] {
  const { ricassoMm, swedge, fullers, lengthMm } = design.blade;
  const words = (of: DrawnLine["of"]): string | null => {
    if (of === "plunge") return `plunge ${length(ricassoMm, 1)}`;
    if (of === "face") return "grind line";
    if (of === "ridge") return "ridge";
    if (of === "swedge") return swedge && `false edge from ${length(lengthMm - swedge.lengthMm, 1)}`;
    const fuller = fullers.find((f) => of === `fuller:${f.id}`);
    return fuller ? `fuller ${length(fuller.fromMm, 1)} to ${length(fuller.toMm, 1)}` : null;
  };
  const found = new Map<string, { at: Point; text: string }>();
  for (const { of, points } of lines) {
    const text = words(of);
    if (!text || found.has(of) || points.length === 0) continue;
    const { x, y } = points[Math.floor(points.length / 2)];
    found.set(of, { at: { x: x + 1, y: y + 1 }, text });
  }
  return [...found.values()];
}

/** Both edges of grooves across the side of the handle that a piece is of. */
function grooveLines({ source: { design } }: PageBuilder, piece: DrawnPiece, toPaper: ToPaper): Item[] {
  const [x0, x1] = boxXs(piece);
  return grooveEdges(design, piece.side ?? "right")
    .filter(({ ends: [{ x }] }) => x > x0 && x < x1)
    .map(
      ({ ends }): Item => ({
        kind: "line",
        pen: "mark",
        points: ends.map(({ x, y }) => toPaper({ x: piece.mirrored ? 0 - x : x, y })),
      }),
    );
}

function boxXs({ part }: DrawnPiece): readonly [number, number] {
  const xs = part.outlines.flatMap((l) => l.map((p) => p.x));
  return [Math.min(...xs), Math.max(...xs)];
}

/** The front or the rear face of a piece, with what is opened and drilled in it. */
function faceFigure(builder: PageBuilder, face: EndFacePart): NamedFigure {
  const name = faceTitle(face);
  const mirrored = face.face === "rear";
  const layer = pieceLayer({ name, part: face, mirrored }, AS_DRAWN);
  const holes = holeMarks(builder, face.drilled, mirrored);
  const says = [
    name,
    face.isWidest
      ? "Spine up. The end is rounded: the outline is the piece where it is widest"
      : "Spine up; the cross is the middle of the handle",
    ...holes.lines,
  ];
  return { ...pieceFigure(layer, says, true, holes.marks), name };
}

const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";

/** Holes with a letter for each way that they are drilled, and a line for each letter. */
function holeMarks(
  { source }: PageBuilder,
  drilled: readonly Hole[],
  mirrored: boolean,
): { marks: MarkedHole[]; lines: string[] } {
  const ways = new Map<string, Hole[]>();
  for (const h of drilled) {
    const way = wayOf(h);
    ways.set(way, [...(ways.get(way) ?? []), h]);
  }
  const all = [...ways.values()];
  const letterOf = (i: number) => LETTERS[i] ?? `A${i}`;
  return {
    lines: all.map((holes, i) => holeLine(letterOf(i), holes, source.units)),
    marks: all.flatMap((holes, i) =>
      holes.map((h): MarkedHole => {
        const x = h.axis === "across" ? h.xMm : 0;
        return {
          x: mirrored ? 0 - x : x,
          y: h.yMm,
          radiusMm: h.drilledMm / 2,
          blind: h.from !== null,
          letter: letterOf(i),
        };
      }),
    ),
  };
}

function cutterLines(builder: PageBuilder): string[] {
  const mill = builder.fit.slot?.mill;
  return mill ? [`Dashed: the middle of a ${builder.length(mill.cutterMm)} cutter`] : [];
}

/** The way that the cutter's middle takes in the guard's slot. */
function cutterPath(
  builder: PageBuilder,
  toPaper: (p: { x: number; y: number }) => { x: number; y: number },
): Item[] {
  const { slot } = builder.fit;
  if (!slot?.mill) return [];
  const { offsetMm, travelMm } = slot.mill;
  const corners = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
    [-1, -1],
  ].map(([u, v]) => toPaper({ x: u * offsetMm, y: slot.yMm + (v * travelMm) / 2 }));
  return [{ kind: "line", pen: "hidden", points: corners }];
}

function gaugeFigures(builder: PageBuilder): NamedFigure[] {
  return gauges(builder.source.design).map((g) => {
    const said = `Section ${builder.length(g.behindMm, 1)} behind the front`;
    const layer: Layer = { name: said, loops: g.outlines, circles: [], centres: [] };
    return { ...pieceFigure(layer, [said, "Cut out as a gauge; spine up"], true), name: said };
  });
}

/** Half the width of an arc gauge at the most, and its height beside the arc, mm. */
const GAUGE_MM = 30;
const GAUGE_HIGH_MM = 12;

/** The arc that a waist's wheel leaves, as a gauge to lay into it. */
function waistFigure(builder: PageBuilder): NamedFigure[] {
  const { waist } = builder.source.design.handle;
  if (!waist) return [];
  const radius = waist.wheelRadiusMm;
  const half = Math.min(GAUGE_MM, 0.8 * radius);
  const bulge = Math.tan(Math.asin(half / radius) / 2);
  const loop = [
    { x: -half, y: 0, bulge: 0 },
    { x: half, y: 0, bulge: 0 },
    { x: half, y: GAUGE_HIGH_MM, bulge },
    { x: -half, y: GAUGE_HIGH_MM, bulge: 0 },
  ];
  const name = "Arc of the waist";
  const says = [
    name,
    `Radius ${builder.length(radius)}: lay it into the waist ${builder.length(-waist.xMm, 1)} behind the front.`,
  ];
  return [{ ...pieceFigure({ name, loops: [loop], circles: [], centres: [] }, says, false), name }];
}

/** The bevel at the front of scales, as a gauge: its angle to the face of the stock. */
function bevelFigure(builder: PageBuilder): NamedFigure[] {
  const { handle } = builder.source.design;
  const bevel = handle.kind === "scales" ? handle.frontBevel : null;
  const left = builder.fit.hand.bevel;
  if (!bevel || !left) return [];
  const rise = Math.min(60, left.cutMm * Math.tan(radians(bevel.angleDeg)));
  const loops = [
    [
      { x: 0, y: 0, bulge: 0 },
      { x: left.cutMm, y: 0, bulge: 0 },
      { x: left.cutMm, y: rise, bulge: 0 },
    ],
  ];
  const name = "Front bevel";
  const says = [
    name,
    `${bevel.angleDeg.toFixed(1)}° to the scale's face. Cut ${builder.length(left.cutMm)} on the stock: contouring takes ${builder.length(left.lostMm)} of it.`,
  ];
  return [{ ...pieceFigure({ name, loops, circles: [], centres: [] }, says, false), name }];
}
