import type { TriangleMesh } from "../../geometry/solids/triangleMesh";
import { newFastener } from "../../kinds/fasteners/registry";
import { newJoint, withTang } from "../starts/constructions";
import { newDesign } from "./create";
import { newPiece } from "./newParts";
import type { Design, Piece } from "./schema";
import { encodeMesh } from "./storedMesh";

const base = newDesign("At the limits");

/** As many bolts, holes, slots and joints as a record may hold, or nearly, on a long slab: about as much as can be built. */
export function manyOpenings(stepMm = 10): Design {
  const { handle, tang } = base;
  if (handle.kind !== "scales" || tang.kind !== "full") throw new Error("no slab");
  const [lengthMm, halfMm] = [400, 30];
  const corners = [
    [0, halfMm],
    [-lengthMm, halfMm],
    [-lengthMm, -halfMm],
    [0, -halfMm],
  ];
  const bolt = {
    headMm: 5,
    counterboreMm: 6,
    diameterMm: 3,
    insertMm: 4,
    socketMm: 2.5,
    seatMm: 8,
    screwLengthMm: 7,
  };
  const row = <T>(count: number, make: (i: number) => T) => Array.from({ length: count }, (_, i) => make(i));
  return {
    ...base,
    fasteners: row(38, (i) => {
      const place = { xMm: -10 - i * stepMm, yMm: stepMm < 6 ? -26 + ((i * 7) % 54) : -16 };
      return {
        ...newFastener("cap-screw", `s${i}`, place, base.blade.spineMm),
        ...bolt,
      } as Design["fasteners"][number];
    }),
    tang: {
      ...tang,
      holes: row(60, (i) => ({
        id: `h${i}`,
        xMm: -6 - i * 6.4,
        yMm: 2 + (i % 2) * 3,
        diameterMm: 3,
        fill: null,
        purpose: "lighten" as const,
      })),
      slots: row(20, (i) => ({
        id: `t${i}`,
        xMm: -14 - i * 19,
        yMm: 18,
        lengthMm: 14,
        widthMm: 4,
        angleDeg: 10,
        fill: null,
      })),
    },
    handle: {
      ...handle,
      outline: corners.map(([xMm, yMm], i) => ({
        id: `n${i}`,
        role: "free" as const,
        xMm,
        yMm,
        corner: true,
      })),
      plan: [-lengthMm, 0].map((xMm, i) => ({ ...handle.plan[0], id: `p${i}`, xMm, halfMm: 14 })),
      right: { ...handle.right, thicknessMm: 12 },
      left: { ...handle.left, thicknessMm: 12 },
      joints: row(8, (i) => ({
        ...newJoint(`j${i}`, base),
        xMm: -30 - i * 40,
        tiltDeg: 10,
        dividers: [{ material: "brass-260", thicknessMm: 1 }],
      })),
    },
  };
}

/** A stick tang's knife that ends in one shape, or in several one behind the other. */
export function endingIn(mesh: TriangleMesh, count = 1, rollDeg = 0): Design {
  const hidden = withTang(base, "hidden");
  if (hidden.handle.kind !== "stack") throw new Error("no pieces");
  const ends = Array.from({ length: count }, (_, i): Piece => {
    const shape = {
      kind: "mesh" as const,
      place: { meshId: "m", forward: "x" as const, rollDeg, yMm: 0 },
    };
    return { ...newPiece(`q-${i}`, "pommel", "brass-360", 20), shape };
  });
  return {
    ...hidden,
    meshes: [{ id: "m", name: "made", ...encodeMesh(mesh) }],
    handle: { ...hidden.handle, pieces: [newPiece("p-1", "block", "walnut-black", 50), ...ends] },
    fasteners: [],
  };
}

/** The slowest design found that is accepted: as many triangles as may be placed, each as long as its shape, askew. */
export function slowestShapes(count = 2, rollDeg = 17): Design {
  const design = endingIn(rodMesh(2000), count, rollDeg);
  if (design.handle.kind !== "stack") throw new Error("no pieces");
  const pieces = design.handle.pieces.map(
    (p): Piece =>
      p.shape?.kind === "mesh"
        ? { ...p, shape: { ...p.shape, place: { ...p.shape.place, forward: "z" } } }
        : p,
  );
  return { ...design, handle: { ...design.handle, pieces } };
}

/** A closed rod along x of so many sides, 30 long and 24 across: 4 triangles a side, each as long as the rod. */
export function rodMesh(sides: number, lengthMm = 30, radiusMm = 12): TriangleMesh {
  const vertices: number[] = [];
  const triangles: number[] = [];
  for (let i = 0; i < sides; i++) {
    const a = (2 * Math.PI * i) / sides;
    const [y, z] = [radiusMm * Math.cos(a), radiusMm * Math.sin(a)];
    vertices.push(0, y, z, lengthMm, y, z);
    const j = (i + 1) % sides;
    triangles.push(2 * i, 2 * j, 2 * i + 1, 2 * j, 2 * j + 1, 2 * i + 1);
    triangles.push(2 * sides, 2 * j, 2 * i, 2 * sides + 1, 2 * i + 1, 2 * j + 1);
  }
  vertices.push(0, 0, 0, lengthMm, 0, 0);
  return { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) };
}

/** Boxes in one mesh, each [x, y, z] to [x, y, z], joined to nothing. */
export function boxesMesh(
  ...boxes: readonly (readonly [readonly number[], readonly number[]])[]
): TriangleMesh {
  const faces = [
    0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7,
    5,
  ];
  const vertices: number[] = [];
  const triangles: number[] = [];
  boxes.forEach(([low, high], k) => {
    for (let i = 0; i < 8; i++)
      vertices.push(...[i & 1, (i >> 1) & 1, i >> 2].map((up, d) => (up ? high[d] : low[d])));
    triangles.push(...faces.map((f) => f + 8 * k));
  });
  return { vertices: Float32Array.from(vertices), triangles: Uint32Array.from(triangles) };
}
