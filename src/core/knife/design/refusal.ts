import type * as z from "zod/mini";
import { own } from "../../base/own";
import { type FieldProblem, fieldProblem } from "./problem";
import { type Design, designSchema } from "./schema";

/** Every field of a record with its limits. */
export interface RecordSchema {
  readonly shape: Readonly<Record<string, z.ZodMiniType>>;
}

/** Parts of records that were found sound, by the field that they stand in. Records never change: each is read once. */
const sound = new WeakMap<z.ZodMiniType, WeakSet<object>>();

/** The first thing that keeps a record from being kept, or null. Reads only what was not read before. */
export function recordRefusal({ shape }: RecordSchema, record: object): FieldProblem | null {
  const foreign = Object.keys(record).find((key) => !Object.hasOwn(shape, key));
  if (foreign !== undefined) return { keys: [], complaint: { code: "foreign", fields: [foreign] } };
  for (const [key, field] of Object.entries(shape)) {
    const value: unknown = own(record as Readonly<Record<string, unknown>>, key);
    const part = typeof value === "object" && value !== null ? value : null;
    if (part && sound.get(field)?.has(part)) continue;
    const read = field.safeParse(value);
    if (!read.success) {
      const { keys, complaint } = fieldProblem(read.error.issues[0]);
      return { keys: [key, ...keys], complaint };
    }
    if (!part) continue;
    const known = sound.get(field) ?? new WeakSet();
    sound.set(field, known.add(part));
  }
  return null;
}

/** The same of a knife with a fixed blade. */
export const refusalOf = (design: Design): FieldProblem | null => recordRefusal(designSchema, design);
