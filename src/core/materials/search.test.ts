import { describe, expect, it } from "vitest";
import { MATERIALS } from "./materials";
import { asMaterial } from "./own/known";
import { ofClass, ownId, plainOwn } from "./own/make";
import { searchMaterials } from "./search";
import { SYNONYMS } from "./synonyms";

const ids = (words: string) => searchMaterials(words).map((m) => m.id);
const classes = (words: string) => new Set(searchMaterials(words).map((m) => m.class));

describe("materials by everyday words", () => {
  it.each([
    ["aluminum", "aluminium-6061"],
    ["aluminium 7075", "aluminium-7075"],
    ["brass", "brass-260"],
    ["ebony", "ebony-gaboon"],
    ["stabilized maple", "maple-burl-stabilised"],
    ["phenolic", "linen-phenolic"],
    ["burlap", "burlap-phenolic"],
    ["carbon fiber", "carbon-epoxy"],
    ["g10", "g10"],
    ["G-10", "g10"],
    ["razor blade", "steel-x65cr13"],
    ["german silver", "nickel-silver"],
    ["damascus", "steel-layered"],
    ["super glue", "cyanoacrylate"],
    ["paua", "abalone"],
    ["linden", "basswood"],
    ["6al4v", "titanium-5"],
    ["1.4116", "steel-x50crmov15"],
  ])("%s is %s, among the first", (words, id) => {
    expect(ids(words).slice(0, 3)).toContain(id);
  });

  it("an antler is an antler, and powder metallurgy steels are steels", () => {
    expect(ids("antler").length).toBeGreaterThan(4);
    expect(classes("antler")).toContain("horn-bone");
    expect(classes("powder metallurgy")).toEqual(new Set(["steel"]));
    expect(ids("ivory")[0]).toMatch(/ivory/);
  });

  it("a typo or a word that is only begun finds it all the same; short words are taken as they are", () => {
    expect(ids("walnutt")).toContain("walnut-black");
    expect(ids("cocobollo")).toContain("cocobolo");
    expect(ids("phenollic")).toContain("linen-phenolic");
    expect(ids("titan")).toContain("titanium-5");
    expect(ids("zzz")).toEqual([]);
  });

  it("every word counts", () => {
    expect(ids("silicon bronze")[0]).toBe("bronze-silicon");
    expect(ids("bronze walnut")).toEqual([]);
  });

  it("no words give all; every material is found by its own name, first", () => {
    expect(searchMaterials("  ")).toBe(MATERIALS);
    for (const m of MATERIALS) expect(ids(m.name).slice(0, 3), m.name).toContain(m.id);
  });

  it("words are said of materials that there are", () => {
    for (const id of Object.keys(SYNONYMS)) expect(MATERIALS.map((m) => m.id)).toContain(id);
  });

  it("an own material is found by what else it is called, and by its class's words", () => {
    const own = asMaterial({
      ...plainOwn(ownId("lot-12")),
      name: "Bog oak, north",
      otherNames: ["the brown one", "lot 12"],
    })!;
    const among = [...MATERIALS, own];
    expect(searchMaterials("brown one", among)[0]).toBe(own);
    expect(searchMaterials("lot 12", among)).toEqual([own]);
  });

  it("the class decides what to take care of; what its maker has added stays", () => {
    const wood = { ...plainOwn(ownId("care")), hazards: ["wood-dust", "regulated-trade"] as const };
    expect(ofClass(wood, "horn-bone").hazards).toEqual(["bone-dust", "regulated-trade"]);
    expect(ofClass(ofClass(wood, "horn-bone"), "wood").hazards).toEqual(["wood-dust", "regulated-trade"]);
    for (const m of MATERIALS)
      for (const hazard of ofClass(plainOwn(ownId("care")), m.class).hazards)
        expect(m.hazards).toContain(hazard);
  });
});
