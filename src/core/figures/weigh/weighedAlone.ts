import type { Assembly, Part, WeighedAlone } from "../../knife/parts/types";
import type { Material, MaterialOf } from "../../materials/types";
import { materialMoments } from "./materialMoments";
import type { Moments } from "./moments";

/** An assembly, and what its parts are of, once readings stand in for densities. */
export interface OfReadings {
  readonly assembly: Assembly;
  readonly materialOf: MaterialOf;
}

/** The id under which what was weighed by itself stands among the densities. */
export const readingOf = ({ group }: WeighedAlone): string => `weighed-${group}`;

const drawnGcc = ({ materials }: Part, materialOf: MaterialOf): number =>
  materials.reduce((sum, m) => sum + m.share * (materialOf(m.materialId)?.densityGcc.typical ?? 0), 0);

/** What each group that was weighed by itself weighs as it is drawn, g. */
export function drawnAlone(
  assembly: Assembly,
  moments: readonly Readonly<Moments>[],
  materialOf: MaterialOf,
): ReadonlyMap<string, number> {
  const material = materialMoments(assembly, moments);
  const drawnG = new Map<string, number>();
  assembly.parts.forEach((p, i) => {
    if (!p.weighed) return;
    const { group } = p.weighed;
    drawnG.set(group, (drawnG.get(group) ?? 0) + (drawnGcc(p, materialOf) * material[i].v) / 1000);
  });
  return drawnG;
}

/**
 * What was weighed by itself weighs what the scale said: its parts are of a material of their own each, as dense as that
 * makes it, its interval the reading's; how much lies where stays as it is drawn. The very assembly where nothing was
 * weighed so. `moments` are those of the parts' own volumes.
 */
export function asWeighedAlone(
  assembly: Assembly,
  moments: readonly Readonly<Moments>[],
  materialOf: MaterialOf,
): OfReadings {
  const { parts } = assembly;
  if (!parts.some((p) => p.weighed)) return { assembly, materialOf };
  const drawnG = drawnAlone(assembly, moments, materialOf);
  const readings = new Map<string, Material>();
  const read = (part: Part): Part => {
    const { weighed, materials } = part;
    const all = weighed && drawnG.get(weighed.group);
    const [first] = materials;
    const of = first && materialOf(first.materialId);
    if (!weighed || !all || !of) return part;
    const materialId = readingOf(weighed);
    const off = weighed.offG / weighed.massG;
    readings.set(materialId, {
      ...of,
      id: materialId,
      densityGcc: { typical: 1, low: Math.max(0, 1 - off), high: 1 + off },
    });
    const share = (drawnGcc(part, materialOf) * weighed.massG) / all;
    return { ...part, materials: [{ materialId, share }], drawnOf: materials };
  };
  return {
    assembly: { ...assembly, parts: parts.map(read) },
    materialOf: (id) => readings.get(id) ?? materialOf(id),
  };
}
