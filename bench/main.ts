import { existsSync, readFileSync, writeFileSync } from "node:fs";
import jscadModeling from "@jscad/modeling";
import Module from "manifold-3d";
import { Bench } from "tinybench";
import { fitFigures } from "@/core/figures/fit/fitFigures";
import { reviewDesign } from "@/core/figures/review/reviewDesign";
import { targetOf } from "@/core/figures/tune/goals";
import { CHROMIUM } from "../scripts/lib/chromium.mjs";
import { readFixed } from "../src/core/exchange/files/knife/readFixed";
import { tuneReviewed } from "../src/core/figures/review/tuneReviewed";
import { leverEffects } from "../src/core/figures/tune/effects";
import { sampleBuilds } from "../src/core/figures/tune/sample";
import { DEFAULT_FINENESS, integrate } from "../src/core/figures/weigh/integrate";
import { PanelMemory } from "../src/core/figures/weigh/panelMemory";
import { weigh } from "../src/core/figures/weigh/weigh";
import { type MeshFineness, meshRegion } from "../src/core/geometry/solids/meshRegion";
import { assemble } from "../src/core/knife/assembly/assemble";
import { manyOpenings, slowestShapes } from "../src/core/knife/design/limits.fixtures";
import type { Design } from "../src/core/knife/design/schema";
import { measureSolid, solidParts } from "../src/core/knife/kernel/solidParts";
import type { Assembly } from "../src/core/knife/parts/types";
import { DAYS_BEGIN_MS, manyJobs, USUAL_DAYS } from "../src/core/schedule/many.fixtures";
import { schedule } from "../src/core/schedule/schedule";
import { dragTimes, quantile } from "./drag";

const { booleans, measurements, primitives } = jscadModeling;

/** The knife that is measured: twelve parts and more, of every kind the application has. */
const KNIFE = "demo/heath-field-knife.json";
const WITHIN = 0.001;
const SCALE = "scale:right";

const kernel = await Module();
kernel.setup();
const reading = readFixed(readFileSync(KNIFE));
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
  zonePoints: [40, 40],
  split: 2,
});
const exact = total(reference.map((m) => m.v));

function manifoldVolume(fineness: MeshFineness): number {
  const solids = solidParts(kernel, assembly, fineness);
  const volume = total(solids.map((s) => (s ? measureSolid(s).volumeMm3 : 0)));
  for (const s of solids) s?.delete();
  return volume;
}

function area(a: readonly number[], b: readonly number[], c: readonly number[]): number {
  const [u, v] = [b, c].map((p) => p.map((x, k) => x - a[k]));
  return Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]) / 2;
}

/**
 * The right scale, not drilled, with constructive solids in plain JavaScript: one boolean only, because longer chains
 * of these solids come out wrong in this kernel (surfaces that touch, slim triangles).
 */
function jscadScale(from: Assembly, fineness: MeshFineness): number {
  const solid = (index: number) => {
    const [mesh] = meshRegion(from.regions[index], fineness);
    if (!mesh) throw new Error(`region ${index} is empty`);
    const points = Array.from(
      { length: mesh.vertices.length / 3 },
      (_, i) => [...mesh.vertices.slice(3 * i, 3 * i + 3)] as [number, number, number],
    );
    // Triangles without area have no plane, which this kernel cannot bear.
    const faces = Array.from({ length: mesh.triangles.length / 3 }, (_, i) => [
      ...mesh.triangles.slice(3 * i, 3 * i + 3),
    ]).filter(([p, q, r]) => area(points[p], points[q], points[r]) > 1e-7);
    return primitives.polyhedron({ points, faces });
  };
  const scale = from.parts.find((p) => p.id === SCALE);
  if (!scale) throw new Error("no scale");
  const [body, ...rest] = scale.regions.map(solid);
  return measurements.measureVolume(booleans.intersect(body, ...rest));
}

/** The coarsest of these meshes that comes within a thousandth. */
const MESHES: MeshFineness[] = [6, 8, 10, 12, 14, 16, 18, 20, 24, 28].map((n) => ({
  stations: n,
  rows: 3 * n,
}));
const coarsest = MESHES.find((m) => Math.abs(manifoldVolume(m) / exact - 1) < WITHIN);
if (!coarsest) throw new Error("no mesh of the list comes within a thousandth");

/** What takes longest of what is accepted: bolts and openings everywhere, and 16,000 triangles as long as their shapes. */
const atLimits = manyOpenings();
let made = 0;

/**
 * What is worked out of a design is remembered by its identity: every measurement takes one that has never been seen.
 * Copies are made beforehand, and not measured.
 */
function neverSeen(of: Design, count: number): () => Design {
  const copies = Array.from({ length: count }, () => structuredClone(of));
  let next = 0;
  return () => {
    const copy = copies[next++];
    if (!copy) throw new Error(`more than ${count} copies are wanted`);
    return copy;
  };
}
const forWeighing = neverSeen(design, 2000);
const forDrag = neverSeen(design, 3000);
const forReview = neverSeen(design, 600);
const forFit = neverSeen(design, 600);
const forLevers = neverSeen(design, 200);
const forBuilds = neverSeen(design, 400);
const forSolver = neverSeen(design, 60);
const forLimits = neverSeen(atLimits, 60);

const bench = new Bench({ time: 500, iterations: 5, warmupTime: 200, warmupIterations: 2 });
bench.add("integrate", () => {
  integrate(assembly);
});
bench.add("weigh (check, assemble, integrate, report)", () => {
  weigh(forWeighing());
});
// As the worker does it while a pin is dragged: a copy of the design each time, the pin a little further on.
const memory = new PanelMemory();
let dragged = 0;
bench.add("weigh, a pin moved", () => {
  const copy = forDrag();
  const [pin, ...others] = copy.fasteners;
  const moved = { ...pin, xMm: pin.xMm + 0.1 * (++dragged % 20) };
  weigh({ ...copy, fasteners: [moved, ...others] }, DEFAULT_FINENESS, memory);
});
bench.add("weigh at the limits of a record", () => {
  weigh(forLimits());
});
bench.add("weigh the slowest shapes", () => {
  // Turned a little further each time, so that no cut is remembered from the last.
  weigh(slowestShapes(2, ++made / 100));
});
bench.add("review (every rule of the trade)", () => {
  reviewDesign(forReview(), true);
});
bench.add("fit-up sheet", () => {
  fitFigures(forFit());
});
bench.add("levers", () => {
  leverEffects(forLevers());
});
bench.add("1,000 sampled builds", () => {
  sampleBuilds(forBuilds(), 1000, 1);
});
bench.add("solver, both windows", () => {
  const knife = forSolver();
  tuneReviewed(knife, targetOf(knife));
});
// The demo knives over and over: more than a year of one maker.
const inDays = manyJobs(60);
bench.add("60 knives in days", () => {
  schedule(inDays, DAYS_BEGIN_MS, USUAL_DAYS, { capacity: { clamps: 2 } });
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
const scaleVolume = jscadScale(assembly, coarse);
const jscadMs = performance.now() - began;
const scaleExact = integrate({ ...assembly, parts: assembly.parts.filter((p) => p.id === SCALE) })[0].v;

const error = (volume: number) => Math.abs(volume / exact - 1);
const rows = [
  { what: "integrator, default", ms: ms("integrate"), error: error(total(ours.map((m) => m.v))) },
  {
    what: "whole weighing",
    ms: ms("weigh (check, assemble, integrate, report)"),
    error: error(total(ours.map((m) => m.v))),
  },
  {
    what: "weighing again, a pin moved",
    ms: ms("weigh, a pin moved"),
    error: error(total(ours.map((m) => m.v))),
  },
  { what: "weighing at the limits of a record", ms: ms("weigh at the limits of a record"), error: 0 },
  { what: "weighing the slowest shapes", ms: ms("weigh the slowest shapes"), error: 0 },
  { what: "review", ms: ms("review (every rule of the trade)"), error: 0 },
  { what: "fit-up sheet", ms: ms("fit-up sheet"), error: 0 },
  { what: "all levers", ms: ms("levers"), error: 0 },
  { what: "1,000 sampled builds", ms: ms("1,000 sampled builds"), error: 0 },
  { what: "solver, both windows", ms: ms("solver, both windows"), error: 0 },
  {
    what: `60 knives in days, ${inDays.reduce((n, j) => n + j.tasks.length, 0)} tasks`,
    ms: ms("60 knives in days"),
    error: 0,
  },
  {
    what: `mesh kernel, ${coarsest.stations} × ${coarsest.rows}`,
    ms: ms("mesh kernel"),
    error: error(manifoldVolume(coarsest)),
  },
  {
    what: `one scale only, constructive solids in JavaScript, ${coarse.stations} × ${coarse.rows}`,
    ms: jscadMs,
    error: Math.abs(scaleVolume / scaleExact - 1),
  },
];
const base = rows[1].ms;
console.log(
  `${KNIFE}: ${assembly.parts.length} parts, split ${DEFAULT_FINENESS.split}; times are medians in one run`,
);
console.table(
  rows.map((r) => ({
    what: r.what,
    ms: Number(r.ms.toFixed(3)),
    "× a weighing": Number((r.ms / base).toFixed(1)),
    "volume error": r.error.toExponential(1),
  })),
);

/** Drags need the browser: without one they are left out, and it is said. */
const drags = existsSync(CHROMIUM) ? await dragTimes() : [];
if (drags.length === 0) console.log(`No ${CHROMIUM}: drags were not measured.`);
const frame = drags[0] ? quantile(drags[0].frames, 0.5) : Number.NaN;
/** A drag that changes nothing has a readout or none to measure: too few say nothing. */
const FEWEST = 10;
const perDrag = drags.map((d) => {
  const at = (values: readonly number[], q: number, unit = 1) =>
    values.length < FEWEST ? null : Number((quantile(values, q) / unit).toFixed(1));
  return {
    drag: d.what,
    "frame p50, ms": at(d.frames, 0.5),
    "frame p95, ms": at(d.frames, 0.95),
    "readout p50, ms": at(d.readouts, 0.5),
    "readout p95, ms": at(d.readouts, 0.95),
    "readout p95, frames of an idle drag": at(d.readouts, 0.95, frame),
  };
});
if (perDrag.length > 0) console.table(perDrag);
writeFileSync(
  "bench-result.json",
  `${JSON.stringify({ knife: KNIFE, parts: assembly.parts.length, rows, drags: perDrag }, null, 2)}\n`,
);
