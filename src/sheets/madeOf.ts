import type { Figure } from "@/core/exchange/paper/item";
import { PART_GROUPS } from "@/core/knife/parts/types";
import { customerWords, INSIDE } from "@/words/customer";
import type { PageBuilder } from "./pageBuilder";

/** What a knife is made of, read off the parts that are weighed: each name once, with every material that it has, from the blade to what is out of sight. */
export function madeOf(builder: PageBuilder): readonly (readonly [string, string])[] {
  const found = new Map<string, Set<string>>();
  for (const { key, material, massG } of builder.source.report.parts) {
    if (!(massG > 0)) continue;
    const name = customerWords(key);
    const materials = found.get(name) ?? new Set();
    for (const id of material.split("+")) materials.add(builder.materialName(id));
    found.set(name, materials);
  }
  const groups = new Map(builder.source.report.parts.map((p) => [customerWords(p.key), p.group]));
  const placeOf = (name: string) =>
    name === INSIDE ? PART_GROUPS.length : PART_GROUPS.indexOf(groups.get(name) ?? "handle");
  const sorted = [...found].sort((a, b) => placeOf(a[0]) - placeOf(b[0]));
  return sorted.map(([name, materials]) => [name, [...materials].join(", ")] as const);
}

/** The same as a table. */
export const madeOfTable = (builder: PageBuilder): Figure[] =>
  builder.table(
    [
      { name: "Part", share: 1.4 },
      { name: "Material", share: 4 },
    ],
    madeOf(builder),
  );
