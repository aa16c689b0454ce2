import { billOf } from "@/core/cost/bill";
import { plainShop } from "@/core/cost/shop";
import { materialsIn } from "@/core/design/materials";
import { DRILL_SETS, type DrillSet, PIN_FITS, type PinFit } from "@/core/design/schema";
import { STARTING_FORMS, startingForm } from "@/core/design/startingForms";
import { readKnife } from "@/core/files/knife/read";
import { writeKnife } from "@/core/files/knife/write";
import { readPrices } from "@/core/files/prices/prices";
import { drillsIn } from "@/core/fit/drillSets";
import { pickDrill } from "@/core/fit/pickDrill";
import { fitSheet } from "@/core/fit/sheet";
import { own } from "@/core/own";
import { plainName } from "@/core/plainName";
import { reviewDesign } from "@/core/review/reviewDesign";
import { tuneReviewed } from "@/core/review/tuneReviewed";
import type { Finding } from "@/core/review/types";
import { MATERIALS } from "@/core/stock/materials";
import { searchMaterials } from "@/core/stock/search";
import { leverEffects } from "@/core/tune/effects";
import { sampleBuilds } from "@/core/tune/sample";
import { parseLength } from "@/core/units/length";
import { densityOf, parseBox, parseWeight } from "@/core/units/weighedPiece";
import { dynamics, effectiveMass } from "@/core/weigh/dynamics";
import { faultsOf } from "@/core/weigh/faults";
import { TooMuchWork } from "@/core/work";
import { fileFailureWords } from "@/words/fileFailures";
import { findingWords } from "@/words/findings";
import { lengthFailureWords } from "@/words/lengthFailures";
import { pricesFailureWords } from "@/words/pricesFailures";
import { FORM_WORDS } from "@/words/startingForms";
import { weighingJson } from "@/words/weighingJson";
import { drawFile } from "./drawings";
import { bytesOf, numberIn, optionsOf, Refusal, USAGE, weighed, windowIn, writeTo } from "./input";
import { sheetFile } from "./sheet";
import { traceFile } from "./trace";

async function main(args: readonly string[]): Promise<unknown> {
  const [command, ...rest] = args;
  const searched = rest.length === 2 && rest[0] === "--search";
  if (command === "materials" && (rest.length === 0 || searched)) {
    const found = searched ? searchMaterials(rest[1]) : MATERIALS;
    return found.map(({ id, name, class: cls, densityGcc, source, hazards }) => ({
      id,
      name,
      class: cls,
      densityGcc,
      source,
      hazards,
    }));
  }
  if (command === "weigh" && rest.length === 1) return weighFile(rest[0]);
  if (command === "mesh") return meshFile(rest);
  if (command === "review" && rest.length === 1) return reviewFile(rest[0]);
  if (command === "fit" && rest.length === 1) return fitSheet((await weighed(rest[0])).design);
  if (command === "drill") return drillFor(rest);
  if (command === "dynamics") return dynamicsOf(rest);
  if (command === "levers" && rest.length === 1) {
    const { design, report } = await weighed(rest[0]);
    return { massG: report.massG, balanceMm: report.balanceMm, levers: leverEffects(design) };
  }
  if (command === "tune") return tuneFile(rest);
  if (command === "sample") return sampleFile(rest);
  if (command === "cost") return costOf(rest);
  if (command === "density") return densityFrom(rest);
  if (command === "new") return newKnife(rest);
  if (command === "draw") return drawFile(rest);
  if (command === "sheet") return sheetFile(rest);
  if (command === "trace") return traceFile(rest);
  throw new Refusal(USAGE);
}

/** The names of the starting forms, or a file with a new knife of one. */
async function newKnife(args: readonly string[]): Promise<unknown> {
  if (args.length === 1 && args[0] === "--list") return STARTING_FORMS;
  const { path: form, options } = optionsOf(args, ["--out"]);
  const out = options.get("--out");
  if (!form || !out) throw new Refusal(USAGE);
  const known = STARTING_FORMS.find((f) => f === form);
  if (!known) throw new Refusal(`no form "${form}"; there are: ${STARTING_FORMS.join(", ")}`);
  const text = writeKnife(startingForm(known, FORM_WORDS[known].name));
  await writeTo(out, text);
  return { form, out };
}

/** Density of a piece from its weight and its sides, with how far it may be off. */
function densityFrom(args: readonly string[]): unknown {
  const { path, options } = optionsOf(args, ["--mass", "--size"]);
  const [mass, size] = [options.get("--mass"), options.get("--size")];
  if (path !== null || !mass || !size) throw new Refusal(USAGE);
  const massG = parseWeight(mass);
  if (!massG) throw new Refusal(`--mass is a weight in g, kg, oz or lb, such as 41.2g, not "${mass}"`);
  const sides = parseBox(size);
  if (!sides) throw new Refusal(`--size is length x height x thickness, such as 120x40x10mm, not "${size}"`);
  const found = densityOf(massG, sides);
  if (!found) throw new Refusal("weight and sides must be above zero");
  return found;
}

async function weighFile(path: string): Promise<unknown> {
  return weighingJson((await weighed(path)).report);
}

/** Writes the mesh of the whole knife or of one part, and says what was written. */
async function meshFile(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, ["--part", "--out"]);
  const out = options.get("--out");
  const format = /\.(stl|3mf)$/i.exec(out ?? "")?.[1].toLowerCase();
  if (!path || !out) throw new Refusal(USAGE);
  if (!format) throw new Refusal(`--out must end in .stl or .3mf, not "${out}"`);
  const part = options.get("--part") ?? null;
  const { design, report } = await weighed(path);
  // Loaded when asked for: the kernel is several times as large as the rest.
  const [{ default: load }, { exportMesh }] = await Promise.all([
    import("manifold-3d"),
    import("@/core/files/mesh/exportMesh"),
  ]);
  const kernel = await load();
  kernel.setup();
  const bytes = exportMesh(kernel, design, part, format as "stl" | "3mf");
  if (!bytes) {
    const ids = report.parts.map((p) => p.id).join(", ");
    throw new Refusal(`no part "${part}" with a volume; this knife has: ${ids}`);
  }
  await writeTo(out, bytes);
  return { out, part, format, bytes: bytes.byteLength };
}

/** All findings of a knife, impossible things first. A design that cannot be built has only those. */
async function reviewFile(path: string): Promise<unknown> {
  const reading = readKnife(await bytesOf(path));
  if (!reading.ok) throw new Refusal(fileFailureWords(reading));
  const { design } = reading;
  const checked = faultsOf(design);
  const sound = checked.every((f) => f.severity !== "error");
  const all: Finding[] = sound ? [...checked, ...reviewDesign(design).findings] : checked;
  return all.map((f) => ({
    ...f,
    fixes: f.fixes ?? [],
    says: findingWords(f, "metric", materialsIn(design)),
  }));
}

const DRILLS_OF: Readonly<Record<string, readonly DrillSet[]>> = {
  inch: ["fraction", "number", "letter"],
  metric: ["metric"],
  all: DRILL_SETS,
};

/** The drill for a round part. Inch sizes are drilled from inch sets, others from metric ones, unless it is said. */
function drillFor(args: readonly string[]): unknown {
  const { path: size, options } = optionsOf(args, ["--fit", "--set"]);
  if (size === null) throw new Refusal(USAGE);
  const reading = parseLength(size, "mm");
  if (!reading.ok) throw new Refusal(lengthFailureWords(reading));
  const fit = options.get("--fit") ?? "slide";
  if (!(PIN_FITS as readonly string[]).includes(fit))
    throw new Refusal(`--fit is ${PIN_FITS.join(", ")}, not "${fit}"`);
  const set = options.get("--set") ?? (reading.form === "mm" ? "metric" : "inch");
  const sets = own(DRILLS_OF, set);
  if (!sets) throw new Refusal(`--set is ${Object.keys(DRILLS_OF).join(", ")}, not "${set}"`);
  const choice = pickDrill(reading.mm, fit as PinFit, drillsIn(sets));
  if (!choice) throw new Refusal(`no drill of that set fits ${size}`);
  const { name, mm, inch } = choice.drill;
  return { name, mm, inch, clearanceMm: choice.clearanceMm };
}

/** How a knife moves about its grip point, and what it feels like to be struck along the blade. */
async function dynamicsOf(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, ["--grip"]);
  if (!path) throw new Refusal(USAGE);
  const { design, report } = await weighed(path);
  const gripMm = numberIn(options.get("--grip") ?? String(design.use.gripMm), "--grip");
  const stations = [0, 0.25, 0.5, 0.75, 1].map((share) => share * design.blade.lengthMm);
  const effectiveMassG = stations.map((xMm) => ({ xMm, massG: effectiveMass(report, xMm) }));
  return { massG: report.massG, balanceMm: report.balanceMm, ...dynamics(report, gripMm), effectiveMassG };
}

async function tuneFile(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, ["--balance", "--mass"]);
  const balance = options.get("--balance");
  if (!path || !balance) throw new Refusal(USAGE);
  const mass = options.get("--mass");
  const { design, report } = await weighed(path);
  const answers = tuneReviewed(design, {
    balanceMm: windowIn(balance, "--balance"),
    massG: mass ? windowIn(mass, "--mass") : null,
  });
  return { massG: report.massG, balanceMm: report.balanceMm, answers };
}

async function sampleFile(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, ["-n", "--seed"]);
  if (!path) throw new Refusal(USAGE);
  const count = numberIn(options.get("-n") ?? "1000", "-n");
  const seed = numberIn(options.get("--seed") ?? "1", "--seed");
  if (!Number.isInteger(count) || count < 1 || count > 1_000_000)
    throw new Refusal("-n is a whole number from 1 to 1000000");
  const { design } = await weighed(path);
  const sampled = sampleBuilds(design, count, seed);
  if (!sampled) throw new Refusal("this knife cannot be built, so it cannot be sampled");
  const { masses, balances, ...rest } = sampled;
  return { seed, ...rest };
}

/** The bill of the knife, and of each variant that its file carries. Without prices it tells what is taken. */
async function costOf(args: readonly string[]): Promise<unknown> {
  const { path, options } = optionsOf(args, ["--prices"]);
  if (!path) throw new Refusal(USAGE);
  const from = options.get("--prices");
  let shop = plainShop();
  if (from) {
    const reading = readPrices(await bytesOf(from));
    if (!reading.ok) throw new Refusal(`${from}: ${pricesFailureWords(reading)}`);
    shop = reading.shop;
  }
  const { design, variants } = await weighed(path);
  const { currency } = shop;
  return {
    currency,
    ...billOf(design, shop),
    variants: variants.map((v) => ({ name: v.name, bill: billOf(v.design, shop) })),
  };
}

try {
  process.stdout.write(`${JSON.stringify(await main(process.argv.slice(2)), null, 2)}\n`);
} catch (error) {
  // Whatever came in ends in one line: where it is our fault, that line says so.
  const line = error instanceof Refusal ? error.message : reasonOf(error);
  process.stderr.write(`${plainName(line, 2000).name}\n`);
  process.exitCode = 2;
}

function reasonOf(error: unknown): string {
  if (error instanceof TooMuchWork) return "it asks for too much work: leave out what is not needed";
  return `Euaxis failed at this: ${error instanceof Error ? error.message : String(error)}`;
}
