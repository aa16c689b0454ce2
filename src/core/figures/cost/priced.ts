import type { MaterialOf } from "../../materials/types";
import type { Size } from "../fit/bladeStock";
import { densityGmm3, type MaterialLine } from "./billOfMaterials";
import type { Price } from "./shop";

/** A price put to something taken: the money, the share of bought pieces that it uses up, or why there is none. */
export interface Priced {
  readonly cost: number | null;
  /** Of pieces bought; null where it goes by weight. */
  readonly pieces: number | null;
  readonly problem: "unpriced" | "stock-too-small" | null;
}

/** Sizes that agree this closely are the same: what is sold as 6 mm fits where 6 mm is wanted. */
const FITS_MM = 0.05;

/**
 * How many blanks a board, sheet or bar gives, cut square to its sides with a kerf between them; 0 where it is too
 * small. The grain, where it counts, runs along the stock's length; otherwise every way of turning is tried.
 */
export function blanksFrom(blank: Size, stock: Size, kerfMm: number, lengthwise: boolean): number {
  const { lengthMm: l, heightMm: h, thicknessMm: t } = blank;
  const ways = [
    [l, h, t],
    [l, t, h],
    ...(lengthwise
      ? []
      : [
          [h, l, t],
          [h, t, l],
          [t, l, h],
          [t, h, l],
        ]),
  ];
  const have = [stock.lengthMm, stock.heightMm, stock.thicknessMm];
  const along = (need: number, i: number) =>
    need > 0 ? Math.floor((have[i] + kerfMm + FITS_MM) / (need + kerfMm)) : 0;
  return Math.max(...ways.map((way) => way.reduce((n, need, i) => n * along(need, i), 1)));
}

/** Mass of what is bought for it, g: a sawn blank, or a rod as if it were solid. Hardware has none of its own. */
export function takenMassG(take: MaterialLine, materialOf: MaterialOf): number | null {
  switch (take.kind) {
    case "mass":
      return take.massG;
    case "sawn": {
      const { lengthMm, heightMm, thicknessMm } = take.sawnMm;
      return take.count * lengthMm * heightMm * thicknessMm * densityGmm3(take.key, materialOf);
    }
    case "rod":
      return (Math.PI / 4) * take.diameterMm ** 2 * take.lengthMm * densityGmm3(take.key, materialOf);
    default:
      return null;
  }
}

function piecesFrom(
  take: MaterialLine,
  price: Price & { by: "size" },
  kerfMm: number,
  materialOf: MaterialOf,
): number {
  const { lengthMm, widthMm, thicknessMm } = price;
  if (take.kind === "rod") return take.lengthMm / lengthMm;
  if (take.kind === "sawn") {
    const stock = { lengthMm, heightMm: widthMm, thicknessMm };
    const blanks = blanksFrom(take.blankMm, stock, kerfMm, take.lengthwise);
    return blanks > 0 ? take.count / blanks : Number.NaN;
  }
  if (take.kind === "hardware") return take.count;
  return take.massG / (lengthMm * widthMm * thicknessMm * densityGmm3(take.key, materialOf));
}

/** What something taken costs at a price; nothing where there is no price, or the stock is too small for it. */
export function priced(
  take: MaterialLine,
  price: Price | undefined,
  kerfMm: number,
  materialOf: MaterialOf,
): Priced {
  if (!price) return { cost: null, pieces: null, problem: "unpriced" };
  if (price.by === "weight") {
    const massG = takenMassG(take, materialOf);
    return massG === null
      ? { cost: null, pieces: null, problem: "unpriced" }
      : { cost: (massG / 1000) * price.perKg, pieces: null, problem: null };
  }
  const pieces =
    price.by === "size"
      ? piecesFrom(take, price, kerfMm, materialOf)
      : (take.kind === "mass" ? 1 : take.count) / price.makes;
  if (!Number.isFinite(pieces)) return { cost: null, pieces: null, problem: "stock-too-small" };
  return { cost: pieces * price.perPiece, pieces, problem: null };
}
