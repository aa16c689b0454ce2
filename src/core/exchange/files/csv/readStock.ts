import { plainName, type Unseen } from "../../../base/plainName";
import type { Price } from "../../../figures/cost/shop";
import { SHOP_LIMITS } from "../../../figures/cost/shop";
import { ofClass, plainOwn } from "../../../materials/own/make";
import { DENSITY_LIMITS, type OwnMaterial } from "../../../materials/own/types";
import type { Material, MaterialClass } from "../../../materials/types";
import { type DecimalMark, figureOf, markOf } from "./figures";
import { readRows, type TableRow } from "./rows";

const LONGEST_NAME = 60;
const LONGEST_NOTE = 500;

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

/** Letters that are not seen were taken out of a row's name. */
export interface CleanedName {
  readonly line: number;
  readonly name: string;
  readonly out: readonly Unseen[];
}

export type StockReading =
  | {
      readonly ok: true;
      readonly rows: readonly StockRow[];
      readonly refused: readonly RowFailure[];
      readonly cleaned: readonly CleanedName[];
    }
  | { readonly ok: false; readonly code: "too-large" | "not-text" | "no-columns" | "too-many-rows" }
  /** A column's figures can be read in two ways: the decimal mark has to be asked for. */
  | { readonly ok: false; readonly code: "ambiguous"; readonly column: string; readonly text: string };

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

/** What a head may end with beside its name. */
const UNITS = ["g/cm³", "g/cm3", "mm", "in the shop's currency"];

/** A head's name without its unit and small letters: "Density g/cm³" is "density". */
function plainHead(head: string): string {
  let text = plainName(head, 80).name.toLowerCase();
  if (text.endsWith(")")) text = text.slice(0, -1).trimEnd();
  const unit = UNITS.find((u) => text.endsWith(u));
  if (unit) text = text.slice(0, -unit.length).trimEnd();
  return unit && (text.endsWith(",") || text.endsWith("(")) ? text.slice(0, -1).trimEnd() : text;
}

/** What is known before: materials by id and by name, and what a class is called, in small letters. */
export interface KnownStock {
  readonly materials: readonly Material[];
  readonly classNames: readonly (readonly [string, MaterialClass])[];
  nextId(): string;
}

interface Limits {
  readonly min: number;
  readonly max: number;
}

const density: Limits = { min: DENSITY_LIMITS[0], max: DENSITY_LIMITS[1] };
const { money, makes, sizeMm } = SHOP_LIMITS;
/** Columns of figures, with what they may hold. */
const FIGURES: readonly (readonly [ColumnName, Limits])[] = [
  ["density", density],
  ["low", density],
  ["high", density],
  ["perKg", money],
  ["perPiece", money],
  ["makes", makes],
  ["lengthMm", sizeMm],
  ["widthMm", sizeMm],
  ["thicknessMm", sizeMm],
];

type Figures = ReadonlyMap<ColumnName, { readonly mark: DecimalMark; readonly limits: Limits }>;

/**
 * Reads a table of materials and prices: a head and a row for each. A row of a material that is known tells its price; of
 * another it needs name, class and density (g/cm³). What cannot be read is left out, row by row, and said. `decimal` is the
 * decimal mark where it was asked for; otherwise each column's figures decide.
 */
export function readStock(bytes: Uint8Array, known: KnownStock, decimal?: DecimalMark): StockReading {
  const reading = readRows(bytes);
  if (!reading.ok) return reading;
  const at = columnsIn(reading.head);
  if (!at.has("name") && !at.has("id")) return { ok: false, code: "no-columns" };
  const figures = new Map<ColumnName, { mark: DecimalMark; limits: Limits }>();
  for (const [column, limits] of FIGURES) {
    const i = at.get(column);
    if (i === undefined) continue;
    const cells = reading.rows.map((r) => r.cells[i] ?? "");
    const mark = markOf(cells, (v) => v >= limits.min && v <= limits.max);
    if (!mark.ok && decimal === undefined)
      return { ok: false, code: "ambiguous", column: plainName(reading.head[i], 60).name, text: mark.text };
    figures.set(column, { mark: mark.ok ? mark.mark : (decimal ?? "point"), limits });
  }
  const reader = new StockReader(at, figures, known);
  for (const row of reading.rows) reader.take(row);
  return { ok: true, rows: reader.rows, refused: reader.refused, cleaned: reader.cleaned };
}

type At = ReadonlyMap<ColumnName, number>;

function columnsIn(head: readonly string[]): At {
  const names = new Map<string, number>();
  for (const [i, text] of head.entries()) {
    const name = plainHead(text);
    if (!names.has(name)) names.set(name, i);
  }
  const at = new Map<ColumnName, number>();
  for (const [column, called] of Object.entries(COLUMNS) as [ColumnName, readonly string[]][]) {
    const name = called.find((n) => names.has(n));
    if (name !== undefined) at.set(column, names.get(name) ?? 0);
  }
  return at;
}

class StockReader {
  readonly rows: StockRow[] = [];
  readonly refused: RowFailure[] = [];
  readonly cleaned: CleanedName[] = [];
  private readonly seen = new Set<string>();
  private readonly byId: ReadonlyMap<string, Material>;
  private readonly byName = new Map<string, Material>();

  constructor(
    private readonly at: At,
    private readonly figures: Figures,
    private readonly known: KnownStock,
  ) {
    this.byId = new Map(known.materials.map((m) => [m.id, m]));
    for (const m of known.materials)
      if (!this.byName.has(m.name.toLowerCase())) this.byName.set(m.name.toLowerCase(), m);
  }

  take(from: TableRow): void {
    const row = this.read(from);
    if ("code" in row) {
      this.refused.push(row);
      return;
    }
    const name = (row.material?.name ?? row.price?.key)?.toLowerCase();
    if (name !== undefined && this.seen.has(name)) {
      this.refused.push({ line: from.line, code: "twice" });
      return;
    }
    if (name !== undefined) this.seen.add(name);
    this.rows.push(row);
  }

  private text(cells: readonly string[], column: ColumnName): string {
    const i = this.at.get(column);
    return i === undefined ? "" : (cells[i] ?? "").trim();
  }

  private read({ cells, line }: TableRow): StockRow | RowFailure {
    let wrong: RowFailure | null = null;
    /** A figure of a column within its limits; null of an empty cell. */
    const number = (column: ColumnName): number | null => {
      const text = this.text(cells, column);
      const figure = this.figures.get(column);
      if (text === "" || !figure) return null;
      const value = figureOf(text)[figure.mark];
      if (value >= figure.limits.min && value <= figure.limits.max) return value;
      wrong ??= { line, code: "number", column, text: plainName(text, 40).name };
      return null;
    };
    const { name, out } = plainName(this.text(cells, "name"), LONGEST_NAME);
    const id = this.text(cells, "id");
    const there = this.byId.get(id) ?? (name === "" ? undefined : this.byName.get(name.toLowerCase()));
    const [typical, low, high] = [number("density"), number("low"), number("high")];
    const price = priceIn(number);
    if (wrong) return wrong;
    if (there) return { material: null, price: price && { key: there.id, name: there.name, price } };
    if (name === "") return { line, code: "no-name" };
    const cls = classCalled(this.text(cells, "class"), this.known.classNames);
    if (!cls) return { line, code: "no-class" };
    if (typical === null) return { line, code: "no-density" };
    const range = { typical, low: low ?? typical * 0.95, high: high ?? typical * 1.05 };
    if (!(range.low <= typical && typical <= range.high)) return { line, code: "range" };
    if (out.length > 0) this.cleaned.push({ line, name, out });
    // What hurts is as usual of its class, its tint on the drawing as of the first of it.
    const like = this.known.materials.find((m) => m.class === cls);
    const material: OwnMaterial = {
      ...ofClass(plainOwn(this.known.nextId()), cls),
      name,
      density: { kind: "stated", ...range },
      tint: like?.tint ?? "#a07843",
      note: plainName(this.text(cells, "note"), LONGEST_NOTE).name,
    };
    return { material, price: price && { key: material.id, name, price } };
  }
}

/** A class by its id or by what it is called, or how that begins. */
function classCalled(text: string, names: KnownStock["classNames"]): MaterialClass | null {
  const wanted = text.trim().toLowerCase();
  if (wanted === "") return null;
  const whole = names.find(([name]) => name === wanted) ?? names.find(([name]) => name.startsWith(wanted));
  return whole?.[1] ?? null;
}

function priceIn(number: (c: ColumnName) => number | null): Price | null {
  const perKg = number("perKg");
  const perPiece = number("perPiece");
  const [lengthMm, widthMm, thicknessMm] = [number("lengthMm"), number("widthMm"), number("thicknessMm")];
  const each = number("makes");
  if (perKg !== null) return { by: "weight", perKg };
  if (perPiece === null) return null;
  if (lengthMm !== null && widthMm !== null && thicknessMm !== null)
    return { by: "size", perPiece, lengthMm, widthMm, thicknessMm };
  return { by: "piece", perPiece, makes: each ?? 1 };
}
