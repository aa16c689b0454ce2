/** A root is found to within this. */
const ROOT_MM = 1e-12;

/**
 * Where f changes sign in [a, b], found by sampling `samples` steps and bisecting each change. Roots closer together
 * than a step may be missed: callers use it for places that cost accuracy, not correctness.
 */
export function signChanges(f: (x: number) => number, a: number, b: number, samples: number): number[] {
  const roots: number[] = [];
  if (!(b > a)) return roots;
  let x0 = a;
  let f0 = f(a);
  for (let i = 1; i <= samples; i++) {
    const x1 = a + ((b - a) * i) / samples;
    const f1 = f(x1);
    if (f0 < 0 !== f1 < 0) roots.push(bisect(f, x0, x1));
    x0 = x1;
    f0 = f1;
  }
  return roots;
}

/** The sign change of f between a and b, to rounding. */
export function bisect(f: (x: number) => number, a: number, b: number): number {
  const below = f(a) < 0;
  let lo = a;
  let hi = b;
  for (let i = 0; i < 60 && hi - lo > ROOT_MM; i++) {
    const mid = (lo + hi) / 2;
    if (f(mid) < 0 === below) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

/**
 * The root of a function that is monotone between a and b: false position, the end that stays halved (Illinois). Answers
 * the nearer end where there is none.
 * @see Dowell and Jarratt, BIT 11 (1971), for its order.
 */
export function rootBetween(f: (x: number) => number, a: number, b: number): number {
  let [lo, hi] = [a, b];
  let [fLo, fHi] = [f(a), f(b)];
  if (fLo > 0 === fHi > 0) return Math.abs(fLo) < Math.abs(fHi) ? a : b;
  let side = 0;
  for (let i = 0; i < 100 && Math.abs(hi - lo) > ROOT_MM; i++) {
    const x = (lo * fHi - hi * fLo) / (fHi - fLo);
    const fx = f(x);
    if (Math.abs(fx) < ROOT_MM) return x;
    if (fx > 0 === fHi > 0) {
      [hi, fHi] = [x, fx];
      if (side === 1) fLo /= 2;
      side = 1;
    } else {
      [lo, fLo] = [x, fx];
      if (side === -1) fHi /= 2;
      side = -1;
    }
  }
  return (lo + hi) / 2;
}
