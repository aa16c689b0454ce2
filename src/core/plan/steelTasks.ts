import { materialsIn } from "../knife/design/materials";
import { pinsTang } from "../knife/design/newParts";
import { holesOf, slotsOf } from "../knife/design/openings";
import type { Design } from "../knife/design/schema";
import { type Heat, heatOf } from "../materials/heat";
import { type After, after, type Planner } from "./planner";
import type { Schools } from "./types";

/** Steel that is hard is tempered within this, min. Common practice, no source. */
const TEMPER_WITHIN_MIN = 120;

/** Whether anything is drilled or cut through the tang; without those of pins, where they are drilled with the scales. */
function boresTang(design: Design, withPins = true): boolean {
  const { tang, fasteners } = design;
  if (tang.kind !== "full") return withPins && fasteners.some((f) => pinsTang(tang, f));
  return (withPins && fasteners.length > 0) || holesOf(design).length > 0 || slotsOf(design).length > 0;
}

/** Whether steel is welded to the tang, or its old holes are filled. */
const weldsTang = ({ tang }: Design): boolean =>
  tang.kind === "full" &&
  (tang.short?.behind === "weld" || tang.holes.some((h) => h.purpose === "old-pin" && h.fill !== null));

/** What of the tang is filed or ground besides its outline. */
const filesTang = ({ tang }: Design): boolean =>
  tang.kind !== "full" || tang.taper !== null || tang.recess !== null || tang.slots.length > 0;

/** What makes the blade that it is bought, or in the hand, ready for a handle: it is hard already. */
function handTasks(p: Planner, design: Design, annealed: boolean): void {
  p.add("inspect-blade");
  if (annealed) p.add("anneal", [after("inspect-blade", "soft-steel")]);
  else if (boresTang(design)) p.add("soften-tang", [after("inspect-blade", "soft-steel")]);
  const inHand = [after("inspect-blade", "marked-out-first"), after("anneal", "soft-steel")];
  if (weldsTang(design)) p.add("weld-tang", inHand);
  if (filesTang(design)) p.add("file-tang", [...inHand, after("weld-tang", "shape-first")]);
}

/** Whether a blade in the hand is annealed whole, and hardened again after it has been worked on. */
const isAnnealed = ({ blade }: Design, { bought }: Schools): boolean =>
  blade.measured !== null && bought === "annealed";

/** All that is done to blade and tang while the steel is soft. */
function softTasks(p: Planner, design: Design, schools: Schools): void {
  p.add("profile");
  if (design.blade.face) p.add("hammer-flats", [after("profile", "marked-out-first")]);
  if (weldsTang(design)) p.add("weld-tang", [after("profile", "marked-out-first")]);
  if (filesTang(design))
    p.add("file-tang", [after("profile", "marked-out-first"), after("weld-tang", "shape-first")]);
  if (design.blade.marks.some((m) => m.way === "stamped"))
    p.add("stamp-mark", [after("profile", "marked-out-first"), after("hammer-flats", "shape-first")]);
  if (schools.grind === "grind-first" && isGround(design))
    p.add("grind-soft", [after("profile", "marked-out-first"), after("hammer-flats", "shape-first")]);
}

const isGround = ({ blade }: Design): boolean => blade.grind.kind !== "none" || blade.leftGrind !== null;

/** Holes of the tang: each gets its pin before the next is drilled. */
export function tangHoles(p: Planner, design: Design, withPins: boolean): void {
  if (!boresTang(design, withPins)) return;
  p.add("drill-tang", [
    after("profile", "marked-out-first"),
    after("soften-tang", "soft-steel"),
    after("anneal", "soft-steel"),
    after("weld-tang", "shape-first"),
    after("file-tang", "shape-first"),
  ]);
  if (withPins) p.add("check-holes", [after("drill-tang", "bore-before-fit")]);
}

/** All that has to be done before the steel is hard. */
const SOFT: readonly After[] = [
  after("profile", "soft-steel"),
  after("anneal", "soft-steel"),
  after("weld-tang", "alike-when-hardened"),
  after("file-tang", "soft-steel"),
  after("drill-tang", "soft-steel"),
  after("check-holes", "soft-steel"),
  after("drill-one-pass", "soft-steel"),
  after("hammer-flats", "soft-steel"),
  after("stamp-mark", "soft-steel"),
  after("grind-soft", "edge-left"),
  after("burn-in", "unhardened-tang"),
];

/** Hardening to a straight, tempered blade; nothing of steel that does not harden. */
function heatTasks(p: Planner, heat: Heat): void {
  if (heat.normalised) p.add("normalise", SOFT);
  p.add("harden", [...SOFT, after("normalise", "alike-when-hardened")], {
    activeMin: heat.group === "air-hardening" ? 20 : 15,
    waitMin: heat.group === "air-hardening" ? 15 : 10,
  });
  p.add("check-hardness", [after("harden", "tempered-soon")]);
  if (heat.cold) p.add("cold", [after("harden", "cold-before-temper", { maxLagMin: TEMPER_WITHIN_MIN })]);
  const hard = heat.cold ? "cold" : "harden";
  p.add("temper", [
    after(hard, "tempered-soon", { maxLagMin: TEMPER_WITHIN_MIN }),
    after("check-hardness", "tempered-soon"),
  ]);
  p.add("check-straight", [after("temper", "straight-first")]);
}

/** Blade and tang up to what is hardened, or what is in the hand. */
export function beforeHard(p: Planner, design: Design, schools: Schools): void {
  if (design.blade.measured) handTasks(p, design, isAnnealed(design, schools));
  else softTasks(p, design, schools);
}

/** Hardening, grinding, the blade's surface and its marks; a blade in the hand has had all of it but marks. */
export function hardenAndGrind(p: Planner, design: Design, schools: Schools): void {
  const { blade } = design;
  if (!blade.measured || isAnnealed(design, schools)) {
    const heat = heatOf(materialsIn(design)(blade.steel));
    if (heat) heatTasks(p, heat);
    const hard = [after("temper", "straight-first"), after("check-straight", "straight-first")];
    if (isGround(design) && !blade.measured) p.add("grind-bevels", [...SOFT, ...hard]);
    p.add("surface-blade", [after("profile", "shape-first"), ...hard, after("grind-bevels", "smooth-first")]);
  }
  surfaceTasks(p, design, schools);
}

/** Polish, mark and bath: each after the last grinding of the faces, what stays on them after what goes over them. */
function surfaceTasks(p: Planner, { blade }: Design, { surface }: Schools): void {
  const ground = [after("surface-blade", "etch-after-grind"), after("inspect-blade", "etch-after-grind")];
  if (surface === "buffed") p.add("buff", ground);
  if (blade.marks.some((m) => m.way !== "stamped"))
    p.add("etch", [...ground, after("buff", "etch-after-grind")]);
  if (surface === "acid" || surface === "acid-tumbled")
    p.add("acid-etch", [...ground, after("etch", "deep-mark-first")]);
  if (surface === "acid-tumbled") p.add("tumble", [after("acid-etch", "smooth-first")]);
  if (surface === "darkened") p.add("darken", [...ground, after("etch", "deep-mark-first")]);
}
