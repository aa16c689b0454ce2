import { readFileSync } from "node:fs";
import RAPIER from "@dimforge/rapier3d-compat";
import { EigenvalueDecomposition, inverse, Matrix } from "ml-matrix";
import { beforeAll, describe, expect, it } from "vitest";
import { readFixed } from "../../exchange/files/knife/readFixed";
import { assemble } from "../../knife/assembly/assemble";
import type { Design } from "../../knife/design/schema";
import { shippedMaterial } from "../../materials/materials";
import { dynamics, effectiveMass } from "./dynamics";
import { integrate } from "./integrate";
import { type MassReport, massReport } from "./report";

/**
 * The same parts put together by two general-purpose packages: a linear-algebra library (tensors as matrices, in double
 * precision) and a rigid-body engine (in single precision), which is then struck and watched.
 */
const KNIVES = ["sallow-camp-chopper", "bracken-dagger", "heath-field-knife", "fen-rigging-knife"];

interface Body {
  readonly massG: number;
  readonly centre: readonly [number, number, number];
  /** About its own centre, g·mm². */
  readonly tensor: Matrix;
}

function designOf(name: string): Design {
  const reading = readFixed(readFileSync(`demo/${name}.json`));
  if (!reading.ok) throw new Error(reading.code);
  return reading.design;
}

/** Parts as bodies of their own, from their volume moments and a density: no sum over the knife is used. */
function bodiesOf(design: Design): { bodies: Body[]; report: MassReport } {
  const assembly = assemble(design);
  const moments = integrate(assembly);
  const bodies = assembly.parts.flatMap((part, i): Body[] => {
    const m = moments[i];
    const density = part.materials.reduce(
      (s, x) => s + (x.share * (shippedMaterial(x.materialId)?.densityGcc.typical ?? 0)) / 1000,
      0,
    );
    if (!(m.v > 0) || density === 0) return [];
    const [x, y, z] = [m.x / m.v, m.y / m.v, m.z / m.v];
    const second = new Matrix([
      [m.xx - m.v * x * x, m.xy - m.v * x * y, m.xz - m.v * x * z],
      [m.xy - m.v * x * y, m.yy - m.v * y * y, m.yz - m.v * y * z],
      [m.xz - m.v * x * z, m.yz - m.v * y * z, m.zz - m.v * z * z],
    ]);
    const tensor = Matrix.eye(3).mul(second.trace()).sub(second).mul(density);
    return [{ massG: density * m.v, centre: [m.originX + x, y, z], tensor }];
  });
  return { bodies, report: massReport(assembly, moments, shippedMaterial) };
}

/** Parallel axes as matrices: J = Σ (Jᵢ + mᵢ (|r|² 1 − r rᵀ)). */
function together(bodies: readonly Body[]) {
  const mass = bodies.reduce((s, b) => s + b.massG, 0);
  const centre = Matrix.columnVector([0, 0, 0]);
  for (const b of bodies) centre.add(Matrix.columnVector([...b.centre]).mul(b.massG / mass));
  const tensor = Matrix.zeros(3, 3);
  for (const b of bodies) {
    const r = Matrix.sub(Matrix.columnVector([...b.centre]), centre);
    const square = r.dot(r);
    tensor.add(b.tensor).add(Matrix.eye(3).mul(square).sub(r.mmul(r.transpose())).mul(b.massG));
  }
  return { mass, centre: centre.to1DArray(), tensor };
}

/** Cross product with a vector, as a matrix. */
function crossing([x, y, z]: readonly number[]): Matrix {
  return new Matrix([
    [0, -z, y],
    [z, 0, -x],
    [-y, x, 0],
  ]);
}

describe.each(KNIVES)("%s by linear algebra", (name) => {
  const { bodies, report } = bodiesOf(designOf(name));
  const whole = together(bodies);
  const within = (share: number) => share * Math.max(...whole.tensor.to1DArray().map(Math.abs));

  it("has the same mass, centre and whole tensor", () => {
    expect(report.massG).toBeCloseTo(whole.mass, 8);
    for (const axis of [0, 1, 2]) expect(report.centreMm[axis]).toBeCloseTo(whole.centre[axis], 8);
    const { xx, yy, zz, xy, xz, yz } = report.inertiaGmm2;
    const ours = new Matrix([
      [xx, xy, xz],
      [xy, yy, yz],
      [xz, yz, zz],
    ]);
    expect(Matrix.sub(ours, whole.tensor).norm()).toBeLessThan(within(1e-10));
    // A real body's principal moments are above zero, and no two add up to less than the third.
    const [a, b, c] = new EigenvalueDecomposition(ours).realEigenvalues.sort((p, q) => p - q);
    expect(a).toBeGreaterThan(0);
    expect(a + b).toBeGreaterThan(c);
  });

  it("moves about the grip as a whole tensor does", () => {
    const grip = -25;
    const d = dynamics(report, grip);
    const r = Matrix.columnVector(whole.centre.map((c, i) => c - (i === 0 ? grip : 0)));
    // The grip lies on the axis: the distance along z is no arm of the axis across the blade.
    const arm2 = r.get(0, 0) ** 2 + r.get(1, 0) ** 2;
    expect(d.inertiaGripGmm2).toBeCloseTo(whole.tensor.get(2, 2) + whole.mass * arm2, 3);
  });

  /** A free body struck at s along n answers with 1/m_e = nᵀ (1/m − [s] J⁻¹ [s]) n, [s] the cross product's matrix. */
  it("feels as heavy along the blade as the whole tensor says", () => {
    const n = Matrix.columnVector([0, 1, 0]);
    for (const x of [0, 30, 60, 90]) {
      const s = crossing([x - whole.centre[0], 0, 0]);
      const answer = Matrix.eye(3)
        .div(whole.mass)
        .sub(s.mmul(inverse(whole.tensor)).mmul(s));
      const heavy = 1 / n.transpose().mmul(answer).mmul(n).get(0, 0);
      // About the axis across the blade alone; sides that are not alike couple the others in a little.
      expect(Math.abs(effectiveMass(report, x) / heavy - 1), `at ${x}`).toBeLessThan(1e-4);
    }
  });
});

/** Into kilograms and decimetres: single precision likes numbers near 1. */
const KG = 1e-3;
const DM = 1e-2;

function quaternionOf(axes: Matrix): { x: number; y: number; z: number; w: number } {
  const R = (i: number, k: number) => axes.get(i, k);
  // Shepperd's method: the largest of the four decides.
  const four = [
    1 + R(0, 0) + R(1, 1) + R(2, 2),
    1 + R(0, 0) - R(1, 1) - R(2, 2),
    1 - R(0, 0) + R(1, 1) - R(2, 2),
    1 - R(0, 0) - R(1, 1) + R(2, 2),
  ];
  const k = four.indexOf(Math.max(...four));
  const h = Math.sqrt(four[k]) / 2;
  const [a, b, c] = [R(2, 1) - R(1, 2), R(0, 2) - R(2, 0), R(1, 0) - R(0, 1)].map((v) => v / (4 * h));
  const [p, q, r] = [R(0, 1) + R(1, 0), R(0, 2) + R(2, 0), R(1, 2) + R(2, 1)].map((v) => v / (4 * h));
  if (k === 0) return { w: h, x: a, y: b, z: c };
  if (k === 1) return { w: a, x: h, y: p, z: q };
  if (k === 2) return { w: b, x: p, y: h, z: r };
  return { w: c, x: q, y: r, z: h };
}

describe.each(KNIVES)("%s in a rigid-body engine", (name) => {
  beforeAll(() => RAPIER.init());
  const { bodies, report } = bodiesOf(designOf(name));

  /** The knife hanging free, its parts given one by one. */
  function put() {
    const world = new RAPIER.World({ x: 0, y: 0, z: 0 });
    const knife = world.createRigidBody(RAPIER.RigidBodyDesc.dynamic());
    for (const b of bodies) {
      const parted = new EigenvalueDecomposition(b.tensor, { assumeSymmetric: true });
      const axes = parted.eigenvectorMatrix;
      const right = crossing(axes.getColumn(0)).mmul(axes.getColumnVector(1)).dot(axes.getColumnVector(2));
      if (right < 0) axes.mulColumn(2, -1);
      const [x, y, z] = b.centre.map((c) => c * DM);
      const [i, j, k] = parted.realEigenvalues.map((e) => Math.max(0, e) * KG * DM * DM);
      const collider = RAPIER.ColliderDesc.ball(0.001).setMassProperties(
        b.massG * KG,
        { x, y, z },
        { x: i, y: j, z: k },
        quaternionOf(axes),
      );
      world.createCollider(collider, knife);
    }
    world.step();
    return { world, knife };
  }

  it("weighs and balances the same", () => {
    const { world, knife } = put();
    expect(knife.mass() / KG / report.massG).toBeCloseTo(1, 5);
    const centre = knife.localCom();
    expect(centre.x / DM).toBeCloseTo(report.balanceMm, 2);
    expect(centre.y / DM).toBeCloseTo(report.centreMm[1], 2);
    world.free();
  });

  it("struck at the centre of percussion, does not move at the grip; struck anywhere, feels as heavy as we say", () => {
    const grip = -25;
    const { percussionMm } = dynamics({ ...report, centreMm: [report.balanceMm, 0, 0] }, grip);
    if (percussionMm === null) throw new Error("no percussion");
    const blow = 0.01;
    const struckAt = (xMm: number) => {
      const { world, knife } = put();
      const { y, z } = knife.worldCom();
      knife.applyImpulseAtPoint({ x: 0, y: blow, z: 0 }, { x: xMm * DM, y, z }, true);
      const speed = (mm: number) => knife.velocityAtPoint({ x: mm * DM, y, z }).y;
      const speeds = { grip: speed(grip), struck: speed(xMm) };
      world.free();
      return speeds;
    };
    const still = struckAt(percussionMm);
    expect(Math.abs(still.grip / still.struck)).toBeLessThan(1e-4);
    for (const x of [10, 50, 90]) {
      const { struck } = struckAt(x);
      expect(Math.abs(blow / struck / KG / effectiveMass(report, x) - 1), `at ${x}`).toBeLessThan(1e-4);
    }
  });
});
