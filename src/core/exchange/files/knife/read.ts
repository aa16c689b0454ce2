import * as z from "zod/mini";
import { isRecord } from "../../../base/isRecord";
import { migrate } from "../../../knife/design/migrate";
import { type FieldProblem, fieldProblem } from "../../../knife/design/problem";
import type { ProductDesign } from "../../../knife/design/product";
import { variantName } from "../../../knife/design/record/fields";
import { MOST_VARIANTS, type Variant } from "../../../knife/design/variant";
import { RECORD_VERSION } from "../../../knife/design/version";
import { recordOfKind } from "../../../products/recordOf";
import { jsonFaultAt } from "../jsonFault";
import { keyTwice } from "../jsonKeys";
import { isWithin } from "../jsonShape";
import { KNIFE_FORMAT, KNIFE_LIMITS, LARGEST_KNIFE_BYTES } from "./format";

/** One thing wrong inside a file, and where: the path of keys to it. */
export interface Problem {
  /** Where in the file, as programs write it: "knife.blade.edgeMm". */
  readonly path: string;
  readonly message: string;
  /** The same as data, for words; none of what is no field's own. */
  readonly field?: FieldProblem;
}

export type KnifeFailure =
  | { readonly ok: false; readonly code: "too-large"; readonly bytes: number; readonly limit: number }
  | { readonly ok: false; readonly code: "not-utf8" }
  /** Nested deeper, or with more names and values, than any knife: refused before it is parsed. */
  | { readonly ok: false; readonly code: "too-complex" }
  | {
      readonly ok: false;
      readonly code: "not-json";
      readonly line: number;
      readonly column: number;
    }
  | {
      readonly ok: false;
      readonly code: "key-twice";
      readonly key: string;
      readonly line: number;
      readonly column: number;
    }
  | { readonly ok: false; readonly code: "foreign" }
  | { readonly ok: false; readonly code: "no-version" }
  | { readonly ok: false; readonly code: "newer"; readonly version: number; readonly known: number }
  /** Of a product that this build does not know. */
  | { readonly ok: false; readonly code: "other-product"; readonly kind: string }
  | { readonly ok: false; readonly code: "invalid"; readonly problems: readonly Problem[] };

export type KnifeReading =
  | { readonly ok: true; readonly design: ProductDesign; readonly variants: readonly Variant[] }
  | KnifeFailure;

/**
 * Reads a knife file. Refuses, without a trace, what is oversized, not text, not JSON, not ours, of a newer version
 * or not a whole design; older versions are brought up to date.
 */
export function readKnife(bytes: Uint8Array): KnifeReading {
  if (bytes.byteLength > LARGEST_KNIFE_BYTES) {
    return { ok: false, code: "too-large", bytes: bytes.byteLength, limit: LARGEST_KNIFE_BYTES };
  }
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return { ok: false, code: "not-utf8" };
  }
  if (!isWithin(text, KNIFE_LIMITS)) return { ok: false, code: "too-complex" };
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, code: "not-json", ...placeOf(text, jsonFaultAt(text)) };
  }
  const twice = keyTwice(text, value);
  if (twice) return { ok: false, code: "key-twice", key: twice.key, ...placeOf(text, twice.at) };
  return readKnifeValue(value);
}

/** What a file has beside the frame that every file of ours has. */
const KEYS: readonly string[] = ["format", "version", "knife", "variants"];

/** The same for a value that is already parsed, such as the body of a request. */
export function readKnifeValue(value: unknown): KnifeReading {
  if (!isRecord(value) || value.format !== KNIFE_FORMAT) return { ok: false, code: "foreign" };
  const { version } = value;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return { ok: false, code: "no-version" };
  if (version > RECORD_VERSION) return { ok: false, code: "newer", version, known: RECORD_VERSION };
  const foreign = Object.keys(value).filter((key) => !KEYS.includes(key));
  if (foreign.length > 0)
    return {
      ok: false,
      code: "invalid",
      problems: foreign.map((path) => ({ path, message: "is no part of a knife file" })),
    };
  const knife = readDesign(value.knife, version);
  if (!knife.ok || value.variants === undefined) return knife;
  return readVariants(knife.design, value.variants, version);
}

const PRODUCT_NAME = /^[a-z][a-z-]{0,39}$/;

/** Until records said which product they are of, all were knives with fixed blades. */
const ONLY_FIXED_UNTIL = 11;

/** Brings a record of a version up to date and checks it, without variants; `at` is where it stands in the file. */
export function readDesign(record: unknown, version: number, at = "knife"): KnifeReading {
  const kind = isRecord(record) && version > ONLY_FIXED_UNTIL ? record.kind : "fixed";
  const product = recordOfKind(kind);
  if (!product) {
    if (typeof kind === "string" && PRODUCT_NAME.test(kind))
      return { ok: false, code: "other-product", kind };
    return {
      ok: false,
      code: "invalid",
      problems: [{ path: `${at}.kind`, message: "has to be the name of a product" }],
    };
  }
  const parsed = product.schema.safeParse(migrate(record, version, product.migrations));
  if (!parsed.success) return { ok: false, code: "invalid", problems: problemsOf(parsed.error, at) };
  const design = parsed.data as ProductDesign;
  const problems = product.problems(design).map(({ keys, message }) => ({ path: pathOf(at, keys), message }));
  if (problems.length > 0) return { ok: false, code: "invalid", problems };
  return { ok: true, design, variants: [] };
}

/** Variants came with version 5; one that is no whole knife refuses the file. */
const variantList = z
  .array(z.strictObject({ name: variantName, knife: z.unknown() }))
  .check(z.maxLength(MOST_VARIANTS));

function readVariants(design: ProductDesign, value: unknown, version: number): KnifeReading {
  const list = variantList.safeParse(value);
  if (!list.success) return { ok: false, code: "invalid", problems: problemsOf(list.error, "variants") };
  const variants: Variant[] = [];
  for (const [i, { name, knife }] of list.data.entries()) {
    const at = `variants[${i}].knife`;
    const reading = readDesign(knife, version, at);
    if (!reading.ok) return reading;
    if (reading.design.kind !== design.kind)
      return {
        ok: false,
        code: "invalid",
        problems: [{ path: `${at}.kind`, message: "is of another product" }],
      };
    variants.push({ name, design: reading.design });
  }
  return { ok: true, design, variants };
}

const pathOf = (at: string, keys: readonly PropertyKey[]): string =>
  at + keys.map((key) => (typeof key === "number" ? `[${key}]` : `.${String(key)}`)).join("");

function problemsOf(error: z.core.$ZodError, at: string): Problem[] {
  return error.issues.slice(0, 20).map((issue) => ({
    path: pathOf(at, issue.path),
    message: issue.message,
    field: fieldProblem(issue),
  }));
}

/** Line and column of so many characters in. */
function placeOf(text: string, at: number): { line: number; column: number } {
  const before = text.slice(0, at).split("\n");
  return { line: before.length, column: before[before.length - 1].length + 1 };
}
