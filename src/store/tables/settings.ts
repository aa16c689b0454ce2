import { keyText, type Row, type TableSpec } from "./spec";

/** What the settings are called that a maker knows of, by key. */
const CALLED: ReadonlyMap<string, string> = new Map([
  ["preferences", "the settings"],
  ["shop", "the prices"],
  ["workshop", "the workshop that new knives begin in"],
  ["demo-knives-laid-out", "that the demo knives were laid out once"],
]);

const nameOf = (row: Row): string | null =>
  CALLED.get(String(row.key)) ??
  (String(row.key).startsWith("beside ") ? "what lies beside a knife" : keyText(row.key));

/** Prices, units, and whatever else is kept by its name. Whoever reads one checks it, and falls back where it makes no sense. */
export const SETTINGS: TableSpec = {
  name: "settings",
  since: 1,
  indexes: "key",
  called: { one: "setting", many: "prices and settings" },
  keyOf: (row) => keyText(row.key),
  readable: () => true,
  nameOf,
  // A price by weight and one by the piece make no third one.
  atoms: ["value.prices.*"],
};

/** What concerns this browser alone, such as the folder that it backs up to. */
export const DEVICE: TableSpec = {
  name: "device",
  since: 6,
  indexes: "key",
  called: { one: "setting of this browser", many: "settings of this browser" },
  keyOf: (row) => keyText(row.key),
  readable: () => true,
  nameOf: (row) => keyText(row.key),
  backedUp: false,
};
