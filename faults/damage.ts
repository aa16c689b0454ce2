import type { Random } from "./random";

/** What happens to files: on the way, on a failing disk, in an editor, by somebody's malice. */
const BYTE_DAMAGE: ((bytes: Uint8Array, r: Random) => Uint8Array)[] = [
  (b, r) => b.slice(0, r.below(b.length + 1)),
  (b, r) => {
    const out = b.slice();
    for (let n = 1 + r.below(8); n > 0; n--) out[r.below(out.length)] ^= 1 << r.below(8);
    return out;
  },
  (b, r) => {
    const at = r.below(b.length);
    return b.slice().fill(r.below(256), at, at + r.below(64));
  },
  (b, r) => {
    const [at, from, n] = [r.below(b.length), r.below(b.length), r.below(200)];
    return joined(b.subarray(0, at), b.subarray(from, from + n), b.subarray(at));
  },
  (b, r) => {
    const [from, n] = [r.below(b.length), r.below(b.length / 2 + 1)];
    return joined(b.subarray(0, from), b.subarray(from + n));
  },
  (b, r) => Uint8Array.from({ length: r.below(b.length) }, () => r.below(256)),
];

/** Values that no field expects. */
const ODD = [
  "null",
  "{}",
  "[]",
  '""',
  "true",
  "-1",
  "0",
  "1e308",
  "-1e-308",
  "1e999",
  '"NaN"',
  '"__proto__"',
  `"${"x".repeat(5000)}"`,
  '"\\u0000\\ud800"',
  "[[[[[[[[[[]]]]]]]]]]",
  '{"__proto__":{"polluted":1}}',
  '{"constructor":{"prototype":{}}}',
];

/** A text of JSON with numbers, words, names and whole values exchanged. */
export function damagedJson(text: string, r: Random): string {
  let out = text;
  if (r.next() < 0.4) {
    // One number larger or smaller: what a slip of the finger makes of a sound file.
    const numbers = [...text.matchAll(/-?\d+(?:\.\d+)?/g)];
    if (numbers.length === 0) return text;
    const { index, 0: was } = r.of(numbers);
    return text.slice(0, index) + Number(was) * 5 ** (2 * r.next() - 1) + text.slice(index + was.length);
  }
  for (let n = 1 + r.below(3); n > 0; n--) {
    const tokens = [...out.matchAll(/-?\d+(?:\.\d+)?(?:e[+-]?\d+)?|"[^"\\]*"|true|false|null|[{}[\],:]/g)];
    if (tokens.length === 0) return out;
    const token = r.of(tokens);
    const at = token.index;
    const put = r.below(5);
    const by =
      put === 0
        ? r.of(tokens)[0]
        : put === 1
          ? r.of(ODD)
          : put === 2
            ? ""
            : put === 3
              ? String((r.next() - 0.5) * 10 ** r.below(12))
              : token[0] + token[0];
    out = out.slice(0, at) + by + out.slice(at + token[0].length);
  }
  return out;
}

/** Bytes damaged in one of many ways; a text that is JSON mostly stays JSON. */
export function damaged(bytes: Uint8Array, json: boolean, r: Random): Uint8Array {
  if (json && r.next() < 0.7)
    return new TextEncoder().encode(damagedJson(new TextDecoder().decode(bytes), r));
  return r.of(BYTE_DAMAGE)(bytes, r);
}

function joined(...parts: Uint8Array[]): Uint8Array {
  const out = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const p of parts) {
    out.set(p, at);
    at += p.length;
  }
  return out;
}
