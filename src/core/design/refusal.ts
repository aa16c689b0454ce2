import { type FieldProblem, fieldProblem } from "./problem";
import { type Design, designSchema } from "./schema";

type Key = keyof Design;

/** Parts of designs that were found sound, by the field that they stand in. Designs never change: each is read once. */
const sound = new Map<Key, WeakSet<object>>();
const FIELDS = Object.keys(designSchema.shape) as Key[];

/** The first thing that keeps a design from being recorded, or null. Reads only what was not read before. */
export function refusalOf(design: Design): FieldProblem | null {
  const foreign = Object.keys(design).find((key) => !FIELDS.includes(key as Key));
  if (foreign !== undefined) return { keys: [], complaint: { code: "foreign", fields: [foreign] } };
  for (const key of FIELDS) {
    const value: unknown = design[key];
    const part = typeof value === "object" && value !== null ? value : null;
    if (part && sound.get(key)?.has(part)) continue;
    const read = designSchema.shape[key].safeParse(value);
    if (!read.success) {
      const { keys, complaint } = fieldProblem(read.error.issues[0]);
      return { keys: [key, ...keys], complaint };
    }
    if (!part) continue;
    if (!sound.has(key)) sound.set(key, new WeakSet());
    sound.get(key)?.add(part);
  }
  return null;
}
