import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { jsPDF } from "jspdf";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { signedArea, straightLoop } from "../../../geometry/contours/loop";
import { textArt } from "./textArt";

const read = async (file: string) => new Uint8Array(readFileSync(`public/fonts/${file}`));

/** A line printed large by two other programs: how long and how much of it is black, in heights and their squares. */
async function printed(text: string, file: string) {
  const doc = new jsPDF({ unit: "mm", format: [500, 60], orientation: "landscape" });
  doc.addFileToVFS(file, readFileSync(`public/fonts/${file}`).toString("base64"));
  doc.addFont(file, "mark", "normal");
  doc.setFont("mark", "normal");
  doc.setFontSize(60);
  doc.text(text, 10, 40);
  const dir = mkdtempSync(join(tmpdir(), "euaxis-mark-"));
  writeFileSync(join(dir, "m.pdf"), new Uint8Array(doc.output("arraybuffer")));
  execFileSync("pdftoppm", ["-r", "600", "-gray", "-png", "-singlefile", join(dir, "m.pdf"), join(dir, "m")]);
  const { data, info } = await sharp(join(dir, "m.png"))
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  let [x0, x1, y0, y1, black] = [Infinity, -Infinity, Infinity, -Infinity, 0];
  for (let i = 0; i < data.length; i++) {
    black += 1 - data[i] / 255;
    if (data[i] > 127) continue;
    const [x, y] = [i % info.width, Math.floor(i / info.width)];
    [x0, x1, y0, y1] = [Math.min(x0, x), Math.max(x1, x + 1), Math.min(y0, y), Math.max(y1, y + 1)];
  }
  const high = y1 - y0;
  return { long: (x1 - x0) / high, black: black / high ** 2 };
}

describe("a line of text as a mark", () => {
  it.each([
    ["TARN HOLLOW", "Barlow-SemiBold.ttf"],
    ["Gråsten & Söhne 2026", "Barlow-SemiBold.ttf"],
    ["Ελλάδα", "DejaVuSans-Bold.ttf"],
    ["Жуков", "DejaVuSans-Bold.ttf"],
  ])("%s is as long and as black as it is printed by jsPDF and drawn by poppler", async (text, file) => {
    const made = await textArt(text, read);
    if (!made.ok) throw new Error(made.code);
    const xs = made.art.flatMap((l) => l.map((p) => p.x));
    const area = made.art.reduce((sum, l) => sum + signedArea(straightLoop(l)), 0);
    const outside = await printed(text, file);
    // A pixel at 600 dpi is 0.3 % of the height of a letter here.
    expect((Math.max(...xs) - Math.min(...xs)) / outside.long).toBeCloseTo(1, 2);
    expect(area / outside.black).toBeCloseTo(1, 1.7);
  });

  it("runs from right to left where its letters do", async () => {
    const [word, turned] = await Promise.all(["שלום", "םולש"].map((t) => textArt(t, read)));
    if (!word.ok || !turned.ok) throw new Error("no Hebrew");
    const latin = await textArt("AW", read);
    // The first letter of the word is its rightmost, its shin: it has three arms and reaches the top.
    const right = (of: typeof word) => of.art.flat().reduce((m, p) => (p.x > m.x ? p : m));
    expect(right(word).x).not.toBeCloseTo(right(turned).x, 3);
    expect(latin.ok).toBe(true);
  });

  it("names letters that no font has, and refuses what shows nothing", async () => {
    expect(await textArt("刀 A", read)).toEqual({ ok: false, code: "missing", letters: ["刀"] });
    expect(await textArt("   ", read)).toEqual({ ok: false, code: "no-area" });
    expect(
      await textArt(
        "........................................................................................................................................................................................................................................................................................",
        read,
      ),
    ).toEqual({
      ok: false,
      code: "too-long",
    });
  });
});
