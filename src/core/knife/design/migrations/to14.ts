import { isRecord } from "../../../base/isRecord";
import { each, type Loose } from "./loose";
import type { Migrations } from "./steps";

/** What every shop waited until version 13 before it ground what was glued, h. */
const CURE_THEN_H = 24;

/** What a shop has and how it works, in a knife or by itself: how long it waits at least before grinding. */
function workshopToVersion14(facts: unknown): unknown {
  if (!isRecord(facts) || !isRecord(facts.glue)) return facts;
  return { ...facts, glue: { leastCureH: CURE_THEN_H, ...facts.glue } };
}

/** A material of one's own: what else it is called. */
const materialToVersion14 = (material: Loose): Loose => ({ otherNames: [], ...material });

export function toVersion14({ workshop, materials, ...record }: Loose): Loose {
  return {
    ...record,
    workshop: workshopToVersion14(workshop),
    materials: each(materials, materialToVersion14),
  };
}

/** A maker's workshops and own materials, which are kept by themselves, too: from the version that their rows name. */
export const WORKSHOP_MIGRATIONS: Migrations = {
  13: (workshop) =>
    isRecord(workshop) ? { ...workshop, facts: workshopToVersion14(workshop.facts) } : workshop,
};
export const MATERIAL_MIGRATIONS: Migrations = {
  13: (material) => (isRecord(material) ? materialToVersion14(material) : material),
};
