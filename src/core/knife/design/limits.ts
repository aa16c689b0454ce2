import type * as z from "zod/mini";
import { own } from "../../base/own";
import { valueAt } from "../../base/record/path";
import { type Design, designSchema } from "./schema";

/** The least and the most that a number of a record may be. */
export interface Limits {
  readonly low: number;
  readonly high: number;
}

type Schema = z.core.$ZodTypes;

/** The schema itself of what may be null, or left out. */
function bare(schema: Schema): Schema {
  const { def } = schema._zod;
  return def.type === "nullable" || def.type === "optional" ? bare(def.innerType as Schema) : schema;
}

/** Of several kinds the one that a value is of; null where it is of none. */
function ofKind(schema: Schema, value: unknown): Schema | null {
  const plain = bare(schema);
  const { def } = plain._zod;
  if (def.type !== "union") return plain;
  const kind = (value as { kind?: unknown } | null | undefined)?.kind;
  const found = (def.options as Schema[]).find(({ _zod: { def: option } }) => {
    if (option.type !== "object") return false;
    const literal = (option.shape.kind as Schema | undefined)?._zod.def;
    return literal?.type === "literal" && literal.values.includes(kind as never);
  });
  return found ?? null;
}

/**
 * The limits of the number at a dotted path of a design, such as "guard.plates.0.thicknessMm", as the schema has them;
 * null where the path leads to no number.
 */
export const limitsAt = (design: Design, path: string): Limits | null => limitsIn(designSchema, design, path);

/** The same of any record with its schema. */
export function limitsIn(of: z.ZodMiniType, record: unknown, path: string): Limits | null {
  const schema = schemaAt(of, record, path);
  return schema && limitsOf(schema);
}

/** How long the list or the text at a dotted path of a design may be; null where the path leads to neither. */
export function mostAt(design: Design, path: string): number | null {
  const checks = schemaAt(designSchema, design, path)?._zod.def.checks ?? [];
  const found = checks
    .map((c) => c._zod.def as z.core.$ZodChecks["_zod"]["def"])
    .find((c) => c.check === "max_length");
  return found && "maximum" in found ? found.maximum : null;
}

/** Whether the list at a dotted path of a design takes nothing more. */
export function isFull(design: Design, path: string): boolean {
  const [list, most] = [valueAt(design, path), mostAt(design, path)];
  return most !== null && Array.isArray(list) && list.length >= most;
}

/** The schema of what stands at a path, without its being null or left out. */
function schemaAt(of: z.ZodMiniType, record: unknown, path: string): Schema | null {
  let schema = of as unknown as Schema | undefined;
  let value: unknown = record;
  for (const key of path.split(".")) {
    const at = schema && ofKind(schema, value);
    if (!at) return null;
    const { def } = at._zod;
    if (def.type === "object") schema = own(def.shape, key) as Schema | undefined;
    else if (def.type === "array") schema = def.element as Schema;
    else if (def.type === "record") schema = def.valueType as Schema;
    else return null;
    value = own(value as Record<string, unknown> | null | undefined, key);
  }
  return schema ? bare(schema) : null;
}

const known = new WeakMap<object, Limits>();

/** The same object each time: who shows the limits sees by it that they have not changed. */
function limitsOf(schema: Schema): Limits | null {
  const before = known.get(schema);
  if (before) return before;
  const { def } = schema._zod;
  if (def.type !== "number") return null;
  const of = (check: "greater_than" | "less_than"): number | undefined => {
    const found = def.checks
      ?.map((c) => c._zod.def as z.core.$ZodChecks["_zod"]["def"])
      .find((c) => c.check === check);
    return found && "value" in found ? Number(found.value) : undefined;
  };
  const [low, high] = [of("greater_than"), of("less_than")];
  if (low === undefined || high === undefined) return null;
  const limits = { low, high };
  known.set(schema, limits);
  return limits;
}
