import { MOST_READ_TRIANGLES, type SoupReading } from "./soup";

/** Bytes of a binary file's head, and of each triangle: a normal, three corners, and two bytes that mean nothing. */
const HEAD = 84;
const EACH = 50;

/**
 * Reads an STL file, binary or text, in time that grows with its length. The format states no unit. Fails where the
 * file is cut short, is no STL, or has more triangles than are read.
 */
export function readStl(bytes: Uint8Array): SoupReading {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = bytes.byteLength >= HEAD ? view.getUint32(80, true) : 0;
  if (count > 0 && bytes.byteLength >= HEAD + EACH * count) return readBinary(view, count);
  const head = new TextDecoder("latin1").decode(bytes.subarray(0, 512));
  if (!/^\s*solid\b/i.test(head)) return { ok: false, code: "not-a-mesh" };
  return readText(bytes);
}

function readBinary(view: DataView, count: number): SoupReading {
  if (count > MOST_READ_TRIANGLES) return tooMany(count);
  const corners = new Float32Array(9 * count);
  for (let i = 0; i < count; i++)
    for (let k = 0; k < 9; k++) corners[9 * i + k] = view.getFloat32(HEAD + EACH * i + 12 + 4 * k, true);
  return { ok: true, soup: { corners, unit: null } };
}

/**
 * The text form, word by word: what counts is `vertex` with its three numbers, three of them to each `facet`. Names of
 * solids, normals and the layout of lines are passed over.
 */
function readText(bytes: Uint8Array): SoupReading {
  const corners: number[] = [];
  let inFacet = -1;
  for (const line of lines(bytes)) {
    const words = line.trim().split(/\s+/, 4);
    const word = words[0].toLowerCase();
    if (word === "facet") {
      if (inFacet > 0) return { ok: false, code: "damaged" };
      inFacet = 0;
    } else if (word === "endfacet") {
      if (inFacet !== 3) return { ok: false, code: "damaged" };
      inFacet = -1;
    } else if (word === "vertex") {
      if (inFacet < 0 || inFacet > 2 || words.length < 4) return { ok: false, code: "damaged" };
      inFacet++;
      for (let k = 1; k <= 3; k++) corners.push(Number(words[k]));
      if (corners.length > 9 * MOST_READ_TRIANGLES) return tooMany(Math.ceil(corners.length / 9));
    }
  }
  if (inFacet !== -1 || corners.length === 0) return { ok: false, code: "damaged" };
  return { ok: true, soup: { corners: Float32Array.from(corners), unit: null } };
}

/** A line longer than this is none of a text STL: only its beginning is looked at. */
const LONGEST_LINE = 512;

/** The lines of a text, the long ones cut off. */
function* lines(bytes: Uint8Array): Generator<string> {
  const decoder = new TextDecoder("latin1");
  for (let from = 0; from < bytes.length; ) {
    let to = from;
    while (to < bytes.length && bytes[to] !== 10 && bytes[to] !== 13) to++;
    if (to > from) yield decoder.decode(bytes.subarray(from, Math.min(to, from + LONGEST_LINE)));
    from = to + 1;
  }
}

function tooMany(triangles: number): SoupReading {
  return { ok: false, code: "too-fine", triangles, limit: MOST_READ_TRIANGLES };
}
