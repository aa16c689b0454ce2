import { describe, expect, it } from "vitest";
import { compared } from "@/core/base/compared";
import { newDesign } from "@/core/knife/design/create";
import { digestOf } from "@/store/digests";
import type { RackFigures } from "@/store/rackFigures";
import { needsDigests, ORDERS, type RackView, shownIds, WHOLE_RACK } from "./order";

const knife = (
  name: string,
  change: (d: ReturnType<typeof newDesign>) => object = () => ({}),
  updatedAt = 1,
) => {
  const design = newDesign(name);
  return digestOf({ design: { ...design, ...change(design) }, updatedAt });
};
// Newest first, as the rack gives them.
const IDS = ["d", "c", "b", "a"];
const DIGESTS = new Map([
  ["a", knife("Ash 10", (d) => ({ job: { ...d.job, state: "finished" }, notes: "for the Éclat stall" }), 5)],
  ["b", knife("ash 9", (d) => ({ job: { ...d.job, state: "in-work", customer: "Tern" } }), 9)],
  ["c", knife("Birch", (d) => ({ use: { ...d.use, kind: "fillet" } }), 7)],
  ["d", knife("Cedar", () => ({}), 3)],
]);
const KNOWN = new Map([
  ["a", { massG: 200, balanceMm: 5 }],
  ["b", { massG: 100, balanceMm: -5 }],
  ["c", { massG: null, balanceMm: null }],
]) as unknown as RackFigures["known"];
const shown = (view: Partial<RackView>) => shownIds(IDS, { ...WHOLE_RACK, ...view }, DIGESTS, KNOWN);

describe("the rack", () => {
  it.each([
    ["newest", ["d", "c", "b", "a"]],
    ["changed", ["b", "c", "a", "d"]],
    ["name", ["b", "a", "c", "d"]],
    ["weight", ["b", "a", "d", "c"]],
    ["balance", ["b", "a", "d", "c"]],
    ["state", ["b", "d", "c", "a"]],
  ] as const)("is ordered by %s; what is not known stands last, what is alike as it was", (order, ids) => {
    expect(shown({ order })).toEqual(ids);
  });

  it("has every order", () => {
    for (const order of ORDERS) expect([...shown({ order })].sort()).toEqual(["a", "b", "c", "d"]);
  });

  it("is searched by every word, in names, notes, customers and materials, whatever case and accents", () => {
    expect(shown({ search: "ASH" })).toEqual(["b", "a"]);
    expect(shown({ search: "eclat" })).toEqual(["a"]);
    expect(shown({ search: "tern ash" })).toEqual(["b"]);
    expect(shown({ search: "brass cedar" })).toEqual(["d"]);
    expect(shown({ search: "tern cedar" })).toEqual([]);
    expect(shown({ search: "   " })).toHaveLength(4);
  });

  it("is filtered by state and by use", () => {
    expect(shown({ state: "in-work" })).toEqual(["b"]);
    expect(shown({ use: "fillet" })).toEqual(["c"]);
    expect(shown({ use: "fillet", state: "finished" })).toEqual([]);
  });

  it("reads the knives only where names, words or states are asked for", () => {
    expect(needsDigests(WHOLE_RACK)).toBe(false);
    expect(needsDigests({ ...WHOLE_RACK, order: "weight" })).toBe(false);
    expect(needsDigests({ ...WHOLE_RACK, search: "x" })).toBe(true);
    expect(needsDigests({ ...WHOLE_RACK, state: "gone" })).toBe(true);
  });
});

describe("what a knife is searched by", () => {
  it("is read of a damaged record as far as it goes", () => {
    expect(digestOf({ design: null, updatedAt: 4 })).toEqual({
      name: "",
      use: null,
      state: null,
      updatedAt: 4,
      text: "\n\n",
    });
    expect(
      digestOf({ design: { name: "Half", job: 3, handle: [[["brass-360"]]] }, updatedAt: 1 }),
    ).toMatchObject({
      name: "Half",
      state: null,
      text: expect.stringContaining("brass"),
    });
  });

  it("is compared in small letters without accents", () => {
    expect(compared("Épée ÄØ")).toBe("epee aø");
  });
});
