import { plainName } from "@/core/base/plainName";
import { TooMuchWork } from "@/core/base/work";
import { helpOf, inputOf } from "./command";
import { COMMANDS } from "./commands";
import { Refusal } from "./refusal";

/** What a run of the shell ends with: text for standard output, or one line for standard error and code 2. */
export interface Ended {
  readonly code: 0 | 2;
  readonly out: string;
  readonly error: string;
}

const LONGEST_LINE = 2000;

/** Runs one command. Whatever comes in, a failure is one line: where it is our fault, that line says so. */
export async function runShell(words: readonly string[]): Promise<Ended> {
  try {
    return { code: 0, out: await answered(words), error: "" };
  } catch (error) {
    const line = error instanceof Refusal ? error.message : reasonOf(error);
    return { code: 2, out: "", error: plainName(line, LONGEST_LINE).name };
  }
}

async function answered([name, ...rest]: readonly string[]): Promise<string> {
  const wantsHelp = name === "help" || name === "--help" || name === "-h";
  if (wantsHelp) return rest[0] === undefined ? listed() : helpOf(commandNamed(rest[0]));
  if (name === undefined) throw new Refusal("no command is given; usage: euaxis COMMAND …, or euaxis help");
  const of = commandNamed(name);
  if (rest.includes("--help")) return helpOf(of);
  return JSON.stringify(await of.run(inputOf(of, rest)), null, 2);
}

function commandNamed(name: string) {
  const found = COMMANDS.find((c) => c.name === name);
  if (found) return found;
  throw new Refusal(`no command "${name}"; there are: ${COMMANDS.map((c) => c.name).join(", ")}, help`);
}

function listed(): string {
  const wide = Math.max(...COMMANDS.map((c) => c.name.length));
  return [
    "Answers in JSON; what cannot be done ends with code 2 and one line.",
    "",
    ...COMMANDS.map((c) => `  ${c.name.padEnd(wide)}  ${c.says}`),
    "",
    "euaxis help NAME: usage and options of one.",
  ].join("\n");
}

function reasonOf(error: unknown): string {
  if (error instanceof TooMuchWork) return "it asks for too much work: leave out what is not needed";
  return `Euaxis failed at this: ${error instanceof Error ? error.message : String(error)}`;
}
