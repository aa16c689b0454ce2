import type { Random } from "./random";

/** Figures that readers trip over: huge, tiny, none, in the wrong writing. */
const FIGURES = [
  "1e308",
  "-1e308",
  "1e-308",
  "1e999",
  "NaN",
  "0",
  "-0",
  "1e6",
  "99999999999",
  "0x10",
  "",
  "1,5",
  ".",
  "-",
];
const NAMES = [
  "__proto__",
  "constructor",
  "toString",
  "A",
  "0",
  "BLOCK",
  "\u0000",
  "\u202e",
  "x".repeat(3000),
];

/** A DXF of lines, arcs, a spline, blocks and inserts, small enough to be seen through. */
export function plainDxf(): string {
  const tags = (...list: readonly (string | number)[]) => list.join("\n");
  const line = tags(0, "LINE", 8, "cut", 10, 0, 20, 0, 11, 100, 21, 5);
  const bent = tags(
    0,
    "LWPOLYLINE",
    8,
    "cut",
    90,
    4,
    70,
    1,
    10,
    0,
    20,
    0,
    42,
    0.4,
    10,
    80,
    20,
    0,
    10,
    80,
    20,
    20,
    42,
    -0.2,
    10,
    0,
    20,
    20,
  );
  const round = [
    tags(0, "CIRCLE", 8, "holes", 10, 20, 20, 10, 40, 3),
    tags(0, "ARC", 10, 5, 20, 5, 40, 4, 50, 10, 51, 200),
  ];
  const spline = tags(
    0,
    "SPLINE",
    70,
    8,
    71,
    3,
    72,
    8,
    73,
    4,
    40,
    0,
    40,
    0,
    40,
    0,
    40,
    0,
    40,
    1,
    40,
    1,
    40,
    1,
    40,
    1,
    10,
    0,
    20,
    0,
    10,
    10,
    20,
    20,
    10,
    30,
    20,
    -5,
    10,
    40,
    20,
    0,
  );
  const insert = (name: string) =>
    tags(0, "INSERT", 8, "0", 2, name, 10, 5, 20, 5, 41, 2, 42, 2, 50, 30, 70, 2, 71, 2, 44, 10, 45, 10);
  const block = (name: string, inner: string) =>
    tags(0, "BLOCK", 8, "0", 2, name, 10, 0, 20, 0, inner, 0, "ENDBLK");
  return tags(
    tags(0, "SECTION", 2, "HEADER", 9, "$INSUNITS", 70, 4, 0, "ENDSEC"),
    tags(0, "SECTION", 2, "BLOCKS", block("A", line), block("B", tags(insert("A"), round[0])), 0, "ENDSEC"),
    tags(0, "SECTION", 2, "ENTITIES", line, bent, ...round, spline, insert("B"), 0, "ENDSEC", 0, "EOF"),
  );
}

/** An SVG of shapes, groups, uses, transforms and path data. */
export const plainSvg = (): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="60mm" viewBox="0 0 200 60"><defs><g id="a"><path d="M0 0C10 5 20 5 30 0S50-5 60 0T70 10A5 6 30 0 1 80 12L80 20H0V10Z"/></g><g id="b"><use href="#a" x="3"/><use href="#a" transform="scale(2)"/></g></defs><g transform="translate(10 20) rotate(15)"><use href="#b"/><rect width="80" height="20" rx="3"/><circle cx="20" cy="10" r="3"/><ellipse cx="40" cy="10" rx="5" ry="3"/></g><polygon points="0,0 50,0 50,20 25,30 0,20"/><line x1="0" y1="0" x2="9" y2="9"/></svg>`;

/** A table of stock as a spreadsheet saves it. */
export const plainCsv = (): string =>
  'Name;Class;Density g/cm³;Lowest;Highest;Price per kg;Note\r\nFell beech;Wood;0,71;0,66;0,75;18,50;"dried; from the north lot"\r\nMarsh bronze;metal;8,6;;;1.250,00;\r\n"Odd ""piece""";horn;1,3;1,2;1,4;;\r\n';

/** Pairs of tags exchanged, doubled, left out and pointed elsewhere; arrays and blocks made many and put into each other. */
export function damagedDxf(text: string, r: Random): string {
  const lines = text.split("\n");
  const pairs: [string, string][] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) pairs.push([lines[i], lines[i + 1]]);
  for (let n = 1 + r.below(6); n > 0 && pairs.length > 0; n--) {
    const at = r.below(pairs.length);
    const [code] = pairs[at];
    const what = r.below(8);
    if (what === 0) pairs[at][1] = r.of(FIGURES);
    else if (what === 1) pairs[at][1] = r.of(NAMES);
    else if (what === 2) pairs[at][0] = r.of(["0", "2", "10", "42", "70", "71", "40", "999", "x", "-1"]);
    else if (what === 3) pairs.splice(at, 1 + r.below(6));
    else if (what === 4) {
      // A run of tags again, up to some thousand times.
      const run = pairs.slice(at, at + 1 + r.below(30));
      const times = Math.min(10 ** r.below(5), Math.floor(60_000 / run.length));
      for (let k = 0; k < times; k++) pairs.splice(at, 0, ...run.map(([c, v]): [string, string] => [c, v]));
    } else if (what === 5) {
      // Every array as large as it may be.
      for (const pair of pairs)
        if (pair[0] === "70" || pair[0] === "71") pair[1] = r.of(["50", "2500", "1000000"]);
    } else if (what === 6) {
      // Every reference to one block: to itself, where it stands in it.
      const to = r.of(["A", "B"]);
      for (let k = 0; k < pairs.length; k++)
        if (pairs[k][0] === "2" && pairs[k - 1]?.[1] !== "BLOCK" && k > 0) pairs[k][1] = to;
    } else for (const pair of pairs) if (pair[0] === code && r.next() < 0.3) pair[1] = r.of(FIGURES);
  }
  return pairs.map(([c, v]) => `${c}\n${v}`).join("\n");
}

/** Elements nested, doubled, used in each other; numbers and attributes exchanged. */
export function damagedSvg(text: string, r: Random): string {
  let out = text;
  for (let n = 1 + r.below(5); n > 0; n--) {
    const what = r.below(8);
    if (what === 0) out = swapped(out, r.of(FIGURES), r);
    else if (what === 1) out = out.replace("<g", `${"<g>".repeat(10 ** r.below(5))}<g`);
    else if (what === 2) out = out.replaceAll("#a", r.of(["#b", "#a", "#__proto__", "#"]));
    else if (what === 3) {
      const use = '<use href="#b"/>'.repeat(10 ** r.below(4));
      out = out.replace('<g id="b">', `<g id="b">${use}`);
    } else if (what === 4)
      out = out.replace(
        /d="M/,
        `d="${r.of(["M1", "M0 0L", "m1 1h", "M0 0a1 1 0 0 0 1 1"])}${"1 ".repeat(10 ** r.below(6))}M`,
      );
    else if (what === 5)
      out = out.replace(
        "rotate(15)",
        r.of(["rotate(", "a".repeat(50_000), "matrix(1)", "scale(1e308)", "skewX(90)", ")("]),
      );
    else if (what === 6)
      out = out.replace(
        /width="[^"]*"/,
        `width="${r.of(["1e308mm", "-5mm", "%", " ".repeat(20_000), "5__proto__"])}"`,
      );
    else out = out.slice(0, r.below(out.length)) + out.slice(r.below(out.length));
  }
  return out;
}

/** Cells, quotes and rows exchanged, doubled and made long. */
export function damagedCsv(text: string, r: Random): string {
  let out = text;
  for (let n = 1 + r.below(4); n > 0; n--) {
    const what = r.below(6);
    if (what === 0) out = swapped(out, r.of(FIGURES), r);
    else if (what === 1) out = out.replace(/Fell beech|Name|Wood/, r.of(NAMES));
    else if (what === 2) out += 'x;wood;0,5;;;;"'.repeat(10 ** r.below(4));
    else if (what === 3) out = out.replaceAll(";", r.of([",", "\t", ";;", ' ";" ']));
    else if (what === 4) out = out.replace("Density", `Density${" ".repeat(10 ** r.below(6))}x`);
    else out = out.slice(0, r.below(out.length)) + '"'.repeat(r.below(5)) + out.slice(r.below(out.length));
  }
  return out;
}

/** One number of a text exchanged. */
function swapped(text: string, by: string, r: Random): string {
  const numbers = [...text.matchAll(/\d+/g)];
  if (numbers.length === 0) return text;
  const { index, 0: was } = r.of(numbers);
  return text.slice(0, index) + by + text.slice(index + was.length);
}
