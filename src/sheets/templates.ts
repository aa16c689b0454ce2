import type { Layer } from "@/core/contours/drawing";
import { gauges } from "@/core/cutting/gauges";
import { AS_DRAWN, type DrawnPiece, drawnPieces, pieceLayer } from "@/core/cutting/pieceLayers";
import { radians } from "@/core/number";
import type { Item } from "@/core/paper/item";
import type { Page } from "@/core/paper/page";
import { pieceFigure } from "@/core/paper/pieceFigure";
import { laidOut, type NamedFigure } from "@/core/paper/tile";
import { pieceLines, pieceTitle, tileWords } from "@/words/sheets";
import type { SheetMaker } from "./sheet";

/** Pieces that are told apart by an index, so that they come back to the same place. */
const INDEXED = ["pommel", "butt-plate"];

/** Every part at its own size, gauges of the handle's sections, and the front bevel's. */
export function templatePages(maker: SheetMaker): Page[] {
  const { design, setup } = maker.source;
  const figures = [
    ...drawnPieces(design).map((p) => templateOf(maker, p)),
    ...gaugeFigures(maker),
    ...bevelFigure(maker),
  ];
  return maker.pages("templates", laidOut(figures, setup, tileWords));
}

function templateOf(maker: SheetMaker, piece: DrawnPiece): NamedFigure {
  const { units } = maker.source;
  const layer = pieceLayer(piece, AS_DRAWN);
  const { key } = piece.part;
  const indexed = key.kind === "piece" && INDEXED.includes(key.sort);
  const says = [
    ...pieceLines(piece, maker.materialOf, units),
    ...(key.kind === "guard" ? cutterLines(maker) : []),
    ...(indexed ? ["Cross: the spine is up. Mark it on piece and handle before they come apart."] : []),
  ];
  const figure = pieceFigure(layer, says, piece.part.face === "side" || indexed);
  const path = key.kind === "guard" ? cutterPath(maker, figure.toPaper) : [];
  return { ...figure, items: [...figure.items, ...path], name: pieceTitle(piece) };
}

function cutterLines(maker: SheetMaker): string[] {
  const mill = maker.fit.slot?.mill;
  return mill ? [`Dashed: the middle of a ${maker.length(mill.cutterMm)} cutter`] : [];
}

/** The way that the cutter's middle takes in the guard's slot. */
function cutterPath(
  maker: SheetMaker,
  toPaper: (p: { x: number; y: number }) => { x: number; y: number },
): Item[] {
  const { slot } = maker.fit;
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

function gaugeFigures(maker: SheetMaker): NamedFigure[] {
  return gauges(maker.source.design).map((g) => {
    const said = `Section ${maker.length(g.behindMm, 1)} behind the front`;
    const layer: Layer = { name: said, loops: g.outlines, circles: [], centres: [] };
    return { ...pieceFigure(layer, [said, "Cut out as a gauge; spine up"], true), name: said };
  });
}

/** The bevel at the front of scales, as a gauge: its angle to the face of the stock. */
function bevelFigure(maker: SheetMaker): NamedFigure[] {
  const { handle } = maker.source.design;
  const bevel = handle.kind === "scales" ? handle.frontBevel : null;
  const left = maker.fit.hand.bevel;
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
    `${bevel.angleDeg.toFixed(1)}° to the scale's face. Cut ${maker.length(left.cutMm)} on the stock: contouring takes ${maker.length(left.lostMm)} of it.`,
  ];
  return [{ ...pieceFigure({ name, loops, circles: [], centres: [] }, says, false), name }];
}
