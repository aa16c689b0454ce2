import { describe, expect, it } from "vitest";
import { figureOf, markOf } from "./figures";
import { readStock } from "./readStock";

/** How numbers are grouped and parted by country: common practice, no source. */
describe("a figure as people write it", () => {
  it.each([
    ["1.234,56", 1234.56, Number.NaN],
    ["1,234.56", Number.NaN, 1234.56],
    ["1 234,5", 1234.5, Number.NaN],
    ["1'234.5", Number.NaN, 1234.5],
    ["1\u202f234\u202f567,8", 1_234_567.8, Number.NaN],
    ["1,5", 1.5, Number.NaN],
    ["1.5", Number.NaN, 1.5],
    ["1,250", 1.25, 1250],
    ["1.250", 1250, 1.25],
    ["0,750", 0.75, Number.NaN],
    ["12", 12, 12],
    ["-3", -3, -3],
    ["\u22123", -3, -3],
    ["+.5", Number.NaN, 0.5],
    ["1.2e3", Number.NaN, 1200],
    ["1,234,567", Number.NaN, 1_234_567],
    ["0x10", Number.NaN, Number.NaN],
    ["0b1", Number.NaN, Number.NaN],
    ["1e", Number.NaN, Number.NaN],
    ["Infinity", Number.NaN, Number.NaN],
    ["NaN", Number.NaN, Number.NaN],
    ["1..2", Number.NaN, Number.NaN],
    ["1,23,4", Number.NaN, Number.NaN],
    ["1 23", Number.NaN, Number.NaN],
    ["12345,678.9", Number.NaN, Number.NaN],
    ["", Number.NaN, Number.NaN],
    ["-", Number.NaN, Number.NaN],
    ["٣", Number.NaN, Number.NaN],
    ["9".repeat(41), Number.NaN, Number.NaN],
  ])("%s", (text, comma, point) => {
    expect(figureOf(text)).toEqual({ comma, point });
  });
});

describe("the decimal mark of a column", () => {
  const any = (v: number) => v >= 0 && v <= 1_000_000;
  it("is what one of its figures can only be read by", () => {
    expect(markOf(["1,250", "1,5"], any)).toEqual({ ok: true, mark: "comma" });
    expect(markOf(["1,250", "12.5"], any)).toEqual({ ok: true, mark: "point" });
    expect(markOf(["12", "7", "words", ""], any)).toEqual({ ok: true, mark: "point" });
  });

  it("is what its limits leave: no density is 1,250", () => {
    expect(markOf(["1,250"], (v) => v >= 0.03 && v <= 23)).toEqual({ ok: true, mark: "comma" });
  });

  it("is asked for where both would do, or figures speak for either: one cell never decides", () => {
    expect(markOf(["12", "1,250"], any)).toEqual({ ok: false, text: "1,250" });
    expect(markOf(["1,5", "1.5"], any)).toEqual({ ok: false, text: "1,5" });
  });
});

describe("a table of stock", () => {
  const known = { materials: [], classNames: [["wood", "wood"]] as const, nextId: () => "own-x" };
  const read = (text: string, mark?: "comma" | "point") =>
    readStock(new TextEncoder().encode(text), known, mark);

  it("whose prices can be read in two ways is asked about, and read as it was told", () => {
    const table = 'Name,Class,Density,Price per kg\nBeech,wood,0.7,"1,250"\n';
    expect(read(table)).toEqual({ ok: false, code: "ambiguous", column: "Price per kg", text: "1,250" });
    const perKg = (mark: "comma" | "point") => {
      const reading = read(table, mark);
      return reading.ok ? reading.rows[0].price?.price : null;
    };
    expect(perKg("comma")).toEqual({ by: "weight", perKg: 1.25 });
    expect(perKg("point")).toEqual({ by: "weight", perKg: 1250 });
  });

  it("names what was taken out of a name, and cuts no letter in half", () => {
    const reading = read(`Name,Class,Density\nAs\u202eh \u0007wood,wood,0.7\n${"x".repeat(59)}😀,wood,0.7\n`);
    if (!reading.ok) throw new Error(reading.code);
    expect(reading.rows.map((r) => r.material?.name)).toEqual(["Ash wood", "x".repeat(59)]);
    expect(reading.cleaned).toEqual([{ line: 2, name: "Ash wood", out: ["direction", "control"] }]);
  });

  it("of columns, names and classes that every object has is a table like others", () => {
    const odd = ["__proto__", "constructor", "toString"];
    for (const name of odd) {
      const reading = read(`Name,Class,Density,${name}\n${name},wood,0.7,${name}\nB,${name},0.7,\n`);
      if (!reading.ok) throw new Error(reading.code);
      expect(reading.rows.map((r) => r.material?.name)).toEqual([name]);
      expect(reading.refused).toEqual([{ line: 3, code: "no-class" }]);
    }
  });

  it("with a run of spaces in a name, or of quotes, is read in time that goes with its length", {
    timeout: 20_000,
  }, () => {
    const tables = [
      `Name,"Class${" ".repeat(900_000)}x"\nA,wood\n`,
      `Name,Class\n"${" ".repeat(1_900_000)}",wood\n`,
      `Name,Class\n${'"a" '.repeat(400_000)}`,
      `Name,Class\n"${'""'.repeat(900_000)}`,
    ];
    for (const table of tables) expect(read(table)).toHaveProperty("ok");
  });
});
