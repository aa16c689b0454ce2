import { sameData } from "../../base/sameData";
import type { ProductDesign } from "./product";
import type { CarriedWorkshop, Workshop, WorkshopFacts } from "./record/workshop";
import { WORKSHOP_PARTS, type WorkshopPart } from "./workshopParts";

/** One of the maker's workshops, for what follows it. */
export interface Followed {
  readonly id: string;
  readonly facts: WorkshopFacts;
}

/**
 * A shop before its maker says otherwise: an inch shop's drills, a slow epoxy at room temperature. Common practice, no
 * source; every figure can be changed.
 */
export function plainFacts(): WorkshopFacts {
  return {
    drills: { sets: ["fraction", "number", "letter"], own: [] },
    cuttersMm: [1.5, 2, 2.5, 3, 4, 5, 6, 8, 10],
    grinders: { wheelsMm: [19, 25, 50, 100, 150, 200, 250], filesMm: [4, 6, 8, 10, 12] },
    glue: {
      ratio: 1,
      densityA: 1.16,
      densityB: 1.0,
      lineMm: 0.1,
      wasteShare: 0.5,
      potLifeMin: 60,
      cureH: 24,
      leastCureH: 24,
      atC: 22,
      minutesAPart: 3,
    },
    shopC: 20,
    saw: { kerfMm: 1.5, allowanceMm: 1.5 },
    handMm: 85,
    heatSources: [],
  };
}

/** A plain shop, which is none of the maker's yet. */
export const plainWorkshop = (): CarriedWorkshop => ({ id: null, own: [], ...plainFacts() });

/** A workshop to begin with: five days of eight hours, nothing paid, a printer that is true. */
export function newWorkshop(id: string, name: string, facts: WorkshopFacts = plainFacts()): Workshop {
  const day = [{ fromMin: 9 * 60, toMin: 17 * 60 }];
  return {
    id,
    name,
    facts,
    hours: [day, day, day, day, day, [], []],
    daysOff: [],
    clampSets: 2,
    deliveryDays: 7,
    ratePerHour: 0,
    printer: { acrossMm: 100, downMm: 100 },
  };
}

/** What a design's workshop says, without which of the maker's it is. */
export function factsOf({ workshop }: ProductDesign): WorkshopFacts {
  const { id: _, own: __, ...facts } = workshop;
  return facts;
}

const withWorkshop = <D extends ProductDesign>(design: D, workshop: CarriedWorkshop): D => ({
  ...design,
  workshop,
});

/** Some parts of a workshop in the place of those that stand there. */
function withParts(
  workshop: CarriedWorkshop,
  facts: WorkshopFacts,
  parts: readonly WorkshopPart[],
): CarriedWorkshop {
  return { ...workshop, ...Object.fromEntries(parts.map((p) => [p, facts[p]])) };
}

/**
 * The design as the workshop that it follows is now: every part but those that it says otherwise. The same object where
 * nothing differs, and where it follows another workshop or none.
 */
export function inWorkshop<D extends ProductDesign>(design: D, { id, facts }: Followed): D {
  const { workshop } = design;
  if (workshop.id !== id) return design;
  const stale = WORKSHOP_PARTS.filter((p) => !workshop.own.includes(p) && !sameData(workshop[p], facts[p]));
  return stale.length === 0 ? design : withWorkshop(design, withParts(workshop, facts, stale));
}

/** The design as one that follows a workshop from now on: what it says otherwise stays its own. */
export function joined<D extends ProductDesign>(design: D, { id, facts }: Followed): D {
  const own = WORKSHOP_PARTS.filter((p) => !sameData(design.workshop[p], facts[p]));
  return withWorkshop(design, { ...design.workshop, id, own });
}

/** The design with all of a workshop's parts. */
export const movedInto = <D extends ProductDesign>(design: D, { id, facts }: Followed): D =>
  withWorkshop(design, { id, own: [], ...facts });

/** The design with one part as its workshop has it; as it is where it follows another workshop or none. */
export function withShared<D extends ProductDesign>(
  design: D,
  part: WorkshopPart,
  { id, facts }: Followed,
): D {
  const { workshop } = design;
  if (workshop.id !== id) return design;
  const own = workshop.own.filter((p) => p !== part);
  return withWorkshop(design, withParts({ ...workshop, own }, facts, [part]));
}

/** A changed design: what was changed of the workshop that it follows is its own from now on. */
export function withOwnParts<D extends ProductDesign>(before: D, after: D): D {
  const { workshop } = after;
  if (workshop === before.workshop || workshop.id === null || workshop.id !== before.workshop.id)
    return after;
  // Who takes a part out of those of its own has set it, too.
  const freed = before.workshop.own.filter((p) => !workshop.own.includes(p));
  const changed = WORKSHOP_PARTS.filter(
    (p) => !workshop.own.includes(p) && !freed.includes(p) && !sameData(workshop[p], before.workshop[p]),
  );
  return changed.length === 0
    ? after
    : withWorkshop(after, { ...workshop, own: [...workshop.own, ...changed] });
}

/** What most of several designs agree on, part by part, the first that is said as often before the others; a plain shop's of none. */
export function agreedFacts(designs: readonly ProductDesign[]): WorkshopFacts {
  const agreed = (part: WorkshopPart): unknown => {
    const said = new Map<string, { value: unknown; times: number }>();
    for (const { workshop } of designs) {
      const key = JSON.stringify(workshop[part]);
      const known = said.get(key);
      said.set(key, { value: workshop[part], times: (known?.times ?? 0) + 1 });
    }
    const [most] = [...said.values()].sort((a, b) => b.times - a.times);
    return most?.value ?? plainFacts()[part];
  };
  return Object.fromEntries(WORKSHOP_PARTS.map((p) => [p, agreed(p)])) as unknown as WorkshopFacts;
}
