import type { Hazard, MaterialClass } from "@/core/materials/types";

export const MATERIAL_CLASS_WORDS: Record<MaterialClass, string> = {
  steel: "Blade steel",
  metal: "Fitting metal",
  wood: "Wood, dry",
  "stabilised-wood": "Stabilised wood",
  laminate: "Laminate",
  "horn-bone": "Horn, bone, antler",
  cord: "Cord",
  leather: "Leather",
  plastic: "Plastic",
  adhesive: "Adhesive",
};

/** Usual cautions, short enough to stand beside a material. */
export const HAZARD_WORDS: Record<Hazard, string> = {
  "wood-dust": "dust: respirator, extraction",
  sensitiser: "sensitises skin and lungs",
  "glass-or-carbon-dust": "glass or carbon dust harms lungs: work it wet",
  "bone-dust": "bone dust harms lungs: respirator",
  "resin-dust": "resin dust irritates and sensitises",
  "metal-dust": "grinding dust, sparks: eyes, lungs",
  "copper-fume": "fumes when heated: ventilate",
  "flammable-dust": "fine dust burns fiercely: keep from sparks",
  "skin-sensitiser": "uncured, sensitises skin: gloves",
  "regulated-trade": "trade may be regulated: ask before buying or selling",
  "mould-dust": "dust: respirator",
};
