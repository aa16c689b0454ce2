import * as z from "zod/mini";
import { FASTENER_KINDS, type FastenerKind, isBought } from "../../kinds/fasteners/registry";
import { between, entries, plainText, text } from "../../knife/design/record/fields";

/** Limits of what a shop says: money, what one piece makes, and sizes of stock in mm. */
export const SHOP_LIMITS = {
  money: { min: 0, max: 1_000_000 },
  makes: { min: 0.01, max: 1000 },
  sizeMm: { min: 0.1, max: 10_000 },
} as const;
const within = ({ min, max }: { readonly min: number; readonly max: number }) => between(min, max);
const money = within(SHOP_LIMITS.money);
const size = within(SHOP_LIMITS.sizeMm);

/** What a maker pays for one thing. Money is in the shop's own currency. */
const price = z.discriminatedUnion("by", [
  z.strictObject({ by: z.literal("weight"), perKg: money }),
  /** Bought by the piece; one makes so many of what is cut from it: 2 for a pair of scales. */
  z.strictObject({ by: z.literal("piece"), perPiece: money, makes: within(SHOP_LIMITS.makes) }),
  /** Bought as a board, sheet, bar or rod of that size. */
  z.strictObject({
    by: z.literal("size"),
    perPiece: money,
    lengthMm: size,
    widthMm: size,
    thicknessMm: size,
  }),
]);

/** Names of hardware that is bought finished, beside the ids of materials. */
export type Hardware = `each:${FastenerKind}` | (typeof OTHERS)[number];
const OTHERS = ["each:butt-nut", "each:butt-screw", "each:blade"] as const;
export const HARDWARE: readonly Hardware[] = [
  ...FASTENER_KINDS.filter(isBought).map((kind) => `each:${kind}` as const),
  ...OTHERS,
];

/** What a shop pays and is paid: by material id or hardware name. */
export const shopSchema = z.strictObject({
  /** Printed after every sum: a sign or a code, or nothing. */
  currency: text(0, 5),
  ratePerHour: money,
  prices: entries(plainText(1, 60), price, 1000),
});

export type Price = z.infer<typeof price>;
export type Shop = Readonly<z.infer<typeof shopSchema>>;

/** A shop that has said nothing yet. */
export function plainShop(): Shop {
  return { currency: "", ratePerHour: 0, prices: {} };
}
