import { STLLoader } from "three/examples/jsm/loaders/STLLoader.js";
import type { SoupReading } from "./soup";

/** Bytes of a binary file's head, and of each triangle. */
const HEAD = 84;
const EACH = 50;

/** Reads an STL file, binary or text. The format states no unit. Fails where the file is cut short or is no STL. */
export function readStl(bytes: Uint8Array): SoupReading {
  const text = new TextDecoder("latin1").decode(bytes.subarray(0, 512));
  const count =
    bytes.byteLength >= HEAD ? new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true) : 0;
  const binary = count > 0 && bytes.byteLength >= HEAD + EACH * count;
  const plain = /^\s*solid\b/i.test(text) && /\bfacet\b/i.test(text);
  if (!binary && !plain) return { ok: false, code: /^\s*solid\b/i.test(text) ? "damaged" : "not-a-mesh" };
  try {
    const whole = bytes.slice().buffer;
    const position = new STLLoader().parse(whole).getAttribute("position");
    const corners = Float32Array.from(position?.array ?? []);
    if (corners.length === 0 || corners.length % 9 !== 0) return { ok: false, code: "damaged" };
    return { ok: true, soup: { corners, unit: null } };
  } catch {
    return { ok: false, code: "damaged" };
  }
}
