import { readFile, stat, writeFile } from "node:fs/promises";
import { runInNewContext } from "node:vm";
import { parseLength } from "@/core/base/units/length";
import { LARGEST_KNIFE_BYTES } from "@/core/exchange/files/knife/format";
import { readKnife } from "@/core/exchange/files/knife/read";
import { fixedOnly } from "@/core/exchange/files/knife/readFixed";
import { materialsIn } from "@/core/knife/design/materials";
import type { ProductDesign } from "@/core/knife/design/product";
import { modelOf } from "@/core/products/modelOf";
import { fileFailureWords } from "@/words/fileFailures";
import { findingWords } from "@/words/findings";
import { Refusal } from "./refusal";

/** What a file asks for is done within this, or given up, ms. */
const WITHIN_MS = 60_000;

/** Does work on what came from a file; refuses what takes longer than it may. */
export function withinTime<T>(work: () => T): T {
  let done: { readonly value: T } | null = null;
  const context = { run: () => (done = { value: work() }) };
  try {
    runInNewContext("run()", context, { timeout: WITHIN_MS });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "ERR_SCRIPT_EXECUTION_TIMEOUT") throw error;
    throw new Refusal(`it takes longer than ${WITHIN_MS / 1000} s, and was given up`);
  }
  return done!.value;
}

export function numberIn(text: string, option: string): number {
  const value = text.trim() === "" ? Number.NaN : Number(text);
  if (!Number.isFinite(value)) throw new Refusal(`${option} is a number, not "${text}"`);
  return value;
}

/** "-20..0" */
export function windowIn(text: string, option: string): { low: number; high: number } {
  const [low, high, ...more] = text.split("..").map(Number);
  if (more.length > 0 || !(low <= high))
    throw new Refusal(`${option} is LO..HI, such as -20..0, not "${text}"`);
  return { low, high };
}

export async function knifeIn(path: string) {
  const bytes = await bytesOf(path);
  const reading = withinTime(() => readKnife(bytes));
  if (!reading.ok) throw new Refusal(fileFailureWords(reading));
  return reading;
}

/** The design of a file, whether or not it can be built. */
export const designIn = async (path: string) => (await knifeIn(path)).design;

/** The same for what only knives with fixed blades have. */
export async function fixedIn(path: string) {
  const reading = fixedOnly(await knifeIn(path));
  if (!reading.ok) throw new Refusal(fileFailureWords(reading));
  return reading;
}

/** The weighing of a design; one that cannot be built is refused with all that keeps it from being. */
function reportOf(design: ProductDesign) {
  const weighing = withinTime(() => modelOf(design).weigh(design));
  if (weighing.ok) return weighing.report;
  throw new Refusal(
    weighing.findings
      .filter((f) => f.severity === "error")
      .map((f) => findingWords(f, "metric", materialsIn(design)))
      .join(" "),
  );
}

export async function weighed(path: string) {
  const { design, variants } = await knifeIn(path);
  return { design, variants, report: reportOf(design) };
}

/** The same of a knife with a fixed blade. */
export async function weighedFixed(path: string) {
  const { design, variants } = await fixedIn(path);
  return { design, variants, report: reportOf(design) };
}

export const bytesOf = (path: string) => bytesWithin(path, LARGEST_KNIFE_BYTES);

/** The bytes of a file; of one that is larger, as many as are refused for it. */
export async function bytesWithin(path: string, most: number): Promise<Uint8Array> {
  try {
    const { size } = await stat(path);
    return size > most ? new Uint8Array(most + 1) : await readFile(path);
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    throw new Refusal(code === "ENOENT" ? `no such file: ${path}` : `cannot read ${path} (${code})`);
  }
}

/** Writes a file, or says why it cannot be written. */
export async function writeTo(path: string, bytes: string | Uint8Array): Promise<void> {
  try {
    await writeFile(path, bytes);
  } catch (error) {
    throw new Refusal(`cannot write ${path} (${(error as NodeJS.ErrnoException).code})`);
  }
}

/** A length of an option, such as 4mm or 0.16in; null where it is not given. */
export function lengthIn(typed: string | undefined, option: string, most: number): number | null {
  if (typed === undefined) return null;
  const reading = parseLength(typed, "mm");
  const mm = reading.ok ? reading.mm : Number.NaN;
  if (!(mm >= 0 && mm <= most))
    throw new Refusal(`${option} is a length from 0 to ${most} mm, such as 4mm or 5/32in, not "${typed}"`);
  return mm;
}
