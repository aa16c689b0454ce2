import type { Design } from "../../knife/design/schema";
import type { CutSettings } from "./cutSettings";
import { type Cuttable, cuttableOf } from "./cuttable";
import { discs } from "./discs";
import { type NestedBy, type NestedPanel, nested } from "./nest";
import type { Panel, Wanted } from "./panel";
import { drawnPieces } from "./pieceLayers";
import { stencilCuttables } from "./stencils";

/** All that can be cut of a knife and for it, as it is cut. */
export function cuttables(design: Design, settings: CutSettings): Cuttable[] {
  const pieces = drawnPieces(design).map((piece): Cuttable => {
    const { material, thicknessMm, grain } = piece.part;
    return cuttableOf(piece, settings, {
      count: piece.count,
      material,
      thicknessMm,
      mayTurn: grain === null,
    });
  });
  const stacked = discs(design);
  const own = pieces.filter((p) => !stacked.some((d) => p.name === d.name));
  return [
    ...own,
    ...stacked.map((d): Cuttable => {
      const name = `${d.name}-disc-${d.number}`;
      const part = { outlines: d.outlines, holes: [] };
      const { material, thicknessMm } = d;
      const of = { count: 1, material, thicknessMm, mayTurn: true };
      return cuttableOf({ name, part, mirrored: false }, settings, of);
    }),
    ...stencilCuttables(design, settings),
  ];
}

/** A sheet of one material and thickness, with what is cut out of it. */
export interface LaidPanel extends NestedPanel {
  readonly material: string;
  readonly thicknessMm: number;
  readonly by: NestedBy;
}

export interface StockLayout {
  readonly sheets: readonly LaidPanel[];
  readonly tooLarge: readonly string[];
}

/**
 * Cuttables of several knives on sheets of stock, each sheet of one material and one thickness; with more than one knife
 * each name begins with its number.
 */
export function laidOnStock(knives: readonly (readonly Cuttable[])[], stock: Panel): StockLayout {
  const alike = new Map<string, { of: Pick<Cuttable, "material" | "thicknessMm">; wanted: Wanted[] }>();
  knives.forEach((pieces, i) => {
    for (const c of pieces) {
      const key = `${c.material} ${c.thicknessMm.toFixed(SAME_THICKNESS_DIGITS)}`;
      const group = alike.get(key) ?? { of: c, wanted: [] };
      const name = knives.length > 1 ? `knife-${i + 1}-${c.name}` : c.name;
      group.wanted.push({ layer: { ...c.layer, name }, count: c.count, mayTurn: c.mayTurn });
      alike.set(key, group);
    }
  });
  const laid = [...alike.values()].map(({ of, wanted }) => ({ of, nesting: nested(wanted, stock) }));
  return {
    sheets: laid.flatMap(({ of, nesting }) =>
      nesting.sheets.map((s) => ({
        ...s,
        material: of.material,
        thicknessMm: of.thicknessMm,
        by: nesting.by,
      })),
    ),
    tooLarge: laid.flatMap(({ nesting }) => nesting.tooLarge),
  };
}

/** Thicknesses that agree to so many digits of a millimetre are one. */
const SAME_THICKNESS_DIGITS = 3;
