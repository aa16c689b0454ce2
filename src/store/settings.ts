"use client";
import { liveQuery } from "dexie";
import { useEffect } from "react";
import { createStore, useStore } from "zustand";
import type { UnitSystem } from "@/core/base/units/print";
import { type PaperChoice, TRUE_PRINTER, WAYS } from "@/core/exchange/paper/paper";
import { PRINTER_LIMITS } from "@/core/knife/design/workshopParts";
import { SHEATH_LIMITS, SHEATH_STYLES, type SheathSettings, USUAL_SHEATH } from "@/core/sheath/settings";
import { changeSetting, settingValue } from "./keptSetting";
import { ready } from "./storage";

export interface Settings {
  readonly units: UnitSystem;
  /** Step that dragged points fall on, mm; 0 is free. */
  readonly snapMm: number;
  /** Which paper sheets are printed on, which way round, and what the printer makes of 100 mm. */
  readonly paper: PaperChoice;
  /** How the maker makes sheaths, but for what follows from the knife. */
  readonly sheath: SheathSettings;
  /** Ids of materials that stand first wherever one is chosen. */
  readonly favourites: readonly string[];
  /** Ids of the materials that were chosen last, the last first. */
  readonly recent: readonly string[];
}

const KEY = "preferences";
const DEFAULTS: Settings = {
  units: "metric",
  snapMm: 0.5,
  paper: { paper: "a4", way: "proposed", printer: TRUE_PRINTER },
  sheath: USUAL_SHEATH,
  favourites: [],
  recent: [],
};
const UNITS: readonly UnitSystem[] = ["metric", "inch", "inch-fraction"];
const MOST_SNAP_MM = 10;
const MOST_FAVOURITES = 100;
const MOST_RECENT = 6;

/** Ids in a list that may be anything, each once. */
const idsIn = (value: unknown, most: number): readonly string[] =>
  Array.isArray(value)
    ? [...new Set(value.filter((id) => typeof id === "string" && id.length <= 60))].slice(0, most)
    : [];

function paperIn(value: unknown): PaperChoice {
  const { paper, way, across, printer } = (
    typeof value === "object" && value !== null ? value : {}
  ) as Record<string, unknown>;
  const { acrossMm, downMm } = (typeof printer === "object" && printer !== null ? printer : {}) as Record<
    string,
    unknown
  >;
  const scale = (mm: unknown) =>
    typeof mm === "number" && mm >= PRINTER_LIMITS[0] && mm <= PRINTER_LIMITS[1] ? mm : 100;
  return {
    paper: paper === "letter" ? "letter" : "a4",
    // Before a way was proposed, across was chosen or not.
    way: WAYS.find((w) => w === way) ?? (across === true ? "across" : "proposed"),
    printer: { acrossMm: scale(acrossMm), downMm: scale(downMm) },
  };
}

/** Ways of making a sheath as they were kept; how far one covers the handle follows from the knife. */
function sheathIn(value: unknown): SheathSettings {
  const said = (typeof value === "object" && value !== null ? value : {}) as Record<string, unknown>;
  const inReach = (field: keyof typeof SHEATH_LIMITS): number | undefined => {
    const { min, max } = SHEATH_LIMITS[field];
    const mm = said[field];
    return typeof mm === "number" && mm >= min && mm <= max ? mm : undefined;
  };
  const leatherMm = inReach("leatherMm") ?? USUAL_SHEATH.leatherMm;
  return {
    ...USUAL_SHEATH,
    style: SHEATH_STYLES.find((s) => s === said.style) ?? USUAL_SHEATH.style,
    leatherMm,
    weltThickMm: leatherMm,
    weltMm: inReach("weltMm") ?? USUAL_SHEATH.weltMm,
    clearanceMm: inReach("clearanceMm") ?? USUAL_SHEATH.clearanceMm,
    marginMm: inReach("marginMm") ?? USUAL_SHEATH.marginMm,
    pitchMm: inReach("pitchMm") ?? USUAL_SHEATH.pitchMm,
    beltMm: said.beltMm === null ? null : (inReach("beltMm") ?? USUAL_SHEATH.beltMm),
  };
}

/** Settings as they were kept, the default for each that makes no sense. By hand: no page waits for a validator. */
export function settingsIn(value: unknown): Settings {
  const { units, snapMm, paper, sheath, favourites, recent } = (
    typeof value === "object" && value !== null ? value : {}
  ) as Record<string, unknown>;
  const inReach = typeof snapMm === "number" && snapMm >= 0 && snapMm <= MOST_SNAP_MM;
  return {
    units: UNITS.find((u) => u === units) ?? DEFAULTS.units,
    snapMm: inReach ? snapMm : DEFAULTS.snapMm,
    paper: paperIn(paper),
    sheath: sheathIn(sheath),
    favourites: idsIn(favourites, MOST_FAVOURITES),
    recent: idsIn(recent, MOST_RECENT),
  };
}

// One for all fields of a page: each would ask the database by itself, and stand in the wrong unit until it answers.
const shared = createStore<Settings>(() => DEFAULTS);
let watching = false;

function watch(): void {
  if (watching) return;
  watching = true;
  const failed = (error: unknown) => {
    watching = false;
    console.error("the settings could not be read", error);
  };
  void ready().then(() => {
    liveQuery(() => settingValue(KEY)).subscribe({
      next: (value) => shared.setState(settingsIn(value)),
      error: failed,
    });
  }, failed);
}

/** The maker's settings; the defaults until the database has answered. */
export function useSettings(): Settings {
  useEffect(watch, []);
  return useStore(shared);
}

/**
 * What is changed: values, or what follows from the settings as they are kept, which a page may not have read yet.
 */
type Change = Partial<Settings> | ((now: Settings) => Partial<Settings>);

const changed = (now: Settings, change: Change): Settings =>
  settingsIn({ ...now, ...(typeof change === "function" ? change(now) : change) });

/** Changes settings at once, and keeps them. */
export async function changeSettings(change: Change): Promise<void> {
  shared.setState(changed(shared.getState(), change));
  await changeSetting(KEY, (value) => changed(settingsIn(value), change));
}

/** The unit that lengths and weights are shown in, for what is said outside a component. */
export const currentUnits = (): UnitSystem => shared.getState().units;

/** The unit that lengths and weights are shown in. */
export function useUnits(): UnitSystem {
  return useSettings().units;
}

/** Notes that a material was chosen: it stands among the first the next time. */
export function noteChosen(materialId: string): void {
  if (materialId !== "") void changeSettings(({ recent }) => ({ recent: [materialId, ...recent] }));
}

/** Makes a material a favourite, or no longer one. */
export function toggleFavourite(materialId: string): void {
  const on = !shared.getState().favourites.includes(materialId);
  void changeSettings(({ favourites }) => {
    const others = favourites.filter((id) => id !== materialId);
    return { favourites: on ? [...others, materialId] : others };
  });
}
