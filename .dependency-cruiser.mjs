/**
 * The order of the house: a folder imports only what stands before it. Tests and fixtures may look anywhere.
 * Within a row, folders do not import each other.
 */
const ORDER = [
  ["tolerances", "isRecord", "number", "plainName", "work", "own"],
  ["units"],
  ["stock"],
  ["curve"],
  ["contours"],
  ["record"],
  ["solids"],
  ["fasteners"],
  ["guardFittings", "tangEnds", "pieceShapes"],
  ["design"],
  ["layout"],
  ["assembly"],
  ["kernel"],
  ["validity"],
  ["weigh"],
  ["pieces"],
  ["views", "fit", "compare"],
  ["cost", "cutting", "pattern"],
  ["paper", "photo"],
  ["tune"],
  ["review"],
  ["edit"],
  ["products"],
  ["files"],
];
const HOUSE = [["core"], ["workers"], ["store"], ["words"], ["sheets"], ["server", "cli"], ["ui"], ["app"]];

const tests = "\\.(test|fixtures)\\.tsx?$";
const inCore = (names) => `^src/core/(${names.join("|")})(/|\\.ts$)`;
const inHouse = (names) => `^src/(${names.join("|")})/`;

/** One rule for each row: it imports nothing of the rows behind it, nor of its neighbours in the row. */
function upward(rows, pattern, under) {
  return rows.flatMap((row, i) =>
    row.map((name) => ({
      name: `${under}${name}-comes-before`,
      comment: `${under}${name} may not import what stands behind it in .dependency-cruiser.mjs`,
      severity: "error",
      from: { path: pattern([name]), pathNot: tests },
      to: { path: pattern([...row.filter((n) => n !== name), ...rows.slice(i + 1).flat()]) },
    })),
  );
}

/** @type {import("dependency-cruiser").IConfiguration} */
export default {
  forbidden: [
    { name: "no-circle", severity: "error", from: { pathNot: tests }, to: { circular: true } },
    {
      name: "every-folder-has-its-place",
      comment: "a new folder of core is put into ORDER in .dependency-cruiser.mjs",
      severity: "error",
      from: { path: "^src/core/", pathNot: inCore(ORDER.flat()) },
      to: {},
    },
    ...upward(ORDER, inCore, "core/"),
    ...upward(HOUSE, inHouse, ""),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { extensions: [".ts", ".tsx", ".mjs", ".js", ".json"] },
  },
};
