import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "./constructions.fixtures";
import { limitsAt } from "./limits";
import { putAt, valueAt } from "./path";
import { designSchema } from "./schema";

/** Paths of all numbers in a value. */
function numbersIn(value: unknown, path: string[] = []): string[] {
  if (typeof value === "number") return [path.join(".")];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner, [...path, key]));
}

describe("limits of a design's numbers", () => {
  const { low, high } = { low: "the least is kept, less is not", high: "the most is kept, more is not" };
  const isKept = (design: unknown) => designSchema.safeParse(design).success;

  it.each(Object.entries(CONSTRUCTIONS))(
    "%s: every number has them, and the schema holds just those",
    (_, design) => {
      // What a design says in several places alike is tried once.
      const paths = new Map(numbersIn(design).map((p) => [p.replace(/\.\d+/g, ".n"), p]));
      for (const path of paths.values()) {
        // Limits of rules and minutes of tasks are a maker's own entries.
        if (/^(fitUp\.limits|work\.minutes)/.test(path)) continue;
        const limits = limitsAt(design, path);
        if (!limits && /facets$/.test(path)) continue;
        expect(limits, path).not.toBeNull();
        const tried = (value: number) => {
          const other = structuredClone(design);
          expect(putAt(other, path, value), path).toBe(true);
          // A window stays one: its other end goes along.
          const [of, end] = [path.slice(0, path.lastIndexOf(".")), path.slice(path.lastIndexOf(".") + 1)];
          if (end === "low") putAt(other, `${of}.high`, Math.max(limits!.low, Math.min(limits!.high, value)));
          if (end === "high") putAt(other, `${of}.low`, Math.max(limits!.low, Math.min(limits!.high, value)));
          return isKept(other);
        };
        if (!limits) continue;
        expect(valueAt(design, path)).toBeGreaterThanOrEqual(limits.low);
        expect(valueAt(design, path)).toBeLessThanOrEqual(limits.high);
        expect([tried(limits.low), tried(limits.low - 1)], `${path}: ${low}`).toEqual([true, false]);
        expect([tried(limits.high), tried(limits.high + 1)], `${path}: ${high}`).toEqual([true, false]);
      }
    },
  );

  it("are none where no number is", () => {
    const design = CONSTRUCTIONS["framed tang"];
    expect(limitsAt(design, "blade.steel")).toBeNull();
    expect(limitsAt(design, "tang.end.headMm")).toBeNull();
    expect(limitsAt(design, "no.such.place")).toBeNull();
  });
});
