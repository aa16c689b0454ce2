import { readFileSync, writeFileSync } from "node:fs";
import { booleans, measurements, primitives } from "@jscad/modeling";
import Module from "manifold-3d";
import { Bench } from "tinybench";
import { assemble } from "../src/core/assembly/assemble";
import type { Assembly } from "../src/core/assembly/types";
import { readKnife } from "../src/core/files/knife/read";
import { measureSolid, solidParts } from "../src/core/solids/kernel";
import { type MeshFineness, meshRegion } from "../src/core/solids/meshRegion";
import { DEFAULT_FINENESS, integrate } from "../src/core/weigh/integrate";
import { weigh } from "../src/core/weigh/weigh";

/** The knife that is measured: twelve parts and more, of every kind the application has. */
const KNIFE = "demo/heath-field-knife.json";
const WITHIN = 0.001;

const kernel = await Module();
kernel.setup();
const reading = readKnife(readFileSync(KNIFE));
if (!reading.ok) throw new Error(reading.code);
const { design } = reading;
const assembly = assemble(design);
const total = (volumes: readonly number[]) => volumes.reduce((a, b) => a + b, 0);
const ours = integrate(assembly);
const reference = integrate(assembly, {
  xPointsPerMm: 2,
  xPoints: [16, 80],
  yPointsPerMm: 2,
  yPoints: [16, 60],
  zonePoints: 40,
  split: 2,
});
const exact = total(reference.map((m) => m.v));

function manifoldVolume(fineness: MeshFineness): number {
  const solids = solidParts(kernel, assembly, fineness);
  const volume = total(solids.map((s) => (s ? measureSolid(s).volumeMm3 : 0)));
  for (const s of solids) s?.delete();
  return volume;
}

/** The same precedence with constructive solids in plain JavaScript. */
function jscadVolume(from: Assembly, fineness: MeshFineness): number {
  const regions = from.regions.map((r) => {
    const mesh = meshRegion(r, fineness);
    if (!mesh) return null;
    const points = Array.from({ length: mesh.vertices.length / 3 }, (_, i) => [
      ...mesh.vertices.slice(3 * i, 3 * i + 3),
    ]);
    const faces = Array.from({ length: mesh.triangles.length / 3 }, (_, i) => [
      ...mesh.triangles.slice(3 * i, 3 * i + 3),
    ]);
    return primitives.polyhedron({ points: points as [number, number, number][], faces });
  });
  let volume = 0;
  const done: ReturnType<typeof primitives.polyhedron>[] = [];
  for (const part of from.parts) {
    const of = part.regions.map((r) => regions[r]);
    if (of.some((g) => !g)) continue;
    const whole = booleans.intersect(...(of as ReturnType<typeof primitives.polyhedron>[]));
    const solid = done.length > 0 ? booleans.subtract(whole, ...done) : whole;
    volume += measurements.measureVolume(solid);
    done.push(solid);
  }
  return volume;
}

/** The coarsest of these meshes that comes within a thousandth. */
const MESHES: MeshFineness[] = [6, 8, 10, 12, 14, 16, 18, 20, 24, 28].map((n) => ({
  stations: n,
  rows: 3 * n,
}));
const coarsest = MESHES.find((m) => Math.abs(manifoldVolume(m) / exact - 1) < WITHIN);
if (!coarsest) throw new Error("no mesh of the list comes within a thousandth");

const bench = new Bench({ time: 1500, warmupTime: 500 });
bench.add("integrate", () => {
  integrate(assembly);
});
bench.add("weigh (check, assemble, integrate, report)", () => {
  weigh(design);
});
bench.add(
  "mesh kernel",
  () => {
    manifoldVolume(coarsest);
  },
  {},
);
await bench.run();
const ms = (name: string) => {
  const result = bench.tasks.find((t) => t.name === name)?.result;
  if (!result || !("latency" in result)) throw new Error(`${name} did not run`);
  return result.latency.p50 ?? result.latency.mean;
};

const coarse: MeshFineness = { stations: 4, rows: 8 };
const began = performance.now();
const jscad = jscadVolume(assembly, coarse);
const jscadMs = performance.now() - began;

const error = (volume: number) => Math.abs(volume / exact - 1);
const rows = [
  { what: "integrator, default", ms: ms("integrate"), error: error(total(ours.map((m) => m.v))) },
  {
    what: "whole weighing",
    ms: ms("weigh (check, assemble, integrate, report)"),
    error: error(total(ours.map((m) => m.v))),
  },
  {
    what: `mesh kernel, ${coarsest.stations} × ${coarsest.rows}`,
    ms: ms("mesh kernel"),
    error: error(manifoldVolume(coarsest)),
  },
  {
    what: `constructive solids in JavaScript, ${coarse.stations} × ${coarse.rows}`,
    ms: jscadMs,
    error: error(jscad),
  },
];
const base = rows[1].ms;
const solidParts_ = assembly.parts.length;
console.log(`${KNIFE}: ${solidParts_} parts, split ${DEFAULT_FINENESS.split}; times are medians in one run`);
console.table(
  rows.map((r) => ({
    what: r.what,
    ms: Number(r.ms.toFixed(3)),
    "× a weighing": Number((r.ms / base).toFixed(1)),
    "volume error": r.error.toExponential(1),
  })),
);
writeFileSync(
  "bench-result.json",
  `${JSON.stringify({ knife: KNIFE, parts: solidParts_, rows }, null, 2)}\n`,
);
