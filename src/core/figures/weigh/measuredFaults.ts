import { materialsIn } from "../../knife/design/materials";
import { measuredBalanceMm, type Weighed, weighed } from "../../knife/design/measuredBalance";
import type { Design } from "../../knife/design/schema";
import type { Fault } from "../../knife/parts/faults";
import type { Assembly } from "../../knife/parts/types";
import { bareBladeOf } from "../../knife/starts/starts";
import { bareMoments, drawnSums } from "./calibration";
import { centreX } from "./measured";
import { momentsOf } from "./momentsOf";
import { drawnAlone } from "./weighedAlone";

/** What was on the scale as its drawing has it: mass (g) and balance from the datum (mm). */
interface Drawn {
  readonly massG: number;
  readonly balanceMm: number;
}

function drawnThen(design: Design, { of }: Weighed): Drawn | null {
  if (of.kind === "knife") {
    const { mass, moment } = drawnSums(design, of);
    return mass > 0 ? { massG: mass, balanceMm: moment / mass } : null;
  }
  const then = bareMoments(of.asWeighed ?? bareBladeOf(design));
  const { steel } = of.asWeighed?.blade ?? design.blade;
  const density = (materialsIn(design)(steel)?.densityGcc.typical ?? 0) / 1000;
  const massG = then.v * density;
  return massG > 0 ? { massG, balanceMm: centreX(then) } : null;
}

/** A part may come out this many times as heavy as it is drawn, at least and at most, where it takes a difference. */
const FACTORS = [0.5, 2] as const;

/** Of a finished knife, a part that cannot be so much lighter or heavier than it is drawn. */
function differenceFaults(design: Design, { massG, of }: Weighed): Fault[] {
  if (of.kind !== "knife") return [];
  const { mass, ownMass } = drawnSums(design, of);
  const wanted = ownMass + massG - mass;
  if (ownMass > 0 && wanted >= FACTORS[0] * ownMass && wanted <= FACTORS[1] * ownMass) return [];
  const rule = "measured-too-far-off";
  return [{ rule, severity: "error", at: null, subject: of.takes, measured: wanted, limit: ownMass }];
}

/** A drawing and a scale may differ by so much, as a share of the weight, before one of them must be wrong. No source. */
const MASS_SHARE = 0.15;
/** The same of where it balances, as a share of the blade's length, and in mm at least. No source. */
const BALANCE_SHARE = 0.15;
const BALANCE_MM = 10;

/** Drawing and reading that cannot both be true. */
function unlikeFaults(design: Design, measured: Weighed): Fault[] {
  const drawn = drawnThen(design, measured);
  if (!drawn) return [];
  const faults: Fault[] = [];
  const subject = measured.of.kind;
  const { massG } = measured;
  if (Math.abs(massG - drawn.massG) > MASS_SHARE * Math.max(massG, drawn.massG))
    faults.push({
      rule: "measured-unlike-drawn",
      severity: "warning",
      at: null,
      subject,
      measured: massG,
      limit: drawn.massG,
    });
  const balanceMm = measuredBalanceMm(measured);
  const apart = Math.max(BALANCE_MM, BALANCE_SHARE * design.blade.lengthMm);
  if (balanceMm !== null && Math.abs(balanceMm - drawn.balanceMm) > apart)
    faults.push({
      rule: "balance-unlike-drawn",
      severity: "warning",
      at: { x: balanceMm, y: 0 },
      subject,
      measured: balanceMm,
      limit: drawn.balanceMm,
    });
  return faults;
}

/** What grew differs more from what it is drawn of; more than this share of the weight is another scale, or a slip. No source. */
const SCALE_SHARE = 0.4;

/** A scale that was weighed by itself, and cannot be the one that is drawn. */
export function aloneFaults(design: Design, assembly: Assembly): Fault[] {
  if (!assembly.parts.some((p) => p.weighed)) return [];
  const drawnG = drawnAlone(assembly, momentsOf(assembly), materialsIn(design));
  const readings = new Map(assembly.parts.flatMap(({ weighed: w }) => (w ? [[w.group, w.massG]] : [])));
  return [...readings].flatMap(([group, massG]): Fault[] => {
    const drawn = drawnG.get(group) ?? 0;
    if (Math.abs(massG - drawn) <= SCALE_SHARE * Math.max(massG, drawn)) return [];
    const rule = "scale-unlike-drawn";
    return [{ rule, severity: "warning", at: null, subject: group, measured: massG, limit: drawn }];
  });
}

/** What does not go together of a reading and the drawing of what was weighed; nothing of what was not weighed. */
export function measuredFaults(design: Design): Fault[] {
  const measured = weighed(design.blade.measured);
  if (!measured) return [];
  const differs = differenceFaults(design, measured);
  return differs.length > 0 ? differs : unlikeFaults(design, measured);
}
