import { around, material, USUAL_HAZARDS } from "./define";
import type { Density, Hazard, Material, MaterialClass } from "./types";

function other(cls: MaterialClass) {
  return (id: string, name: string, density: Density, tint: string, more: readonly Hazard[] = []): Material =>
    material(cls, id, name, density, tint, "from memory", [...USUAL_HAZARDS[cls], ...more]);
}

const laminate = other("laminate");
const hornBone = other("horn-bone");
const leather = other("leather");
const plastic = other("plastic");
const adhesive = other("adhesive");

const cord = other("cord");

/** Cords, by what they weigh for the ellipse that they fill when they lie flattened. */
export const CORDS: readonly Material[] = [
  cord("cord-nylon", "Braided nylon cord, cored", around(0.55, 0.15), "#5c6650"),
  cord("cord-nylon-flat", "Braided nylon cord, core taken out", around(0.6, 0.15), "#4f5a48"),
  cord("cord-polyester", "Braided polyester cord", around(0.7, 0.15), "#6a6f78"),
  cord("cord-cotton", "Braided cotton cord", around(0.55, 0.15), "#d8cfb8"),
  cord("cord-hemp", "Hemp cord", around(0.75, 0.15), "#a58f63"),
  cord("cord-jute", "Jute cord", around(0.6, 0.15), "#b0905a"),
  cord("cord-linen-waxed", "Waxed linen cord", around(0.95, 0.12), "#c0a878"),
  cord("cord-silk", "Braided silk cord", around(0.6, 0.15), "#3b3442"),
  cord("lace-leather", "Leather lace", around(0.9, 0.12), "#7a5335", ["mould-dust"]),
];

/** Sheets of cloth, paper or fibre bonded by resin, by their generic names. */
export const LAMINATES: readonly Material[] = [
  laminate("linen-phenolic", "Linen phenolic", around(1.36, 0.03), "#7d6b46"),
  laminate("canvas-phenolic", "Canvas phenolic", around(1.36, 0.03), "#6b5d41"),
  laminate("paper-phenolic", "Paper phenolic", around(1.36, 0.03), "#6b4a34"),
  laminate("g10", "G-10 glass epoxy", around(1.83, 0.05), "#4f5d52", ["glass-or-carbon-dust"]),
  laminate("carbon-epoxy", "Carbon fibre epoxy", around(1.55, 0.04), "#33373b", ["glass-or-carbon-dust"]),
  laminate("burlap-phenolic", "Burlap phenolic", around(1.33, 0.04), "#8a7046"),
  laminate("denim-phenolic", "Denim phenolic", around(1.36, 0.04), "#4d5a72"),
  laminate("linen-epoxy", "Linen epoxy", around(1.3, 0.05), "#7f7350"),
  laminate("burlap-epoxy", "Burlap epoxy", around(1.25, 0.06), "#93784d"),
  laminate("glass-polyester", "Glass polyester", around(1.85, 0.06), "#8d9a8c", ["glass-or-carbon-dust"]),
  laminate("glass-melamine", "Glass melamine (G-9)", around(1.9, 0.04), "#b4b3a5", ["glass-or-carbon-dust"]),
  laminate("fr-4", "FR-4 glass epoxy", around(1.85, 0.05), "#6a7b4e", ["glass-or-carbon-dust"]),
  laminate("carbon-forged", "Chopped carbon epoxy", around(1.5, 0.05), "#3a3d41", ["glass-or-carbon-dust"]),
  laminate("aramid-epoxy", "Aramid epoxy", around(1.35, 0.05), "#b59a44"),
  laminate("basalt-epoxy", "Basalt epoxy", around(1.95, 0.05), "#5a5650", ["glass-or-carbon-dust"]),
  laminate("vulcanised-fibre", "Vulcanised fibre", around(1.25, 0.12), "#8c2f2c"),
  laminate("laminated-birch", "Resin-laminated birch", around(1.3, 0.06), "#9c6a3c", ["wood-dust"]),
];

/** Horn, bone and antler. */
export const HORN_BONE: readonly Material[] = [
  hornBone("bone-cattle", "Cattle bone", { typical: 1.95, low: 1.8, high: 2.1 }, "#e4dcc4"),
  hornBone("bone-camel", "Camel bone", { typical: 1.95, low: 1.8, high: 2.1 }, "#ded3b6"),
  hornBone("horn-buffalo", "Buffalo horn", { typical: 1.3, low: 1.25, high: 1.35 }, "#3c3836"),
  hornBone("horn-sheep", "Sheep horn", { typical: 1.29, low: 1.22, high: 1.34 }, "#b59a6d"),
  hornBone("bone-giraffe", "Giraffe bone", { typical: 1.9, low: 1.7, high: 2.1 }, "#d9cba9"),
  hornBone("bone-jigged", "Jigged and dyed bone", { typical: 1.95, low: 1.8, high: 2.1 }, "#8a5a39"),
  hornBone("antler-elk", "Elk antler", { typical: 1.6, low: 1.3, high: 1.85 }, "#ad9270"),
  hornBone("antler-moose", "Moose antler", { typical: 1.55, low: 1.25, high: 1.8 }, "#b89d79"),
  hornBone("antler-reindeer", "Reindeer antler", { typical: 1.65, low: 1.35, high: 1.9 }, "#c4b08d"),
  hornBone("antler-stag", "Sambar stag antler", { typical: 1.75, low: 1.5, high: 1.95 }, "#94754f", [
    "regulated-trade",
  ]),
  hornBone("horn-ram", "Ram horn", { typical: 1.29, low: 1.22, high: 1.34 }, "#a98a57"),
  hornBone("horn-cow", "Cow horn", { typical: 1.3, low: 1.25, high: 1.35 }, "#c2ad84"),
  hornBone("mammoth-ivory", "Mammoth ivory, fossil", { typical: 1.85, low: 1.7, high: 2.1 }, "#dccfa8", [
    "regulated-trade",
  ]),
  hornBone("mammoth-tooth", "Mammoth tooth, stabilised", { typical: 2.1, low: 1.8, high: 2.4 }, "#9a8f84", [
    "resin-dust",
  ]),
  hornBone("warthog-tusk", "Warthog tusk", { typical: 1.9, low: 1.75, high: 2.1 }, "#e8dfc6", [
    "regulated-trade",
  ]),
  hornBone("walrus-fossil", "Walrus tusk, fossil", { typical: 1.9, low: 1.75, high: 2.1 }, "#cdbb93", [
    "regulated-trade",
  ]),
  hornBone("mother-of-pearl", "Mother of pearl", { typical: 2.7, low: 2.6, high: 2.8 }, "#e3e0da"),
  hornBone("abalone", "Abalone shell", { typical: 2.7, low: 2.6, high: 2.8 }, "#7f9aa0"),
  hornBone("antler-deer", "Deer antler", { typical: 1.65, low: 1.35, high: 1.85 }, "#a98d68"),
];

/** Leather and bark, as washers stand them: pressed. */
export const LEATHERS: readonly Material[] = [
  leather("leather-veg", "Vegetable-tanned leather", { typical: 0.95, low: 0.85, high: 1.05 }, "#9a6236"),
  leather("leather-stingray", "Ray skin", { typical: 1.3, low: 1.1, high: 1.5 }, "#dcd9cd", ["bone-dust"]),
  leather("birch-bark", "Birch bark", { typical: 0.6, low: 0.5, high: 0.75 }, "#b5814f"),
  leather("felt-wool", "Wool felt", { typical: 0.36, low: 0.2, high: 0.5 }, "#8f8c84"),
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
  plastic("polyurethane-cast", "Cast polyurethane", around(1.08, 0.04), "#a7b2b8"),
  plastic("epoxy-cast", "Cast epoxy", around(1.13, 0.04), "#b9b08d"),
  plastic("ivory-imitation", "Imitation ivory, cast polyester", around(1.25, 0.08), "#ece2c5"),
  plastic("stag-imitation", "Imitation stag, cast polyester", around(1.25, 0.08), "#a2835c"),
  plastic("pearl-imitation", "Imitation pearl, cast acrylic", around(1.19, 0.02), "#dadfe2"),
  plastic("tortoise-imitation", "Imitation tortoiseshell, cellulose acetate", around(1.29, 0.03), "#7a4a26"),
  plastic("celluloid", "Celluloid", around(1.38, 0.03), "#c9a35d", ["flammable-dust"]),
  plastic("casein", "Casein", around(1.33, 0.03), "#d5c6a3"),
  plastic("solid-surface", "Acrylic with mineral, solid surface", around(1.72, 0.03), "#cfcfca"),
  plastic("petg", "PETG, solid", around(1.27, 0.02), "#a9bfc4"),
  plastic("asa", "ASA, solid", around(1.07, 0.02), "#565b5f"),
  plastic("nylon-12", "Nylon 12, sintered", around(0.98, 0.03), "#d9d6cd"),
  plastic("resin-printed", "Printed resin, cured", around(1.18, 0.03), "#8d9aa0", ["skin-sensitiser"]),
  plastic("tpu", "Thermoplastic polyurethane", around(1.2, 0.03), "#44494d"),
  plastic("polypropylene", "Polypropylene", around(0.905, 0.01), "#dfe0dc"),
  plastic("ptfe", "PTFE", around(2.17, 0.02), "#f0f1ef"),
  plastic("peek", "PEEK", around(1.31, 0.02), "#b9a27c"),
  plastic("rubber", "Natural rubber", around(0.95, 0.05), "#2f3133"),
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
  adhesive("epoxy-quick", "Epoxy, quick cure", around(1.16, 0.05), "#d6c68f"),
  adhesive("epoxy-wood-filled", "Epoxy with wood dust", around(1.05, 0.08), "#9a7a50"),
  adhesive("pitch", "Pitch and wax", around(1.15, 0.1), "#2b2421"),
  adhesive("hide-glue", "Hide glue", around(1.27, 0.04), "#b98f4c"),
  adhesive("solder-tin-silver", "Tin-silver solder", around(7.4, 0.02), "#b9bec2"),
  adhesive("brazing-silver", "Silver brazing alloy", around(9.3, 0.04), "#cdc9b8", ["copper-fume"]),
  adhesive("cyanoacrylate", "Cyanoacrylate", around(1.1, 0.05), "#d6dce0"),
];
