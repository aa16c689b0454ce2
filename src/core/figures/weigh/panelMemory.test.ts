import { describe, expect, it } from "vitest";
import { sameData } from "../../base/sameData";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import type { Design } from "../../knife/design/schema";
import { integrate, DEFAULT_FINENESS as usual } from "./integrate";
import { PanelMemory } from "./panelMemory";

type Path = readonly (string | number)[];

/** Where the numbers of a record stand. */
function numbersIn(value: unknown, path: Path = []): Path[] {
  if (typeof value === "number") return [path];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, v]) => numbersIn(v, [...path, key]));
}

/** The record with another number at a place; whether anybody could build it is of no concern. */
function nudged(design: Design, path: Path): Design {
  const next = structuredClone(design);
  let at = next as unknown as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as typeof at;
  const last = path[path.length - 1];
  const was = at[last] as number;
  at[last] = Number.isInteger(was) && /facets|count|number/i.test(String(last)) ? was : was * 1.01 + 0.013;
  return next;
}

const all = Object.entries(CONSTRUCTIONS);
/** Every number of a record is changed in so many constructions, where it stands in as many, far apart in their list. */
const TRIED_IN = 4;

/** The places to be changed, by construction: of a list the first that stands in it. */
const PLACES = (() => {
  const found = new Map<string, { name: string; path: Path }[]>();
  for (const [name, design] of all) {
    const here = new Map<string, Path>();
    for (const path of numbersIn(design)) {
      const number = path.filter((key) => typeof key === "string" && !/^\d+$/.test(key)).join(".");
      if (!here.has(number)) here.set(number, path);
    }
    for (const [number, path] of here) found.set(number, [...(found.get(number) ?? []), { name, path }]);
  }
  const chosen = new Map<string, Path[]>(all.map(([name]) => [name, []]));
  for (const at of found.values())
    for (let i = 0; i < Math.min(TRIED_IN, at.length); i++) {
      const { name, path } = at[Math.floor((i * at.length) / Math.min(TRIED_IN, at.length))];
      chosen.get(name)?.push(path);
    }
  return chosen;
})();

const afresh = (design: Design) => integrate(assemble(design));
const remembering = (design: Design, memory: PanelMemory) =>
  integrate(assemble(design), usual, undefined, memory);

describe("what was integrated before", () => {
  it.each(all)("%s: is taken over to the last digit, whichever number was changed", (name, design) => {
    const memory = new PanelMemory();
    expect(remembering(design, memory)).toEqual(afresh(design));
    memory.hold();
    for (const path of PLACES.get(name) ?? []) {
      const changed = nudged(design, path);
      expect(remembering(changed, memory), path.join(".")).toEqual(afresh(changed));
    }
  });

  it("is taken over from edit to edit, and from one knife to another", () => {
    const memory = new PanelMemory();
    for (const [, design] of all.slice(0, 24)) {
      let now = design;
      for (const path of numbersIn(design).filter((_, i) => i % 17 === 3)) {
        now = nudged(now, path);
        expect(remembering(now, memory)).toEqual(afresh(now));
      }
    }
  });

  it("is really taken over: a copy is not integrated at all, nor what lies away from a pin that was moved", () => {
    const design = all.map(([, d]) => d).find((d) => d.fasteners.length > 1);
    if (!design) throw new Error("no construction has pins");
    const cutsOf = (of: Design, memory: PanelMemory) => {
      let cuts = 0;
      const assembly = assemble(structuredClone(of));
      const regions = assembly.regions.map((region) => ({
        ...region,
        sliceAt: (x: number) => {
          cuts++;
          return region.sliceAt(x);
        },
      }));
      integrate({ ...assembly, regions }, usual, undefined, memory);
      return cuts;
    };
    const memory = new PanelMemory();
    const whole = cutsOf(design, memory);
    expect(whole).toBeGreaterThan(100);
    expect(cutsOf(design, memory)).toBe(0);
    const moved = nudged(design, ["fasteners", 0, "xMm"]);
    expect(cutsOf(moved, memory)).toBeLessThan(whole / 2);
  });
});

describe("plain data", () => {
  it("is the same where all of it is", () => {
    expect(sameData([1, { a: [Number.NaN, null, "x"] }], [1, { a: [Number.NaN, null, "x"] }])).toBe(true);
    for (const [a, b] of [
      [1, 2],
      [0, -0],
      [[1], [1, 2]],
      [{ a: 1 }, { a: 1, b: 2 }],
      [{ a: undefined }, { b: undefined }],
      [[], {}],
      [null, {}],
      [() => 1, () => 1],
    ])
      expect(sameData(a, b)).toBe(false);
  });
});
