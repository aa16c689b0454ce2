import { grown } from "../../geometry/contours/clip";
import type { Layer } from "../../geometry/contours/drawing";
import {
  flattened,
  type Loop,
  mapped,
  reversed,
  signedArea,
  straightLoop,
} from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import type { Design } from "../../knife/design/schema";
import type { CutKey } from "../../knife/parts/cutKey";
import type { Side } from "../../knife/parts/partKey";
import { blank, type CutPart, cutParts } from "./cutParts";
import type { CutSettings } from "./cutSettings";
import { asLoops } from "./follows";

/** One thing to cut, under a name that no other of its knife has: of a pair, the right one or the left one. */
export interface DrawnPiece {
  /** Small letters, digits and hyphens: `blank`, `scale-right`, `spacer-2`. */
  readonly name: string;
  readonly part: CutPart;
  /** Of a right and a left, which. */
  readonly side: Side | null;
  /** Cut as the mirror image of what the part shows. */
  readonly mirrored: boolean;
  /** How many are cut alike. */
  readonly count: number;
}

/** A cut outline lies within this of where kerf and allowance put it, mm: both outlines follow theirs within 0.006. */
export const FOLLOWED_MM = 0.01;

/** How far chords lie inside arcs while an outline is grown, mm. */
const CHORD_MM = 0.001;

function stem(key: CutKey): string {
  switch (key.kind) {
    case "blade":
      return "blank";
    case "piece":
      return key.sort;
    case "bolster":
    case "half":
      return `${key.sort}-${key.kind}`;
    case "tang-end":
      return key.component;
    case "divider":
      return key.sheet === null ? `divider-${key.number}` : `divider-${key.number}-sheet-${key.sheet}`;
    case "guard":
      return key.number === null ? "guard" : `guard-plate-${key.number}`;
    case "liner":
    case "scale":
      return key.number === null ? key.kind : `${key.kind}-${key.number}`;
    case "lower":
      return "lower-scale";
    default:
      return key.kind;
  }
}

/** Every part of a knife by its name; the blank with its tang is there even where the blade is in the hand. */
export function drawnPieces(design: Design): DrawnPiece[] {
  const parts = cutParts(design);
  const all = parts.some((p) => p.key.kind === "blade") ? parts : [blank(design), ...parts];
  const stems = all.map((p) => stem(p.key));
  return all.flatMap((part, i): DrawnPiece[] => {
    const alike = stems.filter((s) => s === stems[i]).length;
    const name =
      alike > 1 ? `${stems[i]}-${stems.slice(0, i + 1).filter((s) => s === stems[i]).length}` : stems[i];
    const side = "side" in part.key ? part.key.side : null;
    if (part.left) {
      const left = { ...part, ...part.left };
      return [
        { name: `${name}-right`, part, side: "right", mirrored: false, count: part.count / 2 },
        // What is marked out on its front is seen from there on both sides.
        {
          name: `${name}-left`,
          part: left,
          side: "left",
          mirrored: part.face === "side",
          count: part.count / 2,
        },
      ];
    }
    if (side === "right" || side === "left")
      return [{ name: `${name}-${side}`, part, side, mirrored: side === "left", count: part.count }];
    return [{ name, part, side: null, mirrored: false, count: part.count }];
  });
}

/** The pieces of a name, or all whose names begin with it, such as both liners of `liner`; `all` is every piece. */
export function piecesNamed(design: Design, name: string): DrawnPiece[] {
  const pieces = drawnPieces(design);
  if (name === "all") return pieces;
  const exact = pieces.filter((p) => p.name === name);
  return exact.length > 0 ? exact : pieces.filter((p) => p.name.startsWith(`${name}-`));
}

const mirror = ({ x, y }: Point): Point => ({ x: 0 - x, y });

/** A piece as it is cut, in its own frame: outlines, holes as circles, and the centres of those that are only marked. */
export function pieceLayer(
  {
    name,
    part,
    mirrored,
  }: Pick<DrawnPiece, "name" | "mirrored"> & { part: Pick<CutPart, "outlines" | "holes"> },
  settings: CutSettings,
): Layer {
  const { kerfMm, allowanceMm, leastHoleMm } = settings;
  const holes = part.holes.map(({ xMm, yMm, diameterMm }) => ({ x: xMm, y: yMm, radiusMm: diameterMm / 2 }));
  const drilled = holes.filter((h) => 2 * h.radiusMm >= leastHoleMm && h.radiusMm > kerfMm / 2);
  const marked = holes.filter((h) => !drilled.includes(h));
  const place = <P extends Point>(p: P): P => (mirrored ? { ...p, ...mirror(p) } : p);
  // A mirrored outline runs the other way: it is turned round, so that outer ones stay counter-clockwise.
  const turned = (l: Loop): Loop => (mirrored ? reversed(mapped(l, mirror, true)) : l);
  return {
    name,
    loops: moved(part.outlines, kerfMm / 2, allowanceMm).map(turned),
    circles: drilled.map((h) => place({ ...h, radiusMm: h.radiusMm - kerfMm / 2 })),
    centres: marked.map(({ x, y }) => place({ x, y })),
  };
}

/** Outlines moved out by half a kerf, outer ones by the allowance as well. */
function moved(outlines: readonly Loop[], halfKerfMm: number, allowanceMm: number): readonly Loop[] {
  if (halfKerfMm === 0 && allowanceMm === 0) return outlines;
  const chords = outlines.map((o) => flattened(o, CHORD_MM));
  const outer = chords.filter((c) => signedArea(straightLoop(c)) > 0);
  const inner = chords.filter((c) => signedArea(straightLoop(c)) < 0);
  const openings = inner.flatMap((c) => grown([[...c].reverse()], -halfKerfMm)).map((c) => c.reverse());
  return asLoops([...grown(outer, halfKerfMm + allowanceMm), ...openings]);
}
