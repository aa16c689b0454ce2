import Papa from "papaparse";
import { describe, expect, it } from "vitest";
import { CLASS_NAMES } from "@/words/stockTables";
import { shopSchema } from "../../../figures/cost/shop";
import { ownMaterial } from "../../../knife/design/record/material";
import { MATERIALS } from "../../../materials/materials";
import { LARGEST_TABLE_BYTES } from "./limits";
import { readStock } from "./readStock";
import { writeCsv } from "./write";

let ids = 0;
const known = { materials: MATERIALS, classNames: CLASS_NAMES, nextId: () => `own-table-${++ids}` };
const read = (text: string) => readStock(new TextEncoder().encode(text), known);

describe("a table of stock", () => {
  it("adds materials that are not known, and prices of those that are", () => {
    const answer = read(
      "Name,Class,Density g/cm³,Lowest,Highest,Price per kg,Price per piece,Makes,Length mm,Width mm,Thickness mm,Note\n" +
        'Fell beech,Wood,0.71,0.66,0.75,,18,2,,,,"Dried, from the north lot"\n' +
        "Marsh bronze,metal,8.6,,,22,,,,,,\n" +
        "g-10 Glass Epoxy,,,,,,30,,300,200,9.5,\n",
    );
    if (!answer.ok) throw new Error(answer.code);
    expect(answer.refused).toEqual([]);
    const [beech, bronze, g10] = answer.rows;
    expect(beech.material).toMatchObject({
      name: "Fell beech",
      class: "wood",
      density: { kind: "stated", typical: 0.71, low: 0.66, high: 0.75 },
      note: "Dried, from the north lot",
      hazards: ["wood-dust"],
    });
    expect(beech.price).toMatchObject({
      key: beech.material?.id,
      price: { by: "piece", perPiece: 18, makes: 2 },
    });
    // What is usual of a metal, and none of what the first one that ships has besides.
    expect(bronze.material?.hazards).toEqual(["metal-dust"]);
    expect(bronze.material?.density).toMatchObject({ typical: 8.6, low: 8.6 * 0.95 });
    expect(bronze.price?.price).toEqual({ by: "weight", perKg: 22 });
    expect(g10).toEqual({
      material: null,
      price: {
        key: "g10",
        name: expect.any(String),
        price: { by: "size", perPiece: 30, lengthMm: 300, widthMm: 200, thicknessMm: 9.5 },
      },
    });
    // What comes in is what the records can hold.
    for (const { material, price } of answer.rows) {
      if (material) expect(ownMaterial.safeParse(material).success).toBe(true);
      if (price)
        expect(
          shopSchema.safeParse({ currency: "", ratePerHour: 0, prices: { [price.key]: price.price } })
            .success,
        ).toBe(true);
    }
  });

  it("takes semicolons, commas in numbers, a mark of the encoding and ids", () => {
    const answer = read(
      "\uFEFFId;Name;Kind;Density;Per kg\r\nbrass-260;;;;7,50\r\n;Rush willow;wood, dry;0,45;\r\n",
    );
    if (!answer.ok) throw new Error(answer.code);
    expect(answer.rows[0].price).toMatchObject({ key: "brass-260", price: { by: "weight", perKg: 7.5 } });
    expect(answer.rows[1].material).toMatchObject({
      name: "Rush willow",
      class: "wood",
      density: { typical: 0.45 },
    });
  });

  it("leaves out row by row what cannot be read, and says which and why", () => {
    const answer = read(
      "Name,Class,Density,Lowest,Highest,Price per kg\n,wood,0.7,,,\nA,,0.7,,,\nB,wood,,,,\nC,wood,heavy,,,\nD,wood,0.7,0.8,0.9,\nE,wood,30,,,\nF,wood,0.7,,,-2\nG,wood,0.7,,,\ng,wood,0.6,,,\n",
    );
    if (!answer.ok) throw new Error(answer.code);
    expect(answer.refused.map((r) => [r.line, r.code])).toEqual([
      [2, "no-name"],
      [3, "no-class"],
      [4, "no-density"],
      [5, "number"],
      [6, "range"],
      [7, "number"],
      [8, "number"],
      [10, "twice"],
    ]);
    expect(answer.rows.map((r) => r.material?.name)).toEqual(["G"]);
  });

  it("is refused whole where it is none", () => {
    expect(readStock(new Uint8Array(LARGEST_TABLE_BYTES + 1), known)).toEqual({
      ok: false,
      code: "too-large",
    });
    expect(readStock(Uint8Array.from([0xff, 0xfe, 0x41]), known)).toEqual({ ok: false, code: "not-text" });
    expect(read("a,b\n1,2\n")).toEqual({ ok: false, code: "no-columns" });
    expect(read("")).toEqual({ ok: false, code: "no-columns" });
    expect(read(`Name\n${"x\n".repeat(5001)}`)).toEqual({ ok: false, code: "too-many-rows" });
  });
});

it("a table that goes out comes back as it was, and no cell is a formula", () => {
  const table = {
    columns: ["Name", "Size, mm"],
    rows: [
      ['Scale "A", right', 9.5],
      ["=HYPERLINK(1)", null],
      ["line\nbreak", 0],
    ],
  };
  const text = writeCsv(table);
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: true });
  expect(data).toEqual([
    ["Name", "Size, mm"],
    ['Scale "A", right', "9.5"],
    ["'=HYPERLINK(1)", ""],
    ["line\nbreak", "0"],
  ]);
});
