import { XMLParser } from "fast-xml-parser";
import { unzipSync } from "fflate";
import * as z from "zod";
import { type MeshUnit, MM_PER, type SoupReading } from "./soup";

const number = z.coerce.number();
const index = z.coerce.number().int().nonnegative();

/** What we read of a model part: units, objects with meshes or components, and what is built. */
const model = z.object({
  unit: z.string().optional(),
  resources: z.object({
    object: z.array(
      z.object({
        id: z.string(),
        mesh: z
          .object({
            vertices: z.object({ vertex: z.array(z.object({ x: number, y: number, z: number })) }),
            triangles: z.object({ triangle: z.array(z.object({ v1: index, v2: index, v3: index })) }),
          })
          .optional(),
        components: z
          .object({
            component: z.array(z.object({ objectid: z.string(), transform: z.string().optional() })),
          })
          .optional(),
      }),
    ),
  }),
  build: z.object({ item: z.array(z.object({ objectid: z.string(), transform: z.string().optional() })) }),
});
type Model = z.infer<typeof model>;

/** A transform's twelve numbers: three rows of the turn, then the shift. Points are rows. */
type Transform = readonly number[];
const STILL: Transform = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0];

/**
 * Reads the built items of a 3MF package as one soup of triangles, in the unit that it states.
 * @see 3MF Core Specification 1.3, sections 3 and 4.
 */
export function readThreeMf(bytes: Uint8Array): SoupReading {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return { ok: false, code: "not-a-mesh" };
  try {
    const files = unzipSync(bytes, {
      filter: (f) => f.name.endsWith(".model") && f.originalSize < 200_000_000,
    });
    const names = Object.keys(files);
    const main = names.find((n) => /3dmodel\.model$/i.test(n)) ?? names[0];
    if (!main) return { ok: false, code: "not-a-mesh" };
    const listed = ["object", "vertex", "triangle", "item", "component"];
    const parser = new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: "",
      removeNSPrefix: true,
      isArray: (name) => listed.includes(name),
    });
    const parsed = model.safeParse(parser.parse(new TextDecoder().decode(files[main])).model);
    if (!parsed.success) return { ok: false, code: "damaged" };
    const corners: number[] = [];
    for (const item of parsed.data.build.item) {
      if (!gather(parsed.data, item.objectid, transformOf(item.transform), corners, 0))
        return { ok: false, code: "damaged" };
    }
    if (corners.length === 0) return { ok: false, code: "damaged" };
    const unit = parsed.data.unit ?? "millimeter";
    if (!(unit in MM_PER)) return { ok: false, code: "damaged" };
    return { ok: true, soup: { corners: Float32Array.from(corners), unit: unit as MeshUnit } };
  } catch {
    return { ok: false, code: "damaged" };
  }
}

/** Adds an object's triangles, or its components'. False where something it names is missing. */
function gather(of: Model, id: string, by: Transform, into: number[], depth: number): boolean {
  const object = of.resources.object.find((o) => o.id === id);
  if (!object || depth > 8) return false;
  for (const { v1, v2, v3 } of object.mesh?.triangles.triangle ?? []) {
    for (const k of [v1, v2, v3]) {
      const v = object.mesh?.vertices.vertex[k];
      if (!v) return false;
      into.push(...moved(by, v.x, v.y, v.z));
    }
  }
  return (object.components?.component ?? []).every((c) =>
    gather(of, c.objectid, chained(transformOf(c.transform), by), into, depth + 1),
  );
}

function transformOf(text: string | undefined): Transform {
  const m = text?.trim().split(/\s+/).map(Number) ?? [];
  return m.length === 12 && m.every(Number.isFinite) ? m : STILL;
}

function moved(m: Transform, x: number, y: number, z: number): [number, number, number] {
  return [0, 1, 2].map((k) => x * m[k] + y * m[3 + k] + z * m[6 + k] + m[9 + k]) as [number, number, number];
}

/** First one, then the other. */
function chained(first: Transform, then: Transform): Transform {
  const rows = [0, 3, 6].flatMap((r) => {
    const [x, y, z] = moved(then, first[r], first[r + 1], first[r + 2]);
    return [x - then[9], y - then[10], z - then[11]];
  });
  return [...rows, ...moved(then, first[9], first[10], first[11])];
}
