"use client";
import type { Bill } from "@/core/figures/cost/bill";
import type { Design } from "@/core/knife/design/schema";
import { useShop } from "@/store/shop";
import { createBenchWorker } from "@/workers/services";
import { useWorkerQueries } from "../kit/useWorkerQuery";

/** Bills of several designs at the shop's prices, as they come; null of what cannot be built. */
export function useBills(designs: readonly Design[]): ReadonlyMap<Design, Bill | null | "failed"> {
  const shop = useShop();
  return useWorkerQueries(createBenchWorker, designs, (s, d) => s.bill(d, shop), shop);
}
