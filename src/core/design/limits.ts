import * as z from "zod";
import { type Design, designSchema } from "./schema";

/** The least and the most that a number of a record may be. */
export interface Limits {
  readonly low: number;
  readonly high: number;
}

/** The schema itself of what may be null, or left out. */
function bare(schema: unknown): unknown {
  return schema instanceof z.ZodNullable || schema instanceof z.ZodOptional ? bare(schema.unwrap()) : schema;
}

/** Of several kinds the one that a value is of; null where it is of none. */
function ofKind(schema: unknown, value: unknown): unknown {
  const plain = bare(schema);
  if (!(plain instanceof z.ZodDiscriminatedUnion)) return plain;
  const kind = (value as { kind?: unknown } | null | undefined)?.kind;
  return (
    plain.options.find((option) => {
      const told = option instanceof z.ZodObject ? option.shape.kind : null;
      return told instanceof z.ZodLiteral && told.values.has(kind as never);
    }) ?? null
  );
}

/**
 * The limits of the number at a dotted path of a design, such as "guard.plates.0.thicknessMm", as the schema has them;
 * null where the path leads to no number.
 */
export function limitsAt(design: Design, path: string): Limits | null {
  let schema: unknown = designSchema;
  let value: unknown = design;
  for (const key of path.split(".")) {
    const at = ofKind(schema, value);
    if (at instanceof z.ZodObject) schema = at.shape[key];
    else if (at instanceof z.ZodArray) schema = at.element;
    else if (at instanceof z.ZodRecord) schema = at.valueType;
    else return null;
    value = (value as Record<string, unknown> | null | undefined)?.[key];
  }
  const number = bare(schema);
  return number instanceof z.ZodNumber ? limitsOf(number) : null;
}

const known = new WeakMap<z.ZodNumber, Limits>();

/** The same object each time: who shows the limits sees by it that they have not changed. */
function limitsOf(number: z.ZodNumber): Limits | null {
  const before = known.get(number);
  if (before) return before;
  const { minValue, maxValue } = number;
  if (minValue === null || maxValue === null) return null;
  const limits = { low: minValue, high: maxValue };
  known.set(number, limits);
  return limits;
}
