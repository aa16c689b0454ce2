import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

interface Item {
  readonly what: string;
  readonly material: string;
  readonly size: string;
  readonly count: number;
  readonly for: readonly string[];
}

const KNIVES = ["demo/reed-take-down-hunter.json", "demo/heath-field-knife.json"];
const folder = mkdtempSync(join(tmpdir(), "shelf-"));
const lots = () => JSON.parse(readFileSync("demo/shelf/lots.json", "utf8"));
function file(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === "string" ? content : JSON.stringify(content));
  return path;
}

describe("shopping", () => {
  it("lists what knives take, each with a size, a count and whom it is for", async () => {
    const { items }: { items: Item[] } = await json("shopping", ...KNIVES);
    expect(items.length).toBeGreaterThan(12);
    for (const i of items) {
      expect(i.what).not.toBe("");
      expect(i.count).toBeGreaterThanOrEqual(1);
      expect(i.for.length).toBeGreaterThan(0);
    }
    expect(items.find((i) => i.what === "Glue, both parts")?.for).toEqual(["Heath field knife"]);
    expect(items.find((i) => i.material === "Cocobolo")?.size).toMatch(
      /^[\d.]+ × [\d.]+ × [\d.]+ mm, grain lengthwise$/,
    );
  });

  it("leaves out what the shelf has, and says whence it is taken", async () => {
    const with_ = await json("shopping", ...KNIVES, "--shelf", "demo/shelf/lots.json");
    const materials = with_.items.map((i: Item) => i.material);
    expect(materials).not.toContain("Cocobolo");
    expect(materials).not.toContain("Black walnut");
    expect(with_.fromShelf).toEqual(
      expect.arrayContaining([
        expect.objectContaining({
          lot: "Cocobolo block, second drawer",
          knife: "Reed take-down hunter",
          used: 1,
        }),
      ]),
    );
    expect(with_.problems).toEqual([]);
  });

  it("has spares, and bars to forge of, where they are asked for", async () => {
    const spares = await json("shopping", KNIVES[1], "--spares");
    expect(spares.items.some((i: Item) => i.what.endsWith("spare"))).toBe(true);
    const forged = await json("shopping", KNIVES[1], "--forged", "30x6mm");
    expect(forged.items.map((i: Item) => i.what)).toContain("Bar to forge of");
    expect(forged.items.map((i: Item) => i.what)).not.toContain("Blade and tang");
  });

  it.each([
    [["shopping"], /^FILE… is missing/],
    [["shopping", KNIVES[0], "--forged", "big"], /^--forged is the bar's section/],
    [["shopping", KNIVES[0], "--forged", "0x6mm"], /^--forged is the bar's section/],
    [["shopping", KNIVES[0], "--shelf", "gone.json"], /^no such file: gone.json/],
    [["shopping", KNIVES[0], "--shelf", KNIVES[1]], /It is not a file of lots/],
    [["shopping", KNIVES[0], "--shelf", () => file("text", "no lots")], /It is damaged, or no text/],
    [
      ["shopping", KNIVES[0], "--shelf", () => file("newer.json", { ...lots(), version: 99 })],
      /It is of version 99: this Euaxis is older/,
    ],
    [
      [
        "shopping",
        KNIVES[0],
        "--shelf",
        () => file("twice.json", { ...lots(), lots: [lots().lots[0], lots().lots[0]] }),
      ],
      /a lot is there twice/,
    ],
    [
      [
        "shopping",
        KNIVES[0],
        "--shelf",
        () => file("count.json", { ...lots(), lots: [{ ...lots().lots[0], count: -1 }] }),
      ],
      /Lot 1, count: 0 at least/,
    ],
    [
      [
        "shopping",
        KNIVES[0],
        "--shelf",
        () => file("nothing.json", { ...lots(), lots: [{ ...lots().lots[0], of: "supply:gold" }] }),
      ],
      /is no supply that there is/,
    ],
  ] as const)("refuses %j in one line", async (given, says) => {
    const args = given.map((a) => (typeof a === "function" ? a() : a));
    const { code, out, errors } = await euaxis(...args);
    expect({ code, out, lines: errors.length }).toEqual({ code: 2, out: "", lines: 1 });
    expect(errors[0]).toMatch(says);
  });
});
