import { existsSync, readdirSync, readFileSync } from "node:fs";
import { checkSync } from "recheck";
import ts from "typescript";
import { describe, expect, it } from "vitest";

/** Every file of the application, with what the compiler knows of it. */
function program(): ts.Program {
  const host = { ...ts.sys, onUnRecoverableConfigFileDiagnostic: () => undefined };
  const config = ts.getParsedCommandLineOfConfigFile("tsconfig.json", {}, host as ts.ParseConfigFileHost);
  if (!config) throw new Error("no tsconfig.json");
  return ts.createProgram(config.fileNames, { ...config.options, noEmit: true });
}

const made = program();
const files = made
  .getSourceFiles()
  .filter((f) => /\/src\//.test(f.fileName) && !/node_modules|\.(test|fixtures)\./.test(f.fileName));

function each(file: ts.SourceFile, visit: (node: ts.Node) => void): void {
  const walk = (node: ts.Node) => {
    visit(node);
    node.forEachChild(walk);
  };
  walk(file);
}

const placeOf = (file: ts.SourceFile, node: ts.Node) =>
  `${file.fileName.slice(file.fileName.indexOf("/src/") + 1)}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;

describe("a regular expression", () => {
  it("takes time that goes with the length of what it looks at, whatever that is", {
    timeout: 180_000,
  }, () => {
    const slow: string[] = [];
    const known = new Map<string, string>();
    for (const file of files)
      each(file, (node) => {
        if (node.kind !== ts.SyntaxKind.RegularExpressionLiteral) return;
        const text = (node as ts.RegularExpressionLiteral).text;
        const end = text.lastIndexOf("/");
        const status = known.get(text) ?? checkSync(text.slice(1, end), text.slice(end + 1)).status;
        known.set(text, status);
        if (status !== "safe") slow.push(`${placeOf(file, node)} ${text}: ${status}`);
      });
    expect(known.size).toBeGreaterThan(20);
    expect(slow).toEqual([]);
  });
});

/** Keys of a keyboard, ids that this program made: what is looked up by them never comes from a file. */
const OF_OUR_OWN = [
  "src/core/base/own.ts",
  "src/core/base/record/fields.ts",
  "src/core/knife/design/threadChange.ts",
  "src/store/db.ts",
  "src/ui/shell/EmotionRegistry.tsx",
  "src/ui/board/DragPoint.tsx",
  "src/ui/report/Section.tsx",
  "src/ui/pattern/PhotoScaleView.tsx",
  "src/ui/sight/PickTargets.tsx",
  "src/ui/solid/SolidView.tsx",
  "src/ui/strip/MomentStrip.tsx",
];

describe("a name from outside", () => {
  /** Whether a value may be any text, and not one of a few. */
  const anyText = (type: ts.Type): boolean =>
    type.isUnion()
      ? type.types.some(anyText)
      : (type.flags & (ts.TypeFlags.String | ts.TypeFlags.TemplateLiteral)) !== 0;

  it("is looked up among a record's own keys only: by `own`, or in a Map", { timeout: 180_000 }, () => {
    const checker = made.getTypeChecker();
    const loose: string[] = [];
    let wrapped = 0;
    for (const file of files) {
      if (OF_OUR_OWN.some((path) => file.fileName.endsWith(path))) continue;
      each(file, (node) => {
        if (ts.isCallExpression(node) && node.expression.getText(file) === "own") wrapped++;
        if (ts.isBinaryExpression(node) && node.operatorToken.kind === ts.SyntaxKind.InKeyword) {
          if (anyText(checker.getTypeAtLocation(node.left)))
            loose.push(`${placeOf(file, node)} ${node.getText()}`);
          return;
        }
        if (!ts.isElementAccessExpression(node)) return;
        const written =
          (ts.isBinaryExpression(node.parent) &&
            node.parent.left === node &&
            node.parent.operatorToken.kind === ts.SyntaxKind.EqualsToken) ||
          ts.isDeleteExpression(node.parent);
        const held = checker.getTypeAtLocation(node.expression);
        if (written || (held.flags & ts.TypeFlags.StringLike) !== 0) return;
        if (anyText(checker.getTypeAtLocation(node.argumentExpression)))
          loose.push(`${placeOf(file, node)} ${node.getText()}`);
      });
    }
    expect(wrapped).toBeGreaterThan(20);
    expect(loose).toEqual([]);
  });

  it("has its rules where they are said to be", () => {
    for (const path of OF_OUR_OWN) expect(readFileSync(path, "utf8").length, path).toBeGreaterThan(0);
  });
});

describe("a sentence", () => {
  it("has its plurals and its case from words/grammar", () => {
    const own: string[] = [];
    for (const file of files) {
      if (!/\/src\/(words|ui|sheets|cli)\//.test(file.fileName) || file.fileName.endsWith("words/grammar.ts"))
        continue;
      each(file, (node) => {
        if (
          ts.isConditionalExpression(node) &&
          /\.(length|size|count)\s*===\s*1$/.test(node.condition.getText()) &&
          [node.whenTrue, node.whenFalse].every((e) => ts.isStringLiteral(e) || ts.isTemplateExpression(e))
        )
          own.push(`${placeOf(file, node)} ${node.getText()}`);
        if (
          ts.isCallExpression(node) &&
          /\.charAt\(0\)\.to(Upper|Lower)Case$/.test(node.expression.getText())
        )
          own.push(`${placeOf(file, node)} ${node.getText()}`);
      });
    }
    expect(own).toEqual([]);
  });
});

describe("the documents", () => {
  it("name files that are there", () => {
    const documents = ["README.md", "ARCHITECTURE.md", "CONTRIBUTING.md"].concat(
      readdirSync("docs")
        .filter((f) => f.endsWith(".md"))
        .map((f) => `docs/${f}`),
      readdirSync("docs/decisions").map((f) => `docs/decisions/${f}`),
    );
    const gone = documents.flatMap((document) =>
      [...readFileSync(document, "utf8").matchAll(/`((?:src|e2e)\/[\w/.-]+\.tsx?)`/g)]
        .map(([, path]) => path)
        .filter((path) => !existsSync(path))
        .map((path) => `${document}: ${path}`),
    );
    expect(gone).toEqual([]);
  });
});
