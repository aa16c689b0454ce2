import { describe, expect, it } from "vitest";
import { seeded } from "../../../faults/random";
import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { blanksFrom } from "../figures/cost/priced";
import type { Size } from "../figures/fit/bladeStock";
import { cutList } from "../figures/fit/stockList";
import { weigh } from "../figures/weigh/weigh";
import { CONSTRUCTIONS } from "../knife/design/constructions.fixtures";
import { newDesign } from "../knife/design/create";
import type { Design } from "../knife/design/schema";
import { shippedMaterial } from "../materials/materials";
import { USUAL_SCHOOLS } from "../plan/types";
import { type Lot, type LotShape, lotRecord } from "./lot";
import { lotDensity, lotMaterial } from "./lotMaterial";
import { lotsFor, pathsOfPiece } from "./lotsFor";
import { withPartsOf } from "./madeOf";
import { barLength, needsOf } from "./needs";
import { newLot } from "./newLot";
import { cutsOut, serves } from "./serves";
import { shoppingList, USUAL_SHOPPING } from "./shopping";

const knife = newDesign("Sedge");
const piece = (
  lengthMm: number,
  heightMm: number,
  thicknessMm: number,
  grain: "length" | null = "length",
): LotShape<"piece"> => ({
  form: "piece",
  lengthMm,
  heightMm,
  thicknessMm,
  grain,
  side: null,
  face: null,
  outline: null,
  holes: [],
});
const lot = (id: string, of: string, rest: Partial<Lot> = {}): Lot => ({ ...newLot(id, of, id), ...rest });
const needsFor = (design: Design) => {
  const weighed = weigh(design);
  if (!weighed.ok) throw new Error("it cannot be built");
  return needsOf(design, weighed.report, USUAL_SCHOOLS);
};
const shop = (designs: readonly Design[], lots: readonly Lot[], more = {}) =>
  shoppingList(
    designs.map((d) => ({ knife: d.name, needs: needsFor(d) })),
    lots,
    { ...USUAL_SHOPPING, day: "2026-12-01", ...more },
  );

describe("whether a lot is big enough", () => {
  it("counts cuts and kerfs as they are made by hand", () => {
    // Sawn with a kerf of its own each: three of 98.5 and three kerfs of 1.5 are 300.
    const of = (stockMm: number) => cutsOut(stockMm, 100, 98.5, 1.5);
    expect([of(300), of(299.9), of(100), of(99.9)]).toEqual([3, 2, 1, 0]);
    // What comes in its thickness is sawn apart: two of 10 with a cut between are 21.5.
    expect([cutsOut(21.5, 10, 10, 1.5), cutsOut(21.4, 10, 10, 1.5)]).toEqual([2, 1]);
  });

  const need = {
    sawnMm: { lengthMm: 120, heightMm: 40, thicknessMm: 10 },
    blankMm: { lengthMm: 118.5, heightMm: 38.5, thicknessMm: 10 },
    count: 2,
    lengthwise: true,
    kerfMm: 1.5,
  };

  it("gives as many as the bill counts on a board that is a kerf larger, whatever the sizes", () => {
    const random = seeded(28);
    for (let n = 0; n < 300; n++) {
      const side = (least: number, most: number) =>
        least + Math.round(10 * (most - least) * random.next()) / 10;
      const blankMm = { lengthMm: side(20, 150), heightMm: side(10, 50), thicknessMm: side(5, 30) };
      const stock = piece(side(20, 600), side(10, 200), side(5, 90), random.next() < 0.5 ? "length" : null);
      const kerfMm = 1.5;
      const grown = (s: Size, by: number): Size => ({
        lengthMm: s.lengthMm + by,
        heightMm: s.heightMm + by,
        thicknessMm: s.thicknessMm + by,
      });
      const lengthwise = stock.grain !== null;
      const found = serves(
        { sawnMm: grown(blankMm, kerfMm), blankMm, count: 1, lengthwise, kerfMm },
        stock,
        1,
      );
      // The bill takes 0.05 mm for nothing.
      const billed = blanksFrom(blankMm, grown(stock, -kerfMm - 0.05), kerfMm, lengthwise);
      expect(found.ok ? found.piecesEach > 0 : false, JSON.stringify([blankMm, stock])).toBe(billed > 0);
    }
  });

  it("says how many come out of one, how many are used, and what is left", () => {
    // Two beside each other: 40 with the first one's kerf, 38.5 + 1.5 for the second.
    expect(serves(need, piece(125, 80, 10), 1)).toMatchObject({
      ok: true,
      piecesEach: 2,
      used: 1,
      offcutMm: null,
    });
    expect(serves(need, piece(121, 41, 10), 2)).toMatchObject({ ok: true, piecesEach: 1, used: 2 });
    // 300 long: two after each other are 240; a cut, and 58.5 are left.
    expect(serves(need, piece(300, 41, 10), 1)).toMatchObject({
      ok: true,
      piecesEach: 2,
      used: 1,
      offcutMm: { lengthMm: 58.5 },
    });
  });

  it("turns a piece only as the grain allows, and says where it misses least", () => {
    expect(serves({ ...need, count: 1 }, piece(41, 121, 10), 1)).toMatchObject({
      ok: false,
      why: "too-small",
    });
    expect(serves({ ...need, count: 1, lengthwise: false }, piece(41, 121, 10), 1)).toMatchObject({
      ok: true,
    });
    expect(serves({ ...need, count: 1 }, piece(121, 38, 9), 1)).toEqual({
      ok: false,
      why: "too-small",
      shortMm: { lengthMm: 0, heightMm: 2, thicknessMm: 1 },
    });
    expect(serves(need, piece(121, 41, 10), 1)).toMatchObject({ ok: false, why: "too-few" });
  });
});

describe("a part made of a lot", () => {
  const walnut = lot("walnut", "walnut-black", {
    shape: piece(130, 42, 10),
    count: 2,
    weighed: { massG: 33.3, massOffG: 0.1, sizeOffMm: 0.1 },
  });
  const material = shippedMaterial("walnut-black")!;

  it("has the density that it was weighed with, and a narrower interval", () => {
    const found = lotDensity(walnut, material);
    if (!found.ok) throw new Error(found.code);
    // 33.3 g / (130 × 42 × 10 mm³).
    expect(found.densityGcc.typical).toBeCloseTo(33.3 / 54.6, 6);
    const made = withPartsOf(knife, pathsOfPiece(knife, "scale:pair"), lotMaterial(walnut, material));
    const [before, after] = [weigh(knife), weigh(made)];
    if (!before.ok || !after.ok) throw new Error("it cannot be built");
    const wide = (r: typeof before.report) => r.massIntervalG[1] - r.massIntervalG[0];
    expect(wide(after.report)).toBeLessThan(wide(before.report));
    const scales = (r: typeof before.report) =>
      r.parts.filter((p) => p.key.kind === "scale").reduce((s, p) => s + p.massG, 0);
    expect(scales(after.report) / scales(before.report)).toBeCloseTo(
      33.3 / 54.6 / material.densityGcc.typical,
      6,
    );
  });

  it("is wider where what it is is a guess", () => {
    const steel = shippedMaterial("steel-5160")!;
    const known = lotDensity(lot("a", "steel-5160"), steel);
    const guessed = lotDensity(lot("b", "steel-5160", { guessed: true }), steel);
    if (!known.ok || !guessed.ok) throw new Error("no density");
    expect(guessed.densityGcc.high - guessed.densityGcc.low).toBeGreaterThan(
      5 * (known.densityGcc.high - known.densityGcc.low),
    );
  });

  it("finds the places of every sawn piece of every construction: the piece becomes it, and nothing else", () => {
    const wrong: string[] = [];
    for (const [name, design] of [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)]) {
      if (!weigh(design).ok) continue;
      for (const of of cutList(design)) {
        const paths = pathsOfPiece(design, of.id);
        if (paths.length === 0) {
          wrong.push(`${name}: ${of.id} has no place`);
          continue;
        }
        const stuff = shippedMaterial(of.material);
        if (!stuff) continue;
        const made = withPartsOf(design, paths, lotMaterial(lot("made-of", of.material), stuff));
        const after = cutList(made).filter((c) => c.material === "own-lot-made-of");
        // One place may be several pieces': discs of a stack, or a segment that follows its scale.
        if (!after.some((c) => c.id === of.id || of.pair)) wrong.push(`${name}: ${of.id} is not made of it`);
      }
    }
    expect(wrong).toEqual([]);
  });

  it("is reserved: a lot used twice, one that is too small and one that is gone are told", () => {
    const made = (name: string): Design => ({
      ...withPartsOf(knife, pathsOfPiece(knife, "scale:pair"), lotMaterial(walnut, material)),
      name,
    });
    const once = shop([made("A")], [walnut]);
    expect(once.problems).toEqual([]);
    expect(once.taken.find((t) => t.lot.id === "walnut")).toMatchObject({
      knife: "A",
      used: 2,
      reserved: true,
    });
    expect(shop([made("A"), made("B")], [walnut]).problems).toMatchObject([
      { code: "too-few", knife: "B", others: ["A"] },
    ]);
    const small = { ...walnut, shape: piece(90, 42, 10) };
    const short = shop([made("A")], [small]).problems[0];
    expect(short).toMatchObject({ code: "too-small", knife: "A" });
    expect(short.shortMm?.lengthMm).toBeGreaterThan(0);
    expect(shop([made("A")], []).problems).toMatchObject([{ code: "gone", lotId: "walnut" }]);
  });

  it("says for every piece which lots serve", () => {
    const found = lotsFor(knife, [walnut, lot("bar", "steel-1084", { shape: piece(300, 40, 4, null) })])!;
    const scales = found.find((p) => p.piece.id === "scale:pair")!;
    expect(scales.lots).toMatchObject([{ lot: "walnut", ok: true, inUse: false, sameMaterial: true }]);
    expect(found.find((p) => p.piece.id === "blade")!.lots.map((l) => l.lot)).toEqual(["bar"]);
  });
});

describe("a shopping list", () => {
  const kinds = (list: ReturnType<typeof shop>) => list.items.map((i) => `${i.kind} ${i.of}`);

  it("has all that a knife takes when the shelf is empty, each once", () => {
    const { items } = shop([knife], []);
    expect(kinds({ items } as never)).toEqual(
      expect.arrayContaining([
        "stock walnut-black",
        "stock steel-1084",
        "rod brass-360",
        "mass epoxy",
        "supply quench-oil",
        "supply solvent",
        "supply paper-400",
        "supply belts",
      ]),
    );
    expect(new Set(items.map((i) => JSON.stringify(i))).size).toBe(items.length);
  });

  it("of two like knives adds up what each uses up, and shares a bath", () => {
    const [one, two] = [shop([knife], []), shop([knife, { ...knife, name: "B" }], [])];
    const of = (list: typeof one, what: string) => list.items.find((i) => `${i.kind} ${i.of}` === what)!;
    expect(of(two, "stock walnut-black")).toMatchObject({ count: 4, for: ["Sedge", "B"] });
    const amount = (list: typeof one, what: string) => (of(list, what) as { amount: number }).amount;
    expect(amount(two, "supply solvent")).toBe(2 * amount(one, "supply solvent"));
    expect(amount(two, "supply quench-oil")).toBe(amount(one, "supply quench-oil"));
  });

  it("takes what the shelf has, keeps a matched pair together, and leaves out what is out of date", () => {
    const pair = lot("pair", "walnut-black", { shape: { ...piece(130, 42, 10), side: "pair" }, count: 2 });
    const single = lot("single", "walnut-black", { shape: piece(124, 40, 10), count: 2 });
    const glue = lot("old", "epoxy", { shape: { form: "amount", amount: 500 }, bestBefore: "2025-01-01" });
    const list = shop([knife], [single, pair, glue]);
    expect(list.taken.map((t) => t.lot.id)).toEqual(["pair"]);
    expect(kinds(list)).toContain("mass epoxy");
    expect(kinds(list)).not.toContain("stock walnut-black");
    const fresh = shop([knife], [{ ...glue, bestBefore: "2027-01-01" }]);
    expect(kinds(fresh)).not.toContain("mass epoxy");
  });

  it("has spares of what one mistake ruins only where they are asked for", () => {
    expect(shop([knife], []).items.some((i) => i.spare)).toBe(false);
    expect(shop([knife], [], { spares: true }).items.filter((i) => i.spare)).toMatchObject([
      { kind: "stock", of: "walnut-black", count: 2 },
    ]);
  });

  it("works a forged blade out of its bar: (weighed volume + what is ground off) × 1.1 / section", () => {
    // 20,000 mm³ and 200 mm² × 0.5 mm over a bar of 25 × 6 mm: 147.4 mm.
    expect(
      barLength(20_000, 200, { widthMm: 25, thicknessMm: 6, scaleShare: 0.1, grindMm: 0.5 }),
    ).toBeCloseTo((20_100 * 1.1) / 150, 9);
    const weighed = weigh(knife);
    if (!weighed.ok) throw new Error("it cannot be built");
    const forged = { widthMm: 30, thicknessMm: 6, scaleShare: 0.1, grindMm: 0 };
    const bar = needsOf(knife, weighed.report, USUAL_SCHOOLS, forged).find((n) => n.kind === "bar")!;
    const steel = weighed.report.parts.filter((p) => p.key.kind === "blade" || p.key.kind === "tang");
    const volume = steel.reduce((s, p) => s + p.volumeMm3, 0);
    expect(bar).toMatchObject({ of: "steel-1084", lengthMm: expect.closeTo((volume * 1.1) / 180, 6) });
  });

  it("gives metal that is built up as wire: its weighed volume and a fifth more", () => {
    const [, cairn] = DEMO_KNIVES.find(([name]) => name.includes("cairn"))!;
    const weighed = weigh(cairn);
    if (!weighed.ok) throw new Error("it cannot be built");
    const built = shop([cairn], []).items.find((i) => i.kind === "built-up")!;
    if (built.kind !== "built-up") throw new Error("none");
    const part = weighed.report.parts.find((p) => p.material === built.of && p.key.kind === "piece")!;
    expect(built.massG).toBeCloseTo(1.2 * part.massG, 6);
    expect(built.lengthMm).toBeCloseTo((1.2 * part.volumeMm3) / ((Math.PI / 4) * built.wireMm ** 2), 4);
  });
});

it("demo lots are lots", async () => {
  const { readFileSync } = await import("node:fs");
  const { lots } = JSON.parse(readFileSync("demo/shelf/lots.json", "utf8"));
  for (const l of lots) {
    expect(lotRecord.safeParse(l).success, l.name).toBe(true);
    const of = shippedMaterial(l.of);
    if (of) expect(lotDensity(l, of).ok, l.name).toBe(true);
  }
});
