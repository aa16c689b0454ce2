import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { weigh } from "../../figures/weigh/weigh";
import { boxOf, circleLoop, flattened, type Loop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { signedDistance } from "../../geometry/curve/crossing";
import { AS_DRAWN } from "../cutting/cutSettings";
import { pieceLayer, piecesNamed } from "../cutting/pieceLayers";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { TRACED_FIT } from "../pattern/applyOutline";
import { proposedAssignment, traced } from "../pattern/trace";
import { flattenedPhoto } from "./flatPhoto";
import { homography, projected } from "./homography";
import { type GreyImage, greyOf, otsuThreshold, smoothed } from "./image";
import { paperIn } from "./paperIn";
import { planeIn } from "./planeIn";
import { inOrder, truePlane } from "./planeScale";
import { shapesInPhoto, USUAL_SEEING } from "./shapes";
import { foundCorners } from "./sheetEdges";

const [, heath] = DEMO_KNIVES.find(([name]) => name === "heath-field-knife.json")!;
const layer = pieceLayer(piecesNamed(heath, "blank")[0], AS_DRAWN);
/** The blank drawn on an A4 sheet lying across, mm, y down, and its holes. */
const box = boxOf(layer.loops)!;
const onPaper = ({ x, y }: Point): Point => ({
  x: 148.5 + x - (box.x0 + box.x1) / 2,
  y: 105 - (y - (box.y0 + box.y1) / 2),
});
const outline = flattened(layer.loops[0], 0.01).map(onPaper);
const holes = layer.circles.map((c) =>
  flattened(circleLoop(c.x, c.y, c.radiusMm) as Loop, 0.01).map(onPaper),
);

/** A camera of known place: where each place of the sheet, mm, comes on the picture. */
function camera(width: number, height: number, turnDeg: number, lean: number) {
  const sheet = [
    [0, 0],
    [297, 0],
    [297, 210],
    [0, 210],
  ].map(([x, y]) => ({ x, y }));
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  const scale = width / 380;
  const corners = sheet.map(({ x, y }) => {
    const [u, v] = [x - 148.5, y - 105];
    const [p, q] = [c * u - s * v, s * u + c * v];
    // Farther at the top: a hand-held camera that leans.
    const near = 1 / (1 - (lean * q) / 210 - (0.3 * lean * p) / 297);
    return { x: width / 2 + scale * p * near, y: height / 2 + scale * q * near };
  });
  return { corners, toPixels: homography(sheet, corners)!, toSheet: homography(corners, sheet)! };
}

/** A photo of the drawing by a synthetic camera: a grey table, a white sheet, the dark blank with its holes, blur and noise. */
function photograph(
  width: number,
  height: number,
  cam: ReturnType<typeof camera>,
  blurPx: number,
  noise: number,
  seed: number,
): GreyImage {
  const data = new Float32Array(width * height);
  const holeBoxes = holes.map((h) => boxOf([h.map((p) => ({ ...p, bulge: 0 }))])!);
  const isDark = (p: Point) =>
    signedDistance(outline, p) < 0 &&
    !holeBoxes.some(
      (b, i) => p.x > b.x0 && p.x < b.x1 && p.y > b.y0 && p.y < b.y1 && signedDistance(holes[i], p) < 0,
    );
  const outer = boxOf([outline.map((p) => ({ ...p, bulge: 0 }))])!;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const p = projected(cam.toSheet, { x: x + 0.5, y: y + 0.5 });
      const onSheet = p.x > 0 && p.y > 0 && p.x < 297 && p.y < 210;
      const nearBlank = p.x > outer.x0 && p.x < outer.x1 && p.y > outer.y0 && p.y < outer.y1;
      // Light falls off to one side.
      const light = 0.85 + (0.15 * x) / width;
      data[y * width + x] = (onSheet ? (nearBlank && isDark(p) ? 45 : 235) : 120) * light;
    }
  const soft = smoothed({ width, height, data }, blurPx);
  let state = seed;
  const random = () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296 - 0.5;
  };
  return { ...soft, data: soft.data.map((v) => v + noise * (random() + random() + random())) };
}

describe("a drawn figure photographed by a synthetic camera", () => {
  it.each([
    ["straight from above", 0, 0, 0.6, 6],
    ["turned, leaning, out of focus and noisy", 7, 0.22, 1.4, 20],
    ["upside down and leaning the other way", 178, -0.18, 1, 12],
  ])(
    "%s comes back within 0.3 mm, with its holes and the knife's weight",
    (_, deg, lean, blur, noise) => {
      const [width, height] = [1900, 1300];
      const cam = camera(width, height, deg, lean);
      const photo = photograph(width, height, cam, blur, noise, 15);
      // A maker marks the corners some pixels off; the edges of the sheet say where they are.
      const marked = cam.corners.map((p, i) => ({ x: p.x + [7, -9, 5, -6][i], y: p.y + [-8, 6, 9, -5][i] }));
      const found = foundCorners(photo, marked, 18);
      const ordered = inOrder(cam.corners)!;
      found.forEach((p, i) => {
        expect(Math.hypot(p.x - ordered[i].x, p.y - ordered[i].y)).toBeLessThan(1.2);
      });
      // Unmarked, a sheet with all its corners in the picture is found by itself.
      (paperIn(photo) ?? []).forEach((p, i) => {
        expect(Math.hypot(p.x - ordered[i].x, p.y - ordered[i].y)).toBeLessThan(1.2);
      });
      const whole = ordered.every((p) => p.x > 5 && p.y > 5 && p.x < width - 5 && p.y < height - 5);
      expect(paperIn(photo) !== null).toBe(whole);
      const plane = planeIn(photo, { kind: "paper", corners: found, longMm: 297, shortMm: 210 });
      if (!plane.ok) throw new Error(plane.code);
      const flat = flattenedPhoto(photo, plane);
      const { shapes } = shapesInPhoto(flat, USUAL_SEEING);
      const [blade] = shapes.filter((s) => s.kind === "outline");
      // The sheet may lie either way up: it is compared as it was photographed.
      const upright = Math.abs(deg) < 90;
      const toSheet = (p: Point): Point => (upright ? { x: p.x, y: 210 - p.y } : { x: 297 - p.x, y: p.y });
      const off = blade.points.map((p) => Math.abs(signedDistance(outline, toSheet(p))));
      expect(Math.max(...off)).toBeLessThan(0.3);
      const circles = shapes.filter((s) => s.kind === "circle");
      expect(circles.length).toBe(layer.circles.length);
      for (const c of circles) {
        const at = toSheet(c);
        const nearest = layer.circles
          .map((o) => ({ ...onPaper(o), r: o.radiusMm }))
          .sort((a, b) => Math.hypot(a.x - at.x, a.y - at.y) - Math.hypot(b.x - at.x, b.y - at.y))[0];
        expect(Math.hypot(nearest.x - at.x, nearest.y - at.y)).toBeLessThan(0.3);
        expect(Math.abs(nearest.r - c.radiusMm)).toBeLessThan(0.25);
      }
      const assigned = proposedAssignment(heath, shapes, "blank")!;
      const datum = toSheet(onPaper({ x: 0, y: 0 }));
      const answer = traced(
        heath,
        { ...assigned, placing: { datum, tipDeg: upright ? 0 : 180, mirrored: false } },
        TRACED_FIT,
      );
      if (!answer.ok) throw new Error(answer.code);
      expect(answer.largestDeviationMm).toBeLessThanOrEqual(0.2);
      const [was, is] = [heath, answer.design].map((d) => {
        const w = weigh(d);
        if (!w.ok) throw new Error(JSON.stringify(w.findings[0]));
        return w.report.massG;
      });
      expect(Math.abs(is / was - 1)).toBeLessThan(0.02);
    },
    60_000,
  );

  it("at a scale by two points lies at that scale", () => {
    const cam = camera(1500, 1060, 0, 0);
    const photo = photograph(1500, 1060, cam, 0.7, 4, 3);
    const [a, b] = [
      { x: 20, y: 20 },
      { x: 270, y: 20 },
    ].map((p) => projected(cam.toPixels, p));
    const plane = planeIn(photo, { kind: "points", a, b, mm: 250 });
    if (!plane.ok) throw new Error(plane.code);
    const { shapes } = shapesInPhoto(flattenedPhoto(photo, plane), USUAL_SEEING);
    const sizes = shapes.flatMap((s) =>
      s.kind === "outline" ? [boxOf([s.points.map((p) => ({ ...p, bulge: 0 }))])!] : [],
    );
    const blade = sizes.find((s) => s.x1 - s.x0 < 260 && s.x1 - s.x0 > 200)!;
    expect(Math.abs(blade.x1 - blade.x0 - (box.x1 - box.x0))).toBeLessThan(0.5);
    expect(Math.abs(blade.y1 - blade.y0 - (box.y1 - box.y0))).toBeLessThan(0.3);
  });
});

describe("a photo's true plane", () => {
  it("finds no sheet where there is none, or where it runs out of the picture", () => {
    const grey = (of: (x: number, y: number) => number): GreyImage => ({
      width: 400,
      height: 300,
      data: Float32Array.from({ length: 120_000 }, (_, i) => of(i % 400, Math.floor(i / 400))),
    });
    expect(paperIn(grey((x, y) => 120 + ((x * 7 + y * 13) % 9)))).toBeNull();
    expect(paperIn(grey((x, y) => (x > 60 && y > 50 ? 235 : 90)))).toBeNull();
    expect(paperIn(grey((x, y) => (Math.hypot(x - 200, y - 150) < 120 ? 235 : 90)))).toBeNull();
    expect(paperIn(grey((x, y) => (x > 60 && x < 340 && y > 50 && y < 250 ? 235 : 90)))).not.toBeNull();
  });

  it("is refused of two points in one place, and of corners that no sheet has", () => {
    const image = { width: 800, height: 600 };
    const p = { x: 10, y: 10 };
    expect(truePlane(image, { kind: "points", a: p, b: p, mm: 100 })).toEqual({
      ok: false,
      code: "no-distance",
    });
    expect(truePlane(image, { kind: "points", a: p, b: { x: 400, y: 10 }, mm: 0 })).toEqual({
      ok: false,
      code: "no-distance",
    });
    const line = [0, 100, 200, 300].map((x) => ({ x, y: x }));
    const dent = [
      { x: 0, y: 0 },
      { x: 400, y: 0 },
      { x: 80, y: 80 },
      { x: 0, y: 400 },
    ];
    for (const corners of [line, dent, line.slice(1)])
      expect(truePlane(image, { kind: "paper", corners, longMm: 297, shortMm: 210 })).toEqual({
        ok: false,
        code: "no-sheet",
      });
  });

  it("takes corners in whatever order they are marked", () => {
    const corners = [
      { x: 50, y: 40 },
      { x: 700, y: 60 },
      { x: 720, y: 500 },
      { x: 30, y: 520 },
    ];
    for (const order of [
      [0, 1, 2, 3],
      [3, 1, 0, 2],
      [2, 3, 1, 0],
    ])
      expect(inOrder(order.map((i) => corners[i]))).toEqual(corners);
  });

  it("has a map that takes four places to four others, and every other one back again", () => {
    const coordinate = fc.double({ min: -40, max: 40, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(coordinate, { minLength: 8, maxLength: 8 }),
        coordinate,
        coordinate,
        (off, x, y) => {
          const from = [
            [0, 0],
            [300, 0],
            [300, 200],
            [0, 200],
          ].map(([u, v]) => ({ x: u, y: v }));
          const to = from.map((p, i) => ({ x: 3 * p.x + off[2 * i], y: 3 * p.y + off[2 * i + 1] }));
          const [there, back] = [homography(from, to)!, homography(to, from)!];
          from.forEach((p, i) => {
            const q = projected(there, p);
            expect(Math.hypot(q.x - to[i].x, q.y - to[i].y)).toBeLessThan(1e-6);
          });
          const p = { x: 150 + x, y: 100 + y };
          const again = projected(back, projected(there, p));
          expect(Math.hypot(again.x - p.x, again.y - p.y)).toBeLessThan(1e-6);
        },
      ),
      { seed: 15 },
    );
  });
});

it("parts two shades between them, whatever their shares", () => {
  for (const share of [0.03, 0.3, 0.8]) {
    const data = Float32Array.from(
      { length: 20_000 },
      (_, i) => (i / 20_000 < share ? 60 : 200) + ((i * 7919) % 21) - 10,
    );
    const at = otsuThreshold({ width: 200, height: 100, data });
    expect(at).toBeGreaterThan(65);
    expect(at).toBeLessThan(195);
  }
  // What is transparent is white.
  expect(greyOf(Uint8Array.from([0, 0, 0, 0, 255, 255, 255, 255]), 2, 1, 4).data).toEqual(
    Float32Array.from([255, 255]),
  );
});
