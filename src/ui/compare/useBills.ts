"use client";
import type { Bill } from "@/core/cost/bill";
import type { Design } from "@/core/design/schema";
import { useShop } from "@/store/shop";
import { createAsker } from "@/workers/services";
import { useAskedOfEach } from "../useAsked";

/** Bills of several designs at the shop's prices, as they come; null of what cannot be built. */
export function useBills(designs: readonly Design[]): ReadonlyMap<Design, Bill | null | "failed"> {
  const shop = useShop();
  return useAskedOfEach(createAsker, designs, (s, d) => s.bill(d, shop), shop);
}
