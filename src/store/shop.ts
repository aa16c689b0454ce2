"use client";
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
  // One object as long as the row is one: what is worked out from it is not worked out again.
  return row ? shopOf(row) : PLAIN;
}

const parsed = new WeakMap<object, Shop>();
function shopOf(row: { readonly value: unknown }): Shop {
  const known = parsed.get(row);
  if (known) return known;
  const shop = shopIn(row.value);
  parsed.set(row, shop);
  return shop;
}

/** Changes the shop's prices by a function of them. A change that no file could hold changes nothing, and says so. */
export async function changeShop(change: (shop: Shop) => Shop): Promise<boolean> {
  await ready();
  const now = await db.settings.get(KEY).catch(() => undefined);
  const next = shopSchema.safeParse(change(shopIn(now?.value)));
  if (!next.success) return false;
  await watched(KEY, "prices", () =>
    db.transaction("rw", db.settings, async () => {
      // Asked again: another tab may have changed another price meanwhile.
      const latest = shopSchema.safeParse(change(shopIn((await db.settings.get(KEY))?.value)));
      if (latest.success) await db.settings.put({ key: KEY, value: latest.data });
    }),
  );
  return true;
}
