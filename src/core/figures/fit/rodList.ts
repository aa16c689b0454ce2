import { kindOf } from "../../kinds/fasteners/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design } from "../../knife/design/schema";
import { pinLayout } from "./pinLayout";

/** Rod of one sort to cut, patterned or not: the number of pieces, and their length together. */
export interface RodLine {
  readonly kind: "rod" | "tube" | "patterned-rod";
  readonly material: string;
  readonly diameterMm: number;
  readonly count: number;
  readonly lengthMm: number;
}

/** Rod to cut for pins and tubes: by sort, material and diameter. */
export function rodList(design: Design): RodLine[] {
  const rods = new Map<string, RodLine>();
  const places = new Map(pinLayout(design).map((p) => [p.id, p]));
  const put = (kind: RodLine["kind"], material: string, diameterMm: number, blankMm: number) => {
    const key = `${kind} ${material} ${diameterMm}`;
    const rod = rods.get(key) ?? { kind, material, diameterMm, count: 0, lengthMm: 0 };
    const lengthMm = rod.lengthMm + blankMm + design.workshop.saw.kerfMm;
    rods.set(key, { ...rod, count: rod.count + 1, lengthMm });
  };
  for (const f of design.fasteners) {
    const stock = kindOf(f).stock(f);
    if (stock.kind !== "hardware")
      put(stock.kind, stock.material, f.diameterMm, places.get(f.id)?.blankMm ?? 0);
  }
  const { tang } = design;
  const stud = tang.kind === "hidden" ? endKindOf(tang.end).rodStock(tang.end) : null;
  if (stud) put("rod", stud.material, stud.diameterMm, stud.lengthMm);
  return [...rods.values()];
}
