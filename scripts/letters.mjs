// Writes src/core/exchange/paper/letters.json: which letters the paper's fonts have, and how wide each is.
import { readFileSync, writeFileSync } from "node:fs";
import { jsPDF } from "jspdf";

const FONTS = {
  regular: ["Barlow-Regular.ttf", "DejaVuSans.ttf"],
  bold: ["Barlow-SemiBold.ttf", "DejaVuSans-Bold.ttf"],
};
/** Latin, Greek, Cyrillic, Hebrew, marks, signs, arrows, and the sign for a letter that is not there. */
const BLOCKS = [
  [0x20, 0x7e],
  [0xa0, 0x52f],
  [0x591, 0x5f4],
  [0x1d00, 0x1fff],
  [0x2000, 0x22ff],
  [0x25a0, 0x26ff],
  [0xfb1d, 0xfb4f],
  [0xfffd, 0xfffd],
];

const doc = new jsPDF({ unit: "mm" });
/** Runs of letters that a font has: the first of a run, and the widths of it and those behind it, in thousandths. */
function runsOf(file) {
  doc.addFileToVFS(
    file,
    readFileSync(new URL(`../public/fonts/${file}`, import.meta.url)).toString("base64"),
  );
  doc.addFont(file, file, "normal");
  doc.setFont(file);
  const { metadata } = doc.getFont();
  const runs = [];
  for (const [from, to] of BLOCKS)
    for (let code = from; code <= to; code++) {
      const glyph = metadata.characterToGlyph(code);
      if (!glyph) continue;
      const width = Math.round(metadata.widthOfGlyph(glyph));
      const last = runs[runs.length - 1];
      if (last && last[0] + last[1].length === code) last[1].push(width);
      else runs.push([code, [width]]);
    }
  return runs;
}

const letters = Object.fromEntries(
  Object.entries(FONTS).map(([weight, files]) => [weight, files.map(runsOf)]),
);
writeFileSync(
  new URL("../src/core/exchange/paper/letters.json", import.meta.url),
  `${JSON.stringify(letters)}\n`,
);
