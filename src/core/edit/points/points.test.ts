import { produce } from "immer";
import { describe, expect, it } from "vitest";
import { valueAt } from "@/core/base/record/path";
import { CONSTRUCTIONS } from "@/core/knife/design/constructions.fixtures";
import { newDesign } from "@/core/knife/design/create";
import { limitsAt } from "@/core/knife/design/limits";
import { type Design, designSchema } from "@/core/knife/design/schema";
import type { Draft } from "../draft";
import { planPoints, sidePoints } from "./pointsOf";
import type { BenchPoint } from "./types";

/** Every point of a step on both views; leaning joints show theirs once they are picked out. */
const STEPS = ["blade", "tang", "handle", "guard", "pins"];

function pointsOf(design: Design, step: string): BenchPoint[] {
  const plain = [...sidePoints(design, step, null), ...planPoints(design, step)];
  const leans = plain.flatMap((p) => sidePoints(design, step, p.id).filter((q) => q.id === `${p.id}-lean`));
  return [...plain, ...leans];
}

const moved = (design: Design, p: BenchPoint, to: { x: number; y: number }): Design =>
  produce(design, (d: unknown) => p.move(d as Draft<Design>, to));

/** All numbers of a design, in order. */
function numbers(value: unknown): number[] {
  if (typeof value === "number") return [value];
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(numbers) : [];
}

const DESIGNS = Object.entries({ ...CONSTRUCTIONS, plain: newDesign("Sedge") });

describe.each(DESIGNS)("points of: %s", (_, design) => {
  it("put down where they stand change nothing, anywhere else leave a design that a file can hold", () => {
    for (const step of STEPS) {
      for (const p of pointsOf(design, step)) {
        const same = numbers(moved(design, p, p.at));
        const worst = Math.max(...numbers(design).map((n, i) => Math.abs(n - same[i])));
        // Leans are whole degrees, everything else is exact to a ten-thousandth.
        expect(worst, `${step} ${p.id}`).toBeLessThan(p.id.endsWith("-lean") ? 0.51 : 2e-4);
        for (const to of [
          { x: p.at.x + 3, y: p.at.y + 2 },
          { x: -900, y: -400 },
          { x: 2000, y: 500 },
        ])
          expect(designSchema.safeParse(moved(design, p, to)).success, `${step} ${p.id}`).toBe(true);
      }
    }
  });

  it("have numbers of their own, within their limits", () => {
    const ids = STEPS.flatMap((step) => pointsOf(design, step).map((p) => `${step} ${p.id}`));
    expect(new Set(ids).size).toBe(ids.length);
    for (const step of STEPS) {
      for (const p of pointsOf(design, step)) {
        for (const f of p.fields) {
          const mm = valueAt(design, f.path);
          expect(mm, f.path).toBeTypeOf("number");
          const limits = limitsAt(design, f.path);
          expect(limits, f.path).not.toBeNull();
          const { low, high } = limits as NonNullable<typeof limits>;
          expect((mm as number) >= low && (mm as number) <= high, `${f.path} ${mm}`).toBe(true);
        }
      }
    }
  });

  it("that can be taken out are gone", () => {
    for (const step of STEPS) {
      for (const p of pointsOf(design, step)) {
        const { remove } = p;
        if (!remove) continue;
        const without = produce(design, (d: unknown) => remove(d as Draft<Design>));
        expect(designSchema.safeParse(without).success, p.id).toBe(true);
        const alone = design.handle.kind === "stack" && design.handle.pieces.length === 1;
        if (!alone) expect(pointsOf(without, step).some((q) => q.id === p.id && same(q, p))).toBe(false);
      }
    }
  });
});

/** Whether two points are of the same thing at the same place: ids by number are handed down. */
function same(a: BenchPoint, b: BenchPoint): boolean {
  return a.at.x === b.at.x && a.at.y === b.at.y;
}

describe("a point dragged", () => {
  it("stands where it was put: tang's end, guard's end, joint, ring", () => {
    const cases: [string, string, string, { x: number; y: number }][] = [
      ["hidden tang, drilled hole", "tang", "bar-end", { x: -60, y: 1.5 }],
      ["guard: s-curve", "guard", "guard-top", { x: -12, y: 30 }],
      ["segmented scales", "handle", "j-1", { x: -44, y: 0 }],
      ["metal grip with finger rings", "handle", "r-1", { x: -28, y: -25 }],
      ["plain", "blade", "heel", { x: 14, y: -17 }],
    ];
    for (const [name, step, id, to] of cases) {
      const design = Object.fromEntries(DESIGNS)[name];
      const p = pointsOf(design, step).find((q) => q.id === id);
      if (!p) throw new Error(`${name}: no ${id}`);
      const after = pointsOf(moved(design, p, to), step).find((q) => q.id === id);
      expect(after?.at.x, name).toBeCloseTo(to.x, 3);
      expect(after?.at.y, name).toBeCloseTo(to.y, 3);
    }
  });
});
