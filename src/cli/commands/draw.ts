import { type CutSettings, drawnPieces, pieceLayer, piecesNamed } from "@/core/cutting/pieceLayers";
import { stacked } from "@/core/cutting/place";
import { stencilCuttables } from "@/core/cutting/stencils";
import { writeDxf } from "@/core/files/dxf/write";
import { writeSvg } from "@/core/files/svg/write";
import { command } from "../command";
import { numberIn, weighed, writeTo } from "../input";
import { Refusal } from "../refusal";

const FORMATS = { dxf: writeDxf, svg: writeSvg };

/** Distance between several pieces in one file, mm. */
const GAP_MM = 8;

/** Writes a part, or several of one name, as a cutter's file, and says what was written. */
export const draw = command({
  name: "draw",
  says: "writes parts as a cutter's file",
  args: ["FILE"],
  options: {
    part: { value: "NAME", says: "a part, all whose names begin so, a film, or all", needed: true },
    out: { value: "FILE.dxf|FILE.svg", says: "where to", needed: true },
    format: { value: Object.keys(FORMATS).join("|"), says: "where the file's name does not say it" },
    kerf: { value: "MM", says: "width of the cut; 0 where it is not given" },
    allowance: { value: "MM", says: "left standing outside outlines; 0 where it is not given" },
    "least-hole": { value: "MM", says: "smaller holes are only marked" },
  },
  run: async (input) => {
    const [path] = input.args;
    const [name, out] = [input.needed("part"), input.needed("out")];
    const format = input.text("format") ?? /\.(dxf|svg)$/i.exec(out)?.[1].toLowerCase();
    if (format !== "dxf" && format !== "svg")
      throw new Refusal(`--format is dxf or svg, not "${format ?? ""}"`);
    const settings: CutSettings = {
      kerfMm: lengthIn(input.text("kerf"), "--kerf", 10),
      allowanceMm: lengthIn(input.text("allowance"), "--allowance", 20),
      leastHoleMm: lengthIn(input.text("least-hole"), "--least-hole", 60),
    };
    const { design } = await weighed(path);
    const films = stencilCuttables(design, settings);
    const pieces = [
      ...piecesNamed(design, name).map((p) => ({
        name: p.name,
        count: p.count,
        thicknessMm: p.part.thicknessMm,
        holes: p.part.holes,
        layer: pieceLayer(p, settings),
      })),
      ...films.filter((f) => f.name === name).map((f) => ({ ...f, holes: [] })),
    ];
    if (pieces.length === 0) {
      const names = [...drawnPieces(design), ...films].map((p) => p.name);
      throw new Refusal(`no part "${name}"; this knife has: ${names.join(", ")}`);
    }
    const own = pieces.map((p) => p.layer);
    const layers = own.length > 1 ? stacked(own, GAP_MM) : own;
    await writeTo(out, FORMATS[format]({ layers }));
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
