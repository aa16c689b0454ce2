import { describe, expect, it } from "vitest";
import { TRAITS, traitOf } from "@/core/figures/compare/traits";
import { HARDWARE, plainShop } from "@/core/figures/cost/shop";
import { CONSTRUCTIONS } from "@/core/knife/design/constructions.fixtures";
import { WORK_TASKS } from "@/core/knife/parts/workTasks";
import { MATERIALS, shippedMaterial } from "@/core/materials/materials";
import { priceKeyWords, priceWords, TASK_WORDS, takenWords } from "./cost";
import { printMinutes, printMoney } from "./money";
import { pricesFailureWords } from "./pricesFailures";
import { addsWords, armWords, madeWords, pullSentence } from "./pulls";
import { TRAIT_WORDS, traitValueWords } from "./traits";

const pull = { massG: 62.3, atMm: -110, armMm: -84, momentGmm: -5233, addsMm: -14.2 };

describe("words of pulls", () => {
  it("say which way, in the maker's unit", () => {
    expect(addsWords(pull, "metric")).toBe("takes the balance 14.2 mm back");
    expect(addsWords({ ...pull, addsMm: 2 }, "inch")).toBe("brings the balance 0.079 in forward");
    expect(addsWords({ ...pull, addsMm: 0.01 }, "metric")).toBe("leaves the balance where it is");
    expect(addsWords({ ...pull, addsMm: null }, "metric")).toBe("there is nothing else");
    expect(armWords(pull, "metric")).toBe("84.0 mm behind the balance point");
    expect(armWords({ ...pull, armMm: 0 }, "metric")).toBe("at the balance point");
    expect(pullSentence("Pommel", pull, "metric")).toBe(
      "Pommel: 62.3 g, 84.0 mm behind the balance point, takes the balance 14.2 mm back",
    );
    expect(madeWords("g10+epoxy", shippedMaterial)).toBe("G-10 glass epoxy, Epoxy, slow cure");
  });
});

describe("words of sums and times", () => {
  it.each([
    [12.5, "€", "12.50 €"],
    [0, "", "0.00"],
    [-3, "cr", "−3.00 cr"],
    [-0.001, "", "0.00"],
    [Number.NaN, "cr", "–"],
  ])("%d %s is %s", (sum, currency, text) => {
    expect(printMoney(sum, { currency })).toBe(text);
  });

  it.each([
    [0, "0 min"],
    [59.6, "1 h"],
    [155, "2 h 35 min"],
  ])("%d minutes are %s", (minutes, text) => {
    expect(printMinutes(minutes)).toBe(text);
  });
});

describe("words of cost", () => {
  it("name every task, every material and every kind of hardware", () => {
    for (const task of WORK_TASKS) expect(TASK_WORDS[task]).toBeTruthy();
    for (const key of [...HARDWARE, ...MATERIALS.map((m) => m.id)])
      expect(priceKeyWords(key, shippedMaterial)).not.toBe(key);
  });

  it("say how something is priced and how much of it is taken", () => {
    const shop = { ...plainShop(), currency: "cr" };
    const say = (price: Parameters<typeof priceWords>[0]) => priceWords(price, shop, "metric");
    expect(say(undefined)).toBe("no price");
    expect(say({ by: "weight", perKg: 9 })).toBe("9.00 cr a kg");
    expect(say({ by: "piece", perPiece: 12, makes: 1 })).toBe("12.00 cr each");
    expect(say({ by: "piece", perPiece: 12, makes: 2 })).toBe("12.00 cr for 2");
    expect(say({ by: "size", perPiece: 6, lengthMm: 300, widthMm: 100, thicknessMm: 9.5 })).toBe(
      "6.00 cr a piece of 300 × 100 × 9.5",
    );
    const size = { lengthMm: 120, heightMm: 35, thicknessMm: 9.53 };
    const cut = {
      kind: "sawn",
      what: { kind: "scale", number: null, side: "pair" },
      key: "g10",
      count: 2,
      sawnMm: size,
      blankMm: size,
    } as const;
    expect(takenWords({ ...cut, lengthwise: true }, "metric")).toBe("2 of 120 × 35 × 9.5 mm");
    expect(takenWords({ kind: "hardware", key: "each:blade", count: 1 }, "metric")).toBe("1");
  });

  it("say why a file of prices was refused", () => {
    expect(pricesFailureWords({ ok: false, code: "foreign" })).toContain("not a file of prices");
    expect(pricesFailureWords({ ok: false, code: "newer", version: 3 })).toContain("3");
    expect(pricesFailureWords({ ok: false, code: "invalid", path: "shop.x", message: "no" })).toBe(
      "shop.x: no",
    );
  });
});

describe("words of traits", () => {
  it.each(Object.entries(CONSTRUCTIONS))("%s: every trait of it has words in every unit", (_, design) => {
    for (const trait of TRAITS)
      for (const units of ["metric", "inch", "inch-fraction"] as const) {
        expect(TRAIT_WORDS[trait]).toBeTruthy();
        expect(traitValueWords(traitOf(design, trait), units, shippedMaterial)).toMatch(/\S/);
      }
  });
});
