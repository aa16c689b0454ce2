"use client";
import { nanoid } from "nanoid";
import { useEffect } from "react";
import { useStore } from "zustand";
import { isRecord } from "@/core/base/isRecord";
import type { Workshop } from "@/core/knife/design/record/workshop";
import { RECORD_VERSION } from "@/core/knife/design/version";
import { agreedFacts, joined, newWorkshop } from "@/core/knife/design/workshop";
import { checksumOf } from "./checksum";
import { db, tableNamed } from "./db";
import { PRESENT_WORKSHOP, readWorkshops, watchWorkshops, workshops } from "./followed";
import { changeSetting, settingValue } from "./keptSetting";
import { keptTable, type Removed } from "./keptTable";
import { readStored, sealed } from "./reading";
import type { StoredKnife, StoredVariant, StoredWorkshop } from "./rows";
import { ready, writeWithRetry } from "./storage";
import { KNIVES } from "./tables/knives";
import { VARIANTS } from "./tables/variants";
import { WORKSHOPS, workshopOf } from "./tables/workshops";

const table = keptTable<StoredWorkshop>(WORKSHOPS);

function rowOf(workshop: Workshop, before: StoredWorkshop | null): StoredWorkshop {
  const now = Date.now();
  return {
    id: workshop.id,
    workshop,
    version: RECORD_VERSION,
    checksum: checksumOf(workshop),
    createdAt: before?.createdAt ?? now,
    updatedAt: now,
    revision: before?.revision ?? 1,
  };
}

/** The maker's workshops, the oldest first; null until the database has answered. */
export function useWorkshops(): readonly Workshop[] | null {
  useEffect(watchWorkshops, []);
  return useStore(workshops, (s) => s.list);
}

/** The workshop that new knives begin in, whose rate and printer hold; null before there is any. */
export function usePresentWorkshop(): Workshop | null {
  useEffect(watchWorkshops, []);
  return useStore(workshops, (s) => s.present);
}

/** Keeps a new workshop. */
export async function addWorkshop(name: string, like?: Workshop): Promise<Workshop> {
  await ready();
  const id = nanoid(12);
  const made = like ? { ...like, id, name } : newWorkshop(id, name);
  await table.save(null, rowOf(made, null));
  await readWorkshops().catch(() => undefined);
  return made;
}

/** Changes a workshop by a function of what it is now; knives that follow it are as it is when they are read next. */
export async function changeWorkshop(id: string, by: (workshop: Workshop) => Workshop): Promise<void> {
  await table.change(id, (now) => {
    if (!now) return null;
    return { base: now, row: rowOf(by(workshopOf(now) as Workshop), now) };
  });
  await readWorkshops().catch(() => undefined);
}

/** Puts a workshop into the bin. Knives that followed it keep what they carry of it. */
export async function removeWorkshop(id: string): Promise<Removed> {
  await ready();
  const removed = await table.remove(id);
  await readWorkshops().catch(() => undefined);
  return removed;
}

/** The workshop that new knives begin in: the one chosen, else the oldest; null before there is any. */
export async function presentWorkshop(): Promise<Workshop | null> {
  await ready();
  await readWorkshops();
  return workshops.getState().present;
}

/** Makes a workshop the one that new knives begin in. */
export const workIn = async (id: string): Promise<void> => {
  await changeSetting(PRESENT_WORKSHOP, () => id);
  await readWorkshops();
};

/**
 * Brings designs that follow no workshop yet into the present one: what one says otherwise stays its own. Nothing but that
 * is changed of them.
 */
export async function joinLoose(): Promise<void> {
  const workshop = await presentWorkshop();
  if (!workshop) return;
  for (const { name } of [KNIVES, VARIANTS]) {
    const rows = tableNamed<StoredKnife | StoredVariant>(name);
    for (const key of await rows.toCollection().primaryKeys()) {
      const row = await rows.get(key);
      const reading = row && (await readStored(row));
      if (!reading?.ok || reading.design.workshop.id !== null) continue;
      const next = sealed(joined(reading.design, workshop));
      await writeWithRetry(`workshop of ${name} ${String(key)}`, workshop.name, async () => {
        // What was written meanwhile stands: Fit-up offers to let it follow.
        await rows
          .where(":id")
          .equals(key)
          .and((now) => now.revision === row?.revision)
          .modify(next);
      });
    }
  }
}

/** The rate and the printer as they lay among the settings before there were workshops; none that make no sense. */
async function saidBefore(): Promise<Partial<Workshop>> {
  const [shop, preferences] = await Promise.all([settingValue("shop"), settingValue("preferences")]);
  const rate = isRecord(shop) ? shop.ratePerHour : undefined;
  const paper = isRecord(preferences) ? preferences.paper : undefined;
  const printer = isRecord(paper) ? paper.printer : undefined;
  if (rate === undefined && printer === undefined) return {};
  const { workshopRecord } = await import("@/core/knife/design/record/workshop");
  const { ratePerHour, printer: of } = workshopRecord.shape;
  return {
    ...(ratePerHour.safeParse(rate).success ? { ratePerHour: rate as number } : {}),
    ...(of.safeParse(printer).success ? { printer: printer as Workshop["printer"] } : {}),
  };
}

/**
 * Sees to it that there is a workshop: on the first visit one is made of what most of the knives agree on, and they follow
 * it; what a knife says otherwise stays its own.
 */
export async function firstWorkshop(): Promise<void> {
  await ready();
  if ((await db.workshops.count()) > 0 || (await settingValue(PRESENT_WORKSHOP)) !== undefined) {
    await readWorkshops();
    return;
  }
  // Of what is said as often the older knife's holds: ids are made up, and their order would be chance.
  const rows = (await db.knives.toArray()).sort((a, b) => a.createdAt - b.createdAt);
  const readings = await Promise.all(rows.map(readStored));
  const designs = readings.flatMap((r) => (r.ok ? [r.design] : []));
  const made: Workshop = {
    ...newWorkshop(nanoid(12), "My workshop", agreedFacts(designs)),
    ...(await saidBefore()),
  };
  // Two tabs at once make one workshop: the second finds the first's.
  const mine = await db.transaction("rw", db.workshops, db.settings, async () => {
    if ((await db.workshops.count()) > 0) return false;
    await db.workshops.put(rowOf(made, null));
    await db.settings.put({ key: PRESENT_WORKSHOP, value: made.id });
    return true;
  });
  await readWorkshops();
  if (mine) await joinLoose();
}
