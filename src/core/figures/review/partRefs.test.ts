import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import type { Design } from "../../knife/design/schema";
import { leversOf } from "../tune/levers";
import { weigh } from "../weigh/weigh";
import {
  overlaps,
  partLoops,
  partRefOf,
  partRefOfItem,
  partRefsOfChange,
  partRefsOfFinding,
  pickable,
} from "./partRefs";
import { reviewDesign } from "./reviewDesign";
import { TRIPS } from "./trips.fixtures";

const sound = newDesign("Sedge");
const ALL: (readonly [string, Design])[] = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)];

describe("what a row, a finding or a change refers to", () => {
  it("is a part by its id, both sides of it, or all of its kind", () => {
    expect(partRefOf({ kind: "scale", number: null, side: "left" })).toBe("scale");
    expect(partRefOf({ kind: "bolster", sort: "rear", side: "pair" })).toBe("bolster:rear");
    expect(overlaps("fastener:pin-1", "fastener")).toBe(true);
    expect(overlaps("fastener:pin-1", "fastener:pin-12")).toBe(false);
    expect(partRefOfItem(sound, { kind: "fastener", sort: "pin", number: 2 })).toBe("fastener:pin-2");
    expect(partRefOfItem(sound, { kind: "hole", number: 9 })).toBeNull();
  });

  it("has an outline where the part is", () => {
    const [loop, ...more] = partLoops(sound, "fastener:pin-1");
    expect(more).toEqual([]);
    const xs = loop.map((p) => p.x);
    const pin = sound.fasteners[0];
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(pin.diameterMm, 3);
    expect((Math.max(...xs) + Math.min(...xs)) / 2).toBeCloseTo(pin.xMm, 3);
    expect(partLoops(sound, "fastener")).toHaveLength(sound.fasteners.length);
    expect(partLoops(sound, "nothing")).toEqual([]);
  });

  it.each(ALL)("%s: every part that is weighed and shows can be picked, each by one name", (_, design) => {
    const picks = pickable(design).map((p) => p.partRef);
    expect(new Set(picks).size).toBe(picks.length);
    expect(picks).toContain("blade");
    for (const f of design.fasteners) expect(picks).toContain(`fastener:${f.id}`);
    const weighing = weigh(design);
    if (!weighing.ok) return;
    for (const { key } of weighing.report.parts)
      if (["guard", "scale", "bolster", "piece"].includes(key.kind)) expect(picks).toContain(partRefOf(key));
  });

  it.each(ALL)("%s: every lever says which parts it changes", (_, design) => {
    for (const lever of leversOf(design)) {
      const next = [lever.step, -lever.step].map((by) => lever.apply(design, by)).find((d) => d !== null);
      // A step that finds no place changes nothing.
      if (!next || next === design) continue;
      const partRefs = partRefsOfChange(design, next);
      expect(partRefs.length, lever.id).toBeGreaterThan(0);
      expect(
        partRefs.flatMap((s) => partLoops(design, s)).length,
        `${lever.id} marks ${partRefs.join(" ")}`,
      ).toBeGreaterThan(0);
    }
  });

  it("of a change is what it changes, and nothing else", () => {
    const thicker = { ...sound, blade: { ...sound.blade, spineMm: 5 } };
    expect(partRefsOfChange(sound, thicker)).toEqual(["blade"]);
    const moved = { ...sound, fasteners: sound.fasteners.map((f, i) => (i === 1 ? { ...f, xMm: -70 } : f)) };
    expect(partRefsOfChange(sound, moved)).toEqual(["fastener:pin-2"]);
    expect(partRefsOfChange(sound, { ...sound, notes: "Oiled." })).toEqual([]);
  });

  // What is said of the knife as a whole, of its hand, its glue or the order of work, is at no part of it.
  const OF_THE_WHOLE = [
    "guard-before-holes",
    "tang-before-hardening",
    "held-for-good",
    "handle-short-for-hand",
    "glue-sets-too-soon",
    "wood-moves",
    "metals-differ",
    "outside-target",
  ];

  it.each(Object.entries(TRIPS))("%s: a finding has a part or a place to mark", (rule, design) => {
    const finding = reviewDesign(design, true).findings.find((f) => f.rule === rule)!;
    const marks = partRefsOfFinding(design, finding).flatMap((s) => partLoops(design, s)).length;
    const marked = marks > 0 || finding.at !== null;
    if (!OF_THE_WHOLE.includes(rule)) expect(marked).toBe(true);
  });
});
