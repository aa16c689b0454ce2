import type { GreyImage } from "./image";
import { shadeAt } from "./image";

/** Of a border's way from piece to paper these shares are looked at: near the piece, and near the paper. */
const NEAR_PIECE = 0.2;
const NEAR_PAPER = 0.75;
/** A way from one to the other is followed so far, mm, in steps of so much. */
const FARTHEST_MM = 15;
const STEP_MM = 0.04;
/** A blurred edge is as wide all round: what is wider than the usual by so much, mm, over this share of the border, is a shadow. */
const WIDER_MM = 0.6;
const SHADOWED_SHARE = 0.04;
/** A border is looked at in so many places at most. */
const PLACES = 600;

/** Shades that stand for what is on both sides of a threshold: the middle one of each. */
export function shadesBeside(
  values: ArrayLike<number>,
  threshold: number,
): { readonly below: number; readonly above: number } {
  const counts = [new Float64Array(512), new Float64Array(512)];
  const all = [0, 0];
  const bin = (v: number) => Math.min(511, Math.max(0, Math.round(v) + 256));
  for (let i = 0; i < values.length; i++) {
    const side = values[i] < threshold ? 0 : 1;
    counts[side][bin(values[i])]++;
    all[side]++;
  }
  const middle = (side: 0 | 1) => {
    let sum = 0;
    for (let k = 0; k < 512; k++) {
      sum += counts[side][k];
      if (2 * sum >= all[side]) return k - 256;
    }
    return threshold;
  };
  return { below: middle(0), above: middle(1) };
}

/** How a border goes over from piece to paper, mm. */
export interface Crossing {
  /** Standard deviation of the bell curve that it is blurred by all round. */
  readonly blurMm: number;
  /** How wide a shadow lies beside it; 0 where there is none to speak of. */
  readonly shadowMm: number;
}

/** A step blurred by a bell curve is so many standard deviations wide between the two shares. @see tables of the normal distribution. */
const SIGMAS = 0.8416 + 0.6745;

/**
 * How blurred a border is, and how wide the shadow that lies beside it. From each place of the border the
 * way in to the piece's own shade and out to nearly the paper's: where these two thresholds are farther apart than the picture
 * is blurred all round, something darkens the paper there. `around` is the border's signed area, in pixels with y downward.
 */
export function crossingAt(
  image: GreyImage,
  border: readonly (readonly number[])[],
  around: number,
  shades: { readonly piece: number; readonly paper: number },
  perMm: number,
): Crossing {
  const n = border.length;
  if (n < 16) return SHARP;
  const { piece, paper } = shades;
  const share = (shade: number) => (shade - piece) / (paper - piece);
  const outward = around > 0 ? 1 : -1;
  const every = Math.max(1, Math.floor(n / PLACES));
  const widths: number[] = [];
  for (let i = 0; i < n; i += every) {
    const [x, y] = border[i];
    const [a, b] = [border[(i - 3 + n) % n], border[(i + 3) % n]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (!(length > 0)) continue;
    const [nx, ny] = [(outward * (b[1] - a[1])) / length, (-outward * (b[0] - a[0])) / length];
    const until = (way: 1 | -1, met: (share: number) => boolean): number => {
      for (let at = 0; at < FARTHEST_MM; at += STEP_MM) {
        const by = way * at * perMm;
        const shade = shadeAt(image, x - 0.5 + nx * by, y - 0.5 + ny * by);
        if (shade === null || met(share(shade))) return at;
      }
      return FARTHEST_MM;
    };
    // Each way is met within a step: half a step too far in the middle.
    widths.push(Math.max(0, until(-1, (s) => s <= NEAR_PIECE) + until(1, (s) => s >= NEAR_PAPER) - STEP_MM));
  }
  if (widths.length < 8) return SHARP;
  widths.sort((p, q) => p - q);
  // A quarter of the border lies in the light, whatever way that falls.
  const usual = widths[Math.floor(widths.length / 4)];
  const wider = widths.filter((w) => w > usual + WIDER_MM);
  const isShadow = wider.length >= SHADOWED_SHARE * widths.length;
  return {
    blurMm: usual / SIGMAS,
    shadowMm: isShadow ? wider[Math.floor(wider.length / 2)] - usual : 0,
  };
}

export const SHARP: Crossing = { blurMm: 0, shadowMm: 0 };

/** The threshold near the piece's own shade, which a shadow on the paper does not reach. */
export const thresholdNearPiece = ({ piece, paper }: { readonly piece: number; readonly paper: number }) =>
  piece + NEAR_PIECE * (paper - piece);
