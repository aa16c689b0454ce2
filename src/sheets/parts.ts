import { printMass } from "@/core/base/units/print";
import type { Page } from "@/core/exchange/paper/page";
import { balanceWords } from "@/words/balance";
import { partName } from "@/words/parts";
import type { SheetMaker } from "./sheet";

/** What each part is made of, weighs, and where it lies. */
export function partsPages(maker: SheetMaker): Page[] {
  const { design, report, units } = maker.source;
  const materials = (ids: string) => ids.split("+").map(maker.materialName).join(" and ");
  const total = report.massG;
  const [low, high] = report.massIntervalG;
  const [back, front] = report.balanceIntervalMm;
  const figures = [
    maker.title("Parts and weights"),
    maker.text(
      `${printMass(total, units)} in all, between ${printMass(low, units)} and ${printMass(high, units)}. It balances ${balanceWords(report.balanceMm, design, units)}, give or take ${maker.length((front - back) / 2, 1)}.`,
    ),
    ...maker.table(
      [
        { name: "Part", share: 3 },
        { name: "Material", share: 3.4 },
        { name: "Weight", share: 1.3, number: true },
        { name: "Share", share: 1, number: true },
        { name: "Middle, from the front", share: 1.7, number: true },
      ],
      report.parts
        .filter((p) => p.massG > 0)
        .map((p) => [
          partName(p.key),
          materials(p.material),
          printMass(p.massG, units, 2),
          `${((100 * p.massG) / total).toFixed(1)} %`,
          maker.length(p.centreMm[0], 1),
        ]),
    ),
  ];
  return maker.flowed("parts", figures, 1.2);
}
