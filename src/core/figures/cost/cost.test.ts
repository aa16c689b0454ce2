import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readPrices, writePrices } from "../../exchange/files/prices/prices";
import { MARK } from "../../knife/design/blades.fixtures";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import type { Design } from "../../knife/design/schema";
import { shippedMaterial } from "../../materials/materials";
import { weigh } from "../weigh/weigh";
import { billOf } from "./bill";
import type { MaterialLine } from "./billOfMaterials";
import { blanksFrom, priced, takenMassG } from "./priced";
import { HARDWARE, plainShop, type Shop, shopSchema } from "./shop";
import { workOf } from "./work";

const bytes = (text: string) => new TextEncoder().encode(text);
const examples = readPrices(readFileSync("demo/prices/workshop.json"));
if (!examples.ok) throw new Error(examples.code);
const shop: Shop = examples.shop;

const sawn = (lengthMm: number, heightMm: number, thicknessMm: number, more: object = {}): MaterialLine => {
  const size = { lengthMm, heightMm, thicknessMm };
  return {
    kind: "sawn",
    what: { kind: "scale", number: null, side: "pair" },
    key: "g10",
    count: 1,
    sawnMm: size,
    blankMm: size,
    lengthwise: true,
    ...more,
  };
};

describe("blanks out of stock", () => {
  const board = { lengthMm: 300, heightMm: 100, thicknessMm: 6 };
  it.each([
    [[125, 38, 6], 0, true, 4],
    [[125, 38, 6], 3, true, 4],
    [[148.5, 48.5, 6], 3, true, 4],
    [[150, 48.5, 6], 3, true, 2],
    [[100, 140, 6], 0, true, 0],
    [[100, 140, 6], 0, false, 2],
    [[125, 38, 6.04], 0, true, 4],
    [[125, 38, 6.2], 0, true, 0],
    [[125, 38, 3], 0, true, 8],
    [[0, 38, 3], 0, true, 0],
  ])("%j with a kerf of %d: %s %d", ([lengthMm, heightMm, thicknessMm], kerf, lengthwise, count) => {
    expect(blanksFrom({ lengthMm, heightMm, thicknessMm }, board, kerf, lengthwise)).toBe(count);
  });
});

describe("blanks out of any stock", () => {
  const size = fc.record({
    lengthMm: fc.double({ min: 1, max: 400, noNaN: true }),
    heightMm: fc.double({ min: 1, max: 150, noNaN: true }),
    thicknessMm: fc.double({ min: 0.5, max: 60, noNaN: true }),
  });
  const volume = (s: { lengthMm: number; heightMm: number; thicknessMm: number }) =>
    s.lengthMm * s.heightMm * s.thicknessMm;
  const cases = fc.tuple(size, size, fc.double({ min: 0, max: 4, noNaN: true }), fc.boolean());

  it("never hold more than the stock, but for what sizes may be off", () => {
    fc.assert(
      fc.property(cases, ([blank, stock, kerf, lengthwise]) => {
        const off = 0.05;
        const whole = {
          lengthMm: stock.lengthMm + off,
          heightMm: stock.heightMm + off,
          thicknessMm: stock.thicknessMm + off,
        };
        return blanksFrom(blank, stock, kerf, lengthwise) * volume(blank) <= volume(whole) * (1 + 1e-9);
      }),
      { seed: 31, numRuns: 2000 },
    );
  });

  it("are no fewer from larger stock, with a finer kerf, or where the grain does not matter", () => {
    fc.assert(
      fc.property(cases, ([blank, stock, kerf, lengthwise]) => {
        const count = blanksFrom(blank, stock, kerf, lengthwise);
        const larger = { ...stock, heightMm: stock.heightMm * 1.3 };
        return (
          blanksFrom(blank, larger, kerf, lengthwise) >= count &&
          blanksFrom(blank, stock, kerf / 2, lengthwise) >= count &&
          blanksFrom(blank, stock, kerf, false) >= count
        );
      }),
      { seed: 32, numRuns: 2000 },
    );
  });
});

describe("a price put to what is taken", () => {
  /** Debian's `units` works the same sum out: mass of a cylinder of brass, in grams. */
  it("by weight: a rod of brass is charged for its mass", () => {
    const rod: MaterialLine = {
      kind: "rod",
      what: "rods",
      key: "brass-360",
      count: 2,
      diameterMm: 6.35,
      lengthMm: 62,
    };
    const density = shippedMaterial("brass-360")?.densityGcc.typical;
    const said = execFileSync("units", [
      "-t",
      `(pi/4) * (0.25 inch)^2 * 62 mm * (${density} g/cm^3)`,
      "g",
    ]).toString();
    expect(takenMassG(rod, shippedMaterial)).toBeCloseTo(Number(said), 3);
    const { cost } = priced(rod, { by: "weight", perKg: 20 }, 1, shippedMaterial);
    expect(cost).toBeCloseTo((Number(said) / 1000) * 20, 6);
  });

  it("by the piece: a pair of scales out of a piece that makes two", () => {
    expect(
      priced(sawn(120, 35, 9.5, { count: 2 }), { by: "piece", perPiece: 30, makes: 2 }, 1, shippedMaterial),
    ).toEqual({
      cost: 30,
      pieces: 1,
      problem: null,
    });
  });

  it("by a size: the share that is used up, of rods by their length", () => {
    const board = { by: "size", perPiece: 40, lengthMm: 300, widthMm: 100, thicknessMm: 9.5 } as const;
    expect(priced(sawn(120, 35, 9.5, { count: 2 }), board, 0, shippedMaterial)).toMatchObject({
      cost: 20,
      pieces: 0.5,
    });
    const rod = { by: "size", perPiece: 9, lengthMm: 300, widthMm: 6, thicknessMm: 6 } as const;
    const pins: MaterialLine = {
      kind: "rod",
      what: "rods",
      key: "g10",
      count: 3,
      diameterMm: 6,
      lengthMm: 75,
    };
    expect(priced(pins, rod, 1, shippedMaterial).cost).toBeCloseTo(9 / 4, 12);
  });

  it("says when there is none, or when the stock is too small", () => {
    expect(priced(sawn(120, 35, 9.5), undefined, 1, shippedMaterial)).toMatchObject({
      cost: null,
      problem: "unpriced",
    });
    const small = { by: "size", perPiece: 40, lengthMm: 100, widthMm: 100, thicknessMm: 9.5 } as const;
    expect(priced(sawn(120, 35, 9.5), small, 1, shippedMaterial)).toMatchObject({
      cost: null,
      problem: "stock-too-small",
    });
    const bolt: MaterialLine = { kind: "hardware", key: "each:sleeve-bolt", count: 2 };
    expect(priced(bolt, { by: "weight", perKg: 20 }, 1, shippedMaterial).problem).toBe("unpriced");
  });
});

describe("a knife's bill", () => {
  const bill = (design: Design, of: Shop = shop) => {
    const made = billOf(design, of);
    if (!made) throw new Error("no bill");
    return made;
  };

  it.each(Object.entries(CONSTRUCTIONS))("%s: adds up, and takes nothing without a size", (_, design) => {
    const made = bill(design);
    const sum = (list: readonly (number | null)[]) => list.reduce<number>((s, x) => s + (x ?? 0), 0);
    expect(made.materials).toBeCloseTo(sum(made.lines.map((l) => l.cost)), 9);
    expect(made.labour).toBeCloseTo((sum(made.work.map((w) => w.minutes)) / 60) * shop.ratePerHour, 9);
    expect(made.total).toBeCloseTo(made.materials + made.labour + made.others, 9);
    expect(made.minutes).toBeGreaterThan(0);
    for (const line of made.lines) {
      if (line.take.kind === "hardware") expect(line.take.count).toBeGreaterThan(0);
      else expect(line.massG, JSON.stringify(line.take.what)).toBeGreaterThan(0);
    }
    expect(new Set(made.unpriced)).toEqual(
      new Set(made.lines.filter((l) => l.cost === null).map((l) => l.take.key)),
    );
  });

  /** What is cut away is bought too: no part can weigh more than the stock that it comes out of. */
  it.each(Object.entries(CONSTRUCTIONS))("%s: buys more steel than blade and tang weigh", (_, design) => {
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    const [first] = bill(design).lines;
    const steel = weighing.report.parts.filter((p) => p.id === "blade" || p.id === "tang");
    const finished = steel.reduce((s, p) => s + p.massG, 0);
    if (design.blade.measured) expect(first.take.key).toBe("each:blade");
    else expect(first.massG).toBeGreaterThan(finished);
  });

  it("charges the same blade the same in another handle, and the handle by its price", () => {
    const design = newDesign("Sedge");
    if (design.handle.kind !== "scales") throw new Error("not of scales");
    const dear = { by: "piece", perPiece: 80, makes: 2 } as const;
    const cheap = { by: "piece", perPiece: 10, makes: 2 } as const;
    const at = (price: typeof dear | typeof cheap) =>
      bill(design, { ...shop, prices: { ...shop.prices, "walnut-black": price } });
    expect(at(dear).total - at(cheap).total).toBeCloseTo(70, 9);
    expect(at(dear).lines[0].cost).toBe(at(cheap).lines[0].cost);
  });

  it("tells what has no price, and asks nothing for it", () => {
    const made = bill(newDesign("Sedge"), plainShop());
    expect(made.total).toBe(0);
    expect(made.unpriced).toEqual(["steel-1084", "walnut-black", "brass-360", "epoxy"]);
  });

  it("takes the maker's minutes for the proposed ones, and other money and time besides", () => {
    const design = newDesign("Sedge");
    const work = {
      minutes: { finish: 200 },
      others: [{ id: "o", name: "Heat treatment, sent out", minutes: 10, money: 15 }],
    };
    const proposed = workOf(design).find((w) => w.task === "finish")?.proposedMin ?? 0;
    const [before, after] = [bill(design), bill({ ...design, work })];
    expect(after.minutes - before.minutes).toBeCloseTo(200 - proposed + 10, 9);
    expect(after.others).toBe(15);
  });

  it("has none for a knife that cannot be built", () => {
    const design = newDesign("Sedge");
    const lost = { ...design, blade: { ...design.blade, steel: "no-such-steel" } };
    expect(billOf(lost, shop)).toBeNull();
  });
});

describe("marks on the blade", () => {
  it("take their minutes, and none without them", () => {
    const design = newDesign("Sedge");
    const marks = [MARK, { ...MARK, id: "mark-2", side: "left" as const }];
    const minutesOf = (d: Design) => workOf(d).find((l) => l.task === "marks")?.minutes;
    expect(minutesOf(design)).toBeUndefined();
    // Common practice, no source: a quarter of an hour each.
    expect(minutesOf({ ...design, blade: { ...design.blade, marks } })).toBe(30);
  });
});

describe("files of prices", () => {
  it("come back as they were written", () => {
    expect(readPrices(bytes(writePrices(shop)))).toEqual({ ok: true, shop });
  });

  it("name only what there is", () => {
    for (const key of Object.keys(shop.prices))
      expect(shippedMaterial(key) || HARDWARE.includes(key as never), key).toBeTruthy();
    expect(shopSchema.safeParse(plainShop()).success).toBe(true);
  });

  it.each([
    ["{", "not-json"],
    ["3", "foreign"],
    ['{"format":"euaxis-knife","version":5}', "foreign"],
    ['{"format":"euaxis-prices","version":2,"shop":{}}', "newer"],
    ['{"format":"euaxis-prices","version":1,"shop":{}}', "invalid"],
  ])("%s is refused as %s", (text, code) => {
    expect(readPrices(bytes(text))).toMatchObject({ ok: false, code });
    expect(readPrices(new Uint8Array(200_001))).toMatchObject({ code: "too-large" });
  });
});
