import { parseString, toPolylines } from "dxf";
import { describe, expect, it } from "vitest";
import { type FoundShapes, shapesIn } from "../pattern/found";
import { arc, block, circle, dxf, insert, line, lwpolyline, polyline, spline, svg } from "./byHand.fixtures";
import { readDxf } from "./dxf/read";
import { readSvg } from "./svg/read";

const bytes = (text: string) => new TextEncoder().encode(text);

function fromDxf(text: string): FoundShapes {
  const reading = readDxf(bytes(text));
  if (!reading.ok) throw new Error(reading.code);
  return shapesIn(reading.drawing, reading.drawing.mmPerUnit ?? 1);
}

function fromSvg(text: string): FoundShapes {
  const reading = readSvg(bytes(text));
  if (!reading.ok) throw new Error(reading.code);
  return shapesIn(reading.drawing, reading.drawing.mmPerUnit ?? 1);
}

/** Areas of closed outlines, largest first; circles by their diameters. */
const areas = ({ shapes }: FoundShapes) => shapes.flatMap((s) => (s.kind === "outline" ? [s.areaMm2] : []));
const diameters = ({ shapes }: FoundShapes) =>
  shapes.flatMap((s) => (s.kind === "circle" ? [2 * s.radiusMm] : []));

describe("DXF by hand", () => {
  it("in inches is 25.4 times as large; without a unit nothing is said of it", () => {
    const box = lwpolyline([
      [0, 0, 0],
      [4, 0, 0],
      [4, 1, 0],
      [0, 1, 0],
    ]);
    expect(areas(fromDxf(dxf([box], 1)))[0]).toBeCloseTo(4 * 25.4 ** 2, 6);
    for (const units of [0, null]) {
      const reading = readDxf(bytes(dxf([box], units)));
      expect(reading.ok && reading.drawing.mmPerUnit).toBeNull();
    }
  });

  it("takes bulges both ways: a slot with round ends, and a lens", () => {
    // Semicircles outward at both ends of a 40 × 10 slot; the same inward.
    const slot = (b: number) =>
      lwpolyline([
        [0, 0, 0],
        [40, 0, b],
        [40, 10, 0],
        [0, 10, b],
      ]);
    expect(areas(fromDxf(dxf([slot(1)])))[0]).toBeCloseTo(400 + Math.PI * 25, 1);
    expect(areas(fromDxf(dxf([slot(-1)])))[0]).toBeCloseTo(400 - Math.PI * 25, 1);
    expect(
      areas(
        fromDxf(
          dxf([
            polyline([
              [0, 0, 0],
              [40, 0, 1],
              [40, 10, 0],
              [0, 10, 1],
            ]),
          ]),
        ),
      )[0],
    ).toBeCloseTo(400 + Math.PI * 25, 1);
  });

  it("puts lines and arcs together that meet within a hair, whichever way they run, and says so", () => {
    const outline = [
      line(0, 0, 40, 0),
      arc(40, 5, 5, -90, 90),
      line(0.03, 10.01, 40, 10),
      arc(0, 5, 5, 90, 270),
    ];
    const found = fromDxf(dxf(outline));
    expect(areas(found)[0]).toBeCloseTo(400 + Math.PI * 25, 0);
    expect(found.joined).toBe(3);
    const apart = fromDxf(
      dxf([line(0, 0, 40, 0), line(40, 0.2, 40, 10), line(40, 10, 0, 10), line(0, 10, 0, 0.2)]),
    );
    expect(areas(apart)).toEqual([]);
    expect(apart.shapes[0]).toMatchObject({ kind: "open" });
    expect(apart.shapes.every((s) => s.kind === "open" && s.gapMm > 0.05)).toBe(true);
  });

  it("leaves out what lies twice, also the other way round", () => {
    const box = [line(0, 0, 40, 0), line(40, 0, 40, 9), line(40, 9, 0, 9), line(0, 9, 0, 0)];
    const found = fromDxf(
      dxf([...box, line(40, 0, 0, 0), line(40.005, 0, 40.005, 9), circle(9, 4, 2), circle(9, 4, 2)]),
    );
    expect(areas(found)).toEqual([360]);
    expect(diameters(found)).toEqual([4]);
    expect(found.doubled).toBe(3);
  });

  it("puts blocks in where they are inserted: mirrored, turned, stretched and nested", () => {
    const half = block("HALF", 0, 0, [
      lwpolyline([
        [0, 0, 0],
        [30, 0, 0],
        [0, 12, 0],
      ]),
    ]);
    const pair = block("PAIR", 5, 5, [insert("HALF", 5, 5), insert("HALF", 5, 5, -1, 1)]);
    const one = fromDxf(dxf([insert("HALF", 100, 50, -2, 2, 90)], 4, [half]));
    expect(areas(one)[0]).toBeCloseTo(4 * 180, 9);
    const [shape] = one.shapes;
    if (shape.kind !== "outline") throw new Error(shape.kind);
    // (30, 0) mirrored to (−60, 0), then turned to (0, −60).
    expect(shape.points.map((p) => [p.x, p.y].map((v) => Math.round(v * 1e6) / 1e6 + 0))).toEqual([
      [100, 50],
      [100, -10],
      [76, 50],
    ]);
    expect(areas(fromDxf(dxf([insert("PAIR", 0, 0, 1, 1, 30)], 4, [half, pair])))).toEqual([
      expect.closeTo(180, 6),
      expect.closeTo(180, 6),
    ]);
    // A block that holds itself ends somewhere.
    const loop = block("LOOP", 0, 0, [circle(0, 0, 3), insert("LOOP", 9, 0)]);
    const endless = readDxf(bytes(dxf([insert("LOOP", 0, 0)], 4, [loop])));
    expect(endless.ok && endless.drawing.passedOver).toEqual({ INSERT: 1 });
  });

  it("turns what is drawn seen from behind", () => {
    // An arc from 0° to 90° about (10, 0), its normal down: it lies about (−10, 0), from 180° to 90°.
    const found = fromDxf(dxf([arc(10, 0, 5, 0, 90, "210 0 220 0 230 -1"), line(-10, 5, -40, 5)]));
    const [shape] = found.shapes;
    if (shape.kind !== "open") throw new Error(shape.kind);
    const ends = [shape.points[0], shape.points[shape.points.length - 1]].sort((a, b) => b.x - a.x);
    expect(ends[0].x).toBeCloseTo(-15, 6);
    expect(ends[1]).toEqual({ x: -40, y: 5 });
  });

  it("takes splines with their weights: a rational one of degree 2 is a circle", () => {
    const w = Math.SQRT1_2;
    // @see Piegl and Tiller, The NURBS Book, 2nd edition, section 7.5: the nine-point circle.
    const round = spline(
      2,
      [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4],
      [
        [1, 0, 1],
        [1, 1, w],
        [0, 1, 1],
        [-1, 1, w],
        [-1, 0, 1],
        [-1, -1, w],
        [0, -1, 1],
        [1, -1, w],
        [1, 0, 1],
      ].map(([x, y, k]) => [12 * x, 12 * y, k] as const),
    );
    expect(diameters(fromDxf(dxf([round])))[0]).toBeCloseTo(24, 4);
    const ellipse = "0 ELLIPSE 8 cut 10 5 20 5 30 0 11 20 21 0 31 0 40 0.25 41 0 42 6.283185307179586";
    expect(areas(fromDxf(dxf([ellipse])))[0]).toBeCloseTo(Math.PI * 20 * 5, 0);
  });

  it("agrees with a reader of another author on a drawing of everything", () => {
    const half = block("HALF", 0, 0, [
      lwpolyline([
        [0, 0, 0.3],
        [30, 0, -0.2],
        [0, 12, 0],
      ]),
    ]);
    const text = dxf(
      [
        insert("HALF", 100, 50, -2, 2, 40),
        circle(3, 4, 5),
        lwpolyline([
          [-50, 0, 0.4],
          [-20, 0, 0],
          [-30, 30, 0],
        ]),
      ],
      4,
      [half],
    );
    const theirs = toPolylines(parseString(text)).polylines.map(({ vertices }) =>
      Math.abs(
        vertices.reduce((sum, [x, y], i) => {
          const [x1, y1] = vertices[(i + 1) % vertices.length];
          return sum + (x * y1 - x1 * y) / 2;
        }, 0),
      ),
    );
    const found = fromDxf(text);
    const own = [...areas(found), ...diameters(found).map((d) => (Math.PI * d * d) / 4)];
    // Theirs takes arcs as chords of 5°, which lie inside them by up to 0.1 % of the radius.
    const [a, b] = [theirs, own].map((list) => [...list].sort((p, q) => q - p));
    expect(a.length).toBe(b.length);
    for (const [i, area] of a.entries()) expect(Math.abs(area / b[i] - 1)).toBeLessThan(3e-3);
  });
});

describe("SVG by hand", () => {
  it("tells its unit by its width against its view box, and nothing in pixels", () => {
    const rect = '<rect x="10" y="10" width="40" height="10"/>';
    expect(areas(fromSvg(svg(rect)))[0]).toBeCloseTo(400, 9);
    expect(areas(fromSvg(svg(rect, 'width="4in" height="2in" viewBox="0 0 400 200"')))[0]).toBeCloseTo(
      400 * 0.254 ** 2,
      6,
    );
    // Without a view box a unit is a pixel of 1/96 in.
    expect(areas(fromSvg(svg(rect, 'width="100mm" height="50mm"')))[0]).toBeCloseTo(
      400 * (25.4 / 96) ** 2,
      6,
    );
    for (const head of [
      'width="800" height="400" viewBox="0 0 200 100"',
      'viewBox="0 0 200 100"',
      'width="100%"',
    ]) {
      const reading = readSvg(bytes(svg(rect, head)));
      expect(reading.ok && reading.drawing.mmPerUnit, head).toBeNull();
    }
  });

  it("takes nested transforms, references and shapes of every kind, and y upward", () => {
    const found = fromSvg(
      svg(`<defs><path id="p" d="M0 0h10v4h-10z"/></defs>
        <g transform="translate(20 10) rotate(90)"><g transform="scale(2 3)"><use xlink:href="#p" x="1"/></g></g>
        <polygon points="0,0 30,0 0,-12"/><ellipse cx="5" cy="5" rx="8" ry="2"/>
        <circle cx="50" cy="20" r="3" transform="scale(2)"/><rect x="100" y="0" width="20" height="10" rx="5"/>
        <path d="M0 50a10 10 0 0 1 20 0z"/><path d="M60 60q5 10 10 0t10 0l0 5h-20z"/>`),
    );
    const expected = [10 * 4 * 2 * 3, 180, Math.PI * 16, 100 + Math.PI * 25, (Math.PI * 100) / 2, 100];
    expect(areas(found).length).toBe(expected.length);
    for (const [i, area] of [...expected].sort((a, b) => b - a).entries())
      expect(Math.abs(areas(found)[i] / area - 1)).toBeLessThan(2e-3);
    expect(diameters(found)).toEqual([12]);
    const [round] = found.shapes.filter((s) => s.kind === "circle");
    expect([round.x, round.y]).toEqual([100, -40]);
  });

  it("runs nothing and fetches nothing: scripts, pictures and links are passed over", () => {
    const reading = readSvg(
      bytes(
        `<!DOCTYPE svg [<!ENTITY far SYSTEM "http://example.invalid/x">]><svg width="20mm" viewBox="0 0 20 9"><script>throw 1</script>
          <image href="http://example.invalid/a.png" width="9" height="9"/><use href="http://example.invalid/b.svg#c"/>
          <style>@import url(http://example.invalid/s.css)</style><text>&far;</text>
          <g style="display:none"><rect width="90" height="90"/></g><rect width="30" height="20" onload="throw 1"/></svg>`,
      ),
    );
    if (!reading.ok) throw new Error(reading.code);
    expect(reading.drawing.passedOver).toEqual({ "@import": 1, script: 1, image: 1, use: 1, text: 1 });
    expect(areas(shapesIn(reading.drawing, 1))).toEqual([600]);
  });
});
