import { describe, expect, it } from "vitest";
import { weigh } from "../../../figures/weigh/weigh";
import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";
import { newDesign } from "../../../knife/design/create";
import { boxesMesh, endingIn, rodMesh } from "../../../knife/design/limits.fixtures";
import type { Design } from "../../../knife/design/schema";
import { jsonFaultAt } from "../jsonFault";
import { readPrices } from "../prices/prices";
import { readKnife } from "./read";
import { readFixed } from "./readFixed";
import { writeKnife } from "./write";

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (design: Design) => readFixed(bytes(writeKnife(design)));
const box = boxesMesh([
  [0, -8, -6],
  [20, 8, 6],
]);

describe("a file that nests without end", () => {
  it.each(["[", '{"a":', '[{"a":'])("is refused before it is parsed: %j", (open) => {
    expect(readKnife(bytes(open.repeat(100_000)))).toEqual({ ok: false, code: "too-complex" });
    // Not so deep that it could be told by that, it is refused with the place where it ends.
    const text = open.repeat(8);
    expect(readKnife(bytes(text))).toEqual({ ok: false, code: "not-json", line: 1, column: text.length + 1 });
  });

  it("is refused where it is whole, and where it has more names or values than a knife", () => {
    const whole = `${"[".repeat(100_000)}${"]".repeat(100_000)}`;
    const wide = `[${"1,".repeat(200_000)}1]`;
    const named = `{${Array.from({ length: 120_000 }, (_, i) => `"k${i}":1`).join(",")}}`;
    for (const text of [whole, wide, named])
      expect(readKnife(bytes(text))).toEqual({ ok: false, code: "too-complex" });
    // Brackets, commas and colons of a text are letters like others.
    expect(readKnife(bytes(JSON.stringify({ note: '"[{:,'.repeat(50_000) })))).toEqual({
      ok: false,
      code: "foreign",
    });
  });
});

describe("a file that says a thing twice, or a thing that nobody asks for", () => {
  const text = writeKnife(newDesign("Sedge"));

  it("is refused with the key and its second place: a parser would keep the last without a word", () => {
    const twice = text.replace('"name":', '"name": "First",\n"name":');
    const line = twice.slice(0, twice.lastIndexOf('"name": "Sedge"')).split("\n").length;
    expect(readKnife(bytes(twice))).toMatchObject({ ok: false, code: "key-twice", key: "name", line });
    expect(readKnife(bytes(text.replace('"format"', '"format": "other", "format"')))).toMatchObject({
      code: "key-twice",
      key: "format",
    });
    expect(readKnife(bytes(text.replace(/"xMm": 0/, '"\\u0078Mm": -9, "xMm": 0')))).toMatchObject({
      code: "key-twice",
      key: "xMm",
    });
  });

  it("is refused by name, at the top and inside", () => {
    const top = readKnife(bytes(text.replace('"knife":', '"extra": 1, "knife":')));
    expect(top).toMatchObject({ code: "invalid", problems: [{ path: "extra" }] });
    const inside = readKnife(bytes(text.replace('"name":', '"extra": 1, "name":')));
    expect(inside).toMatchObject({ code: "invalid" });
    expect(JSON.stringify(inside)).toContain("extra");
  });

  it("prices too", () => {
    const prices = '{"format":"euaxis-prices","version":1,"shop":{"currency":"","ratePerHour":0,"prices":{}}';
    expect(readPrices(bytes(`${prices}}`))).toMatchObject({ ok: true });
    expect(readPrices(bytes(`${prices},"extra":1}`))).toMatchObject({ code: "foreign-key", key: "extra" });
    expect(readPrices(bytes(`${prices.replace('"currency"', '"currency":"x","currency"')}}`))).toMatchObject({
      code: "key-twice",
      key: "currency",
    });
  });

  it("of the same key in two places, neither: that is no repetition", () => {
    expect(readKnife(bytes(text))).toMatchObject({ ok: true });
  });
});

describe("the place where a text stops being JSON", () => {
  it.each([
    ['{"a": 1,}', 8],
    ['{"a" 1}', 5],
    ["[1 2]", 3],
    ["[1, tru]", 4],
    ['{"a": "x', 6],
    ["{a: 1}", 1],
    ["[1] 2", 4],
    ["// no\n1", 0],
    ["[01]", 2],
    ["", 0],
  ])("%j: at %d", (text, at) => {
    expect(() => JSON.parse(text)).toThrow();
    expect(jsonFaultAt(text)).toBe(at);
  });

  it("is the end of a text that is sound", () => {
    const text = JSON.stringify({ a: [1, -2.5e3, null, true, false, '\u2028"', {}, []] });
    expect(jsonFaultAt(text)).toBe(text.length);
  });
});

describe("shapes inside a knife's file", () => {
  const turned = (m: TriangleMesh): TriangleMesh => ({ ...m, triangles: m.triangles.slice().reverse() });
  it.each<[string, TriangleMesh, RegExp]>([
    ["open", { ...box, triangles: box.triangles.slice(3) }, /not closed: 3 edges/],
    ["inside out", turned(box), /encloses nothing/],
    [
      "beyond the size of a knife",
      { ...box, vertices: box.vertices.map((v) => v * 1e30) },
      /mm long; up to 400/,
    ],
    [
      "of no finite number",
      { ...box, vertices: box.vertices.map((v, i) => (i === 4 ? Number.NaN : v)) },
      /damaged/,
    ],
    [
      "of corners that are not there",
      { ...box, triangles: box.triangles.map((t, i) => (i ? t : 99)) },
      /damaged/,
    ],
    ["too fine to weigh", rodMesh(3001), /12004 triangles; up to 12000/],
  ])("that are %s refuse it, and say which", (_, mesh, message) => {
    const reading = read(endingIn(mesh));
    if (reading.ok || reading.code !== "invalid") throw new Error(JSON.stringify(reading).slice(0, 80));
    expect(reading.problems).toEqual([{ path: "knife.meshes[0]", message: expect.stringMatching(message) }]);
  });

  it("that cross themselves open, and are not weighed", () => {
    const crossing = boxesMesh(
      [
        [0, -8, -8],
        [12, 8, 8],
      ],
      [
        [6, -4, -4],
        [20, 4, 4],
      ],
    );
    const reading = read(endingIn(crossing));
    if (!reading.ok) throw new Error(reading.code);
    const weighing = weigh(reading.design);
    expect(weighing.ok).toBe(false);
    expect(weighing.findings.map((f) => f.rule)).toContain("shape-crosses-itself");
  });

  it("that are whole come back as they were", () => {
    const design = endingIn(box);
    expect(read(design)).toEqual({ ok: true, design, variants: [] });
    expect(weigh(design).ok).toBe(true);
  });
});

describe("lists without end inside a file", () => {
  it.each(["limits", "minutes"] as const)("%s: are refused", (key) => {
    const design = newDesign("Sedge");
    const many = Object.fromEntries(Array.from({ length: 20_000 }, (_, i) => [`rule-${i}`, 1]));
    const bent =
      key === "limits"
        ? { ...design, fitUp: { ...design.fitUp, limits: many } }
        : { ...design, work: { ...design.work, minutes: many } };
    expect(read(bent)).toMatchObject({
      ok: false,
      code: "invalid",
      problems: [{ message: "may have 200 entries at most" }],
    });
  });
});

describe("a file of prices", () => {
  it.each([0, 0.5, -1, "1", null])("of version %j is refused", (version) => {
    const shop = { currency: "", ratePerHour: 1, prices: {} };
    expect(readPrices(bytes(JSON.stringify({ format: "euaxis-prices", version, shop })))).toEqual({
      ok: false,
      code: "no-version",
    });
  });
});
