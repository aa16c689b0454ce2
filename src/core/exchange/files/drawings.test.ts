import DxfParser from "dxf-parser";
import svgpath from "svgpath";
import { describe, expect, it } from "vitest";
import type { Layer } from "../../geometry/contours/drawing";
import { flattened, type Loop, signedArea } from "../../geometry/contours/loop";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { AS_DRAWN } from "../cutting/cutSettings";
import { drawnPieces, pieceLayer } from "../cutting/pieceLayers";
import { writeDxf } from "./dxf/write";
import { DEMO_KNIVES } from "./knife/demo.fixtures";
import { writeSvg } from "./svg/write";

/** Every part of every demo knife, as it is written. */
const layers: (readonly [string, Layer])[] = DEMO_KNIVES.flatMap(([file, knife]) =>
  drawnPieces(knife).map((p) => [`${p.name} of ${file}`, pieceLayer(p, AS_DRAWN)] as const),
);

interface Vertex {
  x: number;
  y: number;
  bulge?: number;
}

/** Area of a closed polyline by chords of a tenth of a degree: not by the formula of the writer's own side. */
function areaByChords(vertices: readonly Vertex[]): number {
  const points = vertices.flatMap((a, i) => {
    const b = vertices[(i + 1) % vertices.length];
    const angle = 4 * Math.atan(a.bulge ?? 0);
    const n = angle === 0 ? 1 : Math.max(20, Math.ceil(Math.abs(angle) / (Math.PI / 1800)));
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    return Array.from({ length: n }, (_, k) => {
      if (n === 1) return [a.x, a.y];
      // A point on the arc sees the chord's ends; the chord from a turns evenly from −angle/2.
      const part = (angle * k) / n;
      const [lean, long] = [(part - angle) / 2, Math.sin(part / 2) / Math.sin(angle / 2)];
      return [
        a.x + long * (dx * Math.cos(lean) - dy * Math.sin(lean)),
        a.y + long * (dx * Math.sin(lean) + dy * Math.cos(lean)),
      ];
    });
  });
  return points.reduce((sum, [x, y], i) => {
    const [x1, y1] = points[(i + 1) % points.length];
    return sum + (x * y1 - x1 * y) / 2;
  }, 0);
}

/** A polyline by few chords: enough to see whether it crosses anything. */
function chordsOf(vertices: readonly Vertex[]): Vertex[] {
  return vertices.flatMap((a, i) => {
    const b = vertices[(i + 1) % vertices.length];
    const angle = 4 * Math.atan(a.bulge ?? 0);
    const n = angle === 0 ? 1 : Math.max(2, Math.ceil(Math.abs(angle) / 0.05));
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    return Array.from({ length: n }, (_, k) => {
      if (k === 0) return { x: a.x, y: a.y };
      const part = (angle * k) / n;
      const [lean, long] = [(part - angle) / 2, Math.sin(part / 2) / Math.sin(angle / 2)];
      return {
        x: a.x + long * (dx * Math.cos(lean) - dy * Math.sin(lean)),
        y: a.y + long * (dx * Math.sin(lean) + dy * Math.cos(lean)),
      };
    });
  });
}

/** How many pairs of edges cross, of one contour or of two; neighbours share their corner. */
function crossings(runs: readonly (readonly Vertex[])[]): number {
  const edges = runs.flatMap((run, r) =>
    run.map((a, i) => ({ r, i, n: run.length, a, b: run[(i + 1) % run.length] })),
  );
  const side = (p: Vertex, q: Vertex, t: Vertex) => (q.x - p.x) * (t.y - p.y) - (q.y - p.y) * (t.x - p.x);
  edges.sort((e, f) => Math.min(e.a.x, e.b.x) - Math.min(f.a.x, f.b.x));
  let found = 0;
  edges.forEach((e, k) => {
    const right = Math.max(e.a.x, e.b.x);
    for (let m = k + 1; m < edges.length && Math.min(edges[m].a.x, edges[m].b.x) <= right; m++) {
      const f = edges[m];
      const apart = Math.abs(e.i - f.i);
      if (e.r === f.r && (apart <= 1 || apart === e.n - 1)) continue;
      if (side(e.a, e.b, f.a) * side(e.a, e.b, f.b) < 0 && side(f.a, f.b, e.a) * side(f.a, f.b, e.b) < 0)
        found++;
    }
  });
  return found;
}

describe("a DXF file, read by a parser of another author", () => {
  it.each(layers)("%s has its outlines closed, at their areas, and its holes in their places", (_, layer) => {
    const dxf = new DxfParser().parseSync(writeDxf({ layers: [layer] }))!;
    // 4 is millimetres. @see DXF reference, HEADER section, $INSUNITS (from memory).
    expect(dxf.header.$INSUNITS).toBe(4);
    const lines = dxf.entities.filter((e) => e.type === "LWPOLYLINE") as unknown as {
      shape: boolean;
      vertices: Vertex[];
      layer: string;
    }[];
    expect(lines.length).toBe(layer.loops.length);
    lines.forEach((line, i) => {
      expect([line.shape, line.layer]).toEqual([true, layer.name]);
      const own = signedArea(layer.loops[i]);
      expect(Math.abs(areaByChords(line.vertices) / own - 1)).toBeLessThan(5e-5);
    });
    const circles = dxf.entities.filter((e) => e.type === "CIRCLE") as unknown as {
      center: Vertex;
      radius: number;
    }[];
    expect(circles.map((c) => [c.center.x, c.center.y, c.radius])).toEqual(
      layer.circles.map((c) => [c.x, c.y, c.radiusMm]),
    );
  });

  it("has no contour that is open, doubled, or crosses itself or another, of any piece of any construction", {
    timeout: 120_000,
  }, () => {
    const wrong: string[] = [];
    for (const [name, knife] of [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)])
      for (const piece of drawnPieces(knife)) {
        const layer = pieceLayer(piece, { kerfMm: 0.2, allowanceMm: 0, leastHoleMm: 0 });
        const dxf = new DxfParser().parseSync(writeDxf({ layers: [layer] }))!;
        const runs: Vertex[][] = [];
        for (const e of dxf.entities) {
          const { shape, vertices } = e as unknown as { shape: boolean; vertices: Vertex[] };
          if (e.type === "LWPOLYLINE") {
            if (!shape) wrong.push(`${name} ${piece.name}: open`);
            runs.push(chordsOf(vertices));
          }
          const { center: c, radius: r } = e as unknown as { center: Vertex; radius: number };
          if (e.type === "CIRCLE")
            runs.push(
              Array.from({ length: 48 }, (_, i) => {
                const turn = (i * Math.PI) / 24;
                return { x: c.x + r * Math.cos(turn), y: c.y + r * Math.sin(turn) };
              }),
            );
        }
        const crossed = crossings(runs);
        if (crossed > 0) wrong.push(`${name} ${piece.name}: ${crossed} crossings`);
        const marks = runs.map((r) =>
          r
            .map((v) => `${v.x.toFixed(3)} ${v.y.toFixed(3)}`)
            .sort()
            .join(),
        );
        if (new Set(marks).size < marks.length) wrong.push(`${name} ${piece.name}: doubled`);
      }
    expect(wrong).toEqual([]);
  });

  it("keeps layers apart, and marks centres on one of their own", () => {
    const [, layer] = layers[0];
    const marked: Layer = { ...layer, centres: [{ x: -20, y: 2 }] };
    const dxf = new DxfParser().parseSync(writeDxf({ layers: [marked, { ...layer, name: "liner-left" }] }))!;
    expect(Object.keys(dxf.tables.layer.layers)).toEqual(
      expect.arrayContaining(["blank", "blank-marks", "liner-left"]),
    );
    const strokes = dxf.entities.filter((e) => e.type === "LINE" && e.layer === "blank-marks");
    expect(strokes.length).toBe(2);
  });
});

/** Areas of the paths of an SVG text, y upward, with arcs as cubics of another author's making, which miss a quarter circle's area by 0.03 %. */
function svgAreas(text: string): number[] {
  return [...text.matchAll(/<path d="([^"]+)"/g)].map(([, d]) => {
    const corners: [number, number][] = [];
    svgpath(d)
      .abs()
      .unarc()
      .iterate((segment, _, x, y) => {
        const [kind, ...n] = segment as [string, ...number[]];
        if (kind === "L") corners.push([n[0], n[1]]);
        if (kind !== "C") return;
        for (let k = 1; k <= 400; k++) {
          const [t, u] = [k / 400, 1 - k / 400];
          const at = (p: number, q: number, r: number, s: number) =>
            u ** 3 * p + 3 * u * u * t * q + 3 * u * t * t * r + t ** 3 * s;
          corners.push([at(x, n[0], n[2], n[4]), at(y, n[1], n[3], n[5])]);
        }
      });
    return corners.reduce((sum, [x, y], i) => {
      const [x1, y1] = corners[(i + 1) % corners.length];
      return sum - (x * y1 - x1 * y) / 2;
    }, 0);
  });
}

describe("an SVG file, read by a parser of another author", () => {
  it.each(layers)("%s has its outlines at their areas, in millimetres", (_, layer) => {
    const text = writeSvg({ layers: [layer] });
    const areas = svgAreas(text);
    expect(areas.length).toBe(layer.loops.length);
    areas.forEach((area, i) => {
      expect(Math.abs(area / signedArea(layer.loops[i]) - 1)).toBeLessThan(5e-4);
    });
    const [, width, box] = /width="([\d.]+)mm"[^>]*viewBox="([^"]+)"/.exec(text)!;
    expect(Number(width)).toBeCloseTo(Number(box.split(" ")[2]), 6);
    expect((text.match(/<circle/g) ?? []).length).toBe(layer.circles.length);
  });
});

it("keeps what is round as round pieces: the outline of a knife in a few dozen", () => {
  for (const [name, layer] of layers)
    for (const loop of layer.loops as Loop[]) {
      expect(loop.length, name).toBeLessThan(90);
      expect(flattened(loop, 0.01).length).toBeGreaterThan(2);
    }
});
