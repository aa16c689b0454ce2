import { flowed, type Page } from "@/core/paper/page";
import { printMass } from "@/core/units/print";
import { partName } from "@/words/parts";
import type { SheetMaker } from "./sheet";

/** What each part is made of, weighs, and where it lies. */
export function partsPages(maker: SheetMaker): Page[] {
  const { report, setup, units } = maker.source;
  const materials = (ids: string) => ids.split("+").map(maker.materialName).join(" and ");
  const total = report.massG;
  const [low, high] = report.massIntervalG;
  const [back, front] = report.balanceIntervalMm;
  const figures = [
    maker.title("Parts and weights"),
    maker.text(
      `${printMass(total, units)} in all, between ${printMass(low, units)} and ${printMass(high, units)}. It balances ${place(maker, report.balanceMm)}, between ${maker.length(back, 1)} and ${maker.length(front, 1)} from the datum.`,
    ),
    ...maker.table(
      [
        { name: "Part", share: 3 },
        { name: "Material", share: 3.4 },
        { name: "Weight", share: 1.3, number: true },
        { name: "Share", share: 1, number: true },
        { name: "Middle, from the datum", share: 1.7, number: true },
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
  return maker.pages("parts", flowed(figures, setup, 1.2));
}

/** Where the knife balances, in words: "12.4 mm behind the datum". */
export function place(maker: SheetMaker, mm: number): string {
  return `${maker.length(Math.abs(mm), 1)} ${mm < 0 ? "behind" : "ahead of"} the datum (the handle's front)`;
}
