import { XMLBuilder } from "fast-xml-parser";
import { strToU8, zipSync } from "fflate";
import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";

/** One part of a package: its name and its shape. */
export interface NamedMesh {
  readonly name: string;
  readonly mesh: TriangleMesh;
}

const TYPES = `<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>`;
const RELATIONS = `<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>`;

/**
 * Parts as a 3MF package, one object each, in millimetres.
 * @see 3MF Core Specification 1.3.
 */
export function writeThreeMf(parts: readonly NamedMesh[], title: string): Uint8Array<ArrayBuffer> {
  const builder = new XMLBuilder({
    ignoreAttributes: false,
    attributeNamePrefix: "@",
    suppressEmptyNode: true,
  });
  const object = parts.map(({ name, mesh }, i) => ({
    "@id": String(i + 1),
    "@type": "model",
    "@name": xmlText(name),
    mesh: {
      vertices: {
        vertex: threes(mesh.vertices, (x, y, z) => ({ "@x": short(x), "@y": short(y), "@z": short(z) })),
      },
      triangles: { triangle: threes(mesh.triangles, (a, b, c) => ({ "@v1": a, "@v2": b, "@v3": c })) },
    },
  }));
  const model = builder.build({
    model: {
      "@unit": "millimeter",
      "@xml:lang": "en",
      "@xmlns": "http://schemas.microsoft.com/3dmanufacturing/core/2015/02",
      metadata: { "@name": "Title", "#text": xmlText(title) },
      resources: { object },
      build: { item: parts.map((_, i) => ({ "@objectid": String(i + 1) })) },
    },
  });
  return zipSync({
    "[Content_Types].xml": strToU8(TYPES),
    "_rels/.rels": strToU8(RELATIONS),
    "3D/3dmodel.model": strToU8(`<?xml version="1.0" encoding="UTF-8"?>\n${model}`),
  }) as Uint8Array<ArrayBuffer>;
}

/** A text without what XML 1.0 cannot hold: control characters and halves of character pairs. */
function xmlText(text: string): string {
  return Array.from(text, (c) => (/[\p{Cc}\p{Cs}\uFFFE\uFFFF]/u.test(c) ? " " : c)).join("");
}

function threes<T>(all: Float32Array | Uint32Array, make: (a: number, b: number, c: number) => T): T[] {
  return Array.from({ length: all.length / 3 }, (_, i) => make(all[3 * i], all[3 * i + 1], all[3 * i + 2]));
}

/** Nine digits hold every 32-bit float. */
function short(x: number): string {
  return String(Number(x.toPrecision(9)));
}
