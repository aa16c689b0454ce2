import { writeFileSync } from "node:fs";
import Module from "manifold-3d";
import { damagedFiles } from "./files";

/** `node faults.mjs COUNT SEED OUT`: damaged files by the thousand; their tally as JSON. */
const [count, seed, out] = [Number(process.argv[2]), Number(process.argv[3]), process.argv[4]];
const kernel = await Module();
kernel.setup();
writeFileSync(out, JSON.stringify(await damagedFiles(kernel, count, seed)));
