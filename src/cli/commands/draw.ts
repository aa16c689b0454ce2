import type { CutSettings } from "@/core/exchange/cutting/cutSettings";
import { drawnPieces, pieceLayer, piecesNamed } from "@/core/exchange/cutting/pieceLayers";
import { stacked } from "@/core/exchange/cutting/place";
import { sheathCuttables } from "@/core/exchange/cutting/sheathCuttables";
import { stencilCuttables } from "@/core/exchange/cutting/stencils";
import { DRAWING_FORMAT_IDS, DRAWING_FORMATS, drawingFormatOf } from "@/core/exchange/files/drawings";
import { USUAL_SHEATH } from "@/core/sheath/settings";
import { command } from "../command";
import { numberIn, weighedFixed, writeTo } from "../input";
import { Refusal } from "../refusal";

/** Distance between several pieces in one file, mm. */
const GAP_MM = 8;

/** Writes a part, or several of one name, as a cutter's file, and says what was written. */
export const draw = command({
  name: "draw",
  says: "writes parts as a cutter's file",
  args: ["FILE"],
  options: {
    part: { value: "NAME", says: "a part, all whose names begin so, a film, sheath, or all", needed: true },
    out: { value: DRAWING_FORMAT_IDS.map((id) => `FILE.${id}`).join("|"), says: "where to", needed: true },
    format: { value: DRAWING_FORMAT_IDS.join("|"), says: "where the file's name does not say it" },
    kerf: { value: "MM", says: "width of the cut; 0 where it is not given" },
    allowance: { value: "MM", says: "left standing outside outlines; 0 where it is not given" },
    "least-hole": { value: "MM", says: "smaller holes are only marked" },
  },
  run: async (input) => {
    const [path] = input.args;
    const [name, out] = [input.needed("part"), input.needed("out")];
    const given = input.text("format");
    const format = given === undefined ? drawingFormatOf(out) : DRAWING_FORMAT_IDS.find((id) => id === given);
    if (!format) throw new Refusal(`--format is ${DRAWING_FORMAT_IDS.join(" or ")}, not "${given ?? ""}"`);
    const settings: CutSettings = {
      kerfMm: lengthIn(input.text("kerf"), "--kerf", 10),
      allowanceMm: lengthIn(input.text("allowance"), "--allowance", 20),
      leastHoleMm: lengthIn(input.text("least-hole"), "--least-hole", 60),
    };
    const { design } = await weighedFixed(path);
    const films = /^sheath(-|$)/.test(name)
      ? sheathCuttables(design, settings, USUAL_SHEATH)
      : stencilCuttables(design, settings);
    const pieces = [
      ...piecesNamed(design, name).map((p) => ({
        name: p.name,
        count: p.count,
        thicknessMm: p.part.thicknessMm,
        holes: p.part.holes,
        layer: pieceLayer(p, settings),
      })),
      ...films
        .filter((f) => f.name === name || f.name.startsWith(`${name}-`))
        .map((f) => ({ ...f, holes: [] })),
    ];
    if (pieces.length === 0) {
      const names = [
        ...[...drawnPieces(design), ...stencilCuttables(design, settings)].map((p) => p.name),
        "sheath",
      ];
      throw new Refusal(`no part "${name}"; this knife has: ${names.join(", ")}`);
    }
    const own = pieces.map((p) => p.layer);
    const layers = own.length > 1 ? stacked(own, GAP_MM) : own;
    await writeTo(out, (await DRAWING_FORMATS[format].write())({ layers }));
    return {
      out,
      format,
      pieces: pieces.map((p) => ({
        name: p.name,
        count: p.count,
        thicknessMm: p.thicknessMm,
        holes: p.holes,
      })),
    };
  },
});

/** A length of zero or more; zero where it is not given. */
function lengthIn(text: string | undefined, option: string, most: number): number {
  const value = numberIn(text ?? "0", option);
  if (value < 0 || value > most) throw new Refusal(`${option} is 0 to ${most} mm, not ${value}`);
  return value;
}
