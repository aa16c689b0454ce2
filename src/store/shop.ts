"use client";
import { useMemo } from "react";
import { plainShop, type Shop, shopSchema } from "@/core/figures/cost/shop";
import type { Workshop } from "@/core/knife/design/record/workshop";
import { changeSetting, settingRow, settingValue } from "./keptSetting";
import { ownSince } from "./ownSince";
import type { SettingRecord } from "./rows";
import { ready } from "./storage";
import { useKept } from "./useKept";
import { changeWorkshop, presentWorkshop, usePresentWorkshop } from "./workshops";

const KEY = "shop";
const PLAIN = plainShop();

/** Prices as they were kept; none where they make no sense. */
export function shopIn(value: unknown): Shop {
  const parsed = shopSchema.safeParse(value);
  return parsed.success ? parsed.data : PLAIN;
}

/** Prices with what an hour costs in a workshop; as they are kept where there is none. */
const paidIn = (shop: Shop, workshop: Workshop | null): Shop =>
  workshop === null || workshop.ratePerHour === shop.ratePerHour
    ? shop
    : { ...shop, ratePerHour: workshop.ratePerHour };

/** What the maker pays, and is paid in the present workshop; nothing until the database has answered. */
export function useShop(): Shop {
  const row = useKept(() => settingRow(KEY), []);
  const workshop = usePresentWorkshop();
  // One object as long as the row is one: what is worked out from it is not worked out again.
  const shop = row ? shopOf(row) : PLAIN;
  return useMemo(() => paidIn(shop, workshop), [shop, workshop]);
}

const parsed = new WeakMap<object, Shop>();
function shopOf(row: SettingRecord): Shop {
  const known = parsed.get(row);
  if (known) return known;
  const shop = shopIn(row.value);
  parsed.set(row, shop);
  return shop;
}

/** The prices as they are kept, or wait to be. */
export const keptShop = async (): Promise<Shop> =>
  paidIn(shopIn(await settingValue(KEY)), await presentWorkshop());

const since = ownSince((seen: Shop) => seen);

/**
 * Changes the shop's prices by a function of them; `seen` are those that the maker saw when they set one, where another tab
 * may have set it meanwhile. A change that no file could hold changes nothing, and says so.
 */
export async function changeShop(change: (shop: Shop) => Shop, seen?: Shop): Promise<boolean> {
  await ready();
  const from = seen && since.from(seen);
  const now = from ?? (await keptShop().catch(() => PLAIN));
  const mine = change(now);
  if (!shopSchema.safeParse(mine).success) return false;
  const workshop = await presentWorkshop();
  if (workshop && mine.ratePerHour !== workshop.ratePerHour)
    await changeWorkshop(workshop.id, (w) => ({ ...w, ratePerHour: mine.ratePerHour }));
  if (seen) since.note(seen, mine);
  const saved = await changeSetting(KEY, (value) => change(shopIn(value)), from);
  if (seen && !saved.ok) since.forget(seen);
  return true;
}
