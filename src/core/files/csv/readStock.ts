import Papa from "papaparse";
import type { Price } from "../../cost/shop";
import { SHOP_LIMITS } from "../../cost/shop";
import { plainOwn } from "../../stock/own/make";
import { DENSITY_LIMITS, type OwnMaterial } from "../../stock/own/types";
import type { Material, MaterialClass } from "../../stock/types";

export const LARGEST_TABLE_BYTES = 2_000_000;
const MOST_ROWS = 5000;
const LONGEST_NAME = 60;

/** What a row of a table of stock comes to. */
export interface StockRow {
  /** A material that was not known; null of one that is. */
  readonly material: OwnMaterial | null;
  /** What the price is of, and the price; null where the row tells none. */
  readonly price: { readonly key: string; readonly name: string; readonly price: Price } | null;
}

/** Why a row is left out; `line` counts from 1, the head's line. */
export type RowFailure = { readonly line: number } & (
  | { readonly code: "no-name" | "no-class" | "no-density" | "range" | "twice" }
  | { readonly code: "number"; readonly column: string; readonly text: string }
);

export type StockReading =
  | { readonly ok: true; readonly rows: readonly StockRow[]; readonly refused: readonly RowFailure[] }
  | { readonly ok: false; readonly code: "too-large" | "not-text" | "no-columns" | "too-many-rows" };

/** What columns may be called, in small letters without units. */
const COLUMNS = {
  id: ["id"],
  name: ["name", "material"],
  class: ["class", "kind"],
  density: ["density", "typical"],
  low: ["lowest", "low"],
  high: ["highest", "high"],
  note: ["note", "source"],
  perKg: ["price per kg", "per kg"],
  perPiece: ["price per piece", "per piece", "price"],
  makes: ["makes"],
  lengthMm: ["length"],
  widthMm: ["width"],
  thicknessMm: ["thickness"],
} as const;
type ColumnName = keyof typeof COLUMNS;

/** A head's name without its unit and small letters: "Density g/cm³" is "density". */
const plain = (head: string) =>
  head
    .toLowerCase()
    .replace(/[,(]?\s*(g\/cm³|g\/cm3|mm|in the shop's currency)\)?\s*$/, "")
    .trim();

/** What is known before: materials by id and by name, and how a class is called. */
export interface KnownStock {
  readonly materials: readonly Material[];
  classOf(text: string): MaterialClass | null;
  nextId(): string;
}

/**
 * Reads a table of materials and prices: a head and a row for each. A row of a material that is known tells its price; of
 * another it needs name, class and density (g/cm³). What cannot be read is left out, row by row, and told.
 */
export function readStock(bytes: Uint8Array, known: KnownStock): StockReading {
  if (bytes.byteLength > LARGEST_TABLE_BYTES) return { ok: false, code: "too-large" };
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return { ok: false, code: "not-text" };
  }
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  const [head, ...body] = data;
  const at = columnsIn(head ?? []);
  if (at.name === undefined && at.id === undefined) return { ok: false, code: "no-columns" };
  if (body.length > MOST_ROWS) return { ok: false, code: "too-many-rows" };
  const rows: StockRow[] = [];
  const refused: RowFailure[] = [];
  const seen = new Set<string>();
  body.forEach((cells, i) => {
    const row = readRow(cells, at, known, i + 2);
    const name = "code" in row ? null : (row.material?.name ?? row.price?.key ?? null);
    if ("code" in row) refused.push(row);
    else if (name !== null && seen.has(name.toLowerCase())) refused.push({ line: i + 2, code: "twice" });
    else {
      if (name !== null) seen.add(name.toLowerCase());
      rows.push(row);
    }
  });
  return { ok: true, rows, refused };
}

type At = Partial<Record<ColumnName, number>>;

function columnsIn(head: readonly string[]): At {
  const names = head.map(plain);
  const at: At = {};
  for (const [column, called] of Object.entries(COLUMNS) as [ColumnName, readonly string[]][]) {
    const i = names.findIndex((n) => called.includes(n));
    if (i >= 0) at[column] = i;
  }
  return at;
}

function readRow(cells: readonly string[], at: At, known: KnownStock, line: number): StockRow | RowFailure {
  const text = (c: ColumnName) => (at[c] === undefined ? "" : (cells[at[c]] ?? "").trim());
  let wrong: RowFailure | null = null;
  /** A number of a column within limits; null of an empty cell. */
  const number = (
    c: ColumnName,
    { min, max }: { readonly min: number; readonly max: number },
  ): number | null => {
    const said = text(c);
    if (said === "") return null;
    // 1,5 is one and a half where a table was made with commas.
    const value = Number(said.includes(".") ? said.replaceAll(",", "") : said.replace(",", "."));
    if (!(value >= min && value <= max)) {
      wrong ??= { line, code: "number", column: c, text: said };
      return null;
    }
    return value;
  };
  const [id, name] = [text("id"), text("name").slice(0, LONGEST_NAME)];
  const same = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();
  const there =
    known.materials.find((m) => m.id === id) ??
    known.materials.find((m) => name !== "" && same(m.name, name));
  const density = { min: DENSITY_LIMITS[0], max: DENSITY_LIMITS[1] };
  const [typical, low, high] = [number("density", density), number("low", density), number("high", density)];
  const price = priceIn(number);
  if (wrong) return wrong;
  if (there) return { material: null, price: price && { key: there.id, name: there.name, price } };
  if (name === "") return { line, code: "no-name" };
  const cls = known.classOf(text("class"));
  if (!cls) return { line, code: "no-class" };
  if (typical === null) return { line, code: "no-density" };
  const range = { typical, low: low ?? typical * 0.95, high: high ?? typical * 1.05 };
  if (!(range.low <= typical && typical <= range.high)) return { line, code: "range" };
  // What hurts, and its tint on the drawing, is as of the first of its class.
  const like = known.materials.find((m) => m.class === cls);
  const material: OwnMaterial = {
    ...plainOwn(known.nextId()),
    name,
    class: cls,
    density: { kind: "stated", ...range },
    hazards: like?.hazards ?? [],
    tint: like?.tint ?? "#a07843",
    note: text("note").slice(0, 500),
  };
  return { material, price: price && { key: material.id, name, price } };
}

function priceIn(
  number: (c: ColumnName, limits: { min: number; max: number }) => number | null,
): Price | null {
  const { money, makes, sizeMm } = SHOP_LIMITS;
  const perKg = number("perKg", money);
  const perPiece = number("perPiece", money);
  const size = [number("lengthMm", sizeMm), number("widthMm", sizeMm), number("thicknessMm", sizeMm)];
  const each = number("makes", makes);
  if (perKg !== null) return { by: "weight", perKg };
  if (perPiece === null) return null;
  const [lengthMm, widthMm, thicknessMm] = size;
  if (lengthMm !== null && widthMm !== null && thicknessMm !== null)
    return { by: "size", perPiece, lengthMm, widthMm, thicknessMm };
  return { by: "piece", perPiece, makes: each ?? 1 };
}
