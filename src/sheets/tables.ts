import { roundTo } from "@/core/base/number";
import type { Table } from "@/core/exchange/files/csv/write";
import type { Bill } from "@/core/figures/cost/bill";
import { fitFigures } from "@/core/figures/fit/fitFigures";
import type { MassReport } from "@/core/figures/weigh/report";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import type { Material, MaterialOf } from "@/core/materials/types";
import { TASK_WORDS, takeWords } from "@/words/cost";
import { itemWords } from "@/words/fasteners";
import { BORE_WORDS, ownerWords } from "@/words/fit";
import { MATERIAL_CLASS_WORDS } from "@/words/materials";
import { cutName, partName } from "@/words/parts";
import type { TableKind } from "./kinds";

/** What tables are made of; always in mm and g, which their columns say. */
export interface TableSource {
  readonly design: Design;
  readonly report: MassReport;
  readonly bill: Bill | null;
  readonly currency: string;
  /** Every material that there is, the maker's own among them. */
  readonly materials: readonly Material[];
}

const mm = (value: number) => roundTo(value, 3);

function cutTable({ design }: TableSource, materialOf: MaterialOf): Table {
  return {
    columns: [
      "Piece",
      "Material",
      "Count",
      "Finished length mm",
      "Finished height mm",
      "Finished thickness mm",
      "Sawn length mm",
      "Sawn height mm",
      "Sawn thickness mm",
      "Grain",
    ],
    rows: fitFigures(design).cut.map((c) => [
      cutName(c.key),
      materialOf(c.material)?.name ?? c.material,
      c.count,
      ...[c.finishedMm, c.sawnMm].flatMap((s) => [mm(s.lengthMm), mm(s.heightMm), mm(s.thicknessMm)]),
      c.grain,
    ]),
  };
}

function partsTable({ report }: TableSource, materialOf: MaterialOf): Table {
  return {
    columns: ["Part", "Material", "Volume mm³", "Weight g", "Middle x mm", "Middle y mm", "Middle z mm"],
    rows: report.parts.map((p) => [
      partName(p.key),
      p.material
        .split("+")
        .map((id) => materialOf(id)?.name ?? id)
        .join(" + "),
      mm(p.volumeMm3),
      mm(p.massG),
      ...p.centreMm.map(mm),
    ]),
  };
}

function drillTable({ design }: TableSource): Table {
  return {
    columns: ["Order", "Hole", "For", "Size mm", "Drill", "Drill mm", "Clearance mm"],
    rows: fitFigures(design).bores.map((b, i) => [
      i + 1,
      `${BORE_WORDS[b.use]}${b.thread ? ` ${b.thread}` : ""}`,
      ownerWords(b.owners),
      mm(b.wantedMm),
      b.drill?.name ?? null,
      b.drill && mm(b.drill.mm),
      b.clearanceMm === null ? null : mm(b.clearanceMm),
    ]),
  };
}

function pinTable({ design }: TableSource): Table {
  return {
    columns: [
      "Fastener",
      "Behind the front mm",
      "Over the axis mm",
      "Diameter mm",
      "Through the handle mm",
      "Cut to mm",
    ],
    rows: fitFigures(design).pins.map((p) => [
      itemWords(p.name),
      mm(p.behindMm),
      mm(p.aboveAxisMm),
      mm(p.diameterMm),
      mm(p.throughMm),
      mm(p.blankMm),
    ]),
  };
}

function costTable({ bill, currency }: TableSource): Table {
  const money = (value: number | null) => (value === null ? null : roundTo(value, 2));
  const sum = currency ? `Cost ${currency}` : "Cost";
  if (!bill) return { columns: ["What", sum], rows: [] };
  return {
    columns: ["What", "Minutes", sum],
    rows: [
      ...bill.lines.map((l) => [takeWords(l.take), null, money(l.cost)]),
      ...bill.work.map((w) => [TASK_WORDS[w.task], w.minutes, null]),
      ["Materials", null, money(bill.materials)],
      ["Work", bill.minutes, money(bill.labour)],
      ["Other", null, money(bill.others)],
      ["Total", null, money(bill.total)],
    ],
  };
}

function materialTable({ materials }: TableSource): Table {
  return {
    columns: ["Id", "Name", "Class", "Density g/cm³", "Lowest", "Highest", "Source"],
    rows: materials.map((m) => [
      m.id,
      m.name,
      MATERIAL_CLASS_WORDS[m.class],
      m.densityGcc.typical,
      m.densityGcc.low,
      m.densityGcc.high,
      m.source,
    ]),
  };
}

const MAKERS: Readonly<Record<TableKind, (source: TableSource, materialOf: MaterialOf) => Table>> = {
  "cut-list": cutTable,
  parts: partsTable,
  drills: drillTable,
  pins: pinTable,
  costs: costTable,
  materials: materialTable,
};

export const tableOf = (kind: TableKind, source: TableSource): Table =>
  MAKERS[kind](source, materialsIn(source.design));
