import { readPrices } from "@/core/exchange/files/prices/prices";
import { plainShop } from "@/core/figures/cost/shop";
import { modelOf } from "@/core/products/modelOf";
import { pricesFailureWords } from "@/words/pricesFailures";
import { command } from "../command";
import { bytesOf, weighed } from "../input";
import { Refusal } from "../refusal";

/** The bill of the knife, and of each variant that its file carries. Without prices it says what is used. */
export const cost = command({
  name: "cost",
  says: "what a knife costs to make, and each variant in its file",
  args: ["FILE"],
  options: { prices: { value: "FILE", says: "prices of materials and hardware, and the rate" } },
  run: async ({ args: [path], text }) => {
    const from = text("prices");
    const shop = from ? await shopIn(from) : plainShop();
    const { design, variants } = await weighed(path);
    const { bill } = await modelOf(design).making();
    return {
      currency: shop.currency,
      ...bill(design, shop),
      variants: variants.map((v) => ({ name: v.name, bill: bill(v.design, shop) })),
    };
  },
});

async function shopIn(path: string) {
  const reading = readPrices(await bytesOf(path));
  if (!reading.ok) throw new Refusal(`${path}: ${pricesFailureWords(reading)}`);
  return reading.shop;
}
