/**
 * Widths of the letters from space to tilde, and of others that sheets use, in thousandths of the letter size: Barlow
 * Regular and SemiBold, as the fonts that ship have them.
 */
const REGULAR = [
  200, 319, 263, 659, 559, 848, 658, 132, 261, 261, 397, 500, 264, 394, 278, 400, 565, 350, 536, 515, 551,
  514, 515, 473, 521, 521, 339, 311, 500, 500, 500, 461, 827, 607, 627, 607, 618, 605, 568, 613, 654, 259,
  577, 611, 568, 715, 676, 622, 592, 576, 612, 584, 569, 648, 589, 878, 589, 567, 549, 380, 400, 380, 450,
  484, 195, 511, 546, 520, 546, 533, 356, 535, 539, 255, 245, 501, 230, 827, 539, 545, 552, 552, 364, 481,
  364, 536, 475, 721, 477, 461, 445, 302, 166, 302, 501,
];
const SEMI_BOLD = [
  200, 335, 325, 677, 567, 833, 688, 155, 316, 316, 398, 491, 265, 404, 273, 447, 568, 353, 551, 531, 585,
  530, 529, 488, 533, 527, 355, 314, 491, 491, 491, 500, 821, 648, 622, 608, 618, 592, 563, 613, 637, 262,
  581, 620, 571, 715, 669, 621, 595, 587, 613, 591, 579, 636, 610, 878, 616, 599, 554, 403, 447, 403, 465,
  509, 219, 522, 559, 531, 559, 541, 376, 549, 544, 255, 251, 522, 239, 829, 544, 556, 563, 563, 376, 493,
  374, 541, 504, 761, 516, 489, 455, 350, 190, 350, 522,
];
/** A letter that is not in the tables is taken as wide as most. */
const OTHER = 560;

/** How long a text is at a letter size, mm. */
export function textWidthMm(text: string, sizeMm: number, bold = false): number {
  const widths = bold ? SEMI_BOLD : REGULAR;
  let sum = 0;
  for (const letter of text) sum += widths[(letter.codePointAt(0) ?? 0) - 32] ?? OTHER;
  return (sum / 1000) * sizeMm;
}

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
