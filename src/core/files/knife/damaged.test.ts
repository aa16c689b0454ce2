import { describe, expect, it } from "vitest";
import { newDesign } from "../../design/create";
import { boxesMesh, endingIn, rodMesh } from "../../design/limits.fixtures";
import type { Design } from "../../design/schema";
import type { TriangleMesh } from "../../solids/triangleMesh";
import { weigh } from "../../weigh/weigh";
import { readPrices } from "../prices/prices";
import { jsonFaultAt } from "./jsonFault";
import { readKnife } from "./read";
import { writeKnife } from "./write";

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (design: Design) => readKnife(bytes(writeKnife(design)));
const box = boxesMesh([
  [0, -8, -6],
  [20, 8, 6],
]);

describe("a file that nests without end", () => {
  it.each(["[", '{"a":', '[{"a":'])("is refused with the place where it ends: %j", (open) => {
    const text = open.repeat(100_000);
    expect(readKnife(bytes(text))).toEqual({ ok: false, code: "not-json", line: 1, column: text.length + 1 });
  });

  it("is refused as no knife where it is whole", () => {
    expect(readKnife(bytes(`${"[".repeat(100_000)}${"]".repeat(100_000)}`))).toMatchObject({
      code: "foreign",
    });
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
    const many = Object.fromEntries(Array.from({ length: 80_000 }, (_, i) => [`rule-${i}`, 1]));
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
