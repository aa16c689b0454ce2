import { describe, expect, it } from "vitest";
import { valueAt } from "../../base/record/path";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { markOf } from "../../knife/design/marks";
import { type Design, designSchema, type Fastener } from "../../knife/design/schema";
import { checkDesign } from "../../knife/validity/checkDesign";
import { figuresOf } from "../tune/effects";
import { applyFix } from "./fixes";
import { RULES, reviewDesign } from "./reviewDesign";
import { inWood, pinAt, pins, sound, TRIPS } from "./trips.fixtures";

const errorsOf = (design: Design) => checkDesign(design).filter((f) => f.severity === "error");

const knives = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)].filter(([, d]) => errorsOf(d).length === 0);

/** The same knife under limits that are a share of the usual ones: more stands against it, to one side or the other. */
function strict(design: Design, share: number): Design {
  const limits = Object.fromEntries(
    RULES.filter((r) => r.unit === "mm" || r.unit === "diameters").map((r) => [r.code, r.limit * share]),
  );
  return { ...design, fitUp: { ...design.fitUp, limits } };
}

/** The same with the place of every fastener and every height of the tang locked. */
function placesLocked(design: Design): Design {
  const paths = design.fasteners.flatMap((_, i) => [`fasteners.${i}.xMm`, `fasteners.${i}.yMm`]);
  const tang = design.tang.kind === "full" ? [] : ["tang.yMm", "tang.frontHeightMm", "tang.endHeightMm"];
  return { ...design, locked: [...paths, ...tang].map((path) => markOf(design, path)) };
}

const WAYS: readonly ((name: string, design: Design) => [string, Design])[] = [
  (name, design) => [name, design],
  (name, design) => [`${name}, leniently`, strict(design, 0.6)],
  (name, design) => [`${name}, strictly, its places locked`, placesLocked(strict(design, 1.6))],
];

const cases: [string, Design][] = [
  ...knives.map(([name, design]): [string, Design] => [`${name}, strictly`, strict(design, 1.6)]),
  // Each demo knife in one more way, each way of every third knife.
  ...DEMO_KNIVES.map(([name, design], i): [string, Design] => WAYS[i % WAYS.length](name, design)),
];
const offered = new Set<string>();

/** What stands against a knife, but for notes on the order of work. */
const standing = (design: Design) =>
  reviewDesign(design, true)
    .findings.filter((f) => f.severity !== "note" || f.rule === "outside-target")
    .map((f) => `${f.rule} ${f.subject}`);

describe("what is offered to fix a finding", () => {
  it.each(cases)("%s: fixes it, and leaves nothing worse", (_, design) => {
    const before = standing(design);
    const now = figuresOf(design);
    for (const { rule, subject, fixes } of reviewDesign(design).findings) {
      for (const { fix, massG, balanceMm } of fixes ?? []) {
        offered.add(rule);
        const why = `${rule} ${subject} ${JSON.stringify(fix)}`;
        const fixed = applyFix(design, fix);
        expect(fixed, why).not.toBe(design);
        expect(designSchema.safeParse(fixed).success, why).toBe(true);
        expect(errorsOf(fixed), why).toEqual([]);
        const after = standing(fixed);
        expect(after, why).not.toContain(`${rule} ${subject}`);
        expect(
          after.filter((f) => !before.includes(f)),
          why,
        ).toEqual([]);
        // What it says that it does, it does.
        const then = figuresOf(fixed);
        expect(massG, why).toBeCloseTo((then?.massG ?? 0) - (now?.massG ?? 0), 6);
        expect(balanceMm, why).toBeCloseTo((then?.balanceMm ?? 0) - (now?.balanceMm ?? 0), 6);
        // What was measured stays, and what is locked.
        const lockedOf = (d: Design) =>
          d.locked.map((lock) => {
            const [, id, key] = /#([^.]+)\.(\w+)$/.exec(lock) ?? [];
            return id ? d.fasteners.find((f) => f.id === id)?.[key as "xMm"] : valueAt(d, lock);
          });
        expect(lockedOf(fixed), why).toEqual(lockedOf(design));
        if (design.blade.measured) expect(fixed.blade, why).toEqual(design.blade);
      }
    }
  });

  it("was of many kinds", () => {
    expect(offered.size, [...offered].join(" ")).toBeGreaterThan(12);
  });

  it("is none of what its maker has locked, and tells what it sets from what", () => {
    const design = TRIPS["edge-in-wood"];
    const of = (d: Design) => reviewDesign(d).findings.find((f) => f.rule === "edge-in-wood");
    const offers = of(design)?.fixes ?? [];
    expect(offers.map((o) => o.changes.map((c) => c.path.replace(/^.*\./, "")))).toEqual([
      ["yMm"],
      ["diameterMm"],
    ]);
    expect(offers[1].changes[0]).toEqual({ path: "fasteners.0.diameterMm", from: 4, to: 3 });
    const lock = markOf(design, "fasteners.0.diameterMm");
    expect(lock).toBe("fasteners.#pin-1.diameterMm");
    const locked = of({ ...design, locked: [lock] })?.fixes ?? [];
    expect(locked).toEqual(offers.slice(0, 1));
    const all = [lock, "fasteners.#pin-1.yMm", "fasteners.#pin-1.xMm"];
    expect(of({ ...design, locked: all })?.fixes).toEqual([]);
  });

  it("keeps to rods that are sold, of the series that the pin is of", () => {
    const wood = inWood(sound, "walnut-black");
    const thinner = (diameterMm: number) => {
      const pin = { ...pinAt("pin-1", -20, 8), diameterMm } as Fastener;
      const f = reviewDesign(pins(wood, pin, ...sound.fasteners.slice(1))).findings.find(
        (g) => g.rule === "edge-in-wood" && g.subject === "pin-1",
      );
      const offer = f?.fixes?.find((o) => o.changes.some((c) => c.path.endsWith("diameterMm")));
      return offer?.changes[0].to;
    };
    // The edge is 4.9 mm away, twice the diameter: of a quarter of an inch 3/32 is left, of six millimetres two and a half.
    expect(thinner(6.35)).toBeCloseTo((3 / 32) * 25.4, 3);
    expect(thinner(6)).toBe(2.5);
  });
});
