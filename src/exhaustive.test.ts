import { readFileSync } from "node:fs";
import ts from "typescript";
import { beforeAll, describe, expect, it } from "vitest";

/** A kind that is added where kinds are listed, and nowhere else: the file, what it has there, and what it has then. */
const ADDED: readonly (readonly [file: string, there: string, then: string])[] = [
  [
    "src/core/knife/design/record/handle.ts",
    'export const handle = z.discriminatedUnion("kind", [scalesHandle,',
    `const tubeHandle = z.strictObject({ kind: z.literal("tube"), ...handleShape });
     export const handle = z.discriminatedUnion("kind", [tubeHandle, scalesHandle,`,
  ],
  [
    "src/core/knife/design/record/tang.ts",
    'export const tang = z.discriminatedUnion("kind", [fullTang,',
    `const spikeTang = z.strictObject({ kind: z.literal("spike"), ...bar });
     export const tang = z.discriminatedUnion("kind", [spikeTang, fullTang,`,
  ],
  [
    "src/core/knife/design/record/bladeShape.ts",
    'z.strictObject({ kind: z.literal("none") }),',
    'z.strictObject({ kind: z.literal("none") }), z.strictObject({ kind: z.literal("scalloped") }),',
  ],
  [
    "src/core/kinds/guardFittings/registry.ts",
    "const KINDS = [notch,",
    'const KINDS = [{ ...notch, kind: "loop" as const }, notch,',
  ],
  [
    "src/core/kinds/fasteners/registry.ts",
    "const KINDS = [\n  pin,",
    'const KINDS = [\n  { ...pin, kind: "staple" } as unknown as FastenerKindOf<"staple", typeof pin.fields>,\n  pin,',
  ],
  [
    "src/core/figures/review/types.ts",
    "export const TRADE_RULES = [",
    'export const TRADE_RULES = [\n  "too-loud",',
  ],
  ["src/words/sheets.ts", "export const SHEET_KINDS = [", 'export const SHEET_KINDS = [\n  "poster",'],
];

/** Which files must not compile before they know of what was added, and what they must name. */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  tube: ["src/core/knife/constructions/handles/registry.ts", "src/ui/board/steps/HandleStep.tsx"],
  spike: [
    "src/core/knife/constructions/tangs/registry.ts",
    "src/ui/board/steps/TangStep.tsx",
    "src/words/constructions.ts",
  ],
  scalloped: [
    "src/core/knife/layout/groundBlade.ts",
    "src/core/knife/design/bladeStarts.ts",
    "src/words/bladeWords.ts",
  ],
  loop: ["src/words/fittings.ts"],
  staple: ["src/words/fasteners.ts"],
  "too-loud": ["src/words/rules.ts"],
  poster: ["src/sheets/pages.ts", "src/words/sheets.ts"],
};

/** The compiler is over it by then, whatever else the machine does. */
const HANGS_MS = 240_000;

describe("a kind that is left out somewhere", () => {
  let errors: ReadonlyMap<string, string>;

  beforeAll(() => {
    const { config } = ts.readConfigFile("tsconfig.json", ts.sys.readFile);
    const { options } = ts.parseJsonConfigFileContent(config, ts.sys, process.cwd());
    const host = ts.createCompilerHost({ ...options, incremental: false });
    const changed = new Map(
      ADDED.map(([file, there, then]) => {
        const text = readFileSync(file, "utf8");
        if (!text.includes(there)) throw new Error(`${file} has changed: its list is somewhere else`);
        return [file, text.replace(there, then)];
      }),
    );
    const plain = host.readFile.bind(host);
    const nameOf = (path: string) => path.replace(`${process.cwd()}/`, "");
    host.readFile = (path) => changed.get(nameOf(path)) ?? plain(path);
    host.getSourceFile = (path, target) => {
      const text = host.readFile(path);
      return text === undefined ? undefined : ts.createSourceFile(path, text, target);
    };
    const files = [...new Set(Object.values(ASKED).flat())];
    const program = ts.createProgram(files, { ...options, incremental: false }, host);
    errors = new Map(
      files.map((file) => {
        const source = program.getSourceFile(`${process.cwd()}/${file}`) ?? program.getSourceFile(file);
        const found = program.getSemanticDiagnostics(source);
        return [file, found.map((d) => ts.flattenDiagnosticMessageText(d.messageText, "\n")).join("\n")];
      }),
    );
  }, HANGS_MS);

  it.each(Object.entries(ASKED))("%s: does not compile", (kind, files) => {
    const silent = files.filter(
      (file) => !errors.get(file)?.includes(kind) && !errors.get(file)?.includes("lacks ending return"),
    );
    expect(silent).toEqual([]);
  });
});
