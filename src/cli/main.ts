import { readFile, stat } from "node:fs/promises";
import { LARGEST_KNIFE_BYTES } from "@/core/files/knife/format";
import { readKnife } from "@/core/files/knife/read";
import { MATERIALS } from "@/core/stock/materials";
import { weigh } from "@/core/weigh/weigh";
import { fileFailureWords } from "@/words/fileFailures";
import { findingWords } from "@/words/findings";
import { weighingJson } from "@/words/weighingJson";

const USAGE = "usage: euaxis weigh FILE | euaxis materials";

/** A reason to stop, for standard error. */
class Refusal extends Error {}

async function main(args: readonly string[]): Promise<unknown> {
  const [command, ...rest] = args;
  if (command === "materials" && rest.length === 0) {
    return MATERIALS.map(({ id, name, class: cls, densityGcc, source, hazards }) => ({
      id,
      name,
      class: cls,
      densityGcc,
      source,
      hazards,
    }));
  }
  if (command === "weigh" && rest.length === 1) return weighFile(rest[0]);
  throw new Refusal(USAGE);
}

async function weighFile(path: string): Promise<unknown> {
  const reading = readKnife(await bytesOf(path));
  if (!reading.ok) throw new Refusal(fileFailureWords(reading));
  const weighing = weigh(reading.design);
  if (!weighing.ok) {
    throw new Refusal(
      weighing.findings
        .filter((f) => f.severity === "error")
        .map((f) => findingWords(f, "metric"))
        .join(" "),
    );
  }
  return weighingJson(weighing.report);
}

async function bytesOf(path: string): Promise<Uint8Array> {
  try {
    const { size } = await stat(path);
    // One byte over the limit is enough to be refused for its size.
    if (size > LARGEST_KNIFE_BYTES) return new Uint8Array(LARGEST_KNIFE_BYTES + 1);
    return await readFile(path);
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    throw new Refusal(code === "ENOENT" ? `no such file: ${path}` : `cannot read ${path} (${code})`);
  }
}

try {
  process.stdout.write(`${JSON.stringify(await main(process.argv.slice(2)), null, 2)}\n`);
} catch (error) {
  if (!(error instanceof Refusal)) throw error;
  process.stderr.write(`${error.message.replace(/\s+/g, " ")}\n`);
  process.exitCode = 2;
}
