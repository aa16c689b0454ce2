"use client";
import { useMemo } from "react";
import { createStore, useStore } from "zustand";
import { plainShop, type Shop, shopSchema } from "@/core/cost/shop";
import { db } from "./db";
import { ready, watched } from "./storage";
import { useKept } from "./useKept";

const KEY = "shop";
const PLAIN = plainShop();

function shopIn(value: unknown): Shop {
  const parsed = shopSchema.safeParse(value);
  return parsed.success ? parsed.data : PLAIN;
}

/** What the maker pays and is paid; nothing until the database has answered. */
export function useShop(): Shop {
  const row = useKept(() => db.settings.get(KEY), []);
  const { changes } = useStore(unwritten);
  // One object as long as the row is one: what is worked out from it is not worked out again.
  const shop = row ? shopOf(row) : PLAIN;
  return useMemo(() => changed(shop, changes), [shop, changes]);
}

const parsed = new WeakMap<object, Shop>();
function shopOf(row: { readonly value: unknown }): Shop {
  const known = parsed.get(row);
  if (known) return known;
  const shop = shopIn(row.value);
  parsed.set(row, shop);
  return shop;
}

type Change = (shop: Shop) => Shop;

/** Changes that are not written yet, in order: what is shown has them already. */
const unwritten = createStore<{ readonly changes: readonly Change[] }>(() => ({ changes: [] }));

/** Changes the shop's prices by a function of them. A change that no file could hold changes nothing, and says so. */
export async function changeShop(change: Change): Promise<boolean> {
  await ready();
  const row = await db.settings.get(KEY).catch(() => undefined);
  const next = shopSchema.safeParse(change(changed(shopIn(row?.value), unwritten.getState().changes)));
  if (!next.success) return false;
  unwritten.setState(({ changes }) => ({ changes: [...changes, change] }));
  await watched(KEY, "prices", async () => {
    const { changes } = unwritten.getState();
    await db.transaction("rw", db.settings, async () => {
      // On what is there now: another tab may have changed another price meanwhile.
      const latest = shopSchema.safeParse(changed(shopIn((await db.settings.get(KEY))?.value), changes));
      if (latest.success) await db.settings.put({ key: KEY, value: latest.data });
    });
    unwritten.setState((now) => ({ changes: now.changes.filter((c) => !changes.includes(c)) }));
  });
  return true;
}

function changed(shop: Shop, changes: readonly Change[]): Shop {
  return changes.reduce((now, change) => change(now), shop);
}
