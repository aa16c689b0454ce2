"use client";
import { useEffect, useRef, useState } from "react";
import type { Bill } from "@/core/cost/bill";
import type { Shop } from "@/core/cost/shop";
import type { Design } from "@/core/design/schema";
import { useShop } from "@/store/shop";
import { type Asker, createAsker } from "@/workers/bench.client";

/** An edit rests this long before its bill is made out, ms. */
const REST_MS = 60;

interface Bills {
  /** What they were made out at: other prices make all of them out of date. */
  readonly at: Shop;
  readonly of: ReadonlyMap<Design, Bill>;
}

/** Bills of several designs at the shop's prices, made out one after the other in one worker as they come. */
export function useBills(designs: readonly Design[]): ReadonlyMap<Design, Bill> {
  const shop = useShop();
  const asker = useRef<Asker | null>(null);
  const [bills, setBills] = useState<Bills>({ at: shop, of: new Map() });
  const known = useRef(bills);
  known.current = bills;
  useEffect(() => {
    const mine = createAsker();
    asker.current = mine;
    return () => mine.dispose();
  }, []);
  useEffect(() => {
    const missing = designs.filter((d) => known.current.at !== shop || !known.current.of.has(d));
    if (missing.length === 0) return;
    let wanted = true;
    const timer = setTimeout(async () => {
      for (const design of missing) {
        const bill = await asker.current?.ask((s) => s.bill(design, shop));
        if (!wanted) return;
        if (!bill) continue;
        setBills((before) => {
          // Bills of designs that are asked for no more are let go.
          const kept = before.at === shop ? [...before.of].filter(([d]) => designs.includes(d)) : [];
          return { at: shop, of: new Map(kept).set(design, bill) };
        });
      }
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [designs, shop]);
  return bills.of;
}
