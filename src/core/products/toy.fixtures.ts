import * as z from "zod/mini";
import { billFor } from "../figures/cost/bill";
import { weighAssembly } from "../figures/weigh/weighAssembly";
import { boxContour } from "../geometry/curve/shapes";
import { cylinderRegion } from "../geometry/solids/cylinder";
import { slabRegion } from "../geometry/solids/slab";
import { plainJob } from "../knife/design/job";
import { materialsIn } from "../knife/design/materials";
import type { ProductDesign } from "../knife/design/product";
import { id, materialId, mm, plainText, text } from "../knife/design/record/fields";
import { job } from "../knife/design/record/job";
import { ownMaterials } from "../knife/design/record/material";
import { carriedWorkshop } from "../knife/design/record/workshop";
import { plainWorkshop } from "../knife/design/workshop";
import { type PartKey, partId } from "../knife/parts/partKey";
import type { Assembly } from "../knife/parts/types";
import { after, Planner } from "../plan/planner";
import { planState } from "../plan/state";
import type { ProductMaking, ProductModel, RecordSpec } from "./product";

const schema = z.strictObject({
  kind: z.literal("toy"),
  name: text(1, 80),
  notes: plainText(0, 4000),
  job,
  materials: ownMaterials,
  workshop: carriedWorkshop,
  block: z.strictObject({
    material: materialId,
    lengthMm: mm(10, 300),
    heightMm: mm(10, 100),
    thicknessMm: mm(5, 100),
  }),
  pin: z.strictObject({ id, material: materialId, diameterMm: mm(1, 20), xMm: mm(-300, 0) }),
});

/** A block with a pin through it: the smallest product that there can be, to see that the house asks for no more. */
export type Toy = Readonly<z.infer<typeof schema>> & ProductDesign;

export const newToy = (name: string): Toy => ({
  kind: "toy",
  name,
  notes: "",
  job: plainJob(),
  materials: [],
  workshop: plainWorkshop(),
  block: { material: "brass-360", lengthMm: 60, heightMm: 25, thicknessMm: 20 },
  pin: { id: "pin", material: "steel-1084", diameterMm: 6, xMm: -20 },
});

export const toyRecord: RecordSpec<Toy> = {
  kind: "toy",
  schema,
  migrations: {},
  problems: ({ block, pin }) =>
    block.material === pin.material
      ? [{ keys: ["pin", "material"], message: "cannot be seen in its block" }]
      : [],
  tidied: (design) => design,
  notWeighed: new Set(["name", "notes", "job", "workshop"]),
  edits: {},
  starts: [{ code: "small-block", begin: newToy }],
};

const key = (sort: string): PartKey => ({ kind: "component", sort, number: null, side: null });

function assemble({ block, pin }: Toy): Assembly {
  const span: [number, number] = [-block.lengthMm, 0];
  const outline = boxContour(span[0], span[1], -block.heightMm / 2, block.heightMm / 2);
  const part = (sort: string, materialId: string, ...regions: number[]) => ({
    key: key(sort),
    id: partId(key(sort)),
    group: "handle" as const,
    materials: [{ materialId, share: 1 }],
    regions,
  });
  return {
    regions: [
      slabRegion(outline, { at0: block.thicknessMm / 2, slope: 0 }, span),
      cylinderRegion({ xMm: pin.xMm, yMm: 0, radiusMm: pin.diameterMm / 2 }),
    ],
    parts: [part("cross-pin", pin.material, 0, 1), part("body-block", block.material, 0)],
  };
}

const weigh: ProductModel<Toy>["weigh"] = (design, fineness, memory) => {
  const { pin, block } = design;
  const off = -pin.xMm + pin.diameterMm / 2 - block.lengthMm;
  return weighAssembly(
    {
      assembly: assemble(design),
      materialOf: materialsIn(design),
      findings:
        off > 0
          ? [
              {
                rule: "pin-off-handle",
                severity: "error",
                at: null,
                subject: pin.id,
                measured: off,
                limit: 0,
              },
            ]
          : [],
    },
    fineness,
    memory,
  );
};

export const toyModel: ProductModel<Toy> = {
  kind: "toy",
  assemble,
  weigh,
  making: async () => toyMaking,
};

/** The block is sawn, then drilled. */
function toyPlan() {
  const p = new Planner();
  p.add("saw-piece");
  p.add("drill-pins", [after("saw-piece", "marked-out-first")]);
  return p.done();
}

const toyMaking: ProductMaking<Toy> = {
  review: () => ({ findings: [], accepted: [] }),
  mend: () => [],
  plan: () => toyPlan(),
  alike: () => new Map(),
  build: (design, record) => {
    const weighing = weigh(design);
    if (!weighing.ok) return null;
    const { massG, balanceMm } = weighing.report;
    const nothing = {
      figures: new Map(),
      cut: new Map(),
      contradicted: [],
      predicted: new Map(),
      drawn: new Map(),
      steel: null,
    };
    return { ...planState(toyPlan(), record), ...nothing, massG, balanceMm };
  },
  needs: () => [],
  lotsFor: () => [],
  blankAgainst: () => [],
  blankCutAgainst: () => null,
  pathsOfPiece: () => [],
  bill: (design, shop) => {
    const weighing = weigh(design);
    if (!weighing.ok) return null;
    return billFor(
      {
        lines: weighing.report.parts.map((p) => ({
          kind: "mass",
          what: p.key,
          key: p.material,
          massG: p.massG,
        })),
        work: [{ task: "finish", proposedMin: 30, minutes: 30 }],
        others: [],
        kerfMm: 1,
        materialOf: materialsIn(design),
      },
      shop,
    );
  },
};
