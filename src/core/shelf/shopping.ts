import type { Size } from "../figures/fit/bladeStock";
import type { CutKey } from "../knife/parts/cutKey";
import type { Lot } from "./lot";
import { lotIdIn } from "./lotMaterial";
import type { Need } from "./needs";
import { isMaterial } from "./newLot";
import { rodServes, type Served, serves } from "./serves";
import { SUPPLY_SPECS, type Supply } from "./supplies";

/** What one knife needs, by its name. */
export interface KnifeNeeds {
  readonly knife: string;
  readonly needs: readonly Need[];
}

/** A row of a shopping list. */
export type ShoppingItem = {
  /** Material, hardware or supply. */
  readonly of: string;
  /** Names of the knives that it is for. */
  readonly for: readonly string[];
  /** Not needed by any knife: one more, for what one mistake ruins. */
  readonly spare: boolean;
} & (
  | {
      readonly kind: "stock";
      readonly what: CutKey;
      readonly sizeMm: Size;
      readonly count: number;
      readonly lengthwise: boolean;
      readonly pair: boolean;
    }
  | {
      readonly kind: "bar";
      readonly widthMm: number;
      readonly thicknessMm: number;
      readonly lengthMm: number;
      readonly count: number;
    }
  | { readonly kind: "rod"; readonly diameterMm: number; readonly lengthMm: number; readonly count: number }
  | { readonly kind: "built-up"; readonly massG: number; readonly wireMm: number; readonly lengthMm: number }
  | { readonly kind: "mass"; readonly massG: number; readonly glue: boolean }
  | { readonly kind: "hardware"; readonly count: number }
  | { readonly kind: "supply"; readonly amount: number }
);

/** Something that the shelf has for a knife. */
export interface Taken {
  readonly knife: string;
  readonly lot: Lot;
  readonly need: Need;
  /** How many like pieces of the lot, or how much of it. */
  readonly used: number;
  readonly served: Served | null;
  /** Whether the knife says that it is made of this lot. */
  readonly reserved: boolean;
}

/** Something that a knife is made of, by its design, and that the shelf cannot give. */
export interface ShelfProblem {
  readonly code: "too-small" | "too-few" | "gone";
  readonly knife: string;
  readonly need: Extract<Need, { kind: "stock" }> | null;
  /** The lot, or its id where there is none of it. */
  readonly lot: Lot | null;
  readonly lotId: string;
  readonly shortMm: Size | null;
  /** Other knives that are made of it, too. */
  readonly others: readonly string[];
}

export interface ShoppingList {
  readonly items: readonly ShoppingItem[];
  readonly taken: readonly Taken[];
  readonly problems: readonly ShelfProblem[];
  /** Of each lot what is free after all this, by its id: pieces, or an amount. */
  readonly left: ReadonlyMap<string, number>;
}

export interface ShoppingOptions {
  /** Whether spares are on the list. */
  readonly spares: boolean;
  /** Day on which it is made, "2026-12-01": what is out of date then is not used. */
  readonly day: string;
  /** Diameter of the wire or rod that metal is built up by, mm. */
  readonly wireMm: number;
}

export const USUAL_SHOPPING: Omit<ShoppingOptions, "day"> = { spares: false, wireMm: 2.4 };

const volume = (s: Size) => s.lengthMm * s.heightMm * s.thicknessMm;

/** What a lot has when nothing is taken of it yet. */
const stockOf = ({ shape, count, batch }: Lot): number =>
  Math.floor((shape.form === "amount" ? count * shape.amount : count) * (batch?.yieldShare ?? 1) + 1e-9);

/** Whether a lot is of a material that a knife asks for: the same, or one of the maker's own that is worked like it. */
function isOf(lot: Lot, of: string): boolean {
  return isMaterial(lot) && (lot.of === of || lotIdIn(of) === lot.id);
}

/**
 * What has to be bought for knives, after what is on the shelf: the largest pieces first, each from the smallest lot that
 * serves; what a knife says it is made of is taken before anything else.
 */
export function shoppingList(
  knives: readonly KnifeNeeds[],
  lots: readonly Lot[],
  { spares, day, wireMm }: ShoppingOptions,
): ShoppingList {
  const left = new Map(lots.map((l) => [l.id, stockOf(l)]));
  const free = (l: Lot) => left.get(l.id) ?? 0;
  const fresh = lots.filter((l) => l.bestBefore === null || l.bestBefore >= day);
  const taken: Taken[] = [];
  const problems: ShelfProblem[] = [];
  const open: { knife: KnifeNeeds; need: Need }[] = [];
  const take = (
    knife: string,
    lot: Lot,
    need: Need,
    used: number,
    served: Served | null,
    reserved: boolean,
  ) => {
    left.set(lot.id, Math.max(0, free(lot) - used));
    taken.push({ knife, lot, need, used, served, reserved });
  };

  // What knives say they are made of comes first, whichever order it is listed in.
  for (const knife of knives)
    for (const need of knife.needs) {
      const lotId = "of" in need ? lotIdIn(need.of) : null;
      if (lotId === null) {
        open.push({ knife, need });
        continue;
      }
      const lot = lots.find((l) => l.id === lotId) ?? null;
      const others = taken.filter((t) => t.lot.id === lotId && t.knife !== knife.knife).map((t) => t.knife);
      const problem = (code: ShelfProblem["code"], shortMm: Size | null = null) =>
        problems.push({
          code,
          knife: knife.knife,
          need: need.kind === "stock" ? need : null,
          lot,
          lotId,
          shortMm,
          others: [...new Set(others)],
        });
      if (!lot) problem("gone");
      else if (need.kind === "stock" && lot.shape.form === "piece") {
        const found = serves(need, lot.shape, free(lot));
        if (found.ok) take(knife.knife, lot, need, found.used, found, true);
        else problem(found.why, found.shortMm);
      } else if (need.kind === "rod" && lot.shape.form === "rod") {
        const found = rodServes(need, { shape: lot.shape, count: free(lot) });
        if (found.ok) take(knife.knife, lot, need, found.used, null, true);
        else problem("too-few");
      } else if (free(lot) >= 1) take(knife.knife, lot, need, 1, null, true);
      else problem("too-few");
    }

  const stock = open.filter(
    (o): o is { knife: KnifeNeeds; need: Extract<Need, { kind: "stock" }> } => o.need.kind === "stock",
  );
  const buy: { knife: string; need: Need }[] = [];
  for (const { knife, need } of stock.sort((a, b) => volume(b.need.sawnMm) - volume(a.need.sawnMm))) {
    const found = fresh
      .filter((l) => isOf(l, need.of) && l.shape.form === "piece" && l.shape.outline === null)
      .flatMap((lot) => {
        if (lot.shape.form !== "piece") return [];
        const served = serves(need, lot.shape, free(lot));
        return served.ok ? [{ lot, served, size: volume(lot.shape) }] : [];
      })
      // A matched pair stays together: it is used for one before single pieces are.
      .sort((a, b) => paired(b.lot, need) - paired(a.lot, need) || a.size - b.size)[0];
    if (found) take(knife.knife, found.lot, need, found.served.used, found.served, false);
    else buy.push({ knife: knife.knife, need });
  }
  for (const { knife, need } of open) {
    if (need.kind === "stock") continue;
    const rest = fromShelf(need, fresh, free, (lot, used) => take(knife.knife, lot, need, used, null, false));
    if (rest) buy.push({ knife: knife.knife, need: rest });
  }
  return { items: merged(buy, spares, wireMm), taken, problems, left };
}

const paired = ({ shape }: Lot, need: { readonly pair: boolean }): number =>
  shape.form === "piece" && (shape.side === "pair") === need.pair ? 1 : 0;

/** What is still missing of a need after what the shelf has of it; null of nothing. */
function fromShelf(
  need: Exclude<Need, { kind: "stock" }>,
  lots: readonly Lot[],
  free: (lot: Lot) => number,
  take: (lot: Lot, used: number) => void,
): Need | null {
  switch (need.kind) {
    case "rod": {
      const lot = lots.find(
        (l) =>
          l.shape.form === "rod" &&
          isOf(l, need.of) &&
          rodServes(need, { shape: l.shape, count: free(l) }).ok,
      );
      if (lot?.shape.form !== "rod") return need;
      take(lot, rodServes(need, { shape: lot.shape, count: free(lot) }).used);
      return null;
    }
    case "hardware": {
      let missing = need.count;
      for (const lot of lots.filter((l) => l.of === need.of)) {
        const used = Math.min(missing, free(lot));
        if (used > 0) take(lot, used);
        missing -= used;
      }
      return missing > 0 ? { ...need, count: missing } : null;
    }
    case "supply": {
      let missing = need.amount;
      for (const lot of lots.filter((l) => l.of === `supply:${need.of}`)) {
        const used = Math.min(missing, free(lot));
        // A bath is filled again from what is there: it is not used up by one knife.
        if (used > 0 && !SUPPLY_SPECS[need.of].shared) take(lot, used);
        missing -= used;
      }
      return missing > 1e-9 ? { ...need, amount: missing } : null;
    }
    case "mass": {
      let missing = need.massG;
      for (const lot of lots.filter((l) => isOf(l, need.of) && l.shape.form === "amount")) {
        const used = Math.min(missing, free(lot));
        if (used > 0) take(lot, used);
        missing -= used;
      }
      return missing > 1e-9 ? { ...need, massG: missing } : null;
    }
    case "bar":
    case "built-up":
      return need;
  }
}

/** Length of wire that a volume of metal is, mm. */
const wireLength = (volumeMm3: number, wireMm: number) => volumeMm3 / ((Math.PI / 4) * wireMm ** 2);

/** One row of the list for what is alike: pieces by their size, all else by what it is of. */
function merged(
  buy: readonly { readonly knife: string; readonly need: Need }[],
  spares: boolean,
  wireMm: number,
): ShoppingItem[] {
  const rows = new Map<string, ShoppingItem>();
  const put = (key: string, item: ShoppingItem, sum: (a: ShoppingItem, b: ShoppingItem) => ShoppingItem) => {
    const before = rows.get(key);
    const both = before ? { ...sum(before, item), for: [...new Set([...before.for, ...item.for])] } : item;
    rows.set(key, both);
  };
  const more =
    <K extends string>(...fields: K[]) =>
    (a: ShoppingItem, b: ShoppingItem) =>
      ({
        ...a,
        ...Object.fromEntries(
          fields.map((f) => [
            f,
            (a as unknown as Record<K, number>)[f] + (b as unknown as Record<K, number>)[f],
          ]),
        ),
      }) as ShoppingItem;
  for (const { knife, need } of buy) {
    const named = { of: need.of as string, for: [knife], spare: false };
    switch (need.kind) {
      case "stock": {
        const { what, sawnMm, count, lengthwise, pair, spoilt } = need;
        const item = { ...named, kind: "stock", what, sizeMm: sawnMm, count, lengthwise, pair } as const;
        const size = [sawnMm.lengthMm, sawnMm.heightMm, sawnMm.thicknessMm]
          .map((n) => n.toFixed(1))
          .join("x");
        put(`stock ${need.of} ${what.kind} ${size}`, item, more("count"));
        if (spares && spoilt)
          put(
            `spare ${need.of} ${what.kind} ${size}`,
            { ...item, spare: true, count: pair ? Math.max(2, count) : 1 },
            (a) => a,
          );
        break;
      }
      case "bar": {
        const { widthMm, thicknessMm, lengthMm } = need;
        put(
          `bar ${need.of} ${widthMm} ${thicknessMm}`,
          { ...named, kind: "bar", widthMm, thicknessMm, lengthMm, count: 1 },
          more("lengthMm", "count"),
        );
        break;
      }
      case "rod": {
        const { diameterMm, count, blankMm, kerfMm } = need;
        const lengthMm = count * (blankMm + kerfMm);
        put(
          `rod ${need.of} ${diameterMm}`,
          { ...named, kind: "rod", diameterMm, lengthMm, count },
          more("lengthMm", "count"),
        );
        break;
      }
      case "built-up": {
        const { massG, volumeMm3 } = need;
        const item = {
          ...named,
          kind: "built-up",
          massG,
          wireMm,
          lengthMm: wireLength(volumeMm3, wireMm),
        } as const;
        put(`built-up ${need.of}`, item, more("massG", "lengthMm"));
        break;
      }
      case "mass":
        put(
          `mass ${need.of} ${need.glue}`,
          { ...named, kind: "mass", massG: need.massG, glue: need.glue },
          more("massG"),
        );
        break;
      case "hardware":
        put(`hardware ${need.of}`, { ...named, kind: "hardware", count: need.count }, more("count"));
        break;
      case "supply": {
        const item = { ...named, kind: "supply", amount: need.amount } as const;
        const shared = SUPPLY_SPECS[need.of as Supply].shared;
        const most = (a: ShoppingItem, b: ShoppingItem) =>
          ({ ...a, amount: Math.max((a as typeof item).amount, (b as typeof item).amount) }) as ShoppingItem;
        put(`supply ${need.of}`, item, shared ? most : more("amount"));
      }
    }
  }
  return [...rows.values()];
}
