import type { UnitSystem } from "@/core/base/units/print";
import { printLength, printMass } from "@/core/base/units/print";
import type { Finding, TradeRule } from "@/core/figures/review/types";
import type { FaultRule, FindingSeverity } from "@/core/knife/parts/faults";
import type { MaterialOf } from "@/core/materials/types";
import { BLADE_FAULT_WORDS } from "./bladeFindings";
import { itemInSentence, itemWords } from "./fasteners";
import { counted } from "./grammar";
import { RULE_WORDS } from "./rules";

type Say = (mm: number | null) => string;

/** What kind of finding it is, before what it says: what can be built and must not be is a danger. */
export const severityWords = ({ rule, severity }: Pick<Finding, "rule" | "severity">): string =>
  severity === "error" && isTradeRule(rule) ? "Danger" : SEVERITY_WORDS[severity];

const SEVERITY_WORDS: Record<FindingSeverity, string> = {
  error: "Cannot be built",
  warning: "Warning",
  note: "Note",
};

/** "1 cannot be built, 1 danger, 2 warnings, 1 note" */
export function countWords(findings: readonly Finding[]): string {
  const of = (severity: FindingSeverity) => findings.filter((f) => f.severity === severity).length;
  const several = (n: number, one: string) => (n === 0 ? "" : counted(n, one));
  const dangers = findings.filter((f) => f.severity === "error" && isTradeRule(f.rule)).length;
  const errors = of("error") - dangers;
  return [
    errors > 0 ? `${errors} cannot be built` : "",
    several(dangers, "danger"),
    several(of("warning"), "warning"),
    several(of("note"), "note"),
  ]
    .filter(Boolean)
    .join(", ");
}

/** What is meant, by name: the first, or both of two that meet. */
const itemIn = ({ items }: Finding, otherwise: string) => (items?.[0] ? itemInSentence(items[0]) : otherwise);
const itemOf = ({ items }: Finding, otherwise: string) => (items?.[0] ? itemWords(items[0]) : otherwise);
const bothOf = ({ items }: Finding) =>
  items && items.length > 1 ? `${itemWords(items[0])} and ${itemInSentence(items[1])}` : "Two holes";

/** A size that is larger than what it goes into, or just as large. */
const sizesWords = (where: string, f: Finding, mm: Say): string =>
  f.severity === "warning"
    ? `${where} ${mm(f.measured)} goes into just as much: nothing is left round it. Make one of the two larger or smaller.`
    : `${where} ${mm(f.measured)} must be smaller than the ${mm(f.limit)} that it goes into.`;

const WORDS: Record<FaultRule, (f: Finding, mm: Say, grams: Say) => string> = {
  ...BLADE_FAULT_WORDS,
  "bare-needs-full-tang": () =>
    "Nothing is on the tang, but the tang is not a full one. Choose a full tang, or another handle.",
  "scales-without-room": (f, mm) =>
    `The tang stays bare for ${mm(f.measured)}: of ${mm(f.limit)} nothing is left for the scales. Leave less of it bare.`,
  "pin-across-scale-end": (f, mm) =>
    `${itemOf(f, "A pin")} stands across the end of the scales: its middle is ${mm(f.measured)} from their edge, its hole reaches ${mm(f.limit)}. Move it on to the scales, or on to the bare tang.`,
  "wrap-over-bare-end": (f, mm) =>
    `The wrap goes ${mm(f.measured)} on behind the end of the scales. End it on them.`,
  "loss-over-depth": (f, mm) =>
    `This face is said to miss ${mm(f.measured)} on average, more than its deepest places (${mm(f.limit)}).`,
  "texture-too-deep": (f, mm) =>
    `The face is cut ${mm(f.measured)} deep, and what it is on is ${mm(f.limit)} thick. Make it shallower.`,
  "cheeks-thinner-middle": (f, mm) =>
    `The sheet between the cheeks is ${mm(f.measured)} thick, the blade that it is cut out for ${mm(f.limit)}. Take a thicker one.`,
  "wrap-off-handle": () =>
    "The wrap does not lie on the handle: it must begin behind its front, and end before its butt, behind where it begins.",
  "wrap-no-pommel": () =>
    "There is no edge to wind round: the last piece has to be a pommel of the handle's outline, or a disc.",
  "lengthwise-turns-back": (f, mm) =>
    `The joint along the handle turns back here: its points run from the front to the rear (${mm(f.measured)} comes after ${mm(f.limit)}).`,
  "lengthwise-off-handle": () => "The joint along the handle runs past it: bring it inside the outline.",
  "half-no-area": () =>
    "The outline of these halves encloses nothing. Pull its points apart, or remove them.",
  "half-off-handle": () => "These halves do not lie on the handle anywhere: bring their outline to it.",
  "wrap-too-close": (f, mm) =>
    `The turns of the wrap (${mm(f.measured)} apart) lie closer than it is wide (${mm(f.limit)}).`,
  "groove-into-tang": (f, mm) =>
    `A groove ${mm(f.measured)} deep goes into the tang: what covers it is ${mm(f.limit)} thick here. Make the groove shallower.`,
  "wrap-over-collar": (f, mm) =>
    `The wrap begins at ${mm(f.measured)}, on the guard's collar, which ends at ${mm(f.limit)}. Begin it behind the collar.`,
  "groove-off-handle": () => "A groove stands beside the handle. Move it onto it, or remove it.",
  "unknown-material": (f) => `No material is called "${f.subject}". Choose another.`,
  "outline-crosses-itself": () => "The handle's outline crosses itself here. Pull its points apart.",
  "outline-ahead-of-front": (f, mm) =>
    `A point of the handle's outline lies ${mm(f.measured)} ahead of its front face.`,
  "outline-front-open": () => "The handle's outline must begin and end on its front face.",
  "outline-no-area": () => "The handle's outline encloses nothing: its top must lie above its bottom.",
  "points-together": () => "Two points stand in one place here. Move one of them, or remove it.",
  "points-out-of-order": () =>
    "The points of the view from above do not stand in order from front to butt. They are taken in order.",
  "hollow-wheel-too-small": (f, mm) =>
    `A wheel of ${mm(f.measured)} radius cannot grind a face this high: at least ${mm(f.limit)} is needed.`,
  "hollow-cuts-through": () =>
    "Both sides' grinds meet here: nothing is left of the blade. Use a larger wheel, a lower face, a smaller false edge or thicker stock.",
  "edge-thicker-than-spine": (f, mm) =>
    `The edge (${mm(f.measured)}) must be thinner than the spine (${mm(f.limit)}).`,
  "measured-too-far-off": (f, _mm, grams) =>
    `The finished knife is drawn so far from what was weighed that the part which takes the difference would weigh ${grams(f.measured)} instead of ${grams(f.limit)}. Draw it nearer to what it is, or let another part take the difference.`,
  "scale-unlike-drawn": (f, _mm, grams) =>
    `The ${f.subject === "scale-left" ? "left" : "right"} scale was read as ${grams(f.measured)}, and is drawn ${grams(f.limit)}: its thickness, its material or the reading is another. The reading counts.`,
  "measured-unlike-drawn": (f, _mm, grams) =>
    `The ${f.subject === "knife" ? "knife" : "blade"} weighed ${grams(f.measured)}; as it is drawn it would weigh ${grams(f.limit)}. Both cannot be true: look at the reading, its unit, and the drawing's length, thickness and grind. The reading counts.`,
  "balance-unlike-drawn": (f, mm) =>
    `The ${f.subject === "knife" ? "knife" : "blade"} was found to balance at ${mm(f.measured)}; as it is drawn it would at ${mm(f.limit)}, both ahead of the datum. Both cannot be true: look at which way it was measured, and at the drawing. The reading counts.`,
  "edge-thicker-than-tip": (f, mm) =>
    `The edge (${mm(f.measured)}) is thicker than the tip (${mm(f.limit)}): toward the tip it is drawn thinner.`,
  "tip-thicker-than-spine": (f, mm) =>
    `The tip (${mm(f.measured)}) is thicker than the spine (${mm(f.limit)}). A distal taper falls toward the tip.`,
  "taper-beyond-blade": (f, mm) =>
    `The distal taper begins at ${mm(f.measured)}, beyond the tip at ${mm(f.limit)}: there is none.`,
  "grind-higher-than-blade": (f, mm) =>
    `The ground face (${mm(f.measured)} high) is higher than the blade (${mm(f.limit)}): it goes up to the spine.`,
  "ricasso-longer-than-blade": (f, mm) =>
    `The ricasso (${mm(f.measured)}) must be shorter than the blade (${mm(f.limit)}).`,
  "ricasso-higher-than-heel": (f, mm) =>
    `The ricasso (${mm(f.measured)}) stands below the heel (${mm(f.limit)}): it would touch the board first.`,
  "tip-longer-than-blade": (f, mm) =>
    `The run to the tip (${mm(f.measured)}) is longer than the blade has room for (${mm(f.limit)}); it is drawn shorter.`,
  "pin-off-handle": (f, mm) =>
    `${itemOf(f, "A pin")} stands ${mm(f.measured === null ? null : -f.measured)} out of the handle. Move it inward.`,
  "hole-off-tang": (f, mm) =>
    `${itemOf(f, "A tang hole")} breaks out of the tang by ${mm(f.measured === null ? null : -f.measured)}.`,
  "fasteners-overlap": (f, mm) =>
    `${bothOf(f)} run into each other by ${mm(f.measured === null ? null : -f.measured)}.`,
  "bore-not-inside-tube": (f, mm) =>
    `The tube's bore (${mm(f.measured)}) must be smaller than the tube (${mm(f.limit)}).`,
  "pattern-overfull": (f) =>
    `Tube and rods fill ${Math.round((f.measured ?? 0) * 100)} % of the pin; together they cannot pass 100 %.`,
  "handle-thinner-than-tang": (f, mm) =>
    `The handle is ${mm(f.measured)} from the middle here, but tang and liners take ${mm(f.limit)}: no scale is left.`,
  "stock-thinner-than-handle": (f, mm) =>
    `The contour asks for ${mm(f.measured)} from the middle, but the scale stock ends at ${mm(f.limit)}: it stays flat here.`,
  "bevel-too-deep": (f, mm) => `The front bevel (${mm(f.measured)} deep) cuts to the tang (${mm(f.limit)}).`,
  "tang-and-handle-apart": () =>
    "A full tang goes with scales and a hidden tang with a handle of pieces. Choose the tang again.",
  "tang-not-short": (f, mm) =>
    `The short tang (${mm(f.measured)}) reaches the butt (${mm(f.limit)}): nothing is left for what carries on behind it.`,
  "guard-longer-than-handle": (f, mm) =>
    `The guard (${mm(f.measured)}) leaves no room for a handle of ${mm(f.limit)}.`,
  "guard-lower-than-tang": (f, mm) => `The tang stands ${mm(f.measured)} out of the guard.`,
  "pieces-longer-than-handle": (f, mm) =>
    `The other pieces take ${mm(f.measured)} of ${mm(f.limit)}: nothing is left for the one that takes the rest.`,
  "tang-through-guard": (f, mm) =>
    `The tang stands ${mm(f.measured)} out of the guard, whose slot must hold it.`,
  "boss-beyond-guard": (f, mm) =>
    `The flat middle reaches ${mm(f.measured)} from the axis, the guard ${mm(f.limit)}: no arm is left.`,
  "arms-wider-than-guard": (f, mm) =>
    `The arms (${mm(f.measured)} wide) are wider than the guard (${mm(f.limit)}): it is drawn without arms.`,
  "tang-hole-breaks-out": () =>
    "The tang's hole breaks through the handle here. Make the tang smaller or shorter, or the handle fuller.",
  "supports-together": () =>
    "The two supports stand at one place: set them apart, or the scale tells nothing.",
  "reading-over-weight": (f, _mm, grams) =>
    `The scale under one support cannot read ${grams(f.measured)}: the blade weighs ${grams(f.limit)} in all.`,
  "balance-beyond-blade": (f, mm) =>
    `A blade that ends at ${mm(f.limit)} cannot balance at ${mm(f.measured)}. Measure again from the front of the handle: ahead of it is plus.`,
  "slot-off-tang": (f, mm) =>
    `${itemOf(f, "A slot")} breaks out of the tang by ${mm(f.measured === null ? null : -f.measured)}.`,
  "fastener-sizes": (f, mm) => sizesWords(`In ${itemIn(f, "this fastener")}`, f, mm),
  "screw-longer-than-room": (f, mm) =>
    `The screw of ${itemIn(f, "this fastener")} (${mm(f.measured)}) has room for ${mm(f.limit)}: it would stand on the bottom before it pulls. Take a shorter one.`,
  "pin-cuts-tang": (f, mm) =>
    `The hole of ${itemIn(f, "a pin")} (${mm(f.measured)}) cuts the tang in two: it is ${mm(f.limit)} high here, and nothing behind the hole holds the blade. Take a thinner pin, or a higher tang.`,
  "pin-notches-tang": (f) =>
    `The hole of ${itemIn(f, "a pin")} runs out of the tang's edge: move it to the middle of the tang, or clear of it.`,
  "seat-inside-tang": (f, mm) =>
    `The seat of ${itemIn(f, "this head")} (${mm(f.measured)} from the middle) lies inside the tang (${mm(f.limit)}).`,
  "seat-outside-handle": (f, mm) =>
    `The seat of ${itemIn(f, "this head")} (${mm(f.measured)} from the middle) lies outside the finished surface (${mm(f.limit)}): nothing would hold it.`,
  "waist-wheel-too-small": (f, mm) =>
    `A wheel of ${mm(f.measured)} radius cannot hollow that length: more than ${mm(f.limit)} is needed.`,
  "bolsters-meet": () => "Front and rear bolsters meet: nothing is left for the scales.",
  "joint-off-handle": () =>
    "A joint of the scales lies off the scales. Move it between the ends or the bolsters.",
  "joints-cross": () =>
    "Two joints run into each other within the handle. Set them further apart, or let them lean less.",
  "recess-no-room": (f, mm) => `A rim of ${mm(f.measured)} leaves no room for a recess.`,
  "recess-cuts-through": (f, mm) =>
    `The recesses of both faces (${mm(f.measured)} deep) meet: less than ${mm(f.limit)} is needed.`,
  "tang-thicker-than-frame": (f, mm) =>
    `The tang (${mm(f.measured)} thick) does not go into a frame of ${mm(f.limit)}.`,
  "tang-does-not-fit-hole": (f, mm) =>
    `The tang (${mm(f.limit === null || f.measured === null ? null : Math.max(f.measured, f.limit))}) does not go into the hole (${mm(f.limit === null || f.measured === null ? null : Math.min(f.measured, f.limit))}) here: open it with a rasp, or make the hole larger.`,
  "thread-too-short": () => "The tang's end does not reach through what holds it. Make it longer.",
  "screw-wider-than-tang": (f, mm) =>
    `A screw of ${mm(f.measured)} cannot be tapped into a tang of ${mm(f.limit)}: take a thinner one, or a thicker end.`,
  "screw-misses-tang": () =>
    "The screw from the butt does not reach the tang: seat it deeper or lengthen the tang.",
  "end-sizes": (f, mm) => sizesWords("At the butt", f, mm),
  "lap-too-short": (f, mm) =>
    `The stud is let in by ${mm(f.measured)}; brazed, ${mm(f.limit)} or more hold it.`,
  "dome-deeper-than-guard": (f, mm) =>
    `The dome (${mm(f.measured)}) is deeper than the guard is thick (${mm(f.limit)}).`,
  "notch-into-tang": () => "The finger notch cuts into the tang. Make it shallower or the guard longer.",
  "dowel-off-guard": () => "A dowel stands out of the guard. Bring the two closer together.",
  "fitting-no-room": (f, mm) =>
    `The fitting reaches ${mm(f.measured)} below the axis, but what it has to clear reaches ${mm(f.limit)}.`,
  "fitting-too-short": (f, mm) =>
    `Between the guard and its rear end the fitting has ${mm(f.measured)}; at its thickness it needs more than ${mm(f.limit)}.`,
  "dowel-in-tang": () => "A dowel runs into the tang. Set the two further apart.",
  "pieces-short-of-butt": (f, mm) =>
    `The pieces are ${mm(f.measured)} long together, the handle is drawn ${mm(f.limit)}.`,
  "ring-apart": (f, mm) => `The finger ring does not touch the handle: ${mm(f.measured)} are missing.`,
  "shape-missing": () =>
    "The imported shape is missing or damaged. Import it again, or choose another shape.",
  "shape-crosses-itself": () =>
    "The imported shape crosses itself, so what is inside it is not defined. Join its bodies into one where it was drawn.",
  "shape-too-folded": (f) =>
    `A line across the knife passes in and out of the imported shape ${count(f.measured)} times; up to ${count(f.limit)} can be weighed. Turn it another way, or draw it plainer.`,
  "shapes-too-fine": (f) =>
    `The imported shapes have ${count(f.measured)} triangles together; up to ${count(f.limit)} can be weighed. Use plainer ones.`,
  "design-too-detailed": () =>
    "So many openings and fasteners lie over the same stretch of the knife that weighing it would take too long. Take some away, or move them apart.",
  "duplicate-id": (f) =>
    `Two parts or points share the mark "${f.subject}", so that one could be taken for the other.`,
};

/** A number of things. */
function count(value: number | null): string {
  return value === null ? "–" : value.toLocaleString("en");
}

/** A finding in plain words, lengths in the maker's units. */
export function findingWords(finding: Finding, system: UnitSystem, materialOf: MaterialOf): string {
  const { rule } = finding;
  const digits = digitsFor(finding, system);
  const mm = (value: number | null) => (value === null ? "–" : printLength(value, system, digits));
  const grams = (value: number | null) => (value === null ? "–" : printMass(value, system));
  if (isTradeRule(rule)) return RULE_WORDS[rule].says(finding, mm, grams, materialOf, system);
  return WORDS[rule](finding, mm, grams);
}

/** So many digits are shown at most to tell two lengths apart. */
const MOST_DIGITS = 3;

/** Digits after the point by which what was measured and its limit can be told apart; one where it does not matter. */
function digitsFor({ measured, limit }: Finding, system: UnitSystem): number {
  if (measured === null || limit === null || measured === limit) return 1;
  for (let digits = 1; digits < MOST_DIGITS; digits++)
    if (printLength(measured, system, digits) !== printLength(limit, system, digits)) return digits;
  return MOST_DIGITS;
}

/** Whether a rule is one of the trade, with words of its own. */
export function isTradeRule(rule: Finding["rule"]): rule is TradeRule {
  return rule in RULE_WORDS;
}
