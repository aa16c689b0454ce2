import { own } from "../../base/own";
import { materialsIn } from "../../knife/design/materials";
import type { Design } from "../../knife/design/schema";
import type { MaterialOf } from "../../materials/types";
import type { MassReport } from "../weigh/report";
import { weigh } from "../weigh/weigh";
import { billOfMaterials, type MaterialLine } from "./billOfMaterials";
import { type Priced, priced, takenMassG } from "./priced";
import type { Shop } from "./shop";
import { type WorkLine, workOf } from "./work";

export interface BillLine extends Priced {
  readonly take: MaterialLine;
  /** Of what is bought for it; null for hardware. */
  readonly massG: number | null;
}

/** What a knife costs to make: money in the shop's currency, time in minutes. */
export interface Bill {
  readonly lines: readonly BillLine[];
  readonly work: readonly WorkLine[];
  readonly materials: number;
  readonly minutes: number;
  readonly labour: number;
  readonly others: number;
  /** Of what is priced. */
  readonly total: number;
  /** Keys that have no price, or one that does not serve; the total is that much short. */
  readonly unpriced: readonly string[];
}

/** What a bill is made of, whatever product it is of. */
export interface Billable {
  readonly lines: readonly MaterialLine[];
  readonly work: readonly WorkLine[];
  /** Whatever else it takes: time, and money in the maker's own currency. */
  readonly others: readonly { readonly minutes: number; readonly money: number }[];
  readonly kerfMm: number;
  readonly materialOf: MaterialOf;
}

/** The bill at a shop's prices. What is bought as stock is charged by the share that is used up, not by whole pieces. */
export function billFor({ lines: takes, work, others, kerfMm, materialOf }: Billable, shop: Shop): Bill {
  const lines = takes.map((take) => ({
    take,
    ...priced(take, own(shop.prices, take.key), kerfMm, materialOf),
    massG: takenMassG(take, materialOf),
  }));
  const materials = lines.reduce((s, l) => s + (l.cost ?? 0), 0);
  const minutes = [...work, ...others].reduce((s, w) => s + w.minutes, 0);
  const labour = (minutes / 60) * shop.ratePerHour;
  const besides = others.reduce((s, o) => s + o.money, 0);
  return {
    lines,
    work,
    materials,
    minutes,
    labour,
    others: besides,
    total: materials + labour + besides,
    unpriced: [...new Set(lines.filter((l) => l.cost === null).map((l) => l.take.key))],
  };
}

/** The bill of a knife with a fixed blade that can be built, or null. */
export function billOf(design: Design, shop: Shop, known?: MassReport): Bill | null {
  const weighing = known ? null : weigh(design);
  const report = known ?? (weighing?.ok ? weighing.report : null);
  if (!report) return null;
  return billFor(
    {
      lines: billOfMaterials(design, report),
      work: workOf(design),
      others: design.work.others,
      kerfMm: design.workshop.saw.kerfMm,
      materialOf: materialsIn(design),
    },
    shop,
  );
}
