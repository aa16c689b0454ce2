import type { Material } from "./types";

/** How a steel is hardened: which kind it is, whether it is normalised before, and whether it goes into the cold after. */
export interface Heat {
  readonly group: "carbon" | "low-alloy" | "air-hardening" | "as-its-mill-says";
  readonly normalised: boolean;
  readonly cold: boolean;
  /** What it is hardened from, °C; null where its mill has to say. */
  readonly hardenC: { readonly low: number; readonly high: number } | null;
  /** Whether it has to be held there for long: what a torch cannot. */
  readonly held: boolean;
}

/** What each kind is hardened from, °C: as makers tell it and from memory, the mill's sheet decides. */
const HARDEN_C = {
  carbon: { low: 790, high: 815 },
  "low-alloy": { low: 790, high: 830 },
  "air-hardening": { low: 1050, high: 1070 },
} as const;

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

const of = (group: keyof typeof HARDEN_C, normalised: boolean): Heat => ({
  group,
  normalised,
  cold: group === "air-hardening",
  hardenC: HARDEN_C[group],
  held: group === "air-hardening",
});

/**
 * How a steel is hardened, from memory: the mill's sheet decides. Null of what does not harden. A maker's own is taken for
 * the steel that it is worked like, and of one that is like none its mill has to say.
 */
export function heatOf(material: Material | undefined): Heat | null {
  if (material?.class !== "steel") return null;
  const id = material.like ?? material.id;
  if (id === "iron-wrought") return null;
  if (CARBON.has(id)) return of("carbon", true);
  if (LOW_ALLOY.has(id)) return of("low-alloy", true);
  if (AIR.has(id) || STAINLESS.test(id)) return of("air-hardening", false);
  return { group: "as-its-mill-says", normalised: false, cold: false, hardenC: null, held: false };
}
