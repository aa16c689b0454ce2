/**
 * The order of the house: a floor of the core imports only from floors before it, and a folder only what stands before it on
 * its own. Tests and fixtures may look anywhere. Within a row, folders do not import each other.
 */
const FLOORS = {
  base: [
    ["tolerances", "isRecord", "number", "plainName", "work", "own", "sameData", "compared", "random", "day"],
    ["units", "fits"],
    ["record"],
  ],
  materials: [],
  geometry: [["curve"], ["contours"], ["solids"]],
  kinds: [["fasteners"], ["guardFittings", "tangEnds", "pieceShapes"]],
  knife: [
    ["design"],
    ["shapes"],
    ["parts"],
    ["constructions"],
    ["layout", "starts"],
    ["assembly"],
    ["kernel", "validity"],
  ],
  figures: [["weigh"], ["pieces"], ["views", "fit", "compare"], ["cost"], ["tune"], ["review"]],
  plan: [],
  shelf: [],
  schedule: [],
  line: [],
  sheath: [],
  edit: [],
  products: [],
  exchange: [["cutting", "pattern"], ["paper", "photo"], ["files"]],
};
const ORDER = Object.entries(FLOORS).flatMap(([floor, rows]) =>
  rows.length === 0 ? [[floor]] : rows.map((row) => row.map((name) => `${floor}/${name}`)),
);
/** The rooms of the interface, in the same way. */
const UI = [
  ["kit"],
  ["drawing", "fields", "files"],
  ["session", "strip", "backup"],
  ["shell", "sight", "solid"],
  ["bin", "ownMaterials", "report", "settings"],
  ["bound"],
  ["board", "cost", "workshop"],
  ["balance", "build", "compare", "fit"],
  ["line", "pattern", "sheets"],
  ["products"],
  ["bench", "begin", "lines", "rack", "schedule", "shelf", "stock"],
];
const HOUSE = [
  ["core"],
  ["workers"],
  ["store"],
  ["words"],
  ["sheets"],
  ["pool", "server", "cli"],
  ["ui"],
  ["app"],
];

const tests = "\\.(test|fixtures)\\.tsx?$";
const inCore = (names) => `^src/core/(${names.join("|")})(/|\\.ts$)`;
const inUi = (names) => `^src/ui/(${names.join("|")})/`;
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
      from: { path: "^src/core/", pathNot: [inCore(ORDER.flat()), tests] },
      to: {},
    },
    ...upward(ORDER, inCore, "core/"),
    {
      name: "every-room-has-its-place",
      comment: "a new folder of ui is put into UI in .dependency-cruiser.mjs",
      severity: "error",
      from: { path: "^src/ui/", pathNot: [inUi(UI.flat()), tests] },
      to: {},
    },
    ...upward(UI, inUi, "ui/"),
    ...upward(HOUSE, inHouse, ""),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { extensions: [".ts", ".tsx", ".mjs", ".js", ".json"] },
  },
};
