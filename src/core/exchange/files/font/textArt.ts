import { type Font, parse } from "opentype.js";
import { type Art, artOf } from "../../../geometry/contours/art";
import { nonZero } from "../../../geometry/contours/clip";
import type { Point } from "../../../geometry/curve/bezier";
import { fontRuns, missingLetters } from "../../paper/letters";
import { FONT_FILES } from "./fontFiles";
import { asSeen } from "./seenOrder";

/** Letters are drawn so large while they are outlined, mm; curves are taken by so many chords. */
const SIZE_MM = 100;
const CHORDS = 12;

export type TextArt =
  | { readonly ok: true; readonly art: Art }
  /** Signs that no font has; nothing to see, such as spaces alone. */
  | { readonly ok: false; readonly code: "missing"; readonly letters: readonly string[] }
  | { readonly ok: false; readonly code: "no-area" | "too-long" };

/** The outlines of a line of text in bold letters, in the order in which it is seen; `read` gets a font's file. */
export async function textArt(text: string, read: (file: string) => Promise<Uint8Array>): Promise<TextArt> {
  const letters = missingLetters([text]);
  if (letters.length > 0) return { ok: false, code: "missing", letters };
  const loops: Point[][] = [];
  const fonts = new Map<string, Font>();
  let x = 0;
  for (const run of fontRuns(asSeen(text), true)) {
    const file = FONT_FILES[run.font].bold;
    const font = fonts.get(file) ?? parse(bufferOf(await read(file)));
    fonts.set(file, font);
    const scale = SIZE_MM / font.unitsPerEm;
    // Letter by letter: the order is that in which they are seen already, and no font has to shape it.
    for (const letter of run.text) {
      const glyph = font.charToGlyph(letter);
      loops.push(...runsOf(glyph.getPath(x, 0, SIZE_MM).commands));
      x += (glyph.advanceWidth ?? 0) * scale;
    }
  }
  return artOf(loops);
}

const bufferOf = (bytes: Uint8Array): ArrayBuffer => bytes.slice().buffer as ArrayBuffer;

type Command = ReturnType<ReturnType<Font["charToGlyph"]>["getPath"]>["commands"][number];

/** A letter's outlines as chords, y up; strokes of one letter that lie over each other are one. */
function runsOf(commands: readonly Command[]): Point[][] {
  const runs: Point[][] = [];
  let run: Point[] = [];
  const up = (x: number, y: number): Point => ({ x, y: 0 - y });
  for (const c of commands) {
    if (c.type === "Z" || c.type === "M") {
      if (run.length > 2) runs.push(run);
      run = c.type === "M" ? [up(c.x, c.y)] : [];
      continue;
    }
    const from = run[run.length - 1];
    const end = up(c.x, c.y);
    if (c.type === "L") {
      run.push(end);
      continue;
    }
    const first = up(c.x1, c.y1);
    const second = c.type === "C" ? up(c.x2, c.y2) : first;
    for (let i = 1; i <= CHORDS; i++) {
      const [t, s] = [i / CHORDS, 1 - i / CHORDS];
      const weights =
        c.type === "C" ? [s ** 3, 3 * s * s * t, 3 * s * t * t, t ** 3] : [s * s, 2 * s * t, 0, t * t];
      const [a, b, d, e] = weights;
      run.push({
        x: a * from.x + b * first.x + d * second.x + e * end.x,
        y: a * from.y + b * first.y + d * second.y + e * end.y,
      });
    }
  }
  if (run.length > 2) runs.push(run);
  return nonZero(runs);
}
