import { runShell } from "./shell";

/** A run in this process: what it prints, and its code. */
export async function euaxis(...args: string[]) {
  const { code, out, error } = await runShell(args);
  return { code, out, errors: error ? error.split("\n") : [] };
}
/** The same of a run that answers with JSON. */
export const json = async (...args: string[]) => JSON.parse((await euaxis(...args)).out);
