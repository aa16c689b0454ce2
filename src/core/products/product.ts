import type * as z from "zod/mini";
import type { EditTable } from "../edit/table";
import type { Bill } from "../figures/cost/bill";
import type { Shop } from "../figures/cost/shop";
import type { Review } from "../figures/review/reviewDesign";
import type { Finding } from "../figures/review/types";
import type { Fineness } from "../figures/weigh/integrate";
import type { PanelMemory } from "../figures/weigh/panelMemory";
import type { Weighing } from "../figures/weigh/weighAssembly";
import type { Migrations } from "../knife/design/migrations/steps";
import type { ProductDesign } from "../knife/design/product";
import type { Assembly } from "../knife/parts/types";
import type { BuildSheet } from "../plan/buildSheet";
import type { Contradiction } from "../plan/contradictions";
import type { Recipe } from "../plan/recipes";
import type { PlanRecord } from "../plan/record";
import type { PlannedTask } from "../plan/state";
import type { Schools, Task } from "../plan/types";
import type { UsualMinutes } from "../plan/usualMinutes";
import type { Alike } from "../schedule/job";
import type { Lot } from "../shelf/lot";
import type { LotsForPiece } from "../shelf/lotsFor";
import type { Forging, Need } from "../shelf/needs";

/** A starting form: its code, and the design that it gives under a name. */
export interface Start<D> {
  readonly code: string;
  begin(name: string): D;
}

/** Something wrong inside a record that its schema cannot say: the keys that lead to it, and what it is. */
export interface RecordProblem {
  readonly keys: readonly (string | number)[];
  readonly message: string;
}

/**
 * How a product's designs are recorded: all that whoever keeps, reads or edits them needs, without what weighs them. Methods
 * are given designs of this product only.
 */
export interface RecordSpec<D extends ProductDesign = ProductDesign> {
  readonly kind: D["kind"];
  /** Every field with its limits. */
  readonly schema: { readonly shape: Readonly<Record<string, z.ZodMiniType>> } & z.ZodMiniType;
  /** What its record became in each version of records that changed it, by the version before. */
  readonly migrations: Migrations;
  problems(design: D): readonly RecordProblem[];
  /** The design without what refers to nothing any more. */
  tidied(design: D, before: D): D;
  /** Fields that say nothing of its weight. */
  readonly notWeighed: ReadonlySet<string>;
  readonly starts: readonly Start<D>[];
  /** What can be done to its designs, besides what can be done to every design. */
  readonly edits: EditTable<D>;
}

/** What a product's designs are as things: built and weighed. Methods are given designs of this product only. */
export interface ProductModel<D extends ProductDesign = ProductDesign> {
  readonly kind: D["kind"];
  /** Its parts in the pose that it is weighed in, in order of precedence. */
  assemble(design: D): Assembly;
  /** Its weight and balance, or what keeps it from being built. */
  weigh(design: D, fineness?: Fineness, memory?: PanelMemory | null): Weighing;
  /** What making it asks for: fetched by those who ask, so that what only weighs stays small. */
  making(): Promise<ProductMaking<D>>;
}

/** What making a product asks for. */
export interface ProductMaking<D extends ProductDesign = ProductDesign> {
  /** The trade's rules over it; a quick review leaves out fixes that cost many weighings. */
  review(design: D, quick: boolean): Review;
  /** What keeps it from being built, each with what would mend it; nothing of what can be built. */
  mend(design: D): readonly Finding[];
  /** What is done to make it, each task behind those that it waits for. Of one that can be built. */
  plan(design: D, schools: Schools): readonly Task[];
  /** Its plan as far as it has come, with the figures of each task; null where it cannot be built. */
  build(design: D, record: PlanRecord, recipes: readonly Recipe[], usual?: UsualMinutes): BuildSheet | null;
  /** Which of its tasks may be done together with those of others, by id. */
  alike(design: D, tasks: readonly PlannedTask[]): ReadonlyMap<string, Alike>;
  /** Everything that it takes: stock, rods, hardware, glue, what is used up; null where it cannot be built. */
  needs(design: D, schools: Schools, forged: Forging | null): readonly Need[] | null;
  /** For every piece of it the lots that serve or miss; null where it cannot be built. */
  lotsFor(design: D, lots: readonly Lot[]): readonly LotsForPiece[] | null;
  /** The places of its record that say what a piece is made of. */
  pathsOfPiece(design: D, piece: string): readonly string[];
  /** Where the blank of one does not serve for another of its kind; nothing where they share it. Of designs that can be built. */
  blankAgainst(design: D, other: D): readonly Contradiction[];
  /** What a design asks of its blank that what is done of a piece contradicts; of one that can be built. Null of one whose blank is not cut. */
  blankCutAgainst(design: D, done: PlanRecord["done"]): readonly Contradiction[] | null;
  /** What it costs to make at a shop's prices; null where it cannot be built. */
  bill(design: D, shop: Shop): Bill | null;
}

/** A spec of one product among others: whoever finds it by a design's kind gives it designs of that kind. */
export const anyRecord = <D extends ProductDesign>(spec: RecordSpec<D>): RecordSpec =>
  spec as unknown as RecordSpec;
export const anyModel = <D extends ProductDesign>(model: ProductModel<D>): ProductModel =>
  model as unknown as ProductModel;
