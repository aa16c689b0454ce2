import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { seeded } from "../../../../faults/random";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { common } from "../../geometry/contours/clip";
import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { planFrom } from "../../knife/design/create";
import { mutated } from "../../knife/design/mutated.fixtures";
import type { Bolster, Design } from "../../knife/design/schema";
import { solidParts } from "../../knife/kernel/solidParts";
import { layoutOf } from "../../knife/layout/layout";
import type { PartKey } from "../../knife/parts/partKey";
import type { Workpiece } from "../../knife/parts/workpiece";
import { linersThickness } from "../../knife/shapes/scales";
import { momentsOf } from "../weigh/momentsOf";
import { blankOutline, pieceOutlines } from "./outlines";
import { pieceList } from "./pieceList";
import { undrilled, unpierced } from "./undrilled";

/** How many random designs; `PIECE_DESIGNS=2000` for the whole run. */
const DESIGNS = Number(process.env.PIECE_DESIGNS ?? 60);

type Outlines = readonly (readonly Point[])[];
const areaOf = (of: Outlines) => of.reduce((sum, o) => sum + signedArea(straightLoop(o)), 0);
const outer = (of: Outlines) => of.filter((o) => signedArea(straightLoop(o)) > 0);

const all: (readonly [string, Design])[] = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)];

/** How each kind of part comes about: as a piece of the list, or else how. */
const COMES_FROM: Readonly<Record<PartKey["kind"], "piece" | "other" | "void">> = {
  blade: "piece",
  tang: "piece",
  "tang-rest": "piece",
  frame: "piece",
  guard: "piece",
  bolster: "piece",
  liner: "piece",
  scale: "piece",
  divider: "piece",
  lower: "piece",
  "lengthwise-sheet": "piece",
  half: "piece",
  piece: "piece",
  // Bought, cut off a rod, cast on, filled in or wound round.
  "tang-end": "other",
  fitting: "other",
  ring: "other",
  fastener: "other",
  hole: "other",
  slot: "other",
  recess: "other",
  "guard-slot": "other",
  "tang-hole": "other",
  wrap: "other",
  "blade-notch": "void",
  groove: "void",
  "ring-bore": "void",
  "bare-end": "void",
  component: "other",
};

describe("the list of pieces", () => {
  it("has every part that is made in exactly one piece", () => {
    for (const [name, design] of all) {
      const claimed = pieceList(design).flatMap((p) => [...p.parts, ...(p.leftParts ?? [])]);
      expect(new Set(claimed).size, name).toBe(claimed.length);
      for (const { key, id } of assemble(design).parts) {
        if (COMES_FROM[key.kind] !== "piece") continue;
        // A blade in the hand and a guard that came in as a shape are not made here.
        if ((key.kind === "blade" || key.kind === "tang") && design.blade.measured) continue;
        if (key.kind === "guard" && design.guard?.mesh) continue;
        expect(claimed, `${name}: ${id}`).toContain(id);
      }
    }
  });
});

let kernel: ManifoldToplevel;
beforeAll(async () => {
  kernel = await Module();
  kernel.setup();
});

/** Crumbs of a solid smaller than this are facets, or ground away, mm³. */
const CRUMB_MM3 = 5;

/** Of how many bodies the solids of some parts consist, by a mesh kernel. */
function bodiesOf(design: Design, ids: readonly string[]): number {
  const before = undrilled(assemble(design), design);
  const solids = solidParts(kernel, before, { stations: 12, rows: 32 });
  let bodies = 0;
  before.parts.forEach((p, i) => {
    if (!ids.includes(p.id) || p.materials.length === 0) return;
    const apart = solids[i]?.decompose() ?? [];
    bodies += apart.filter((b) => b.volume() > CRUMB_MM3).length;
    for (const b of apart) b.delete();
  });
  for (const s of solids) s?.delete();
  return bodies;
}

/** Outlines that are not one closed run round each body of a piece. */
function inPieces(design: Design): string[] {
  const wrong: string[] = [];
  const check = (id: string, of: Outlines, ids: readonly string[]) => {
    const count = outer(of).length;
    if (count === 1) return;
    const bodies = bodiesOf(design, ids);
    if (count !== bodies)
      wrong.push(`${id}, ${bodies} bodies: ${of.map((o) => signedArea(straightLoop(o)).toFixed(3))}`);
  };
  if (outer(blankOutline(design)).length !== 1) wrong.push("blank");
  const parts = assemble(design).parts;
  for (const p of pieceList(design)) {
    const of = pieceOutlines(design).get(p.id);
    // Blocks of one cut list line lie apart.
    if (!of || p.key.kind === "blade" || (p.count > 1 && !p.pair)) continue;
    if (!parts.some((q) => p.parts.includes(q.id))) continue;
    check(p.id, of.outlines, p.parts);
    if (of.left && p.leftParts) check(`${p.id} left`, of.left, p.leftParts);
  }
  return wrong;
}

/** The same pieces seen from one side do not cover each other, mm². */
function overlaps(design: Design): string[] {
  const { handle } = design;
  if (handle.kind === "scales" && [handle.bolsters.front, handle.bolsters.rear].some((b) => b?.dovetailDeg))
    return [];
  const beside = pieceList(design).filter((p) =>
    ["scale", "lower", "lengthwise-sheet", "bolster"].includes(p.key.kind),
  );
  const sides = beside.flatMap((p) => {
    const of = pieceOutlines(design).get(p.id)!;
    const side = "side" in p.key ? p.key.side : null;
    return [
      ...(side === "left" ? [] : [{ id: p.id, side: "right", of: of.outlines }]),
      ...(of.left ? [{ id: p.id, side: "left", of: of.left }] : []),
      ...(side === "left" ? [{ id: p.id, side: "left", of: of.outlines }] : []),
    ];
  });
  return sides.flatMap((a, i) =>
    sides.slice(i + 1).flatMap((b) => {
      if (a.side !== b.side) return [];
      const both = areaOf(common(a.of, b.of));
      return both > 0.05 ? [`${a.id} and ${b.id}: ${both.toFixed(3)}`] : [];
    }),
  );
}

describe("every piece", () => {
  it.each(all)("of %s is one closed outline, and covers no other", (_, design) => {
    expect(inPieces(design)).toEqual([]);
    expect(overlaps(design)).toEqual([]);
  });

  it(`of ${DESIGNS} random designs is one closed outline for each body, and covers no other`, {
    timeout: 60_000 + DESIGNS * 2000,
  }, () => {
    const random = seeded(2411);
    let tried = 0;
    const wrong: string[] = [];
    for (let i = 0; tried < DESIGNS; i++) {
      const [name, base] = all[i % all.length];
      const design = mutated(base, random);
      if (!design) continue;
      tried++;
      for (const w of [...inPieces(design), ...overlaps(design)]) wrong.push(`${i} ${name}: ${w}`);
    }
    expect(wrong).toEqual([]);
  });
});

const HALF_MM = 14;

const upright = (bolster: Bolster | null) => bolster && { ...bolster, dovetailDeg: 0 };

/** The same with flat sides, so that what lies on the tang is as thick everywhere. */
function flatSided(design: Design): Design | null {
  const { handle, tang } = design;
  if (handle.kind === "bare" || (tang.kind === "full" && tang.taper)) return null;
  const flat = { plan: planFrom(112, [HALF_MM, HALF_MM, HALF_MM, HALF_MM], 0), facets: null, waist: null };
  const scales =
    handle.kind === "scales"
      ? {
          frontBevel: null,
          rearBevel: null,
          // Under a dovetail a piece is not as thick all over.
          bolsters: { front: upright(handle.bolsters.front), rear: upright(handle.bolsters.rear) },
          right: { ...handle.right, thicknessMm: 2 * HALF_MM },
          left: { ...handle.left, thicknessMm: 2 * HALF_MM },
        }
      : {};
  return { ...design, handle: { ...handle, ...flat, ...scales } as Design["handle"] };
}

/** How thick a piece is that has flat sides, mm; null of what has none. */
function thicknessOf(design: Design, { key, across }: Workpiece): number | null {
  const { handle } = design;
  // A thick sheet is not as high all through.
  if (across)
    return (key.kind === "divider" || key.kind === "piece") && across.thicknessMm < 2.5
      ? across.thicknessMm
      : null;
  const half = layoutOf(design).tangFace.at0;
  const liners = handle.kind === "scales" ? linersThickness(handle) : 0;
  switch (key.kind) {
    case "scale":
    case "lower":
    case "lengthwise-sheet":
      return handle.kind === "scales" ? HALF_MM - half - liners : 2 * HALF_MM;
    case "bolster":
      return HALF_MM - half;
    case "liner":
      return handle.kind === "scales" ? handle.liners[(key.number ?? 1) - 1].thicknessMm : null;
    case "piece":
      return key.sort === "block" ? 2 * HALF_MM : null;
    default:
      return null;
  }
}

describe("outline by thickness is the weighed volume of flat parts, within 0.1 %", () => {
  it("over all constructions with flat sides", () => {
    const seen = new Set<string>();
    const wrong: string[] = [];
    for (const [name, base] of all) {
      const design = flatSided(base);
      // A cap takes a bite of a rounded butt.
      if (design?.tang.kind === "hidden" && design.tang.end.kind === "cap-nut") continue;
      if (!design || (design.handle.kind === "scales" && design.handle.halves.length > 0)) continue;
      const before = undrilled(assemble(design), design);
      const assembly = design.tang.kind === "hidden" ? unpierced(before) : before;
      const moments = momentsOf(assembly);
      for (const p of pieceList(design)) {
        const mm = thicknessOf(design, p);
        const shaped =
          design.handle.kind === "stack" &&
          design.handle.pieces.some((q) => q.shape && p.parts[0].endsWith(q.id));
        if (mm === null || shaped) continue;
        const { outlines } = pieceOutlines(design).get(p.id)!;
        const volume = assembly.parts.reduce(
          (sum, q, i) => sum + (p.parts.includes(q.id) ? moments[i].v : 0),
          0,
        );
        const off = (areaOf(outlines) * mm) / volume - 1;
        // Of a sheet its widest face is told: where the handle slopes, one of 2 mm is up to 4 % less.
        if (!(p.across ? off > -1e-3 && off < 0.04 : Math.abs(off) < 1e-3))
          wrong.push(`${name} ${p.id}: ${off.toFixed(5)}`);
        seen.add(p.key.kind);
      }
    }
    expect(wrong).toEqual([]);
    expect([...seen].sort()).toEqual([
      "bolster",
      "divider",
      "lengthwise-sheet",
      "liner",
      "lower",
      "piece",
      "scale",
    ]);
  });

  it("the sheet of a joint along a handle is a strip: its length by its thickness", () => {
    const design = all.find(([n]) => n.startsWith("curved joint"))![1];
    const strip = pieceList(design).find((p) => p.key.kind === "lengthwise-sheet")!;
    const area = areaOf(pieceOutlines(design).get(strip.id)!.outlines);
    // A curve of so much, 0.8 mm high measured straight up: what it covers along the knife.
    const { span } = layoutOf(design);
    expect(area).toBeGreaterThan(0.5 * 0.8 * (span[1] - span[0]));
    expect(area).toBeLessThan(1.5 * 0.8 * (span[1] - span[0]));
  });
});
