import type { CautionCode } from "./cautions";
import type { ToolCode } from "./tools";

/** What a task keeps busy while it lasts, besides hands. */
export type Resource = "oven" | "quench" | "cold" | "clamps" | "bath" | "grinder" | "tumbler";

/** What is known of a kind of task: minutes, what it keeps busy, what it is done with, and whether it can be taken back. */
export interface TaskSpec {
  readonly activeMin: number;
  readonly waitMin?: number;
  readonly resources?: readonly Resource[];
  readonly tools: readonly ToolCode[];
  readonly cautions?: readonly CautionCode[];
  readonly noReturn?: boolean;
  readonly inspection?: boolean;
}

const DAY = 24 * 60;

/** Every kind of task of a knife with a fixed blade. Minutes: common practice as makers tell them, no source. */
export const TASKS = {
  profile: {
    activeMin: 30,
    resources: ["grinder"],
    noReturn: true,
    tools: ["grinder", "calipers"],
    cautions: ["wheels", "dust"],
  },
  "weld-tang": { activeMin: 40, noReturn: true, tools: ["welder", "clamps"], cautions: ["weld"] },
  "file-tang": { activeMin: 40, noReturn: true, tools: ["files", "vise", "calipers"], cautions: ["filings"] },
  "soften-tang": {
    activeMin: 20,
    waitMin: 60,
    noReturn: true,
    tools: ["torch", "wet-rag"],
    cautions: ["heat", "edge-cold"],
  },
  "drill-tang": {
    activeMin: 22,
    noReturn: true,
    tools: ["drill-press", "vise", "countersink"],
    cautions: ["drilling"],
  },
  "check-holes": { activeMin: 5, inspection: true, tools: ["pins", "deburrer"] },
  "hammer-flats": { activeMin: 40, noReturn: true, tools: ["hammer", "anvil"], cautions: ["splinters"] },
  "stamp-mark": {
    activeMin: 10,
    noReturn: true,
    tools: ["stamp", "hammer", "anvil"],
    cautions: ["splinters"],
  },
  "grind-soft": {
    activeMin: 50,
    resources: ["grinder"],
    noReturn: true,
    tools: ["grinder", "calipers"],
    cautions: ["wheels", "dust"],
  },
  normalise: { activeMin: 15, waitMin: 45, tools: ["heat-source", "tongs"], cautions: ["heat"] },
  harden: {
    activeMin: 15,
    waitMin: 10,
    resources: ["oven", "quench"],
    noReturn: true,
    tools: ["heat-source", "tongs", "quench-tank"],
    cautions: ["quench", "heat"],
  },
  cold: {
    activeMin: 5,
    waitMin: 12 * 60,
    resources: ["cold"],
    tools: ["cold-box", "gloves"],
    cautions: ["frost"],
  },
  temper: {
    activeMin: 4,
    waitMin: 2 * 120 + 60,
    resources: ["oven"],
    tools: ["oven", "thermometer"],
    cautions: ["heat"],
  },
  "check-hardness": { activeMin: 5, inspection: true, tools: ["new-file"] },
  "check-straight": { activeMin: 5, inspection: true, tools: ["straight-edge", "feeler"] },
  "grind-bevels": {
    activeMin: 65,
    resources: ["grinder"],
    noReturn: true,
    tools: ["grinder", "calipers", "water"],
    cautions: ["wheels", "dust", "bare-blade"],
  },
  "surface-blade": {
    activeMin: 120,
    noReturn: true,
    tools: ["sanding-block", "abrasives"],
    cautions: ["bare-blade", "dust"],
  },
  buff: { activeMin: 30, tools: ["buff"], cautions: ["buffing", "bare-blade"], noReturn: true },
  "acid-etch": {
    activeMin: 25,
    waitMin: 20,
    resources: ["bath"],
    tools: ["acid", "soda", "gloves"],
    cautions: ["etchant"],
    noReturn: true,
  },
  tumble: {
    activeMin: 5,
    waitMin: 15,
    resources: ["tumbler"],
    tools: ["tumbler"],
    cautions: ["bare-blade"],
    noReturn: true,
  },
  darken: {
    activeMin: 15,
    waitMin: 20,
    resources: ["bath"],
    tools: ["vinegar", "soda", "gloves"],
    cautions: ["etchant"],
    noReturn: true,
  },
  etch: {
    activeMin: 25,
    waitMin: 15,
    resources: ["bath"],
    noReturn: true,
    tools: ["etcher", "stencil", "solvent"],
    cautions: ["etchant", "bare-blade"],
  },
  "inspect-blade": {
    activeMin: 10,
    inspection: true,
    tools: ["straight-edge", "new-file", "calipers"],
    cautions: ["bare-blade"],
  },
  "tape-blade": { activeMin: 5, tools: ["tape"], cautions: ["bare-blade"] },
  "weld-guard": {
    activeMin: 60,
    waitMin: 30,
    noReturn: true,
    tools: ["welder", "clamps"],
    cautions: ["weld"],
  },
  "slot-guard": {
    activeMin: 45,
    noReturn: true,
    tools: ["mill", "files", "vise"],
    cautions: ["drilling", "metal-fumes"],
  },
  "fit-guard": {
    activeMin: 60,
    noReturn: true,
    tools: ["files", "vise", "soot"],
    cautions: ["bare-blade", "filings"],
  },
  "check-guard": { activeMin: 5, inspection: true, tools: ["square", "straight-edge"] },
  "shape-guard": {
    activeMin: 60,
    noReturn: true,
    tools: ["grinder", "files", "abrasives"],
    cautions: ["wheels", "dust", "metal-fumes"],
  },
  "saw-piece": { activeMin: 10, noReturn: true, tools: ["saw", "calipers"], cautions: ["saw", "dust"] },
  "fit-bolsters": {
    activeMin: 40,
    noReturn: true,
    tools: ["files", "flat-plate", "abrasives"],
    cautions: ["filings", "metal-fumes"],
  },
  "fit-segments": { activeMin: 25, tools: ["flat-plate", "abrasives", "square"], cautions: ["dust"] },
  "drill-one-pass": {
    activeMin: 40,
    noReturn: true,
    tools: ["drill-press", "jig", "backing-board"],
    cautions: ["drilling"],
  },
  "drill-scales": {
    activeMin: 22,
    noReturn: true,
    tools: ["drill-press", "backing-board", "pins"],
    cautions: ["drilling", "dust"],
  },
  "front-faces": { activeMin: 30, noReturn: true, tools: ["flat-plate", "abrasives"], cautions: ["dust"] },
  "check-faces": { activeMin: 5, inspection: true, tools: ["square", "marker"] },
  counterbore: {
    activeMin: 15,
    noReturn: true,
    tools: ["drill-press", "counterbore"],
    cautions: ["drilling"],
  },
  "glue-first": {
    activeMin: 20,
    waitMin: DAY,
    resources: ["clamps"],
    noReturn: true,
    tools: ["glue", "clamps", "gloves"],
    cautions: ["glue"],
  },
  "drill-block": {
    activeMin: 45,
    noReturn: true,
    tools: ["drill-press", "vise", "broach"],
    cautions: ["drilling"],
  },
  "burn-in": { activeMin: 20, waitMin: 60, noReturn: true, tools: ["torch", "vise"], cautions: ["burning"] },
  "fit-block": { activeMin: 30, tools: ["broach", "files", "vise"], cautions: ["dust"] },
  "drill-pins": {
    activeMin: 15,
    noReturn: true,
    tools: ["drill-press", "vise", "pins"],
    cautions: ["drilling"],
  },
  "thread-tang": { activeMin: 20, noReturn: true, tools: ["die", "vise"], cautions: ["filings"] },
  "fit-end": { activeMin: 30, tools: ["tap", "spanner", "files"], cautions: ["filings"] },
  "dry-fit": { activeMin: 10, inspection: true, tools: ["pins", "scale", "balance-edge"] },
  degrease: { activeMin: 10, tools: ["abrasives", "solvent", "gloves"], cautions: ["solvent"] },
  "glue-handle": {
    activeMin: 25,
    resources: ["clamps"],
    noReturn: true,
    tools: ["glue", "clamps", "gloves"],
    cautions: ["glue", "solvent"],
  },
  "check-in-line": { activeMin: 3, inspection: true, tools: ["straight-edge"] },
  "clean-squeeze-out": { activeMin: 5, tools: ["solvent", "gloves"], cautions: ["solvent", "glue"] },
  "carry-indoors": {
    activeMin: 5,
    resources: ["clamps"],
    tools: ["clamps", "thermometer"],
    cautions: ["glue"],
  },
  cure: { activeMin: 0, waitMin: DAY, resources: ["clamps"], tools: ["clamps"] },
  assemble: { activeMin: 20, tools: ["screwdriver"], cautions: ["bare-blade"] },
  peen: { activeMin: 20, noReturn: true, tools: ["hammer", "anvil"], cautions: ["splinters"] },
  "flush-pins": {
    activeMin: 15,
    noReturn: true,
    tools: ["grinder", "water"],
    cautions: ["wheels", "dust", "hot-pins"],
  },
  contour: {
    activeMin: 90,
    resources: ["grinder"],
    noReturn: true,
    tools: ["grinder", "files", "water"],
    cautions: ["wheels", "dust", "hot-pins"],
  },
  "groove-handle": { activeMin: 15, noReturn: true, tools: ["files"], cautions: ["dust"] },
  "sand-handle": { activeMin: 90, tools: ["abrasives"], cautions: ["dust"] },
  "finish-handle": { activeMin: 15, waitMin: 12 * 60, tools: ["oil"], cautions: ["oily-rags"] },
  "wind-wrap": { activeMin: 50, tools: ["clamps", "glue"], cautions: ["glue"] },
  straighten: {
    activeMin: 25,
    waitMin: 60,
    resources: ["oven"],
    tools: ["heat-source", "clamps", "straight-edge"],
    cautions: ["heat"],
  },
  anneal: {
    activeMin: 20,
    waitMin: 8 * 60,
    tools: ["heat-source", "wood-ash"],
    cautions: ["heat"],
    noReturn: true,
  },
  "fill-holes": {
    activeMin: 60,
    waitMin: 30,
    tools: ["welder", "files", "wet-rag"],
    cautions: ["weld", "edge-cold"],
    noReturn: true,
  },
  "pry-off": {
    activeMin: 40,
    tools: ["heat-source", "chisel", "solvent"],
    cautions: ["heat", "glue"],
    noReturn: true,
  },
  "fit-spacer": { activeMin: 30, tools: ["knife", "calipers", "glue"], cautions: ["sharp"], noReturn: true },
  "close-slot": {
    activeMin: 45,
    tools: ["torch", "solder", "files"],
    cautions: ["metal-fumes", "heat", "edge-cold"],
    noReturn: true,
  },
  sharpen: { activeMin: 20, noReturn: true, tools: ["stones", "strop"], cautions: ["sharp"] },
  "weigh-and-log": {
    activeMin: 10,
    inspection: true,
    tools: ["scale", "balance-edge"],
    cautions: ["sharp", "law"],
  },
} as const satisfies Readonly<Record<string, TaskSpec>>;

export type TaskKind = keyof typeof TASKS;
