import { textWidthMm } from "./letters";

/** A text in lines no longer than so many mm; a word that is longer by itself is broken. */
export function wrapped(text: string, sizeMm: number, withinMm: number, bold = false): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split("\n")) {
    let line = "";
    for (const word of paragraph.split(" ").flatMap((w) => broken(w, sizeMm, withinMm, bold))) {
      const longer = line === "" ? word : `${line} ${word}`;
      if (line !== "" && textWidthMm(longer, sizeMm, bold) > withinMm) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    lines.push(line);
  }
  return lines;
}

function broken(word: string, sizeMm: number, withinMm: number, bold: boolean): string[] {
  const pieces: string[] = [];
  let piece = "";
  for (const letter of word) {
    if (piece !== "" && textWidthMm(piece + letter, sizeMm, bold) > withinMm) {
      pieces.push(piece);
      piece = letter;
    } else piece += letter;
  }
  return [...pieces, piece];
}
