import type { Random } from "../../../../faults/random";
import { checkDesign } from "../validity/checkDesign";
import { type Design, designSchema } from "./schema";

/** Shares of numbers that are changed, and how far: from a touch to another knife. */
const CHANGED = 0.2;
const FACTORS = [0.6, 0.8, 0.95, 1.05, 1.2, 1.6];
const STEPS = [-12, -4, -0.7, 0.7, 4, 12];
const TRIES = 40;

/** A design with some of its numbers changed, within its limits and such that it can be built; null where none is found. */
export function mutated(design: Design, random: Random): Design | null {
  for (let i = 0; i < TRIES; i++) {
    const changed = designSchema.safeParse(changedIn(design, random, i < TRIES / 2 ? CHANGED : CHANGED / 4));
    if (changed.success && checkDesign(changed.data).every((f) => f.severity !== "error"))
      return changed.data;
  }
  return null;
}

function changedIn(value: unknown, random: Random, share: number): unknown {
  if (typeof value === "number") {
    if (random.next() > share) return value;
    return random.next() < 0.5 ? value * random.of(FACTORS) : value + random.of(STEPS);
  }
  if (Array.isArray(value)) return value.map((v) => changedIn(v, random, share));
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(
    // Shapes that come in are what they are; what was measured is no shape, nor what the shop has.
    Object.entries(value).map(([k, v]) => [
      k,
      k === "meshes" || k === "measured" || k === "workshop" ? v : changedIn(v, random, share),
    ]),
  );
}
