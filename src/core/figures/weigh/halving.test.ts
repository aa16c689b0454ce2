import { describe, expect, it } from "vitest";
import { seeded } from "../../../../faults/random";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { mutated } from "../../knife/design/mutated.fixtures";
import type { Design } from "../../knife/design/schema";
import { DEFAULT_FINENESS, integrate } from "./integrate";
import { sumOfMoments } from "./moments";

/** No part changes by more than so when every panel is halved: a share of it, or mm³ of a small one. */
const SHARE = 1e-5;
const SMALL_MM3 = 1e-3;
/** Nor does the middle of all of them move farther along the knife, mm. */
const MIDDLE_MM = 0.005;
/** Random changes of each design that are looked at. */
const CHANGES = 1;

const BASES: readonly (readonly [string, Design])[] = [...Object.entries(CONSTRUCTIONS), ...DEMO_KNIVES];

/** What a part's volume changes by when its panels are halved, beyond what it may. */
function moved(design: Design): string[] {
  const assembly = assemble(design);
  const usual = integrate(assembly);
  const halved = integrate(assembly, { ...DEFAULT_FINENESS, split: 2 });
  const byId = new Map<string, [number, number]>();
  assembly.parts.forEach(({ id }, i) => {
    const [a, b] = byId.get(id) ?? [0, 0];
    byId.set(id, [a + usual[i].v, b + halved[i].v]);
  });
  const parts = [...byId].flatMap(([id, [a, b]]) =>
    Math.abs(a - b) <= Math.max(SHARE * b, SMALL_MM3) ? [] : [`${id}: ${a} against ${b}`],
  );
  const [one, two] = [usual, halved].map((moments) => {
    const all = sumOfMoments(moments);
    return all.originX + all.x / all.v;
  });
  return Math.abs(one - two) < MIDDLE_MM ? parts : [...parts, `the middle: ${one} against ${two}`];
}

describe("halving every panel changes no part", () => {
  it.each(BASES)("%s, and random changes of it", (name, base) => {
    const random = seeded([...name].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 1_000_003, 7));
    for (let k = 0; k <= CHANGES; k++) {
      const design = k === 0 ? base : mutated(base, random);
      if (design) expect(moved(design), k === 0 ? "" : JSON.stringify(design)).toEqual([]);
    }
  });
});
