import { runShell } from "./shell";

const { code, out, error } = await runShell(process.argv.slice(2));
if (out) process.stdout.write(`${out}\n`);
if (error) process.stderr.write(`${error}\n`);
process.exitCode = code;
