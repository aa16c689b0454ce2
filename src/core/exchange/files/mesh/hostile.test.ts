import { strToU8, unzipSync, zipSync } from "fflate";
import Module, { type ManifoldToplevel } from "manifold-3d";
import { SaxesParser } from "saxes";
import { beforeAll, describe, expect, it } from "vitest";
import { boxesMesh, rodMesh } from "../../../knife/design/limits.fixtures";
import { importShape } from "./importShape";
import { readStl } from "./readStl";
import { readThreeMf } from "./readThreeMf";
import { MOST_READ_TRIANGLES } from "./soup";
import { unpack, zipEntries } from "./unzipped";
import { writeStl } from "./writeStl";
import { writeThreeMf } from "./writeThreeMf";

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

const bytes = (text: string) => new TextEncoder().encode(text);
const zipped = (model: string | Uint8Array) =>
  zipSync({ "3D/3dmodel.model": typeof model === "string" ? strToU8(model) : model });
const box = boxesMesh([
  [0, 0, 0],
  [10, 20, 30],
]);
const modelOf = (mesh = box) =>
  new TextDecoder().decode(unzipSync(writeThreeMf([{ name: "box", mesh }], "box"))["3D/3dmodel.model"]);

/** Objects of objects, each made of so many of the next. */
function nested(depth: number, each: number, unit = "millimeter"): string {
  const objects = Array.from(
    { length: depth },
    (_, i) =>
      `<object id="${i}"><components>${`<component objectid="${i + 1}"/>`.repeat(each)}</components></object>`,
  );
  const last = `<object id="${depth}"><mesh><vertices/><triangles/></mesh></object>`;
  return `<model unit="${unit}"><resources>${objects.join("")}${last}</resources><build><item objectid="0"/></build></model>`;
}

describe("a 3MF package made to hold a reader up", () => {
  it.each([
    ["190 MB of blanks in 0.2 MB", () => zipped(new Uint8Array(190_000_000).fill(32))],
    ["objects in objects, forty to the eighth", () => zipped(nested(8, 40))],
    ["objects in objects past all depth", () => zipped(nested(2000, 1))],
    ["an object that holds itself", () => zipped(nested(1, 1).replace('objectid="1"', 'objectid="0"'))],
    ["elements in elements without end", () => zipped("<a>".repeat(5_000_000))],
    [
      "a million attributes",
      () => zipped(`<model ${Array.from({ length: 1_000_000 }, (_, i) => `a${i}="1"`).join(" ")}/>`),
    ],
    ["a hundred thousand faults", () => zipped("<?xml ".repeat(100_000))],
    ["entities of its own", () => zipped('<!DOCTYPE m [<!ENTITY a "b">]><model>&a;</model>')],
    ["a unit that is none", () => zipped(nested(1, 1, "constructor"))],
    ["a unit that is none, round a sound box", () => zipped(modelOf().replace("millimeter", "constructor"))],
  ])("%s: is refused as damaged", (_, make) => {
    expect(readThreeMf(make())).toEqual({ ok: false, code: "damaged" });
  });

  it("is stopped while it is unpacked, whatever it says of its size", () => {
    const packed = zipped(new Uint8Array(50_000_000));
    const [entry] = zipEntries(packed) ?? [];
    let out = 0;
    const whole = unpack(packed, entry, 1_000_000, (piece) => {
      out += piece.length;
      return true;
    });
    expect(whole).toBe(false);
    expect(out).toBeLessThan(5_000_000);
  });

  it("with more triangles than are read is refused as too fine", () => {
    const many = `<triangle v1="0" v2="1" v3="2"/>`.repeat(MOST_READ_TRIANGLES + 10);
    expect(readThreeMf(zipped(modelOf().replace("<triangles>", `<triangles>${many}`)))).toMatchObject({
      ok: false,
      code: "too-fine",
      limit: MOST_READ_TRIANGLES,
    });
  });

  it("that is sound is still read, its parts moved and scaled as it says", () => {
    const moved = modelOf().replace(
      '<item objectid="1"',
      '<item transform="2 0 0 0 1 0 0 0 1 5 0 0" objectid="1"',
    );
    const reading = readThreeMf(zipped(moved));
    if (!reading.ok) throw new Error(reading.code);
    const xs = reading.soup.corners.filter((_, i) => i % 3 === 0);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([5, 25]);
  });
});

describe("an STL made to hold a reader up", () => {
  it.each([
    ["words repeated without end", "solid facet ".repeat(500_000)],
    ["corners without a facet", `solid x\n${"vertex 1 2 3\n".repeat(300_000)}`],
    ["facets in facets", `solid x\n${"facet\nvertex 1 2 3\n".repeat(100_000)}`],
    [
      "a facet of four corners",
      "solid x\nfacet\nvertex 0 0 0\nvertex 0 0 1\nvertex 0 1 0\nvertex 1 0 0\nendfacet\n",
    ],
    ["a facet cut short", "solid x\nfacet\nvertex 0 0 0\nvertex 0 0 1\nendfacet\n"],
    ["one line of a million words", `solid x\n${"facet ".repeat(1_000_000)}`],
  ])("%s: is refused as damaged", (_, text) => {
    expect(readStl(bytes(text))).toEqual({ ok: false, code: "damaged" });
  });

  it("with more triangles than are read is refused as too fine, in either form", () => {
    const facet = "facet\nvertex 1 2 3\nvertex 1 5 3\nvertex 4 2 3\nendfacet\n";
    expect(readStl(bytes(`solid x\n${facet.repeat(MOST_READ_TRIANGLES + 1)}`))).toMatchObject({
      code: "too-fine",
    });
    const binary = new Uint8Array(84 + 50 * (MOST_READ_TRIANGLES + 1));
    new DataView(binary.buffer).setUint32(80, MOST_READ_TRIANGLES + 1, true);
    expect(readStl(binary)).toMatchObject({ code: "too-fine" });
  });

  it("with tens of thousands of triangles round one corner is refused before the kernel is asked", () => {
    expect(importShape(kernel, writeStl(rodMesh(10_000), "rod"))).toEqual({
      ok: false,
      code: "crowded",
      triangles: 10_000,
      limit: 4000,
    });
  });

  it("of bodies that run into each other is refused, since nobody can tell what is inside", () => {
    const across = boxesMesh(
      [
        [0, 0, 0],
        [10, 10, 10],
      ],
      [
        [5, 5, 5],
        [15, 15, 15],
      ],
    );
    expect(importShape(kernel, writeStl(across, "across"))).toEqual({ ok: false, code: "crosses-itself" });
  });

  it("reads names with spaces, capitals, tabs and other ends of lines", () => {
    const text =
      "SOLID my part \r\n\tFACET NORMAL 0 0 1\r OUTER LOOP\rVERTEX 0 0 0\rvertex 1e1 0 0\n vertex 0 +1.5E0 0\nENDLOOP\nendfacet\nendsolid my part";
    const reading = readStl(bytes(text));
    expect(reading.ok && [...reading.soup.corners]).toEqual([0, 0, 0, 10, 0, 0, 0, 1.5, 0]);
  });
});

describe("a 3MF package that we write", () => {
  it("is sound XML whatever its parts are called", () => {
    const name = `a\u0000b\u0007c\ud800d\ufffee <&>"' ü 刀`;
    const model = new TextDecoder("utf-8", { fatal: true }).decode(
      unzipSync(writeThreeMf([{ name, mesh: box }], name))["3D/3dmodel.model"],
    );
    const names: string[] = [];
    const parser = new SaxesParser();
    parser.on("error", (error) => {
      throw error;
    });
    parser.on("opentag", (tag) => {
      if (tag.name === "object") names.push(String(tag.attributes.name));
    });
    parser.write(model).close();
    expect(names).toEqual([`a b c d e <&>"' ü 刀`]);
  });
});
