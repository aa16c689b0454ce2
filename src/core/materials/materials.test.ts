import { readFileSync } from "node:fs";
import elements from "periodic-table-data-complete/pTable.json";
import { describe, expect, it } from "vitest";
import { MATERIALS, shippedMaterial } from "./materials";
import { HAZARDS, MATERIAL_CLASSES } from "./types";

describe("the material list", () => {
  it("has unique ids, ordered densities, known classes and hazards, and a source for each", () => {
    expect(new Set(MATERIALS.map((m) => m.id)).size).toBe(MATERIALS.length);
    expect(MATERIALS.length).toBeGreaterThanOrEqual(150);
    for (const m of MATERIALS) {
      const { low, typical, high } = m.densityGcc;
      expect(low > 0 && low <= typical && typical <= high && high < 20, m.id).toBe(true);
      expect(MATERIAL_CLASSES).toContain(m.class);
      for (const h of m.hazards) expect(HAZARDS).toContain(h);
      expect(m.source.length, m.id).toBeGreaterThan(5);
    }
    for (const cls of MATERIAL_CLASSES)
      expect(MATERIALS.filter((m) => m.class === cls).length, cls).toBeGreaterThan(1);
  });
});

/** Our id → its name in the `units` data file. */
const WOOD_NAMES: Record<string, string> = {
  "walnut-black": "blackwalnut",
  "maple-hard": "hardmaple",
  cherry: "cherry",
  "oak-white": "whiteoak",
  "oak-red": "redoak",
  beech: "beech",
  birch: "birch",
  teak: "teak",
  mahogany: "mahogany",
  koa: "koa",
  zebrawood: "zebrawood",
  bubinga: "bubinga",
  "rosewood-indian": "rosewood_indian",
  "rosewood-honduran": "rosewood_honduran",
  cocobolo: "cocobolo",
  "ebony-gaboon": "ebony_gaboon",
  "ebony-macassar": "ebony_macassar",
  blackwood: "blackwood",
  "lignum-vitae": "lignumvitae",
  "ironwood-black": "blackironwood",
  snakewood: "snakewood",
  "rosewood-brazilian": "rosewood_brazilian",
  "maple-bigleaf": "bigleafmaple",
  "maple-red": "redmaple",
  "maple-silver": "silvermaple",
  "box-elder": "boxeldermaple",
  poplar: "poplar",
  basswood: "basswood",
  balsa: "balsa",
  "douglas-fir": "douglasfir",
  "pine-white": "easternwhitepine",
  "pine-yellow": "loblollypine",
  "spruce-sitka": "sitkaspruce",
};

describe("wood densities against Debian's units data (wood_*, dried)", () => {
  const data = readFileSync("/usr/share/units/definitions.units", "utf8");

  it("names every wood that says it is from there; the others say that they are from memory", () => {
    const woods = MATERIALS.filter((m) => m.class === "wood");
    for (const { id, source } of woods) expect(/GNU units/.test(source), id).toBe(id in WOOD_NAMES);
    for (const { id, source } of woods.filter((m) => !(m.id in WOOD_NAMES)))
      expect(source, id).toContain("from memory");
    expect(Object.keys(WOOD_NAMES).length).toBeGreaterThan(30);
  });

  it.each(Object.entries(WOOD_NAMES))("%s", (id, name) => {
    const pounds = new RegExp(`^wood_${name}\\s+([\\d.]+) lb/ft\\^3`, "m").exec(data)?.[1];
    // 1 lb = 453.59237 g and 1 ft = 30.48 cm, exact by definition.
    const gcc = (Number(pounds) * 453.59237) / 30.48 ** 3;
    expect(Math.abs(shippedMaterial(id)!.densityGcc.typical / gcc - 1)).toBeLessThan(0.001);
  });
});

/**
 * Nominal compositions in mass per cent, the rest the first element. Compositions: UNS, AISI and EN designations,
 * from memory. Carbon below 2 % sits between the iron atoms; as graphite it would be counted far too light, so it
 * is counted at the density of iron, which the tolerance covers.
 */
const ALLOYS: Record<string, [string, Record<string, number>]> = {
  "steel-1084": ["Fe", { Mn: 0.75 }],
  "steel-5160": ["Fe", { Mn: 0.9, Cr: 0.8 }],
  "steel-o1": ["Fe", { Mn: 1.2, Cr: 0.5, W: 0.5 }],
  "steel-d2": ["Fe", { Cr: 12, Mo: 0.8, V: 0.9 }],
  "steel-m2": ["Fe", { W: 6.2, Mo: 5, Cr: 4.1, V: 1.9 }],
  "steel-420": ["Fe", { Cr: 13 }],
  "steel-440c": ["Fe", { Cr: 17, Mo: 0.5 }],
  "stainless-304": ["Fe", { Cr: 18.5, Ni: 9, Mn: 1.5 }],
  "stainless-416": ["Fe", { Cr: 13, Mn: 1 }],
  "brass-260": ["Cu", { Zn: 30 }],
  "brass-360": ["Cu", { Zn: 35.5, Pb: 3 }],
  "nickel-silver": ["Cu", { Zn: 17, Ni: 18 }],
  "bronze-phosphor": ["Cu", { Sn: 5 }],
  copper: ["Cu", {}],
  "aluminium-6061": ["Al", { Mg: 1, Si: 0.6 }],
  "titanium-2": ["Ti", {}],
  "titanium-5": ["Ti", { Al: 6, V: 4 }],
  "silver-925": ["Ag", { Cu: 7.5 }],
  "zirconium-702": ["Zr", {}],
  "steel-1075": ["Fe", { Mn: 0.6 }],
  "steel-1095": ["Fe", { Mn: 0.4 }],
  "steel-52100": ["Fe", { Cr: 1.5 }],
  "steel-80crv2": ["Fe", { Cr: 0.6 }],
  "steel-w2": ["Fe", {}],
  "steel-l6": ["Fe", { Ni: 1.5, Cr: 0.8 }],
  "steel-a2": ["Fe", { Cr: 5, Mo: 1 }],
  "steel-x50crmov15": ["Fe", { Cr: 14.5, Mo: 0.6 }],
  "steel-1045": ["Fe", { Mn: 0.7 }],
  "steel-1055": ["Fe", { Mn: 0.7 }],
  "steel-c100s": ["Fe", { Mn: 0.4 }],
  "steel-w1": ["Fe", {}],
  "steel-o2": ["Fe", { Mn: 2 }],
  "steel-110wcrv5": ["Fe", { W: 1.3, Cr: 1.1 }],
  "steel-115w8": ["Fe", { W: 2, Cr: 1 }],
  "steel-8670": ["Fe", { Ni: 0.9, Cr: 0.4 }],
  "steel-6150": ["Fe", { Cr: 1, Mn: 0.8 }],
  "steel-4140": ["Fe", { Cr: 1, Mn: 0.8 }],
  "steel-s7": ["Fe", { Cr: 3.2, Mo: 1.4 }],
  "steel-h13": ["Fe", { Cr: 5.2, Mo: 1.4, V: 1, Si: 1 }],
  "steel-a11": ["Fe", { Cr: 5.2, V: 9.8, Mo: 1.3 }],
  "steel-x46cr13": ["Fe", { Cr: 13 }],
  "steel-x70crmo15": ["Fe", { Cr: 15 }],
  "steel-x90crmov18": ["Fe", { Cr: 18, Mo: 1 }],
  "steel-x190crvmo20": ["Fe", { Cr: 20, V: 4, Mo: 1 }],
  "steel-x39crmo17": ["Fe", { Cr: 16.5, Mo: 1 }],
  "iron-wrought": ["Fe", {}],
  "steel-layered": ["Fe", { Mn: 0.6, Ni: 1 }],
  "mild-steel": ["Fe", { Mn: 0.8 }],
  "stainless-303": ["Fe", { Cr: 18, Ni: 9 }],
  "stainless-410": ["Fe", { Cr: 12.5 }],
  "copper-beryllium": ["Cu", { Be: 1.9 }],
  "zinc-cast": ["Zn", { Al: 4 }],
  "steel-75ni8": ["Fe", { Ni: 2 }],
  "steel-142wv13": ["Fe", { W: 3 }],
  "steel-m4": ["Fe", { W: 5.5, Mo: 4.5, Cr: 4, V: 4 }],
  "steel-t15": ["Fe", { W: 12.3, Cr: 4, V: 5, Co: 5 }],
  "steel-pm-m3": ["Fe", { W: 6.2, Mo: 5, Cr: 4.1, V: 3 }],
  "steel-x65cr13": ["Fe", { Cr: 13 }],
  "steel-x105crcomo18": ["Fe", { Cr: 17.5, Co: 1.5, Mo: 1.1 }],
  "stainless-316": ["Fe", { Cr: 17, Ni: 11.5, Mo: 2.2 }],
  "stainless-17-4": ["Fe", { Cr: 16, Ni: 4, Cu: 4 }],
  "brass-220": ["Cu", { Zn: 10 }],
  "brass-230": ["Cu", { Zn: 15 }],
  "bronze-tin": ["Cu", { Sn: 10, Zn: 2 }],
  "copper-nickel": ["Cu", { Ni: 30 }],
  "nickel-200": ["Ni", {}],
  "nickel-copper": ["Ni", { Cu: 31 }],
  "aluminium-7075": ["Al", { Zn: 5.6, Mg: 2.5, Cu: 1.6 }],
  "aluminium-2024": ["Al", { Cu: 4.4, Mg: 1.5 }],
  "magnesium-az31": ["Mg", { Al: 3, Zn: 1 }],
  pewter: ["Sn", { Sb: 6, Cu: 2 }],
  lead: ["Pb", {}],
  "tungsten-heavy": ["W", { Ni: 7, Fe: 3 }],
  niobium: ["Nb", {}],
  "silver-fine": ["Ag", {}],
  "gold-750": ["Au", { Ag: 12.5, Cu: 12.5 }],
};

describe("alloy densities by the rule of mixtures (npm: periodic-table-data-complete)", () => {
  it("say so of every steel and metal that is held against it, and of no other", () => {
    for (const { id, source } of MATERIALS.filter((m) => m.class === "steel" || m.class === "metal"))
      expect(/rule of mixtures/.test(source), id).toBe(id in ALLOYS);
  });

  const pureGcc = new Map(elements.map((e) => [e.symbol, Number(e.density?.stp) / 1000]));

  it.each(Object.entries(ALLOYS))("%s is within 3 %%", (id, [base, parts]) => {
    const rest = 100 - Object.values(parts).reduce((a, b) => a + b, 0);
    const all: [string, number][] = [[base, rest], ...Object.entries(parts)];
    // Ideal mixture: specific volumes add. Solid solutions differ from it by a per cent or two.
    const volume = all.reduce((sum, [symbol, percent]) => sum + percent / 100 / pureGcc.get(symbol)!, 0);
    expect(Math.abs(shippedMaterial(id)!.densityGcc.typical * volume - 1)).toBeLessThan(0.03);
  });
});
