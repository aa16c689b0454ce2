import { radians } from "../../base/number";
import { boxOf, circleLoop, flattened, type Loop, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { signedDistance } from "../../geometry/curve/crossing";
import { AS_DRAWN } from "../cutting/cutSettings";
import { pieceLayer, piecesNamed } from "../cutting/pieceLayers";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { homography, projected } from "./homography";
import { type GreyImage, smoothed } from "./image";
import { type pinhole, SHEET } from "./pinhole.fixtures";

export const [, HEATH] = DEMO_KNIVES.find(([name]) => name === "heath-field-knife.json")!;
export const BLANK = pieceLayer(piecesNamed(HEATH, "blank")[0], AS_DRAWN);
const box = boxOf(BLANK.loops)!;
export const BLANK_LONG_MM = box.x1 - box.x0;

/** The blank on an A4 sheet lying across, turned about the sheet's middle, mm. */
export function laid(turnDeg = 0) {
  const [c, s] = [Math.cos(radians(turnDeg)), Math.sin(radians(turnDeg))];
  const onPaper = ({ x, y }: Point): Point => {
    const [u, v] = [x - (box.x0 + box.x1) / 2, y - (box.y0 + box.y1) / 2];
    return { x: 148.5 + c * u - s * v, y: 105 + s * u + c * v };
  };
  const outline = flattened(BLANK.loops[0], 0.02).map(onPaper);
  const holes = BLANK.circles.map((o) => ({ ...onPaper(o), radiusMm: o.radiusMm }));
  return { onPaper, outline, holes };
}

/** Cells of a mask are so wide, mm. */
const CELL_MM = 0.05;

/** Where a figure covers the sheet: its outline without its holes, or the lines of a pen along all of them. */
function covered({ outline, holes }: ReturnType<typeof laid>, lineMm: number | null) {
  const rings = [
    outline,
    ...holes.map((h) => flattened(circleLoop(h.x, h.y, h.radiusMm) as Loop, 0.005) as readonly Point[]),
  ];
  const around = boxOf([straightLoop(outline)])!;
  const [x0, y0] = [around.x0 - 3, around.y0 - 3];
  const [w, h] = [Math.ceil((around.x1 + 3 - x0) / CELL_MM), Math.ceil((around.y1 + 3 - y0) / CELL_MM)];
  const mask = new Uint8Array(w * h);
  const at = (i: number, k: number): Point => ({ x: x0 + (i + 0.5) * CELL_MM, y: y0 + (k + 0.5) * CELL_MM });
  if (lineMm === null)
    for (let k = 0; k < h; k++) {
      const { y } = at(0, k);
      const xs = rings.flatMap((ring) =>
        ring.flatMap((p, i) => {
          const q = ring[(i + 1) % ring.length];
          return p.y > y !== q.y > y ? [p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)] : [];
        }),
      );
      xs.sort((a, b) => a - b);
      for (let n = 0; n + 1 < xs.length; n += 2) {
        const [from, to] = [xs[n], xs[n + 1]].map((x) => Math.round((x - x0) / CELL_MM));
        mask.fill(1, k * w + from, k * w + to);
      }
    }
  else
    for (const ring of rings)
      ring.forEach((p, n) => {
        const q = ring[(n + 1) % ring.length];
        const steps = Math.max(1, Math.ceil(Math.hypot(q.x - p.x, q.y - p.y) / (CELL_MM / 2)));
        const reach = Math.ceil(lineMm / 2 / CELL_MM);
        for (let step = 0; step < steps; step++) {
          const t = step / steps;
          const c = { x: p.x + t * (q.x - p.x), y: p.y + t * (q.y - p.y) };
          const [ci, ck] = [Math.floor((c.x - x0) / CELL_MM), Math.floor((c.y - y0) / CELL_MM)];
          for (let k = ck - reach; k <= ck + reach; k++)
            for (let i = ci - reach; i <= ci + reach; i++) {
              const m = at(i, k);
              if (Math.hypot(m.x - c.x, m.y - c.y) <= lineMm / 2) mask[k * w + i] = 1;
            }
        }
      });
  return ({ x, y }: Point): boolean => {
    const [i, k] = [Math.floor((x - x0) / CELL_MM), Math.floor((y - y0) / CELL_MM)];
    return i >= 0 && k >= 0 && i < w && k < h && mask[k * w + i] === 1;
  };
}

/** What is photographed, by which camera, in what light. */
export interface Scene {
  readonly width: number;
  readonly height: number;
  readonly see: ReturnType<typeof pinhole>;
  readonly focalPx: number;
  /** Of a plate on the sheet; 0 of a figure drawn there. */
  readonly thicknessMm?: number;
  /** A place at r focal lengths from the middle is drawn at r (1 + k1 r²). */
  readonly k1?: number;
  /** How far the shadow reaches on the sheet, mm, and what of the light is left in it. */
  readonly shadow?: { readonly xMm: number; readonly yMm: number; readonly light: number };
  readonly blurPx?: number;
  readonly noise?: number;
  /** Drawn by a pen so wide, mm, in place of filled. */
  readonly lineMm?: number;
  readonly turnDeg?: number;
  /** A sheet that does not lie flat: where its places are seen, mm. */
  readonly curl?: (p: Point) => Point;
}

/** A photo of the field knife's blank on a white sheet on a grey table, each pixel's ray followed down; its corners, px. */
export function photographed(scene: Scene): { photo: GreyImage; corners: Point[] } & ReturnType<typeof laid> {
  const { width, height, see, focalPx, thicknessMm = 0, k1 = 0, shadow, blurPx = 0.8, noise = 0 } = scene;
  const figure = laid(scene.turnDeg);
  const isIn = covered(figure, scene.lineMm ?? null);
  const middle = { x: width / 2, y: height / 2 };
  const at = (x: number, y: number, z = 0) => {
    const q = see(x, y, z);
    return { x: q.x + middle.x, y: q.y + middle.y };
  };
  const bent = (p: Point) => {
    const [u, v] = [(p.x - middle.x) / focalPx, (p.y - middle.y) / focalPx];
    const by = 1 + k1 * (u * u + v * v);
    return { x: middle.x + u * by * focalPx, y: middle.y + v * by * focalPx };
  };
  /** By going on until the bent place is the one at hand: another way than the core's. */
  const straight = (p: Point) => {
    if (k1 === 0) return p;
    let q = p;
    for (let i = 0; i < 40; i++) {
      const off = bent(q);
      q = { x: q.x + p.x - off.x, y: q.y + p.y - off.y };
    }
    return q;
  };
  const levels = [0, 0.5, 1].map((share) => {
    const z = thicknessMm * share;
    return homography(
      SHEET.map(({ x, y }) => at(x, y, z)),
      SHEET,
    )!;
  });
  const lit = (p: Point) => {
    if (!shadow) return 1;
    for (let t = 0.05; t <= 1; t += 0.05)
      if (isIn({ x: p.x - t * shadow.xMm, y: p.y - t * shadow.yMm })) return shadow.light;
    return 1;
  };
  const data = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const pixel = straight({ x: x + 0.5, y: y + 0.5 });
      const raw = projected(levels[0], pixel);
      const p = scene.curl ? scene.curl(raw) : raw;
      const onSheet = p.x > 0 && p.y > 0 && p.x < 297 && p.y < 210;
      const dark = onSheet && (thicknessMm > 0 ? levels.some((h) => isIn(projected(h, pixel))) : isIn(p));
      data[y * width + x] = dark ? 45 : onSheet ? 235 * lit(p) : 120;
    }
  const soft = smoothed({ width, height, data }, blurPx);
  let state = 26;
  const random = () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296 - 0.5;
  };
  const photo = noise > 0 ? { ...soft, data: soft.data.map((v) => v + noise * (random() + random())) } : soft;
  return { photo, corners: SHEET.map(({ x, y }) => bent(at(x, y))), ...figure };
}

/** The worst distance of places from an outline, mm. */
export const worstOff = (points: readonly Point[], outline: readonly Point[]): number =>
  Math.max(...points.map((p) => Math.abs(signedDistance(outline, p))));
