import { describe, expect, it } from "vitest";
import { TooMuchWork, Work } from "../../base/work";
import { shapesIn } from "../pattern/found";
import { readDxf } from "./dxf/read";
import { readSvg } from "./svg/read";

const bytes = (text: string) => new TextEncoder().encode(text);
const pairs = (...tags: readonly (string | number)[]) => tags.join("\n");
const dxf = (blocks: string, entities: string) =>
  `${pairs(0, "SECTION", 2, "BLOCKS")}\n${blocks}\n${pairs(0, "ENDSEC", 0, "SECTION", 2, "ENTITIES")}\n${entities}\n${pairs(0, "ENDSEC", 0, "EOF")}\n`;
const line = (x = 1) => pairs(0, "LINE", 8, "0", 10, 0, 20, 0, 11, x, 21, 1);
const svg = (inner: string, attributes = 'width="100mm" viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inner}</svg>`;

/** Reads a drawing and finds its shapes as the application does, and answers what came of it. */
function opened(text: string, format: "dxf" | "svg"): string {
  const work = new Work();
  const reading = format === "dxf" ? readDxf(bytes(text), work) : readSvg(bytes(text), work);
  if (!reading.ok) return reading.code;
  try {
    shapesIn(reading.drawing, reading.drawing.mmPerUnit ?? 1, work);
    return "ok";
  } catch (error) {
    if (error instanceof TooMuchWork) return "too-much";
    throw error;
  }
}

const block = (name: string, inner: string) =>
  `${pairs(0, "BLOCK", 2, name, 10, 0, 20, 0)}\n${inner}\n${pairs(0, "ENDBLK")}`;
const insert = (name: string, columns = 1, rows = 1) =>
  pairs(0, "INSERT", 2, name, 10, 0, 20, 0, 70, columns, 71, rows, 44, 1, 45, 1);
const star = (n: number, of: (x: number, y: number) => string) =>
  Array.from({ length: n }, (_, i) => of(Math.cos((Math.PI * i) / n), Math.sin((Math.PI * i) / n)));

/**
 * What asks for far more than it is long: blocks in blocks, arrays of arrays, uses of uses, bulges, knots, joins. Each is
 * answered as what it is, or as too much, in a time that goes with the budget and not with what it asks for. These texts
 * hung readers, or took gigabytes, before work was counted.
 */
describe("a drawing that asks for much", () => {
  const chain = (n: number, copies: number) =>
    Array.from({ length: n }, (_, i) =>
      block(`B${i}`, i === 0 ? line() : Array.from({ length: copies }, () => insert(`B${i - 1}`)).join("\n")),
    ).join("\n");
  const cases: [string, string, "dxf" | "svg", string][] = [
    [
      "arrays of inserts in arrays",
      dxf(
        [block("A", line()), block("B", insert("A", 50, 50)), block("C", insert("B", 50, 50))].join("\n"),
        insert("C", 50, 50),
      ),
      "dxf",
      "too-much",
    ],
    [
      "arrays of a block of nothing",
      dxf(
        [block("A", ""), block("B", insert("A", 50, 50)), block("C", insert("B", 50, 50))].join("\n"),
        insert("C", 50, 50),
      ),
      "dxf",
      "too-much",
    ],
    [
      "a block that inserts itself four times",
      dxf(block("A", [1, 2, 3, 4].map(() => insert("A")).join("\n")), insert("A")),
      "dxf",
      "too-much",
    ],
    ["ten blocks, each six times in the next", dxf(chain(10, 6), insert("B9")), "dxf", "too-much"],
    [
      "a bulge of a million at every vertex",
      dxf(
        "",
        pairs(
          0,
          "LWPOLYLINE",
          90,
          4000,
          70,
          1,
          ...Array.from({ length: 4000 }, (_, i) => [10, i, 20, i % 2, 42, 1e6]).flat(),
        ),
      ),
      "dxf",
      "too-much",
    ],
    [
      "a spline of fifty thousand knots",
      dxf(
        "",
        pairs(
          0,
          "SPLINE",
          71,
          3,
          Array.from({ length: 50_004 }, (_, i) => pairs(40, i)).join("\n"),
          Array.from({ length: 50_000 }, (_, i) => pairs(10, i, 20, i % 7, 30, 0)).join("\n"),
        ),
      ),
      "dxf",
      "too-much",
    ],
    [
      "lines through one middle",
      dxf("", star(30_000, (x, y) => pairs(0, "LINE", 10, -x, 20, -y, 11, x, 21, y)).join("\n")),
      "dxf",
      "too-much",
    ],
    [
      "lines that meet in one place",
      dxf("", star(30_000, (x, y) => pairs(0, "LINE", 10, 0, 20, 0, 11, 5000 * x, 21, 5000 * y)).join("\n")),
      "dxf",
      "too-much",
    ],
    [
      "a hundred thousand short lines, end to end",
      dxf(
        "",
        Array.from({ length: 100_000 }, (_, i) =>
          pairs(0, "LINE", 10, i / 4, 20, 0, 11, (i + 1) / 4, 21, 0),
        ).join("\n"),
      ),
      "dxf",
      "ok",
    ],
    ["four thousand empty lines before it", `${"\n".repeat(4000)}x`, "dxf", "not-a-drawing"],
    [
      "uses of uses",
      svg(
        `<defs><rect id="u0" width="1" height="1"/>${Array.from({ length: 10 }, (_, i) => `<g id="u${i + 1}">${`<use href="#u${i}"/>`.repeat(8)}</g>`).join("")}</defs><use href="#u10"/>`,
      ),
      "svg",
      "too-much",
    ],
    [
      "a use of itself",
      svg(`<g id="a">${'<use href="#a"/>'.repeat(4)}<path d="M0 0L1 1"/></g>`),
      "svg",
      "ok",
    ],
    ["groups two hundred thousand deep", svg("<g>".repeat(200_000)), "svg", "too-much"],
    [
      "a hundred thousand short pieces of one path",
      svg(`<path d="M0 0L${"1 1 2 2 ".repeat(100_000)}"/>`),
      "svg",
      "ok",
    ],
    [
      "two hundred thousand arcs",
      svg(`<path d="M0 0a${"1 1 0 0 0 1 1 ".repeat(200_000)}"/>`),
      "svg",
      "too-much",
    ],
    [
      "one path of many uses",
      svg(`<path id="p" d="M0 0L${"1 1 ".repeat(100_000)}"/>${'<use href="#p"/>'.repeat(5000)}`),
      "svg",
      "too-much",
    ],
    ["a transform of letters", svg(`<path transform="${"a".repeat(2_000_000)}" d="M0 0L5 5"/>`), "svg", "ok"],
    [
      "a transform of opened brackets",
      svg(`<path transform="${"rotate(".repeat(300_000)}" d="M0 0L5 5"/>`),
      "svg",
      "ok",
    ],
    [
      "a width of letters",
      svg('<path d="M0 0L5 5"/>', `width="${"e".repeat(2_000_000)}" viewBox="0 0 100 100"`),
      "svg",
      "ok",
    ],
    [
      "a width of spaces",
      svg('<path d="M0 0L5 5"/>', `width="1${" ".repeat(2_000_000)}x" viewBox="0 0 100 100"`),
      "svg",
      "ok",
    ],
    ["a million digits", svg(`<path d="M0 ${"9".repeat(1_000_000)}L5 5"/>`), "svg", "no-lines"],
    ["points of digits and dots", svg(`<polygon points="${"1.".repeat(500_000)}x"/>`), "svg", "ok"],
  ];
  it.each(cases)("%s: is answered", { timeout: 30_000 }, (_, text, format, expected) => {
    // The time limit of the test is for what hangs: before work was counted these took minutes, or all memory.
    expect(opened(text, format)).toBe(expected);
  });
});

describe("names from outside", () => {
  const odd = ["__proto__", "constructor", "toString", "hasOwnProperty", "prototype"];
  it.each(odd)("%s is a name like any other: of layers, blocks and kinds of a DXF", (name) => {
    const text = dxf(
      block(name, line()),
      [insert(name), pairs(0, name, 8, name), pairs(0, "LINE", 8, name, 10, 0, 20, 0, 11, 9, 21, 1)].join(
        "\n",
      ),
    );
    const reading = readDxf(bytes(text));
    if (!reading.ok) throw new Error(reading.code);
    expect(reading.drawing.runs.map((r) => r.layer)).toEqual(["0", name]);
    expect(Object.entries(reading.drawing.passedOver)).toEqual([[name, 1]]);
  });

  it.each(odd)("%s is one of elements, transforms, units and ids of an SVG", (name) => {
    const text = svg(
      `<${name}/><g id="${name}"><path transform="${name}(1)" d="M0 0L5 5"/></g><use href="#${name}"/>`,
      `width="5${name.slice(0, 2)}" viewBox="0 0 100 100"`,
    );
    const reading = readSvg(bytes(text));
    if (!reading.ok) throw new Error(reading.code);
    expect(reading.drawing.runs).toHaveLength(2);
    expect(reading.drawing.mmPerUnit).toBeNull();
    expect(Object.entries(reading.drawing.passedOver)).toEqual([[name, 1]]);
  });

  it("a layer that is called as a part of a file is one", () => {
    const text = dxf(block("A", pairs(0, "LINE", 8, "BLOCK", 10, 0, 20, 0, 11, 5, 21, 1)), insert("A"));
    const reading = readDxf(bytes(text));
    expect(reading.ok && reading.drawing.runs).toHaveLength(1);
  });
});
