"use client";
import { useLiveQuery } from "dexie-react-hooks";
import * as z from "zod";
import { db } from "./db";

const settingsSchema = z.object({
  units: z.enum(["metric", "inch", "inch-fraction"]).catch("metric"),
  /** Step that dragged points fall on, mm; 0 is free. */
  snapMm: z.number().min(0).max(10).catch(0.5),
});

export type Settings = z.infer<typeof settingsSchema>;

const KEY = "preferences";
const DEFAULTS: Settings = { units: "metric", snapMm: 0.5 };

/** The maker's settings; the defaults until the database has answered. */
export function useSettings(): Settings {
  const row = useLiveQuery(() => db.settings.get(KEY), []);
  return row ? settingsSchema.catch(DEFAULTS).parse(row.value) : DEFAULTS;
}

export async function changeSettings(change: Partial<Settings>): Promise<void> {
  await db.transaction("rw", db.settings, async () => {
    const now = settingsSchema.catch(DEFAULTS).parse((await db.settings.get(KEY))?.value ?? DEFAULTS);
    await db.settings.put({ key: KEY, value: { ...now, ...change } });
  });
}
