import { nanoid } from "nanoid";
import { type Price, type Shop, shopSchema } from "@/core/figures/cost/shop";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Workshop } from "@/core/knife/design/record/workshop";
import type { Variant } from "@/core/knife/design/variant";
import { joined } from "@/core/knife/design/workshop";
import type { OwnMaterial } from "@/core/materials/own/types";
import type { Incoming } from "./bringIn";
import { workshops } from "./followed";
import { materialRow } from "./ownMaterials";
import { sealed } from "./reading";
import { shopIn } from "./shop";
import { KNIVES } from "./tables/knives";
import { MATERIALS_TABLE } from "./tables/materials";
import { SETTINGS } from "./tables/settings";
import type { Row } from "./tables/spec";
import { VARIANTS } from "./tables/variants";

/** Materials that come in; one that is there stays as it is. */
export const incomingMaterials = (own: readonly OwnMaterial[]): readonly Incoming[] =>
  own.map((m) => ({
    spec: MATERIALS_TABLE,
    key: m.id,
    row: (now) => (now ? null : (materialRow(m, null) as unknown as Row)),
  }));

/** Prices find no room in the list. */
export class NoRoomForPrices extends Error {}

/** Prices that come in, in the place of those that were set. Throws `NoRoomForPrices` while they are brought in. */
export function incomingPrices(
  prices: readonly { readonly key: string; readonly price: Price }[],
): readonly Incoming[] {
  if (prices.length === 0) return [];
  const row = (now: Row | undefined): Row => {
    const shop = shopIn(now?.value);
    const value: Shop = {
      ...shop,
      prices: { ...shop.prices, ...Object.fromEntries(prices.map((p) => [p.key, p.price])) },
    };
    if (!shopSchema.safeParse(value).success) throw new NoRoomForPrices("the list of prices is full");
    return { ...now, key: "shop", value };
  };
  return [{ spec: SETTINGS, key: "shop", row }];
}

export interface IncomingKnife {
  readonly design: ProductDesign;
  readonly variants: readonly Variant[];
}

/**
 * Knives that come in with their variants and their materials, each under the name it has; the first the newest. What
 * follows none of the maker's workshops follows the present one from now on, and keeps what it says otherwise.
 */
export function incomingKnives(
  knives: readonly IncomingKnife[],
  present: Workshop | null = null,
  from = Date.now(),
): readonly Incoming[] {
  const known = new Set((workshops.getState().list ?? []).map((w) => w.id));
  const housed = (design: ProductDesign) =>
    present && !known.has(design.workshop.id ?? "") ? joined(design, present) : design;
  return knives.flatMap(({ design, variants }, i): Incoming[] => {
    const id = nanoid(12);
    const createdAt = from - i;
    const knife: Row = { id, ...sealed(housed(design)), createdAt, saved: null };
    return [
      { spec: KNIVES, key: id, row: () => knife },
      ...variants.map((v, k): Incoming => {
        const variant: Row = {
          id: nanoid(12),
          knifeId: id,
          name: v.name,
          ...sealed(housed(v.design)),
          createdAt: from + k,
        };
        return { spec: VARIANTS, key: String(variant.id), row: () => variant };
      }),
      ...incomingMaterials(design.materials),
    ];
  });
}
