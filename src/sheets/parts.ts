import { printMass } from "@/core/base/units/print";
import type { Page } from "@/core/exchange/paper/page";
import { balanceWords } from "@/words/balance";
import { partName } from "@/words/parts";
import type { PageBuilder } from "./pageBuilder";

/** What each part is made of, weighs, and where it lies. */
export function partsPages(builder: PageBuilder): Page[] {
  const { design, report, units } = builder.source;
  const materials = (ids: string) => ids.split("+").map(builder.materialName).join(" and ");
  const total = report.massG;
  const [low, high] = report.massIntervalG;
  const [back, front] = report.balanceIntervalMm;
  const figures = [
    builder.title("Parts and weights"),
    builder.text(
      `${printMass(total, units)} in all, between ${printMass(low, units)} and ${printMass(high, units)}. It balances ${balanceWords(report.balanceMm, design, units)}, give or take ${builder.length((front - back) / 2, 1)}.`,
    ),
    ...builder.table(
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
          builder.length(p.centreMm[0], 1),
        ]),
    ),
  ];
  return builder.flowed("parts", figures, 1.2);
}
