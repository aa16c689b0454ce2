import { execFileSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { strToU8, zipSync } from "fflate";
import Module, { type Manifold, type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { weigh } from "../../../figures/weigh/weigh";
import { MOST_TRIANGLES, openEdges } from "../../../geometry/solids/meshFaults";
import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";
import { assemble } from "../../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../../knife/design/constructions.fixtures";
import { newDesign } from "../../../knife/design/create";
import { newGuard } from "../../../knife/design/guards";
import type { Design } from "../../../knife/design/schema";
import { decodeMesh, encodeMesh } from "../../../knife/design/storedMesh";
import { exportMesh, printableParts } from "./exportMesh";
import { guessUnit, importShape } from "./importShape";
import { readStl } from "./readStl";
import { readThreeMf } from "./readThreeMf";
import { LARGEST_MESH_BYTES } from "./soup";
import { SLIVER_MM } from "./withoutSlivers";
import { writeStl } from "./writeStl";
import { writeThreeMf } from "./writeThreeMf";

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

function meshOf(solid: Manifold): TriangleMesh {
  const { vertProperties, triVerts } = solid.getMesh();
  return { vertices: Float32Array.from(vertProperties), triangles: Uint32Array.from(triVerts) };
}
const box = (x: number, y: number, z: number) => meshOf(kernel.Manifold.cube([x, y, z], true));
const scaled = (mesh: TriangleMesh, by: number): TriangleMesh => ({
  ...mesh,
  vertices: mesh.vertices.map((v) => v * by),
});

/** Volume by npm's and Debian's own readers of STL: an outside check of what we write. */
function admesh(bytes: Uint8Array): { volume: number; parts: number; open: number } {
  const file = join(mkdtempSync(join(tmpdir(), "euaxis-")), "part.stl");
  writeFileSync(file, bytes);
  const said = execFileSync("admesh", [file], { encoding: "utf8" });
  const number = (key: RegExp) => Number(key.exec(said)?.[1]);
  return {
    volume: number(/Volume\s*:\s*([\d.]+)/),
    parts: number(/Number of parts\s*:\s*(\d+)/),
    open: number(/Total disconnected facets\s*:\s*(\d+)/),
  };
}

/** Height of each triangle over its longest side, mm; nine numbers a triangle. */
function heights(corners: ArrayLike<number>): number[] {
  return Array.from({ length: corners.length / 9 }, (_, i) => {
    const [a, b, c] = [0, 3, 6].map((k) => [0, 1, 2].map((d) => corners[9 * i + k + d]));
    const side = (p: number[], q: number[]) => p.map((v, d) => q[d] - v);
    const [u, v, w] = [side(a, b), side(a, c), side(b, c)];
    const area = Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]);
    return area / Math.max(Math.hypot(...u), Math.hypot(...v), Math.hypot(...w));
  });
}

describe("shapes that come in", () => {
  it("keep size and volume, from STL and from 3MF alike", () => {
    const mesh = box(20, 30, 8);
    for (const bytes of [writeStl(mesh, "box"), writeThreeMf([{ name: "box", mesh }], "box")]) {
      const shape = importShape(kernel, bytes);
      if (!shape.ok) throw new Error(shape.code);
      expect(shape.volumeMm3).toBeCloseTo(20 * 30 * 8, 3);
      expect(shape.sizeMm.map((s) => Math.round(s * 1e4) / 1e4)).toEqual([20, 30, 8]);
      expect(shape.repairs).toEqual([]);
    }
  });

  it("are scaled where their size is in metres or inches, and say so; a unit chosen holds", () => {
    const metres = importShape(kernel, writeStl(scaled(box(20, 30, 8), 0.001), "m"));
    expect(metres).toMatchObject({ ok: true, repairs: [{ code: "scaled", unit: "meter", stated: false }] });
    if (metres.ok) expect(metres.volumeMm3 / 4800).toBeCloseTo(1, 5);
    const inches = importShape(kernel, writeStl(scaled(box(20, 30, 8), 1 / 25.4), "in"));
    expect(inches).toMatchObject({ ok: true, repairs: [{ unit: "inch" }] });
    const tiny = importShape(kernel, writeStl(box(2, 2, 2), "tiny"), "millimeter");
    expect(tiny).toMatchObject({ ok: true, repairs: [] });
    expect([0.03, 1.2, 30].map(guessUnit)).toEqual(["meter", "inch", "millimeter"]);
  });

  it("that are inside out are turned; slivers are left out", () => {
    const mesh = box(10, 10, 10);
    const turned = mesh.triangles.slice();
    for (let i = 0; i < turned.length; i += 3) [turned[i], turned[i + 1]] = [turned[i + 1], turned[i]];
    const shape = importShape(kernel, writeStl({ ...mesh, triangles: turned }, "inside out"));
    expect(shape).toMatchObject({ ok: true, repairs: [{ code: "turned-inside-out" }] });
    if (shape.ok) expect(shape.volumeMm3).toBeCloseTo(1000, 3);
    const sliver = { ...mesh, triangles: Uint32Array.from([...mesh.triangles, 0, 0, 1]) };
    expect(importShape(kernel, writeStl(sliver, "sliver"))).toMatchObject({
      ok: true,
      repairs: [{ code: "slivers-dropped", count: 1 }],
    });
  });

  it("that are too fine are simplified, and the change in volume is said", () => {
    const ball = kernel.Manifold.sphere(15, 256);
    expect(ball.numTri()).toBeGreaterThan(MOST_TRIANGLES);
    const shape = importShape(kernel, writeStl(meshOf(ball), "ball"));
    if (!shape.ok) throw new Error(shape.code);
    expect(shape.mesh.triangles.length / 3).toBeLessThanOrEqual(MOST_TRIANGLES);
    const said = shape.repairs.find((r) => r.code === "simplified");
    if (said?.code !== "simplified") throw new Error("nothing said");
    expect(said.volumeShare).toBeLessThan(0.005);
    // The ball's own volume, 4/3 π r³.
    expect(Math.abs(shape.volumeMm3 / ((4 / 3) * Math.PI * 15 ** 3) - 1)).toBeLessThan(0.006);
  });

  it("that are open, oversized, damaged or nothing at all are refused by name", () => {
    const mesh = box(10, 10, 10);
    const open = { ...mesh, triangles: mesh.triangles.slice(3) };
    expect(openEdges(open)).toBe(3);
    expect(importShape(kernel, writeStl(open, "open"))).toEqual({ ok: false, code: "open", edges: 3 });
    expect(importShape(kernel, writeStl(scaled(mesh, 50), "long"))).toMatchObject({ code: "size", mm: 500 });
    expect(importShape(kernel, new Uint8Array(LARGEST_MESH_BYTES + 1))).toMatchObject({ code: "too-large" });
    expect(importShape(kernel, new TextEncoder().encode("a letter"))).toMatchObject({ code: "not-a-mesh" });
    expect(importShape(kernel, new Uint8Array())).toMatchObject({ code: "not-a-mesh" });
    expect(importShape(kernel, new TextEncoder().encode("solid x\nendsolid x"))).toMatchObject({
      code: "damaged",
    });
    const nan = { ...mesh, vertices: mesh.vertices.map((v, i) => (i === 0 ? Number.NaN : v)) };
    expect(importShape(kernel, writeStl(nan, "nan"))).toMatchObject({ code: "not-finite" });
    const cut = writeStl(mesh, "cut short").slice(0, 200);
    expect(importShape(kernel, cut).ok).toBe(false);
    expect(importShape(kernel, writeStl({ ...mesh, triangles: new Uint32Array() }, "none")).ok).toBe(false);
    const zip = zipSync({ "readme.txt": strToU8("no model here") });
    expect(importShape(kernel, zip)).toMatchObject({ code: "not-a-mesh" });
  });

  it("follow the transforms and the unit of a 3MF package", () => {
    const model = `<?xml version="1.0"?><model unit="inch" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02">
      <resources><object id="1" type="model"><mesh><vertices>
      <vertex x="0" y="0" z="0"/><vertex x="1" y="0" z="0"/><vertex x="0" y="1" z="0"/><vertex x="0" y="0" z="1"/>
      </vertices><triangles>
      <triangle v1="0" v2="2" v3="1"/><triangle v1="0" v2="1" v3="3"/><triangle v1="0" v2="3" v3="2"/><triangle v1="1" v2="2" v3="3"/>
      </triangles></mesh></object>
      <object id="2" type="model"><components><component objectid="1" transform="2 0 0 0 1 0 0 0 1 5 0 0"/></components></object></resources>
      <build><item objectid="2"/></build></model>`;
    const reading = readThreeMf(zipSync({ "3D/3dmodel.model": strToU8(model) }));
    if (!reading.ok) throw new Error(reading.code);
    expect(reading.soup.unit).toBe("inch");
    const xs = [...reading.soup.corners].filter((_, i) => i % 3 === 0);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([5, 7]);
    // A corner of a box: a sixth of 2 × 1 × 1 cubic inches.
    const shape = importShape(kernel, zipSync({ "3D/3dmodel.model": strToU8(model) }));
    if (!shape.ok) throw new Error(shape.code);
    expect(shape.volumeMm3 / ((2 / 6) * 25.4 ** 3)).toBeCloseTo(1, 5);
    expect(shape.repairs).toMatchObject([{ code: "scaled", unit: "inch", stated: true }]);
  });

  it("are read from the text form of STL too", () => {
    const facet = (a: string, b: string, c: string) =>
      `facet normal 0 0 0\nouter loop\nvertex ${a}\nvertex ${b}\nvertex ${c}\nendloop\nendfacet\n`;
    const [o, x, y, z] = ["0 0 0", "30 0 0", "0 30 0", "0 0 30"];
    const text = `solid corner\n${facet(o, y, x)}${facet(o, x, z)}${facet(o, z, y)}${facet(x, y, z)}endsolid corner\n`;
    const shape = importShape(kernel, new TextEncoder().encode(text));
    if (!shape.ok) throw new Error(shape.code);
    expect(shape.volumeMm3).toBeCloseTo(30 ** 3 / 6, 2);
  });

  it("weigh in a knife what they weigh by themselves", () => {
    const sound = newDesign("Sedge");
    const shape = importShape(kernel, writeStl(meshOf(kernel.Manifold.cube([8, 44, 30], true)), "guard"));
    if (!shape.ok) throw new Error(shape.code);
    const guard = {
      ...newGuard(sound),
      plates: [{ material: "brass-360", thicknessMm: 8, printed: null }],
      mesh: { meshId: "shape-1", forward: "x" as const, rollDeg: 0, yMm: 0, xMm: 0 },
    };
    const design: Design = {
      ...sound,
      guard,
      meshes: [{ id: "shape-1", name: "guard.stl", ...encodeMesh(shape.mesh) }],
    };
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
    const part = weighing.report.parts.find((p) => p.id === "guard");
    // The block less the full tang that passes it, 8 × 26 × 4 mm as the handle's front is high.
    const behind = weighing.report.parts.find((p) => p.id === "tang");
    expect(behind?.volumeMm3).toBeGreaterThan(0);
    expect(part?.volumeMm3).toBeLessThan(8 * 44 * 30);
    expect(part?.volumeMm3).toBeGreaterThan(8 * 44 * 30 - 8 * 27 * 4);
  });

  it("come back from how a design keeps them; damaged ones are none", () => {
    const mesh = box(3, 4, 5);
    const stored = encodeMesh(mesh);
    expect(decodeMesh(stored)).toEqual(mesh);
    expect(decodeMesh({ ...stored, vertices: "AAAA" })).toBeNull();
    expect(decodeMesh({ ...stored, vertices: encodeMesh(box(1, 1, 1)).vertices.slice(0, 32) })).toBeNull();
    expect(decodeMesh({ ...stored, triangles: "" })).toBeNull();
  });
});

/** Source: Debian's admesh, which reads the STL by its own code. */
describe("mesh files that go out", () => {
  it.each([
    "framed tang",
    "ball pommel",
    "guard: s-curve",
    "take-down",
    "through tang, cap nut",
    "fastener: rivet",
    "bolsters, leaning and dovetailed",
  ])("%s: every part is closed, without slivers, and has the volume that the report gives", (name) => {
    const design = CONSTRUCTIONS[name];
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error("not weighed");
    const printable = printableParts(kernel, assemble(design));
    expect(printable.map((p) => p.id).sort()).toEqual(weighing.report.parts.map((p) => p.id).sort());
    for (const part of weighing.report.parts) {
      const bytes = writeStl(printable.find((p) => p.id === part.id)!.mesh, part.id);
      const read = admesh(bytes);
      expect(read.open, part.id).toBe(0);
      expect(Math.abs(read.volume - part.volumeMm3), part.id).toBeLessThan(0.001 * part.volumeMm3 + 0.05);
      const file = readStl(bytes);
      if (!file.ok) throw new Error(file.code);
      const low = heights(file.soup.corners).filter((h) => h < 0.9 * SLIVER_MM);
      expect(low.length / (file.soup.corners.length / 9), part.id).toBeLessThan(0.005);
    }
  });

  it("hold the whole knife, part by part, and come back as they were", () => {
    const design = CONSTRUCTIONS["framed tang"];
    const whole = exportMesh(kernel, { name: design.name, assembly: assemble(design) }, null, "3mf");
    const stl = exportMesh(kernel, { name: design.name, assembly: assemble(design) }, null, "stl");
    if (!whole || !stl) throw new Error("nothing written");
    const [package_, file] = [readThreeMf(whole), readStl(stl)];
    if (!package_.ok || !file.ok) throw new Error("not read");
    expect(package_.soup.unit).toBe("millimeter");
    expect(package_.soup.corners.length).toBe(file.soup.corners.length);
  });

  it("are none for a part that is not there", () => {
    expect(
      exportMesh(kernel, { name: "Sedge", assembly: assemble(newDesign("Sedge")) }, "pommel", "stl"),
    ).toBeNull();
  });
});

describe("a divider that leans through a joint along the handle", () => {
  it("is meshed, and weighs what its mesh holds", { timeout: 120_000 }, () => {
    const base = CONSTRUCTIONS["curved joint along the scales, with a sheet"];
    if (base.handle.kind !== "scales") throw new Error("no scales");
    const [joint] = base.handle.joints;
    const leaning = { ...joint, tiltDeg: 35, dividers: joint.dividers.slice(0, 1) };
    const design: Design = { ...base, handle: { ...base.handle, joints: [leaning] } };
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error(JSON.stringify(weighing.findings));
    const [part] = printableParts(kernel, assemble(design), (id) => id === "divider:j-60:right");
    const weighed = weighing.report.parts.find((p) => p.id === part.id)!.volumeMm3;
    // Source: Debian's admesh.
    const { volume, open } = admesh(writeStl(part.mesh, "divider"));
    expect(open).toBe(0);
    expect(Math.abs(volume / weighed - 1)).toBeLessThan(0.002);
    expect(part.mesh.triangles.length / 3).toBeLessThan(4000);
  });
});
