import { describe, expect, it } from "vitest";
import { putAt, valueAt } from "../../base/record/path";
import { CONSTRUCTIONS } from "./constructions.fixtures";
import { isFull, limitsAt, mostAt } from "./limits";
import { designSchema } from "./schema";

/** Paths of all numbers in a value. */
function numbersIn(value: unknown, path: string[] = []): string[] {
  if (typeof value === "number") return [path.join(".")];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner, [...path, key]));
}

/** Paths of all lists in a value. */
function listsIn(value: unknown, path: string[] = []): string[] {
  if (typeof value !== "object" || value === null) return [];
  return [
    ...(Array.isArray(value) ? [path.join(".")] : []),
    ...Object.entries(value).flatMap(([key, inner]) => listsIn(inner, [...path, key])),
  ];
}

/** A copy with an id of its own, where it has one. */
const named = (value: unknown, i: number) =>
  typeof value === "object" && value !== null && "id" in value ? { ...value, id: `n-${i}` } : value;

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

  it.each(Object.entries(CONSTRUCTIONS))(
    "%s: the schema holds every list to the length that is told of it",
    (_, design) => {
      const lists = new Map(listsIn(design).map((p) => [p.replace(/\.\d+/g, ".n"), p]));
      for (const path of lists.values()) {
        const most = mostAt(design, path);
        const list = valueAt(design, path) as unknown[];
        expect(most, path).not.toBeNull();
        expect(isFull(design, path)).toBe(list.length >= most!);
        if (list.length === 0) continue;
        const filled = (count: number) => {
          const other = structuredClone(design);
          putAt(
            other,
            path,
            Array.from({ length: count }, (_, i) => named(list[i % list.length], i)),
          );
          return other;
        };
        const tooLong = (count: number) =>
          designSchema
            .safeParse(filled(count))
            .error?.issues.some((i) => i.code === "too_big" && i.path.join(".") === path) ?? false;
        expect(isFull(filled(most!), path), path).toBe(true);
        expect([tooLong(most!), tooLong(most! + 1)], path).toEqual([false, true]);
      }
    },
  );

  it("has the length of a text, and none of what is neither", () => {
    const [, design] = Object.entries(CONSTRUCTIONS)[0];
    expect(mostAt(design, "names.any")).toBe(40);
    expect(mostAt(design, "blade.marks.0.says")).toBe(80);
    expect(mostAt(design, "blade.lengthMm")).toBeNull();
    expect(mostAt(design, "no.such.path")).toBeNull();
    expect(isFull(design, "no.such.path")).toBe(false);
  });
});
