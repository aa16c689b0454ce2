import type { Material } from "../materials/types";

/** How a steel is hardened: which kind it is, whether it is normalised before, and whether it goes into the cold after. */
export interface Heat {
  readonly group: "carbon" | "low-alloy" | "air-hardening" | "as-its-mill-says";
  readonly normalised: boolean;
  readonly cold: boolean;
}

const CARBON = new Set(
  ["1045", "1055", "1075", "1084", "1095", "c100s", "w1", "w2", "layered"].map((id) => `steel-${id}`),
);
const LOW_ALLOY = new Set(
  [
    "5160",
    "52100",
    "80crv2",
    "o1",
    "o2",
    "l6",
    "8670",
    "75ni8",
    "9260",
    "6150",
    "4140",
    "s5",
    "110wcrv5",
    "115w8",
    "142wv13",
  ].map((id) => `steel-${id}`),
);
const AIR = new Set(
  ["a2", "d2", "m2", "m4", "pm-m3", "t15", "a11", "s7", "h13", "420", "440c"].map((id) => `steel-${id}`),
);
/** Stainless by its European name. */
const STAINLESS = /^steel-x\d/;

/**
 * How a steel is hardened, from memory: the mill's sheet decides. Null of what does not harden. A maker's own is taken for
 * the steel that it is worked like, and of one that is like none its mill has to say.
 */
export function heatOf(material: Material | undefined): Heat | null {
  if (material?.class !== "steel") return null;
  const id = material.like ?? material.id;
  if (id === "iron-wrought") return null;
  if (CARBON.has(id)) return { group: "carbon", normalised: true, cold: false };
  if (LOW_ALLOY.has(id)) return { group: "low-alloy", normalised: true, cold: false };
  if (AIR.has(id) || STAINLESS.test(id)) return { group: "air-hardening", normalised: false, cold: true };
  return { group: "as-its-mill-says", normalised: false, cold: false };
}
