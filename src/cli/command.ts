import { type ParseArgsConfig, parseArgs } from "node:util";
import { own } from "@/core/base/own";
import { Refusal } from "./refusal";

/** One option of a command. */
export interface Option {
  /** What stands for its value in the usage, such as "FILE" or "dxf|svg"; null of a switch, which has none. */
  readonly value: string | null;
  readonly says: string;
  readonly short?: string;
  /** The command does nothing without it. */
  readonly needed?: boolean;
  /** A switch without which it is needed. */
  readonly unless?: string;
}

/** What a command was given: its arguments in their order, and the values of its options. */
export interface Input<Name extends string = string> {
  readonly args: readonly string[];
  readonly text: (option: Name) => string | undefined;
  readonly has: (option: Name) => boolean;
  /** The value of an option that the command needs; its absence is refused before the command runs. */
  readonly needed: (option: Name) => string;
}

/** What the shell can do: adding one is a module and a line in `commands.ts`. */
export interface Command {
  readonly name: string;
  /** In one line, for the list of commands. */
  readonly says: string;
  /** What stands for its arguments in the usage; one in brackets may be left out, of one that ends in "…" there may be more. */
  readonly args: readonly string[];
  readonly options: Readonly<Record<string, Option>>;
  /** The answer, printed as JSON. */
  readonly run: (input: Input) => unknown;
}

/** A command whose own options are the only ones that it can ask for. */
export const command = <const Options extends Readonly<Record<string, Option>>>(
  spec: Omit<Command, "options" | "run"> & {
    readonly options: Options;
    readonly run: (input: Input<keyof Options & string>) => unknown;
  },
): Command => spec as unknown as Command;

/** "euaxis draw FILE --part NAME --out PATH [--format dxf|svg]" */
export function usageOf({ name, args, options }: Command): string {
  const words = Object.entries(options).map(([option, { value, needed, short }]) => {
    const flag = `${short ? `-${short}|` : ""}--${option}${value === null ? "" : ` ${value}`}`;
    return needed ? flag : `[${flag}]`;
  });
  return ["euaxis", name, ...args, ...words].join(" ");
}

/** What `help NAME` prints. */
export function helpOf(of: Command): string {
  const lines = Object.entries(of.options).map(
    ([option, { value, says, short }]) =>
      [`  ${short ? `-${short}, ` : ""}--${option}${value === null ? "" : ` ${value}`}`, says] as const,
  );
  const wide = Math.max(0, ...lines.map(([flag]) => flag.length));
  return [of.says, "", `usage: ${usageOf(of)}`, ...(lines.length > 0 ? [""] : [])]
    .concat(lines.map(([flag, says]) => `${flag.padEnd(wide)}  ${says}`))
    .join("\n");
}

/** Arguments as a command takes them; what it does not take is refused with its usage. */
export function inputOf(of: Command, words: readonly string[]): Input {
  const refused = (reason: string) => new Refusal(`${reason}; usage: ${usageOf(of)}`);
  const options: NonNullable<ParseArgsConfig["options"]> = {};
  for (const [name, { value, short }] of Object.entries(of.options))
    options[name] = { type: value === null ? "boolean" : "string", ...(short ? { short } : {}) };
  const parsed = (() => {
    try {
      return parseArgs({ args: joined(of, words), options, allowPositionals: true, strict: true });
    } catch (error) {
      // The parser's reason ends where it begins to explain itself.
      const [reason] = error instanceof Error ? error.message.split(/[.\n]/) : [String(error)];
      throw refused(reason);
    }
  })();
  const { positionals, values } = parsed;
  const least = of.args.filter((a) => !a.startsWith("[")).length;
  if (positionals.length < least) throw refused(`${of.args[positionals.length]} is missing`);
  const more = of.args.some((a) => a.endsWith("…"));
  if (!more && positionals.length > of.args.length)
    throw refused(`"${positionals[of.args.length]}" is one too many`);
  for (const [name, { needed, unless }] of Object.entries(of.options))
    if (needed && !own(values, name) && !(unless && own(values, unless)))
      throw refused(`--${name} is missing`);
  const text = (name: string) => {
    const value = own(values, name);
    return typeof value === "string" ? value : undefined;
  };
  return {
    args: positionals,
    text,
    has: (name) => own(values, name) !== undefined,
    needed: (name) => text(name) ?? "",
  };
}

/** A value that begins with a minus and a digit is a number, not an option: "--grip -40" is "--grip=-40". */
function joined(of: Command, words: readonly string[]): string[] {
  const made: string[] = [];
  for (const word of words) {
    const last = made[made.length - 1] ?? "";
    const takesValue = last.startsWith("--") && (own(of.options, last.slice(2))?.value ?? null) !== null;
    if (takesValue && /^-[\d.]/.test(word)) made[made.length - 1] = `${last}=${word}`;
    else made.push(word);
  }
  return made;
}
