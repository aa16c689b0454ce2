import { assemble } from "../../knife/assembly/assemble";
import { assembleBare } from "../../knife/assembly/bareBlade";
import { materialsIn } from "../../knife/design/materials";
import { measuredBalanceMm } from "../../knife/design/measuredBalance";
import type { BareBlade, Design, FinishedKnife, Measured, Takes } from "../../knife/design/schema";
import type { Fault } from "../../knife/parts/faults";
import type { Assembly, Part } from "../../knife/parts/types";
import { bareBladeOf } from "../../knife/starts/starts";
import type { MaterialOf } from "../../materials/types";
import { DEFAULT_FINENESS, type Fineness, integrate } from "./integrate";
import { type Calibration, centreX } from "./measured";
import { type Moments, sumOfMoments } from "./moments";
import { momentsOf } from "./momentsOf";
import { materialMoments } from "./printed";

type Weighed = readonly Readonly<Moments>[];

/**
 * How the measured weight and balance of a blade or a finished knife correct its drawing, or null where nothing was
 * measured. The drawing as it was weighed is brought to what the scale said; what was cut or added since changes weight and
 * balance by what the two drawings differ, at the corrected density.
 */
export function calibration(
  design: Design,
  assembly: Assembly,
  moments: Weighed,
  fineness: Fineness = DEFAULT_FINENESS,
): Calibration | null {
  const { measured } = design.blade;
  if (!measured) return null;
  const { of } = measured;
  return of.kind === "blade"
    ? bladeInHand(measured, of.asWeighed ?? bareBladeOf(design), assembly, moments, fineness)
    : knifeInHand(measured, of.takes, knifeAsWeighed(design, of.asWeighed), assembly, moments, fineness);
}

/** Whether a part is steel of the blade: what is on the scale when a blade is weighed by itself. */
export function isOfBlade({ key }: Pick<Part, "key">): boolean {
  return key.kind === "blade" || key.kind === "tang";
}

function momentsAt(assembly: Assembly, fineness: Fineness): Weighed {
  return fineness === DEFAULT_FINENESS ? momentsOf(assembly) : integrate(assembly, fineness);
}

const measures = (m: Measured) => ({
  massG: m.massG,
  balanceMm: measuredBalanceMm(m),
  massOffG: m.massOffG,
  balanceOffMm: m.balanceOffMm,
});

function bladeInHand(
  measured: Measured,
  asWeighed: BareBlade,
  assembly: Assembly,
  moments: Weighed,
  fineness: Fineness,
): Calibration | null {
  const bare = assembleBare(asWeighed);
  const solid = (_: unknown, i: number) => isOfBlade(bare.parts[i]);
  const then = sumOfMoments(momentsAt(bare, fineness).filter(solid));
  const parts = assembly.parts.flatMap((p, i) => (isOfBlade(p) ? [i] : []));
  const now = sumOfMoments(parts.map((i) => moments[i]));
  if (!(then.v > 0) || !(now.v > 0)) return null;
  const density = measured.massG / then.v;
  const own = measures(measured);
  // What the drawing's centre was off by, as a moment, stays with what is left of the blade.
  const moment = measured.massG * (own.balanceMm - centreX(then));
  return {
    of: "blade",
    ...own,
    partIds: [...new Set(parts.map((i) => assembly.parts[i].id))],
    densityOf: () => density,
    shiftMm: moment / (density * now.v),
    weighedWith: new Map(),
  };
}

/** The finished knife as it was weighed, by its record: assembled once. Its imported shapes are those that the knife has now. */
function knifeAsWeighed(design: Design, asWeighed: FinishedKnife | null): Design {
  const { measured: _, ...blade } = design.blade;
  if (!asWeighed) return { ...design, blade: { ...blade, measured: null } };
  const known = knivesAsWeighed.get(asWeighed);
  if (known?.meshes === design.meshes && known.materials === design.materials) return known;
  const made = { ...design, ...asWeighed, blade: { ...asWeighed.blade, measured: null } };
  knivesAsWeighed.set(asWeighed, made);
  return made;
}

const knivesAsWeighed = new WeakMap<FinishedKnife, Design>();

/** Mass (g), first moment in x (g·mm) of some parts; and each material's volume (cm³) and first moment, those apart left out. */
function sumsOf({ parts }: Assembly, material: Weighed, takes: Takes, materialOf: MaterialOf) {
  const sums = { mass: 0, moment: 0, ownMass: 0, ownMoment: 0 };
  const others = new Map<string, { v: number; x: number }>();
  parts.forEach((part, i) => {
    const { v } = material[i];
    const x = material[i].x + material[i].originX * v;
    for (const { materialId, share } of part.materials) {
      const density = (materialOf(materialId)?.densityGcc.typical ?? 0) / 1000;
      sums.mass += share * density * v;
      sums.moment += share * density * x;
      if (part.group === takes) {
        sums.ownMass += share * density * v;
        sums.ownMoment += share * density * x;
        continue;
      }
      const of = others.get(materialId) ?? { v: 0, x: 0 };
      others.set(materialId, { v: of.v + (share * v) / 1000, x: of.x + (share * x) / 1000 });
    }
  });
  return { ...sums, others };
}

/** A part may come out this many times as heavy as it is drawn, at least and at most, where it takes a difference. */
const FACTORS = [0.5, 2] as const;

/** Of a finished knife, a part that cannot be so much lighter or heavier than it is drawn; null where it can, or none is. */
export function differenceFault(design: Design): Fault | null {
  const { measured } = design.blade;
  if (measured?.of.kind !== "knife") return null;
  const { takes } = measured.of;
  const whole = assemble(knifeAsWeighed(design, measured.of.asWeighed));
  const { mass, ownMass } = sumsOf(
    whole,
    materialMoments(whole, momentsOf(whole)),
    takes,
    materialsIn(design),
  );
  const wanted = ownMass + measured.massG - mass;
  if (ownMass > 0 && wanted >= FACTORS[0] * ownMass && wanted <= FACTORS[1] * ownMass) return null;
  return {
    rule: "measured-too-far-off",
    severity: "error",
    at: null,
    subject: takes,
    measured: wanted,
    limit: ownMass,
  };
}

function knifeInHand(
  measured: Measured,
  takes: Takes,
  knife: Design,
  assembly: Assembly,
  moments: Weighed,
  fineness: Fineness,
): Calibration | null {
  const materialOf = materialsIn(knife);
  const whole = assemble(knife);
  const then = sumsOf(whole, materialMoments(whole, momentsAt(whole, fineness)), takes, materialOf);
  const now = sumsOf(assembly, materialMoments(assembly, moments), takes, materialOf);
  const own = measures(measured);
  const differs = measured.massG - then.mass;
  const factor = (then.ownMass + differs) / then.ownMass;
  if (!(factor > 0) || !(now.ownMass > 0)) return null;
  // What is left once the parts that take the difference are as much heavier: a moment that stays with them.
  const balanced = then.moment + differs * (then.ownMoment / then.ownMass);
  const moment = measured.massG * own.balanceMm - balanced;
  return {
    of: "knife",
    ...own,
    partIds: [...new Set(assembly.parts.filter((p) => p.group === takes).map((p) => p.id))],
    densityOf: (typical) => typical * factor,
    shiftMm: moment / (factor * now.ownMass),
    weighedWith: then.others,
  };
}
