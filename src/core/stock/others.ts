import { around, material } from "./define";
import type { Density, Hazard, Material, MaterialClass } from "./types";

function other(cls: MaterialClass, hazards: readonly Hazard[]) {
  return (id: string, name: string, density: Density, tint: string, more: readonly Hazard[] = []): Material =>
    material(cls, id, name, density, tint, "from memory", [...hazards, ...more]);
}

const laminate = other("laminate", ["resin-dust"]);
const hornBone = other("horn-bone", ["bone-dust"]);
const leather = other("leather", ["mould-dust"]);
const plastic = other("plastic", ["resin-dust"]);
const adhesive = other("adhesive", ["skin-sensitiser"]);

/** Sheets of cloth, paper or fibre bonded by resin, by their generic names. */
export const LAMINATES: readonly Material[] = [
  laminate("linen-phenolic", "Linen phenolic", around(1.36, 0.03), "#7d6b46"),
  laminate("canvas-phenolic", "Canvas phenolic", around(1.36, 0.03), "#6b5d41"),
  laminate("paper-phenolic", "Paper phenolic", around(1.36, 0.03), "#6b4a34"),
  laminate("g10", "G-10 glass epoxy", around(1.83, 0.05), "#4f5d52", ["glass-or-carbon-dust"]),
  laminate("carbon-epoxy", "Carbon fibre epoxy", around(1.55, 0.04), "#33373b", ["glass-or-carbon-dust"]),
  laminate("vulcanised-fibre", "Vulcanised fibre", around(1.25, 0.12), "#8c2f2c"),
  laminate("laminated-birch", "Resin-laminated birch", around(1.3, 0.06), "#9c6a3c", ["wood-dust"]),
];

/** Horn, bone and antler. */
export const HORN_BONE: readonly Material[] = [
  hornBone("bone-cattle", "Cattle bone", { typical: 1.95, low: 1.8, high: 2.1 }, "#e4dcc4"),
  hornBone("bone-camel", "Camel bone", { typical: 1.95, low: 1.8, high: 2.1 }, "#ded3b6"),
  hornBone("horn-buffalo", "Buffalo horn", { typical: 1.3, low: 1.25, high: 1.35 }, "#3c3836"),
  hornBone("horn-sheep", "Sheep horn", { typical: 1.29, low: 1.22, high: 1.34 }, "#b59a6d"),
  hornBone("antler-deer", "Deer antler", { typical: 1.65, low: 1.35, high: 1.85 }, "#a98d68"),
];

/** Leather and bark, as washers stand them: pressed. */
export const LEATHERS: readonly Material[] = [
  leather("leather-veg", "Vegetable-tanned leather", { typical: 0.95, low: 0.85, high: 1.05 }, "#9a6236"),
  leather("leather-raw", "Rawhide", { typical: 1.25, low: 1.1, high: 1.4 }, "#cdb184"),
];

/** Solid plastics and cast resins. */
export const PLASTICS: readonly Material[] = [
  plastic("acrylic", "Cast acrylic", around(1.19, 0.01), "#b7ccd1"),
  plastic("polyester-cast", "Cast polyester", around(1.2, 0.05), "#9fb5a8"),
  plastic("acetal", "Acetal", around(1.41, 0.01), "#d8d8d2"),
  plastic("nylon-66", "Nylon 66", around(1.14, 0.01), "#e2dcc8"),
  plastic("polycarbonate", "Polycarbonate", around(1.2, 0.01), "#c3ced3"),
  plastic("abs", "ABS", around(1.05, 0.03), "#4b5257"),
  plastic("pla", "PLA, solid", around(1.24, 0.02), "#8e9a6d"),
  plastic("hdpe", "HDPE", around(0.955, 0.01), "#e6e6e0"),
];

/** Glues and fills, as cured. */
export const ADHESIVES: readonly Material[] = [
  adhesive("epoxy", "Epoxy, slow cure", around(1.15, 0.05), "#d9c486"),
  adhesive("epoxy-filled", "Epoxy, glass filled", around(1.5, 0.08), "#bfb79a", ["glass-or-carbon-dust"]),
  adhesive("epoxy-steel-filled", "Epoxy, steel filled", around(2.3, 0.08), "#777b7d"),
  adhesive(
    "polyurethane-glue",
    "Polyurethane glue, foamed",
    { typical: 0.6, low: 0.4, high: 1.1 },
    "#c9ab6c",
  ),
  adhesive("cyanoacrylate", "Cyanoacrylate", around(1.1, 0.05), "#d6dce0"),
];
