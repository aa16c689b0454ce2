import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import { TRUE_PRINTER } from "@/core/exchange/paper/paper";
import { billOf } from "@/core/figures/cost/bill";
import { PAID_AS } from "@/core/figures/cost/billOfMaterials";
import { plainShop } from "@/core/figures/cost/shop";
import { workOf } from "@/core/figures/cost/work";
import { fitFigures } from "@/core/figures/fit/fitFigures";
import { weigh } from "@/core/figures/weigh/weigh";
import { CONSTRUCTIONS } from "@/core/knife/design/constructions.fixtures";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import type { PartKey } from "@/core/knife/parts/partKey";
import { newPlan } from "@/core/plan/newPlan";
import { customerWords } from "@/words/customer";
import { cutName, partName } from "@/words/parts";
import type { SheetKind } from "@/words/sheets";
import { sheetPages } from "./pages";

/** In which lists each kind of part stands that weighs something; "void" of what weighs nothing. */
type Lists = readonly ("parts" | "customer" | "cost" | "minutes" | "card")[] | "void";
const LISTS: Readonly<Record<PartKey["kind"], Lists>> = {
  blade: ["parts", "customer", "cost", "minutes", "card"],
  tang: ["parts", "customer", "cost", "minutes", "card"],
  "tang-rest": ["parts", "customer", "cost", "minutes", "card"],
  frame: ["parts", "customer", "cost", "minutes", "card"],
  guard: ["parts", "customer", "cost", "minutes", "card"],
  bolster: ["parts", "customer", "cost", "minutes", "card"],
  liner: ["parts", "customer", "cost", "minutes", "card"],
  scale: ["parts", "customer", "cost", "minutes", "card"],
  divider: ["parts", "customer", "cost", "minutes", "card"],
  lower: ["parts", "customer", "cost", "minutes", "card"],
  "lengthwise-sheet": ["parts", "customer", "cost", "minutes", "card"],
  half: ["parts", "customer", "cost", "minutes", "card"],
  piece: ["parts", "customer", "cost", "minutes", "card"],
  fastener: ["parts", "customer", "cost", "minutes", "card"],
  wrap: ["parts", "customer", "cost", "minutes", "card"],
  ring: ["parts", "customer", "cost", "minutes"],
  fitting: ["parts", "customer", "cost", "minutes"],
  "tang-end": ["parts", "customer", "cost", "minutes"],
  // Glue and plugs: in the parts and in what they cost; a customer reads of them together.
  hole: ["parts", "customer", "cost"],
  slot: ["parts", "customer", "cost"],
  recess: ["parts", "customer", "cost"],
  "guard-slot": ["parts", "customer", "cost"],
  "tang-hole": ["parts", "customer", "cost"],
  "blade-notch": "void",
  groove: "void",
  "ring-bore": "void",
  "bare-end": "void",
  // Knives with fixed blades have none.
  component: "void",
};

const all: (readonly [string, Design])[] = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)];

function textOf(kind: SheetKind, design: Design): string {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error(design.name);
  const { report } = weighing;
  const paper = { paper: "a4", way: "proposed", printer: TRUE_PRINTER } as const;
  const bill = billOf(design, plainShop(), report);
  const source = {
    design,
    report,
    units: "metric",
    paper,
    bill,
    currency: "",
    options: [],
    plan: newPlan(),
    recipes: [],
    day: "",
  } as const;
  return sheetPages(kind, source)
    .flatMap((p) => p.items.flatMap((i) => (i.kind === "text" ? [i.text] : [])))
    .join(" ")
    .replaceAll(/\s+/g, " ");
}

/** Tasks at the bench that a kind of part is made in. */
const TASKS: Readonly<Partial<Record<PartKey["kind"], readonly string[]>>> = {
  blade: ["blade", "blade-in-hand"],
  tang: ["blade", "blade-in-hand", "tang"],
  "tang-rest": ["tang"],
  frame: ["frame"],
  guard: ["guard"],
  fitting: ["guard"],
  bolster: ["bolsters"],
  liner: ["liners"],
  scale: ["scales"],
  divider: ["joints"],
  lower: ["joints"],
  "lengthwise-sheet": ["joints"],
  half: ["halves"],
  piece: ["pieces", "pommel"],
  fastener: ["pins", "bolts"],
  wrap: ["wrap"],
  ring: ["rings"],
  "tang-end": ["tang-end"],
};

describe("every kind of part stands in every list that is its", () => {
  const seen = new Set<string>();

  it.each(all)("of %s", (_, design) => {
    const weighing = weigh(design);
    if (!weighing.ok) throw new Error(design.name);
    const { report } = weighing;
    const [parts, customer, certificate, card] = (
      ["parts", "customer", "certificate", "fit-up"] as const
    ).map((kind) => textOf(kind, design));
    const bill = billOf(design, plainShop(), report)!;
    const materialOf = materialsIn(design);
    const minutes = new Set<string>(workOf(design).map((w) => w.task));
    const sheet = fitFigures(design);
    const wrong: string[] = [];
    for (const { key, id, material, massG } of report.parts) {
      const lists = LISTS[key.kind];
      if (lists === "void" || !(massG > 0)) continue;
      seen.add(key.kind);
      const ids = material.split("+");
      const materials = ids.map((m) => materialOf(m)?.name ?? m);
      const has = (list: (typeof lists)[number]): boolean => {
        switch (list) {
          case "parts":
            return parts.includes(partName(key).split(" ")[0]);
          case "customer":
            return [customer, certificate].every(
              (said) =>
                said.includes(customerWords(key)) &&
                materials.every((m) => said.includes(m.split(",")[0].split(" ")[0])),
            );
          case "minutes":
            return (TASKS[key.kind] ?? []).some((t) => minutes.has(t));
          case "card": {
            if (key.kind === "wrap") return card.includes("Wind");
            if (key.kind === "fastener") return sheet.pins.some((p) => key.id === p.id);
            // A blade in the hand is not cut, nor what came in as a shape.
            if ((key.kind === "blade" || key.kind === "tang") && design.blade.measured) return true;
            if (key.kind === "guard" && design.guard?.mesh) return true;
            return sheet.cut.some(
              (c) => card.includes(cutName(c.key).split(",")[0]) && c.material === ids[0],
            );
          }
          case "cost": {
            const kinds = bill.lines.map((l) => l.take);
            if (PAID_AS[key.kind] === "fastener")
              return kinds.some((t) => t.kind === "rod" || t.kind === "hardware" || ids.includes(t.key));
            if (PAID_AS[key.kind] === "fill" && ids.every((m) => materialOf(m)?.class === "adhesive"))
              return kinds.some((t) => t.kind === "mass" && t.what === "glue");
            if ((key.kind === "blade" || key.kind === "tang") && design.blade.measured)
              return kinds.some((t) => t.kind === "hardware" && t.key === "each:blade");
            return kinds.some((t) => ids.includes(t.key));
          }
        }
      };
      for (const list of lists) if (!has(list)) wrong.push(`${id} (${material}) is not in ${list}`);
    }
    expect(wrong).toEqual([]);
  });

  it("and every kind was seen", () => {
    const weighs = Object.entries(LISTS).flatMap(([kind, lists]) => (lists === "void" ? [] : [kind]));
    expect([...seen].sort()).toEqual(weighs.sort());
  });

  it("nothing is wiped or roughened where nothing is glued, and what is printed is not sawn", () => {
    const apart = all.find(([name]) => name === "reed-take-down-hunter.json")![1];
    const { glue } = fitFigures(apart);
    if (glue.netMm3 === 0) expect([glue.oily, glue.metals]).toEqual([[], []]);
    const printed = CONSTRUCTIONS["printed guard"];
    expect(textOf("fit-up", printed)).toContain(", printed");
  });

  it("a weld is not asked for before hardening on a blade that is hard already", () => {
    const old = all.find(([name]) => name === "old-quarry-re-handled.json")![1];
    const card = textOf("fit-up", old);
    expect(card).toContain("hard already");
    expect(card).not.toContain("Weld before hardening");
    expect(textOf("fit-up", CONSTRUCTIONS["short tang, welded on"])).toContain("Weld before hardening");
  });
});
