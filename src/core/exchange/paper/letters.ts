import letters from "./letters.json";

/** The two fonts of a sheet: its own, and one that has the letters that it lacks: all of Latin, Greek and Cyrillic. */
export type PageFont = "own" | "wider";

interface Letter {
  readonly font: PageFont;
  readonly width: number;
}

/** Stands where a letter is that neither font has: what is missing is seen, never dropped. */
export const MISSING = "\u{fffd}";

const FONTS: readonly PageFont[] = ["own", "wider"];
const WEIGHTS = ["regular", "bold"] as const;

/** Every letter that there is, by its code, of regular and of bold type. Widths in thousandths of the letter size. */
const [REGULAR, BOLD] = WEIGHTS.map((weight) => {
  const found = new Map<number, Letter>();
  letters[weight].forEach((runs, i) => {
    for (const [from, widths] of runs as [number, number[]][])
      widths.forEach((width, k) => {
        if (!found.has(from + k)) found.set(from + k, { font: FONTS[i], width });
      });
  });
  return found;
});

/** A letter as it is printed: that for a missing one where no font has it. */
function letterOf(letter: string, bold: boolean): Letter {
  const of = bold ? BOLD : REGULAR;
  const code = letter.codePointAt(0) ?? 0;
  return of.get(code) ?? of.get(MISSING.codePointAt(0) ?? 0)!;
}

const isThere = (letter: string): boolean => REGULAR.has(letter.codePointAt(0) ?? 0);

/** Letters put together from several signs stand as the one that they are. */
const composed = (text: string): string => text.normalize("NFC");

/** How long a text is at a letter size, mm. */
export function textWidthMm(text: string, sizeMm: number, bold = false): number {
  let sum = 0;
  for (const letter of composed(text)) sum += letterOf(letter, bold).width;
  return (sum / 1000) * sizeMm;
}

/** A stretch of a text in one font. */
export interface FontRun {
  readonly font: PageFont;
  readonly text: string;
}

/** A text, already in the order in which it is seen, by the fonts that print it; a letter that none has as the sign for that. */
export function fontRuns(text: string, bold: boolean): FontRun[] {
  const runs: { font: PageFont; text: string }[] = [];
  for (const letter of composed(text)) {
    const last = runs[runs.length - 1];
    const { font } = letterOf(letter, bold);
    const said = isThere(letter) ? letter : MISSING;
    // A space belongs to what it follows.
    if (last && (last.font === font || letter === " ")) last.text += said;
    else runs.push({ font, text: said });
  }
  return runs;
}

/** Letters of texts that no font of the sheets has, each once, in the order in which they come. */
export function missingLetters(texts: Iterable<string>): string[] {
  const found = new Set<string>();
  for (const text of texts)
    for (const letter of composed(text)) if (letter !== "\n" && !isThere(letter)) found.add(letter);
  return [...found];
}
