import * as z from "zod/mini";
import { migrate } from "../../design/migrate";
import { type FieldProblem, fieldProblem } from "../../design/problem";
import { variantName } from "../../design/record/fields";
import { type Design, designSchema, type StoredMesh } from "../../design/schema";
import { decodeMesh } from "../../design/storedMesh";
import { MOST_VARIANTS, type Variant } from "../../design/variant";
import { DESIGN_VERSION } from "../../design/version";
import { isRecord } from "../../isRecord";
import { meshFault } from "../../solids/meshFaults";
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
  /** Nested deeper, or with more names and values, than any knife: told before it is parsed. */
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
  | { readonly ok: false; readonly code: "invalid"; readonly problems: readonly Problem[] };

export type KnifeReading =
  | { readonly ok: true; readonly design: Design; readonly variants: readonly Variant[] }
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
  if (version > DESIGN_VERSION) return { ok: false, code: "newer", version, known: DESIGN_VERSION };
  const foreign = Object.keys(value).filter((key) => !KEYS.includes(key));
  if (foreign.length > 0)
    return {
      ok: false,
      code: "invalid",
      problems: foreign.map((path) => ({ path, message: "is no part of a knife file" })),
    };
  const knife = readDesign(migrate(value.knife, version));
  if (!knife.ok || value.variants === undefined) return knife;
  return readVariants(knife.design, value.variants, version);
}

/** Checks a record of the present version, without variants. */
export function readDesign(record: unknown, at = "knife"): KnifeReading {
  const parsed = designSchema.safeParse(record);
  if (!parsed.success) return { ok: false, code: "invalid", problems: problemsOf(parsed.error, at) };
  const problems = parsed.data.meshes.flatMap((stored, i) => {
    const message = meshProblem(stored);
    return message ? [{ path: `${at}.meshes[${i}]`, message }] : [];
  });
  if (problems.length > 0) return { ok: false, code: "invalid", problems };
  return { ok: true, design: parsed.data, variants: [] };
}

/** What keeps a shape inside a file from being one that the import would have kept, or null. */
function meshProblem(stored: StoredMesh): string | null {
  const mesh = decodeMesh(stored);
  const fault = mesh ? meshFault(mesh) : ({ code: "damaged" } as const);
  switch (fault?.code) {
    case undefined:
      return null;
    case "damaged":
    case "not-finite":
      return "the shape's numbers are damaged";
    case "empty":
      return "the shape encloses nothing";
    case "open":
      return `the shape is not closed: ${fault.edges} edges do not join two triangles`;
    case "size":
      return `the shape is ${Math.round(fault.mm)} mm long; up to ${fault.limit} mm are taken`;
    case "too-fine":
      return `the shape has ${fault.triangles} triangles; up to ${fault.limit} are taken`;
  }
}

/** Variants came with version 5; one that is no whole knife refuses the file. */
const variantList = z
  .array(z.strictObject({ name: variantName, knife: z.unknown() }))
  .check(z.maxLength(MOST_VARIANTS));

function readVariants(design: Design, value: unknown, version: number): KnifeReading {
  const list = variantList.safeParse(value);
  if (!list.success) return { ok: false, code: "invalid", problems: problemsOf(list.error, "variants") };
  const variants: Variant[] = [];
  for (const [i, { name, knife }] of list.data.entries()) {
    const reading = readDesign(migrate(knife, version), `variants[${i}].knife`);
    if (!reading.ok) return reading;
    variants.push({ name, design: reading.design });
  }
  return { ok: true, design, variants };
}

function problemsOf(error: z.core.$ZodError, at: string): Problem[] {
  return error.issues.slice(0, 20).map((issue) => ({
    path: at + issue.path.map((key) => (typeof key === "number" ? `[${key}]` : `.${String(key)}`)).join(""),
    message: issue.message,
    field: fieldProblem(issue),
  }));
}

/** Line and column of so many characters in. */
function placeOf(text: string, at: number): { line: number; column: number } {
  const before = text.slice(0, at).split("\n");
  return { line: before.length, column: before[before.length - 1].length + 1 };
}
