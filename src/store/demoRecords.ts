import bracken from "@demo/bracken-dagger.json";
import cairn from "@demo/cairn-bronze-grip.json";
import fen from "@demo/fen-rigging-knife.json";
import gorse from "@demo/gorse-guard-knife.json";
import heath from "@demo/heath-field-knife.json";
import hern from "@demo/hern-long-blade.json";
import holm from "@demo/holm-leather-stack.json";
import slicer from "@demo/long-meadow-slicer.json";
import marsh from "@demo/marsh-stick-tang.json";
import mere from "@demo/mere-framed-hunter.json";
import quarry from "@demo/old-quarry-re-handled.json";
import parer from "@demo/orchard-parer.json";
import reed from "@demo/reed-take-down-hunter.json";
import rook from "@demo/rook-hunter.json";
import chopper from "@demo/sallow-camp-chopper.json";
import gorsePlan from "@demo/shelf/gorse-guard-knife.plan.json";
import shelf from "@demo/shelf/lots.json";
import ownRecipes from "@demo/shelf/recipes.json";
import skerry from "@demo/skerry-prototype.json";
import tarn from "@demo/tarn-ready-made-blade.json";
import wren from "@demo/wren-neck-knife.json";
import { nanoid } from "nanoid";
import type { ProductDesign } from "@/core/knife/design/product";
import type { OwnMaterial } from "@/core/materials/own/types";
import { sealed } from "./reading";
import type { StoredKnife } from "./rows";
import { DEMO_ID } from "./storage";
import { LOTS, lotRows } from "./tables/lots";
import { PLANS, planRows } from "./tables/plans";
import { RECIPES, recipeRows } from "./tables/recipes";
import type { SealedRow } from "./tables/sealedRows";

const DEMO_FILES = [
  heath,
  parer,
  slicer,
  chopper,
  rook,
  fen,
  gorse,
  marsh,
  bracken,
  reed,
  holm,
  mere,
  quarry,
  tarn,
  cairn,
  skerry,
  wren,
  hern,
];

/** Materials of their makers' own that the demo knives bring. */
export const demoMaterials = (): readonly OwnMaterial[] =>
  DEMO_FILES.flatMap((file) => (file.knife as unknown as ProductDesign).materials);

/** The demo knives as records of their own, the first the newest, up to a time. */
export function demoRecords(from: number): StoredKnife[] {
  return DEMO_FILES.map((file, i) => ({
    id: `${DEMO_ID}${nanoid(8)}`,
    // Taken as they are: the tests hold that each is a whole design of the present version.
    ...sealed(file.knife as unknown as ProductDesign),
    revision: 1,
    createdAt: from - i,
    updatedAt: from - i,
    saved: null,
  }));
}

/** What stands beside the demo knives, by table: lots, a recipe, and how far one of the knives has come. */
export function demoBeside(knives: readonly StoredKnife[]): ReadonlyMap<string, readonly SealedRow[]> {
  // A knife's file has no id: it is found by its design.
  const half = knives.find(({ design }) => design === (gorse.knife as unknown));
  return new Map([
    [LOTS.name, shelf.lots.map((l) => lotRows.rowOf(l.id, l as never, null))],
    [RECIPES.name, ownRecipes.map((r) => recipeRows.rowOf(r.id, r as never, null))],
    [PLANS.name, half ? [planRows.rowOf(half.id, gorsePlan as never, null)] : []],
  ]);
}
