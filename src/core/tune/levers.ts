import { handleReach, newRecess } from "../design/constructions";
import { keepsLocks } from "../design/locks";
import { type MaterialPlace, materialAt, withMaterial } from "../design/materialPlaces";
import type { Design, Piece } from "../design/schema";
import { openSpot } from "../fit/openSpot";
import { handleLength, withHandleLength } from "../layout/handleLengths";
import { roundTo } from "../number";
import { materialById } from "../stock/materials";

/** What a change costs besides grams: work in metal, or a different look. */
export type LeverNature = "metal" | "look" | "plain";

/** One change that could be made to a knife. Amounts are counted in its own unit from the knife as it is. */
export interface Lever {
  readonly id: string;
  readonly unit: "mm" | "holes" | "choice";
  /** A sensible step. */
  readonly step: number;
  /** How far it can go, down and up. A choice is 0 or 1. */
  readonly low: number;
  readonly high: number;
  readonly nature: LeverNature;
  /** Of a choice, the material that it changes to. */
  readonly material: string | null;
  /** The knife with the change, or null where it has no meaning. */
  readonly apply: (design: Design, amount: number) => Design | null;
}

const round = (mm: number) => roundTo(mm, 4);

/** A change of one length of the design by its amount. */
function length(
  id: string,
  step: number,
  reach: readonly [number, number],
  nature: LeverNature,
  put: (design: Design, by: number) => Design | null,
): Lever {
  return { id, unit: "mm", step, low: reach[0], high: reach[1], nature, material: null, apply: put };
}

function bladeLevers({ blade }: Design): Lever[] {
  if (blade.measured) return [];
  const change = (part: Partial<Design["blade"]>, d: Design): Design => ({
    ...d,
    blade: { ...d.blade, ...part },
  });
  return [
    length("spine", 0.5, [-Math.min(2, blade.spineMm - 1), 2], "metal", (d, by) => {
      const spineMm = round(d.blade.spineMm + by);
      return spineMm > 0.5
        ? change({ spineMm, tipThicknessMm: Math.min(d.blade.tipThicknessMm, spineMm) }, d)
        : null;
    }),
    length(
      "distal-taper",
      0.5,
      [-(blade.tipThicknessMm - 0.6), blade.spineMm - blade.tipThicknessMm],
      "metal",
      (d, by) => {
        const tipThicknessMm = round(d.blade.tipThicknessMm + by);
        return tipThicknessMm >= 0.1 && tipThicknessMm <= d.blade.spineMm
          ? change({ tipThicknessMm }, d)
          : null;
      },
    ),
  ];
}

/** Places for holes that lighten: clear of edges and each other, behind the front fifth. */
function withHoles(design: Design, count: number): Design | null {
  let next = design;
  for (let i = 0; i < Math.round(count); i++) {
    const { tang } = next;
    if (tang.kind !== "full" || tang.holes.length >= 60) return null;
    const spot = openSpot(next, 8, { rimMm: 3, fromMm: 0.2 * handleReach(next) + 4 });
    if (!spot) return null;
    const taken = new Set([...tang.holes, ...next.fasteners].map((h) => h.id));
    let n = 1;
    while (taken.has(`light-${n}`)) n++;
    const hole = { id: `light-${n}`, ...spot, diameterMm: 8, fill: null, purpose: "lighten" as const };
    next = { ...next, tang: { ...tang, holes: [...tang.holes, hole] } };
  }
  return next;
}

function tangLevers(design: Design): Lever[] {
  const { tang, blade } = design;
  if (tang.kind !== "full") return [];
  const butt = tang.taper?.buttMm ?? blade.spineMm;
  const front = tang.taper?.frontMm ?? blade.spineMm;
  return [
    length("tang-taper", 0.5, [-(butt - 0.8), Math.max(0, front - butt)], "metal", (d, by) => {
      if (d.tang.kind !== "full") return null;
      const from = d.tang.taper ?? { frontMm: d.blade.spineMm, buttMm: d.blade.spineMm };
      const buttMm = round(from.buttMm + by);
      return buttMm >= 0.3 ? { ...d, tang: { ...d.tang, taper: { ...from, buttMm } } } : null;
    }),
    {
      id: "holes",
      unit: "holes",
      step: 1,
      low: 0,
      high: 6,
      nature: "metal",
      material: null,
      apply: (d, amount) => withHoles(d, amount),
    },
    length("recess", 0.3, [0, front / 2 - 0.8], "metal", (d, by) => {
      if (d.tang.kind !== "full" || !(by >= 0)) return null;
      if (by === 0) return d;
      const recess = d.tang.recess ?? { ...newRecess(d), depthMm: 0 };
      return { ...d, tang: { ...d.tang, recess: { ...recess, depthMm: round(recess.depthMm + by) } } };
    }),
  ];
}

function guardLevers({ guard }: Design): Lever[] {
  if (!guard || guard.mesh) return [];
  const last = guard.plates.length - 1;
  return [
    length("guard-thickness", 1, [-(guard.plates[last].thicknessMm - 1), 8], "metal", (d, by) => {
      if (!d.guard) return null;
      const plates = d.guard.plates.map((p, i) =>
        i === last ? { ...p, thicknessMm: round(p.thicknessMm + by) } : p,
      );
      return plates[last].thicknessMm >= 0.3 ? { ...d, guard: { ...d.guard, plates } } : null;
    }),
  ];
}

function handleLevers({ handle }: Design): Lever[] {
  const levers: Lever[] = [
    length("handle-length", 3, [-15, 25], "look", (d, by) => {
      // As it is measured: a rounded butt reaches beyond its points.
      const now = handleLength(d.handle, "length") ?? 0;
      const next = withHandleLength(d.handle, "length", now + by);
      return next === d.handle && by !== 0 ? null : { ...d, handle: next };
    }),
    length("handle-thickness", 1, [-4, 6], "look", (d, by) => {
      const plan = d.handle.plan.map((p) => ({
        ...p,
        halfMm: round(p.halfMm + by / 2),
        leftHalfMm: p.leftHalfMm === null ? null : round(p.leftHalfMm + by / 2),
      }));
      return plan.every((p) => p.halfMm > 0.5) ? { ...d, handle: { ...d.handle, plan } } : null;
    }),
  ];
  if (handle.kind === "scales" && handle.liners.length > 0)
    levers.push(
      length("liner-thickness", 0.2, [-(handle.liners[0].thicknessMm - 0.2), 2], "plain", (d, by) => {
        if (d.handle.kind !== "scales" || d.handle.liners.length === 0) return null;
        const liners = d.handle.liners.map((l, i) =>
          i === 0 ? { ...l, thicknessMm: round(l.thicknessMm + by) } : l,
        );
        return liners[0].thicknessMm >= 0.05 ? { ...d, handle: { ...d.handle, liners } } : null;
      }),
    );
  if (handle.kind === "stack") {
    const end = handle.pieces.length - 1;
    const last = handle.pieces[end];
    const shape = last.shape;
    if (shape && "diameterMm" in shape)
      levers.push(
        length("pommel-size", 2, [-(shape.diameterMm - 12), 14], "look", (d, by) => withPommel(d, end, by)),
      );
    else if (last.shape === null && (last.role === "butt-plate" || last.role === "pommel") && end > 0)
      levers.push(
        length("butt-length", 2, [-(last.lengthMm - 2), 20], "metal", (d, by) => longerButt(d, end, by)),
      );
  }
  return levers;
}

function withPommel(d: Design, index: number, by: number): Design | null {
  if (d.handle.kind !== "stack") return null;
  const pieces = d.handle.pieces.map((p, i): Piece => {
    if (i !== index || !p.shape || !("diameterMm" in p.shape)) return p;
    return {
      ...p,
      lengthMm: round(Math.max(1, p.lengthMm + by)),
      shape: { ...p.shape, diameterMm: round(p.shape.diameterMm + by) },
    };
  });
  return { ...d, handle: { ...d.handle, pieces } };
}

/** The last piece takes the rest: it grows as the one before it gives way. */
function longerButt(d: Design, index: number, by: number): Design | null {
  if (d.handle.kind !== "stack") return null;
  const before = d.handle.pieces[index - 1];
  const lengthMm = round(before.lengthMm - by);
  if (!(lengthMm > 1)) return null;
  const pieces = d.handle.pieces.map((p, i) => (i === index - 1 ? { ...p, lengthMm } : p));
  return { ...d, handle: { ...d.handle, pieces } };
}

/** Materials that a part is commonly tried in. Common practice, no source. */
const METALS = ["aluminium-6061", "titanium-5", "stainless-416", "brass-360", "nickel-silver"];
const SCALES = [
  "walnut-black",
  "maple-burl-stabilised",
  "linen-phenolic",
  "g10",
  "ebony-gaboon",
  "carbon-epoxy",
];
const SHEETS = ["vulcanised-fibre", "g10", "brass-260", "aluminium-6061"];

/** Materials that can be changed by themselves: the lever's name, the place, and what it is changed to. */
const CHOICES: readonly (readonly [string, MaterialPlace, readonly string[], LeverNature])[] = [
  ["guard-metal", "guard", METALS, "metal"],
  ["scale-material", "scales", SCALES, "look"],
  ["liner-material", "liners", SHEETS, "plain"],
  ["block-material", "block", SCALES, "look"],
  ["spacer-material", "spacers", SHEETS, "plain"],
  ["pommel-metal", "pommel", METALS, "metal"],
  ["pin-metal", "pins", METALS, "plain"],
];

function materialLevers(design: Design): Lever[] {
  return CHOICES.flatMap(([what, place, materials, nature]) => {
    const now = materialAt(design, place);
    if (now === null) return [];
    return materials
      .filter((m) => m !== now && materialById(m))
      .map((material) => ({
        id: `${what}:${material}`,
        unit: "choice" as const,
        step: 1,
        low: 0,
        high: 1,
        nature,
        material,
        apply: (d: Design, amount: number) => (amount >= 0.5 ? withMaterial(d, place, material) : d),
      }));
  });
}

/** Every change that could be made to this knife, lengths first; none that would change what its maker has locked. */
export function leversOf(design: Design): Lever[] {
  const levers = all(design);
  if (design.locked.length === 0) return levers;
  return levers.flatMap((lever): Lever[] => {
    const apply: Lever["apply"] = (d, amount) => {
      const next = lever.apply(d, amount);
      return next && keepsLocks(d, next) ? next : null;
    };
    const moves = [lever.step, -lever.step].some(
      (amount) => amount >= lever.low && amount <= lever.high && apply(design, amount) !== null,
    );
    return moves ? [{ ...lever, apply }] : [];
  });
}

function all(design: Design): Lever[] {
  return [
    ...tangLevers(design),
    ...bladeLevers(design),
    ...guardLevers(design),
    ...handleLevers(design),
    ...materialLevers(design),
  ];
}
