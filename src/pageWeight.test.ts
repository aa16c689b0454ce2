import { existsSync, readFileSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import ts from "typescript";
import { describe, expect, it } from "vitest";

/** What a module needs at once to run: no types, and nothing that is fetched when it is asked for. */
function neededBy(file: string): readonly string[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest);
  return source.statements.flatMap((s) => {
    if (ts.isImportDeclaration(s)) return importsValues(s.importClause) ? [textOf(s.moduleSpecifier)] : [];
    return ts.isExportDeclaration(s) && !s.isTypeOnly && s.moduleSpecifier ? [textOf(s.moduleSpecifier)] : [];
  });
}

const textOf = (at: ts.Expression) => (at as ts.StringLiteral).text;

function importsValues(clause: ts.ImportClause | undefined): boolean {
  if (!clause) return true;
  if (clause.isTypeOnly) return false;
  const { namedBindings } = clause;
  if (clause.name || !namedBindings || ts.isNamespaceImport(namedBindings)) return true;
  return namedBindings.elements.some((e) => !e.isTypeOnly);
}

function fileOf(from: string, wanted: string): string | undefined {
  const base = wanted.startsWith("@/") ? join("src", wanted.slice(2)) : resolve(dirname(from), wanted);
  if (!wanted.startsWith("@/") && !wanted.startsWith(".")) return undefined;
  return [".ts", ".tsx"].map((end) => base + end).find(existsSync);
}

/** Every module of ours that a page fetches at once, and what each was first needed by. */
function reachedFrom(page: string): ReadonlyMap<string, string> {
  const found = new Map([[resolve(page), page]]);
  for (const file of found.keys())
    for (const wanted of neededBy(file)) {
      const next = fileOf(file, wanted);
      if (next && !found.has(resolve(next))) found.set(resolve(next), file);
    }
  return found;
}

/** What takes long enough to hold up a page. */
const WORKED_OUT = [
  "src/core/figures/weigh/weigh.ts",
  "src/core/figures/fit/fitFigures.ts",
  "src/core/figures/review/reviewDesign.ts",
  "src/core/figures/tune/effects.ts",
  "src/core/figures/cost/bill.ts",
  "src/core/exchange/cutting/pieceLayers.ts",
  "src/sheets/pages.ts",
];

describe("a page that shows no single knife", () => {
  const heavy = [
    "src/core/knife/design/schema.ts",
    "src/core/figures/weigh/weigh.ts",
    "src/ui/session/benchState.ts",
  ];

  it.each(["page.tsx", "stock/page.tsx", "settings/page.tsx", "bin/page.tsx"])(
    "%s fetches no bench",
    (page) => {
      const reached = reachedFrom(`src/app/${page}`);
      expect(reached.size).toBeGreaterThan(20);
      for (const file of heavy) {
        expect(existsSync(file)).toBe(true);
        expect(reached.get(resolve(file)), `${file} is needed by`).toBeUndefined();
      }
    },
  );

  it.each([
    "bench/Bench.tsx",
    "board/Board.tsx",
    "balance/BalanceView.tsx",
    "fit/FitView.tsx",
    "compare/CompareView.tsx",
    "sheets/SheetsView.tsx",
    "pattern/PatternView.tsx",
  ])("%s weighs in a worker only", (view) => {
    const reached = reachedFrom(`src/ui/${view}`);
    for (const file of ["src/core/figures/weigh/integrate.ts", ...WORKED_OUT]) {
      expect(existsSync(file)).toBe(true);
      expect(reached.get(resolve(file)), `${file} is needed by`).toBeUndefined();
    }
  });

  it("is told from one that does", () => {
    const reached = reachedFrom("src/ui/bench/Bench.tsx");
    for (const file of heavy.slice(0, 1).concat(heavy.slice(2)))
      expect(reached.has(resolve(file))).toBe(true);
  });
});
