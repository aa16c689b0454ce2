import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { activeTogetherMin } from "@/core/schedule/operations";
import type { Design } from "../knife/design/schema";
import { withBlankOf } from "../line/blankOf";
import { lineRecord } from "../line/line";
import { blankDifferences } from "../plan/contradictions";
import { factsOf } from "../plan/cutFacts";
import { newPlan } from "../plan/newPlan";
import { planOf } from "../plan/planOf";
import { withDone, withPieceDone } from "../plan/progress";
import { planState } from "../plan/state";
import type { Lot } from "../shelf/lot";
import { gradeShared, lineFigures } from "./lineFigures";

const demo = (name: string): Design => JSON.parse(readFileSync(`demo/${name}.json`, "utf8")).knife;
const heath = () => demo("heath-field-knife");
const SHOP = {
  currency: "cr",
  ratePerHour: 30,
  prices: { "steel-1084": { by: "weight", perKg: 12 } },
} as const;
const USUAL = new Map() as never;

/** The same knife with its first pin elsewhere. */
const moved = (design: Design, byMm: number): Design => ({
  ...design,
  fasteners: design.fasteners.map((f, i) => (i === 0 ? { ...f, xMm: f.xMm + byMm } : f)),
});

describe("a blank that grades share", () => {
  it("differs by what was changed of it, and by nothing else", () => {
    const a = heath();
    const handle = { ...a, handle: { ...a.handle, grooves: [] }, name: "Another" };
    expect(blankDifferences(a, handle)).toEqual([]);
    expect(blankDifferences(moved(a, 2), a)).toMatchObject([{ code: "hole-moved", byMm: 2 }]);
    const thicker = { ...a, blade: { ...a.blade, spineMm: a.blade.spineMm + 0.5 } };
    expect(blankDifferences(thicker, a)).toMatchObject([
      { of: "bar-thickness", nowMm: a.blade.spineMm + 0.5 },
    ]);
    const other = { ...a, blade: { ...a.blade, steel: "steel-52100" } };
    expect(blankDifferences(other, a)).toMatchObject([{ code: "other-material", was: a.blade.steel }]);
  });

  it("is taken from another grade whole, and nothing besides it", () => {
    const a = heath();
    const bronze = moved(a, 2);
    const mine = {
      ...bronze,
      fasteners: bronze.fasteners.map((f) => ({ ...f, material: "brass-c260" })) as never,
    };
    const taken = withBlankOf(mine, a);
    expect(blankDifferences(taken, a)).toEqual([]);
    expect(taken.fasteners.map((f) => f.xMm)).toEqual(a.fasteners.map((f) => f.xMm));
    expect(new Set(taken.fasteners.map((f) => "material" in f && f.material))).toEqual(
      new Set(["brass-c260"]),
    );
    expect(taken.handle).toBe(mine.handle);
    // Steel of the maker's own comes along.
    const lot = { ...a.materials[0], id: "own-lot-bar" } as Design["materials"][number];
    const ofLot = { ...a, materials: [lot], blade: { ...a.blade, steel: lot.id } };
    expect(withBlankOf(heath(), ofLot).materials.map((m) => m.id)).toContain("own-lot-bar");
    expect(withBlankOf(ofLot, ofLot).materials).toHaveLength(1);
    const fewer = { ...a, fasteners: a.fasteners.slice(1) };
    expect(withBlankOf(fewer, a).fasteners).toHaveLength(a.fasteners.length);
  });
});

describe("a line in figures", () => {
  it("costs each piece by its bill, less the work that is saved together", async () => {
    const a = heath();
    const plan = { ...newPlan(), pieces: 3 };
    const line = await lineFigures(
      [
        { design: a, plan: null },
        { design: moved(a, 0), plan },
      ],
      [],
      USUAL,
      SHOP,
      4,
    );
    const bill = line.grades[0]!.bill!;
    expect(line.pieces).toBe(4);
    expect(line.materials).toBeCloseTo(4 * bill.materials, 6);
    expect(line.minutes).toBeCloseTo(4 * bill.minutes, 6);
    expect(line.total).toBeCloseTo(
      4 * (bill.materials + bill.others) + ((4 * bill.minutes - line.savedMin) / 60) * 30,
      6,
    );
    // One hardening of four, by hand: three times what it takes to get ready is saved.
    const { tasks } = planState(planOf(a, newPlan().schools), newPlan(), USUAL);
    const harden = tasks.filter((t) => t.kind === "harden" || t.kind === "temper" || t.kind === "cold");
    const saved = harden.reduce((sum, t) => sum + 4 * t.activeMin - activeTogetherMin([t, t, t, t]), 0);
    expect(line.saved.find((s) => s.kind === "harden")).toEqual({
      kind: "harden",
      tasks: 4,
      goes: 1,
      savedMin: saved,
    });
    expect(line.glueG).toBeGreaterThan(0);
    expect(line.cups).toBeGreaterThanOrEqual(1);
    expect(line.cups).toBeLessThanOrEqual(4);
  });

  it("says null of a grade that cannot be built, and goes on with the others", async () => {
    const a = heath();
    const broken = moved(a, -4000);
    const line = await lineFigures(
      [
        { design: broken, plan: null },
        { design: a, plan: null },
      ],
      [],
      USUAL,
      SHOP,
      1,
    );
    expect(line.grades[0]).toBeNull();
    expect(line.grades[1]!.differs).toEqual([]);
    // Of what cannot be built nothing is known: the next one's blank is the line's.
    expect(line.blankOf).toBe(1);
    expect(line.pieces).toBe(1);
    expect((await lineFigures([{ design: broken, plan: null }], [], USUAL, SHOP, 1)).blankOf).toBeNull();
  });

  it("names every piece that is cut, and which of them a moved hole spoils", async () => {
    const a = heath();
    const cut = (id: string) => ({ at: 1, cut: factsOf(a, { id, kind: id as never, of: null }) });
    let plan = { ...newPlan(), pieces: 3 };
    plan = withDone(plan, "profile", cut("profile"));
    plan = withPieceDone(plan, 2, "profile", cut("profile"));
    plan = withPieceDone(plan, 2, "drill-tang", cut("drill-tang"));
    const { grades } = await lineFigures(
      [
        { design: moved(a, 2), plan },
        { design: a, plan: null },
      ],
      [],
      USUAL,
      SHOP,
      1,
    );
    const shared = await gradeShared(
      [
        { design: moved(a, 2), plan: null },
        { design: a, plan },
      ],
      0,
      [],
    );
    expect(shared!.cutOfOthers).toEqual([{ grade: 1, piece: 2 }]);
    // A handle that is of another wood, cut at a piece, is nothing of its blank's.
    const sawn = withDone(plan, "saw-piece:scale:pair", {
      at: 1,
      cut: [{ kind: "made-of", piece: "scale:pair", material: "ebony-gaboon" }],
    });
    const other = await gradeShared(
      [
        { design: a, plan: null },
        { design: a, plan: sawn },
      ],
      0,
      [],
    );
    expect(other!.cutOfOthers).toEqual([]);
    // The first piece is ground and not drilled yet: it serves.
    expect(grades[0]!.cut).toMatchObject([
      { piece: 0, what: [] },
      { piece: 2, what: [{ code: "hole-moved", byMm: 2 }] },
    ]);
    // The blank of the line is the first one's.
    expect(grades[0]!.differs).toEqual([]);
    expect(grades[1]!.differs).toMatchObject([{ code: "hole-moved", byMm: 2 }]);
  });

  it("names a blank on the shelf that serves for the others and no longer for one", async () => {
    const a = heath();
    const [{ at }] = factsOf(a, { id: "profile", kind: "profile", of: null }).filter(
      (f) => f.kind === "outline",
    );
    const [x0, y0] = [Math.min(...at.map((p) => p.xMm)) - 3, Math.min(...at.map((p) => p.lowMm)) - 3];
    const outline = [
      { x: 0, y: 0 },
      { x: Math.max(...at.map((p) => p.xMm)) + 3 - x0, y: 0 },
      { x: Math.max(...at.map((p) => p.xMm)) + 3 - x0, y: Math.max(...at.map((p) => p.highMm)) + 3 - y0 },
      { x: 0, y: Math.max(...at.map((p) => p.highMm)) + 3 - y0 },
    ];
    const shelf = JSON.parse(readFileSync("demo/shelf/lots.json", "utf8")).lots as Lot[];
    const like = shelf.find((l) => l.shape.form === "piece" && l.shape.outline !== null)!;
    const blank = {
      ...like,
      of: a.blade.steel,
      shape: { ...like.shape, outline, holes: [], lengthMm: 300, heightMm: 60, thicknessMm: a.blade.spineMm },
    } as Lot;
    const both = [
      { design: a, plan: null },
      { design: { ...a, blade: { ...a.blade, spineMm: a.blade.spineMm + 1 } }, plan: null },
    ];
    expect((await gradeShared(both, 0, [blank]))!.blanks).toEqual([{ lot: blank.id, serves: true }]);
    expect((await gradeShared(both, 1, [blank]))!.blanks).toEqual([{ lot: blank.id, serves: false }]);
    expect((await gradeShared([both[1]], 0, [blank]))!.blanks).toEqual([]);
  });

  it.each([
    [
      "a knife twice",
      {
        grades: [
          { knife: "a", price: null },
          { knife: "a", price: 1 },
        ],
      },
    ],
    ["a price below nothing", { grades: [{ knife: "a", price: -1 }] }],
    ["no name", { name: " " }],
  ])("refuses a record with %s", (_, of) => {
    const line = { id: "l", name: "Heath", grades: [], note: "" };
    expect(lineRecord.safeParse(line).success).toBe(true);
    expect(lineRecord.safeParse({ ...line, ...of }).success).toBe(false);
  });
});
