import { type CutSettings, drawnPieces, pieceLayer, piecesNamed } from "@/core/cutting/pieceLayers";
import { stacked } from "@/core/cutting/place";
import { stencilCuttables } from "@/core/cutting/stencils";
import { writeDxf } from "@/core/files/dxf/write";
import { writeSvg } from "@/core/files/svg/write";
import { numberIn, optionsOf, Refusal, USAGE, weighed, writeTo } from "./input";

const FORMATS = { dxf: writeDxf, svg: writeSvg };

/** Distance between several pieces in one file, mm. */
const GAP_MM = 8;

/** Writes a part, or several of one name, as a cutter's file, and says what was written. */
export async function drawFile(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, [
    "--part",
    "--format",
    "--out",
    "--kerf",
    "--allowance",
    "--least-hole",
  ]);
  const [name, out] = [options.get("--part"), options.get("--out")];
  if (!path || !name || !out) throw new Refusal(USAGE);
  const format = options.get("--format") ?? /\.(dxf|svg)$/i.exec(out)?.[1].toLowerCase();
  if (format !== "dxf" && format !== "svg")
    throw new Refusal(`--format is dxf or svg, not "${format ?? ""}"`);
  const settings: CutSettings = {
    kerfMm: lengthIn(options, "--kerf", 10),
    allowanceMm: lengthIn(options, "--allowance", 20),
    leastHoleMm: lengthIn(options, "--least-hole", 60),
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
    pieces: pieces.map((p) => ({ name: p.name, count: p.count, thicknessMm: p.thicknessMm, holes: p.holes })),
  };
}

/** A length of zero or more; zero where it is not given. */
function lengthIn(options: ReadonlyMap<string, string>, option: string, most: number): number {
  const value = numberIn(options.get(option) ?? "0", option);
  if (value < 0 || value > most) throw new Refusal(`${option} is 0 to ${most} mm, not ${value}`);
  return value;
}
