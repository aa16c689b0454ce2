import { type MeshUnit, MM_PER, MOST_READ_TRIANGLES, type SoupReading } from "./soup";
import type { Model, Transform } from "./threeMfModel";
import { readModel } from "./threeMfModel";
import { unpack, zipEntries } from "./unzipped";

/** A model part is unpacked up to here: what a mesh of 200,000 triangles takes, with room to spare. */
const MOST_UNPACKED_BYTES = 40_000_000;
/** Objects may be made of objects so deep, and be put in place so often. */
const MOST_DEPTH = 8;
const MOST_PLACED = 10_000;

/**
 * Reads the built items of a 3MF package as one soup of triangles, in the unit that it states. Unpacks and reads piece
 * by piece, and stops at what no shape of a knife needs.
 * @see 3MF Core Specification 1.3, sections 3 and 4.
 */
export function readThreeMf(bytes: Uint8Array): SoupReading {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return { ok: false, code: "not-a-mesh" };
  try {
    const models = (zipEntries(bytes) ?? []).filter((e) => e.name.endsWith(".model"));
    const main = models.find((e) => /3dmodel\.model$/i.test(e.name)) ?? models[0];
    if (!main) return { ok: false, code: "not-a-mesh" };
    const reader = readModel(MOST_READ_TRIANGLES);
    if (!unpack(bytes, main, MOST_UNPACKED_BYTES, reader.write)) {
      const { triangles } = reader;
      return triangles() > MOST_READ_TRIANGLES ? tooMany(triangles()) : { ok: false, code: "damaged" };
    }
    const model = reader.close();
    return model ? soupOf(model) : { ok: false, code: "damaged" };
  } catch {
    return { ok: false, code: "damaged" };
  }
}

function tooMany(triangles: number): SoupReading {
  return { ok: false, code: "too-fine", triangles, limit: MOST_READ_TRIANGLES };
}

function soupOf(model: Model): SoupReading {
  const unit = model.unit ?? "millimeter";
  if (!Object.hasOwn(MM_PER, unit)) return { ok: false, code: "damaged" };
  const corners: number[] = [];
  let placed = 0;
  let tooFine = false;

  /** Adds an object's triangles, or its components'. False where something it names is missing, or too much. */
  const gather = (id: string, by: Transform, depth: number): boolean => {
    const object = model.objects.get(id);
    if (!object || depth > MOST_DEPTH || ++placed > MOST_PLACED) return false;
    const { vertices, triangles } = object;
    tooFine = corners.length / 9 + triangles.length / 3 > MOST_READ_TRIANGLES;
    if (tooFine) return false;
    for (const k of triangles) {
      if (3 * k + 2 >= vertices.length) return false;
      corners.push(...moved(by, vertices[3 * k], vertices[3 * k + 1], vertices[3 * k + 2]));
    }
    return object.components.every((c) => gather(c.id, chained(c.by, by), depth + 1));
  };

  if (!model.items.every((item) => gather(item.id, item.by, 0)))
    return tooFine ? tooMany(MOST_READ_TRIANGLES + 1) : { ok: false, code: "damaged" };
  if (corners.length === 0) return { ok: false, code: "damaged" };
  return { ok: true, soup: { corners: Float32Array.from(corners), unit: unit as MeshUnit } };
}

function moved(m: Transform, x: number, y: number, z: number): [number, number, number] {
  return [
    x * m[0] + y * m[3] + z * m[6] + m[9],
    x * m[1] + y * m[4] + z * m[7] + m[10],
    x * m[2] + y * m[5] + z * m[8] + m[11],
  ];
}

/** First one, then the other. */
function chained(first: Transform, then: Transform): Transform {
  const rows = [0, 3, 6].flatMap((r) => {
    const [x, y, z] = moved(then, first[r], first[r + 1], first[r + 2]);
    return [x - then[9], y - then[10], z - then[11]];
  });
  return [...rows, ...moved(then, first[9], first[10], first[11])];
}
