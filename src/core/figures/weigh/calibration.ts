import { assemble } from "../../knife/assembly/assemble";
import { assembleBare } from "../../knife/assembly/bareBlade";
import { materialsIn } from "../../knife/design/materials";
import { measuredBalanceMm, type Weighed, weighed } from "../../knife/design/measuredBalance";
import type { BareBlade, Design, FinishedKnife, Takes } from "../../knife/design/schema";
import type { Assembly, Part } from "../../knife/parts/types";
import { bareBladeOf } from "../../knife/starts/starts";
import type { MaterialOf } from "../../materials/types";
import { DEFAULT_FINENESS, type Fineness, integrate } from "./integrate";
import { materialMoments } from "./materialMoments";
import { type Calibration, centreX } from "./measured";
import { type Moments, sumOfMoments } from "./moments";
import { momentsOf } from "./momentsOf";
import { asWeighedAlone } from "./weighedAlone";

type MomentList = readonly Readonly<Moments>[];

/**
 * How the measured weight and balance of a blade or a finished knife correct its drawing, or null where nothing was
 * weighed: a balance by itself corrects nothing, and where none was found the drawing's stands. The drawing as it was weighed is brought to what the scale said; what was cut or added since changes weight and
 * balance by what the two drawings differ, at the corrected density.
 */
export function calibration(
  design: Design,
  assembly: Assembly,
  moments: MomentList,
  fineness: Fineness = DEFAULT_FINENESS,
): Calibration | null {
  const measured = weighed(design.blade.measured);
  if (!measured) return null;
  const { of } = measured;
  return of.kind === "blade"
    ? bladeInHand(measured, of.asWeighed ?? bareBladeOf(design), assembly, moments, fineness)
    : knifeInHand(design, measured, of, assembly, moments, fineness);
}

/** Whether a part is steel of the blade: what is on the scale when a blade is weighed by itself. */
export function isOfBlade({ key }: Pick<Part, "key">): boolean {
  return key.kind === "blade" || key.kind === "tang";
}

function momentsAt(assembly: Assembly, fineness: Fineness): MomentList {
  return fineness === DEFAULT_FINENESS ? momentsOf(assembly) : integrate(assembly, fineness);
}

/** How far a drawing's centre may be off where no balance was found, mm. From memory. */
const DRAWN_OFF_MM = 3;

/** What was read, and where it balances as it is drawn where no balance was found. */
function measures(m: Weighed, drawnMm: number) {
  const { massG, massOffG, balanceOffMm } = m;
  const found = measuredBalanceMm(m);
  return found === null
    ? { massG, massOffG, balanceMm: drawnMm, balanceOffMm: Math.max(balanceOffMm, DRAWN_OFF_MM) }
    : { massG, massOffG, balanceMm: found, balanceOffMm };
}

/** Blade and tang as they were weighed, by themselves: their volume (mm³) and its moments. */
export function bareMoments(asWeighed: BareBlade, fineness: Fineness = DEFAULT_FINENESS): Moments {
  const bare = assembleBare(asWeighed);
  return sumOfMoments(momentsAt(bare, fineness).filter((_, i) => isOfBlade(bare.parts[i])));
}

function bladeInHand(
  measured: Weighed,
  asWeighed: BareBlade,
  assembly: Assembly,
  moments: MomentList,
  fineness: Fineness,
): Calibration | null {
  const then = bareMoments(asWeighed, fineness);
  const parts = assembly.parts.flatMap((p, i) => (isOfBlade(p) ? [i] : []));
  const now = sumOfMoments(parts.map((i) => moments[i]));
  if (!(then.v > 0) || !(now.v > 0)) return null;
  const density = measured.massG / then.v;
  const own = measures(measured, centreX(then));
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

/** What a finished knife was drawn as when it was weighed: sums as below. */
export function drawnSums(
  design: Design,
  { takes, asWeighed }: Extract<Weighed["of"], { kind: "knife" }>,
  fineness: Fineness = DEFAULT_FINENESS,
) {
  const knife = knifeAsWeighed(design, asWeighed);
  const whole = assemble(knife);
  return sumsOf(whole, momentsAt(whole, fineness), takes, materialsIn(knife));
}

/** Mass (g), first moment in x (g·mm) of some parts; and each material's volume (cm³) and first moment, those apart left out. */
function sumsOf(drawn: Assembly, moments: MomentList, takes: Takes, materials: MaterialOf) {
  const material = materialMoments(drawn, moments);
  const { assembly, materialOf } = asWeighedAlone(drawn, moments, materials);
  const { parts } = assembly;
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

function knifeInHand(
  design: Design,
  measured: Weighed,
  of: Extract<Weighed["of"], { kind: "knife" }>,
  assembly: Assembly,
  moments: MomentList,
  fineness: Fineness,
): Calibration | null {
  const { takes } = of;
  const then = drawnSums(design, of, fineness);
  const now = sumsOf(assembly, moments, takes, materialsIn(design));
  const differs = measured.massG - then.mass;
  const factor = (then.ownMass + differs) / then.ownMass;
  if (!(factor > 0) || !(now.ownMass > 0)) return null;
  // What is left once the parts that take the difference are as much heavier: a moment that stays with them.
  const balanced = then.moment + differs * (then.ownMoment / then.ownMass);
  const own = measures(measured, balanced / measured.massG);
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
