import { isRecord } from "../base/isRecord";
import type { ProductDesign } from "../knife/design/product";
import type { AnyEdit } from "./table";

/** What is kept of an edit with a step of undo: its code, and those of its fields that tell what was done. */
export interface KeptEdit {
  readonly code: string;
  readonly [field: string]: unknown;
}

/** Before edits were data a step said in English what it did. */
export const noted = (says: string): KeptEdit => ({ code: "noted", says });

const LONGEST_TEXT = 120;
const MOST_FIELDS = 12;

/** Whether a value is small and plain: a text, a number, a choice, or a few of them under names. */
function tells(value: unknown, depth = 2): boolean {
  if (typeof value === "string") return value.length <= LONGEST_TEXT;
  if (typeof value !== "object" || value === null) return value !== undefined;
  if (!isRecord(value) || depth === 0) return false;
  const values = Object.values(value).filter((v) => v !== undefined);
  return values.length <= MOST_FIELDS && values.every((v) => tells(v, depth - 1));
}

/**
 * What of an edit is kept: not what it put there, which is in the step's design as it was after, but what tells of it.
 */
export function keptEdit(edit: AnyEdit): KeptEdit {
  const fields = Object.entries(edit).filter(([, value]) => tells(value));
  return Object.fromEntries(fields) as unknown as KeptEdit;
}

/** A kept edit as it comes from outside; null of what is none. */
export const readKeptEdit = (value: unknown): KeptEdit | null =>
  isRecord(value) && typeof value.code === "string" ? keptEdit(value as unknown as AnyEdit) : null;

type Fields = Readonly<Record<string, unknown>>;

/** The fields of `design` that are not the very same in `other`: edits leave alone what they do not change. */
function unlike(design: ProductDesign, other: ProductDesign): Fields {
  const keys = Object.keys(design) as (keyof ProductDesign)[];
  return Object.fromEntries(keys.filter((k) => design[k] !== other[k]).map((k) => [k, design[k]]));
}

/** An edit with its inverse: the fields of the design that it changed, as they were before and after. */
export interface EditStep {
  readonly edit: KeptEdit;
  readonly before: Fields;
  readonly after: Fields;
}

/** The step from one state of a design to the next. */
export const stepBetween = (from: ProductDesign, to: ProductDesign, edit: KeptEdit): EditStep => ({
  edit,
  before: unlike(from, to),
  after: unlike(to, from),
});
