import type { Finding, TradeRule } from "@/core/figures/review/types";
import { itemInSentence, itemWords } from "./fasteners";
import { SIZE_WORDS } from "./fit";
import { outsideWords } from "./goals";
import { HAND_WORDS } from "./handWords";
import { heatWords } from "./heatWords";
import { crossesWords } from "./marks";
import { cutName, partInSentence, partName } from "./parts";
import { named, percent, type RuleWords, ratio } from "./ruleWords";
import { TANG_FIT_WORDS } from "./tangFitWords";

/** The fastener that is meant, and the part that it goes through. */
const pinOf = ({ items }: Finding) => (items?.[0] ? itemWords(items[0]) : "A pin");
const pinIn = ({ items }: Finding) => (items?.[0] ? itemInSentence(items[0]) : "a pin");
const bothOf = ({ items }: Finding) =>
  items && items.length > 1 ? items.map(itemInSentence).join(" and ") : "two holes";
const partOf = ({ part }: Finding, before: string) => (part ? `${before}${partInSentence(part)}` : "");

const wall = (of: string): RuleWords => ({
  name: `Wall round the tang in ${of}`,
  says: (f, mm) =>
    `The wall between tang hole and surface is ${mm(f.measured)} here; ${mm(f.limit)} is wanted in ${of}.`,
  why: "A thin wall breaks through while the handle is shaped, or cracks in use.",
  fix: "Move the tang to the middle, make it thinner, or the handle fuller here.",
});

const edge = (of: string): RuleWords => ({
  name: `Pin to edge in ${of}`,
  says: (f) =>
    `${pinOf(f)} stands ${ratio(f.measured)} diameters from the edge${partOf(f, " of the ")}; ${ratio(f.limit)} are wanted in ${of}.`,
  why: "A hole near an edge splits out when it is drilled, or when the pin is set.",
  fix: "Move it inward, or take a thinner pin.",
});

/** What each rule of the trade says, why, and how to fix it. */
export const RULE_WORDS: Record<TradeRule, RuleWords> = {
  ...TANG_FIT_WORDS,
  ...HAND_WORDS,
  "wall-in-wood": wall("wood, horn or bone"),
  "wall-in-laminate": wall("laminate or plastic"),
  "wall-in-metal": wall("metal"),
  "edge-in-wood": edge("wood, horn or bone"),
  "edge-in-laminate": edge("laminate or plastic"),
  "edge-in-metal": edge("metal"),
  "web-between-holes": {
    name: "Web between two holes",
    says: (f, mm) => `Only ${mm(f.measured)} is left between ${bothOf(f)}; ${mm(f.limit)} is wanted.`,
    why: "A thin web tears when the second hole is drilled, and weakens the tang.",
    fix: "Move one of them away.",
  },
  "web-to-tang-edge": {
    name: "Hole to the tang's edge",
    says: (f, mm) =>
      `Only ${mm(f.measured)} of tang is left beside ${f.items?.[0] ? pinIn(f) : "a hole"}; ${mm(f.limit)} is wanted.`,
    why: "The drill runs out, and the tang cracks from there when it is hardened.",
    fix: "Move it inward.",
  },
  "far-from-front": {
    name: "First fastener to the front",
    says: (f, mm) =>
      `The first fastener stands ${mm(f.measured)} behind the front; up to ${mm(f.limit)} holds the scales down.`,
    why: "The front ends of the scales can lift.",
    fix: "Set a pin nearer to the front.",
  },
  "far-from-butt": {
    name: "Last fastener to the butt",
    says: (f, mm) =>
      `The last fastener stands ${mm(f.measured)} ahead of the butt; up to ${mm(f.limit)} holds the scales down.`,
    why: "The rear ends of the scales can lift.",
    fix: "Set a pin nearer to the butt.",
  },
  "guard-cannot-pass": {
    name: "Guard over what is behind it",
    says: (f, mm) =>
      f.severity === "note"
        ? `The handle behind the guard is ${mm(f.measured)} taller than its slot: leave the slot open below, or make the guard in two halves.`
        : `What is behind the guard is ${mm(f.measured)} larger than its slot: the guard cannot be put on.`,
    why: "A guard goes on from the butt: all behind its seat must pass the slot.",
    fix: "Let the tang grow no taller and no thicker toward its end.",
  },
  "shoulder-covers-slot": {
    name: "Shoulder over the slot",
    says: (f, mm) => `The blade's shoulder covers the slot by ${mm(f.measured)}; ${mm(f.limit)} hides it.`,
    why: "An uncovered slot shows as a gap at the front of the guard.",
    fix: "Make the tang lower at its front.",
  },
  "slot-gap": {
    name: "Slot wider than the tang",
    says: (f, mm) =>
      `The slot is ${mm(f.measured)} wider than the tang on each side; up to ${mm(f.limit)} closes by itself.`,
    why: "More shows, and lets water in; solder or epoxy must bridge it.",
    fix: "Cut the slot a file-stroke tight and fit it by hand.",
  },
  "guard-before-holes": {
    name: "Guard before holes",
    says: () => "Fit the guard before any hole of the handle is drilled.",
    why: "A gap that is found afterwards needs a spacer, or a new scale.",
    fix: "Keep to that order.",
  },
  "tang-before-hardening": {
    name: "Tang before hardening",
    says: () => "Drill, lighten, notch and tap the tang before it is hardened.",
    why: "A hardened tang needs carbide drills, or must be softened by itself with the edge kept cool.",
    fix: "Keep to that order.",
  },
  "peened-on-soft": {
    name: "Peening against soft material",
    says: (f) =>
      f.items
        ? `Peening ${pinIn(f)} splits what it is peened against${partOf(f, ": the ")}.`
        : "Peening here splits what it is peened against.",
    why: "Wood, horn, bone and brittle resin give way under a peened head.",
    fix: "Glue a pin instead, take a sleeve bolt, or set a metal plate under the peen.",
  },
  "bolt-under-head": {
    name: "Material under a head",
    says: (f, mm) =>
      `Only ${mm(f.measured)} of scale is left under the head of ${pinIn(f)}; ${mm(f.limit)} is wanted.`,
    why: "The head pulls through a thin floor.",
    fix: "Seat the head farther out.",
  },
  "bolt-over-seat": {
    name: "Surface over a seat",
    says: (f, mm) =>
      `After contouring, the surface stands ${mm(f.measured)} over the seat of ${pinIn(f)}; ${mm(f.limit)} keeps the head whole.`,
    why: "The head is ground away when the handle is contoured.",
    fix: "Seat the head deeper, or leave the handle fuller here.",
  },
  "bolt-engagement": {
    name: "Thread engaged in a bolt",
    says: (f, mm) => `${mm(f.measured)} of thread is engaged in ${pinIn(f)}; ${mm(f.limit)} is wanted.`,
    why: "A short thread strips when it is pulled up.",
    fix: "Take a longer screw, or a thicker nut.",
  },
  "insert-length": {
    name: "Insert longer than the tang",
    says: (f, mm) =>
      `The insert is longer than the tang is thick by ${mm(f.measured)}; ${mm(f.limit)} is wanted.`,
    why: "The screw would pull on the tang and not on the scale.",
    fix: "Take a slightly longer insert.",
  },
  "insert-too-long": {
    name: "Insert over the tang, at most",
    says: (f, mm) =>
      `The insert of ${pinIn(f)} is longer than the tang is thick by ${mm(f.measured)}; up to ${mm(f.limit)} pulls the scales down.`,
    why: "A long insert takes the scale's material where the head has to bear.",
    fix: "Take a shorter insert.",
  },
  "bolt-head-proud": {
    name: "Head over the surface",
    says: (f, mm) =>
      `The head of ${pinIn(f)} stands ${mm(f.measured)} over the finished surface; up to ${mm(f.limit)} is dressed away.`,
    why: "A proud head is felt in the hand, and dressing more takes what holds.",
    fix: "Seat it deeper, or leave the handle fuller here.",
  },
  "thread-engagement": {
    name: "Thread engaged at the butt",
    says: (f, mm) =>
      `${mm(f.measured)} of thread is engaged at the butt; ${mm(f.limit)} is wanted in this metal.`,
    why: "Steel wants one diameter, bronze and brass one and a half, aluminium two.",
    fix: "Thread it deeper, or take a longer nut.",
  },
  "held-for-good": {
    name: "Glue or pins in what comes apart",
    says: () =>
      "The tang is held by a screw, to be taken apart, but glue or a pin through it would hold it for good.",
    why: "What is glued or pinned is never taken apart again without breaking it.",
    fix: "Leave the glue and the pins out, or say under Glue that what is screwed is glued as well.",
  },
  "tang-short-in-handle": {
    name: "Length of a hidden tang",
    says: (f) => `The tang reaches ${percent(f.measured)} of the handle; half at least, better two thirds.`,
    why: "A short tang levers its hole open.",
    fix: "Lengthen it, or set a cross pin through it.",
  },
  "shoulder-sharp": {
    name: "Radius at the shoulder",
    says: (f, mm) =>
      `The shoulder's inside corner has a radius of ${mm(f.measured)}; ${mm(f.limit)} or more is wanted.`,
    why: "Stress gathers in a square corner: that is where tangs break.",
    fix: "Round it with a file.",
  },
  "tang-stress": {
    name: "Stress in the tang",
    says: (f) =>
      `Under the loads stated, stress at the front of the tang reaches ${percent(f.measured)} of yield; up to ${percent(f.limit)} is kept to. An estimate.`,
    why: "Beyond yield the tang stays bent.",
    fix: "Make it higher or thicker at the front, and its shoulder rounder.",
  },
  "stock-too-small": {
    name: "Stock for a piece",
    says: (f, mm) =>
      `${f.piece ? cutName(f.piece) : f.subject}: the stock is ${mm(f.measured)} too small${f.size ? ` in ${SIZE_WORDS[f.size]}` : ""}.`,
    why: "Kerf and shaping need their room round the finished piece.",
    fix: "Take larger stock, or make the piece smaller.",
  },
  "too-thin-to-cut": {
    name: "Thickness of a sheet, at least",
    says: (f, mm) =>
      `${f.part ? partName(f.part) : "A sheet"} is ${mm(f.measured)} thick; thinner than ${mm(f.limit)} it can neither be sawn nor ground flat.`,
    why: "Foil buckles when it is drilled and clamped.",
    fix: "Make it thicker, or leave it out.",
  },
  "shape-cut-short": {
    name: "Share of a ball or disc that is left",
    says: (f) =>
      `The length of the ${f.part ? partInSentence(f.part) : "piece"} leaves ${percent(f.measured)} of its diameter; under ${percent(f.limit)} it is a sliver.`,
    why: "A ball or disc is drawn from its rear: its length says how much of it there is.",
    fix: "Make it longer, or of a smaller diameter.",
  },
  "hole-rim": {
    name: "Rim round lanyard and lightening holes",
    says: (f, mm) =>
      `Only ${mm(f.measured)} is left round ${f.items?.[0] ? pinIn(f) : "this hole"}; ${mm(f.limit)} is wanted.`,
    why: "A thin rim tears out, or warps when the tang is hardened.",
    fix: "Move it inward, or make it smaller.",
  },
  "hole-in-front-fifth": {
    name: "Front of the tang without holes",
    says: (f) =>
      `A lightening hole begins at ${percent(f.measured)} of the tang; bending is highest in its front ${percent(f.limit)}.`,
    why: "The tang breaks where it is bent most and has least.",
    fix: "Move it back.",
  },
  "fuller-web": {
    name: "Web between two fullers",
    says: (f, mm) => `Only ${mm(f.measured)} is left between two fullers here; ${mm(f.limit)} is wanted.`,
    why: "A narrow web is ground away while the grooves are polished.",
    fix: "Move one of them, or make it narrower.",
  },
  "fuller-floor": {
    name: "Steel left in a fuller",
    says: (f, mm) =>
      `The fuller leaves the blade ${mm(f.measured)} thick here; at least ${mm(f.limit)} is wanted.`,
    why: "The floor of a groove is thinned again while it is polished, and cracks there in hardening.",
    fix: "Make it shallower, or the spine thicker.",
  },
  "step-at-joint": {
    name: "Step from spine to handle",
    says: (f, mm) => `Spine and handle meet in a step of ${mm(f.measured)}; over ${mm(f.limit)} is felt.`,
    why: "A thumb that slides forward catches on it, and the eye sees it.",
    fix: "Let the handle's front follow the spine.",
  },
  "mark-clear": {
    name: "Clear face round a mark",
    says: (f, mm) =>
      f.measured === 0
        ? `The mark lies across ${f.crosses ? crossesWords(f.crosses) : "a line"} here.`
        : `The mark is only ${mm(f.measured)} from ${f.crosses ? crossesWords(f.crosses) : "a line"}; ${mm(f.limit)} is wanted.`,
    why: "A stamp strikes unevenly over an edge of the face, and a stencil does not lie flat across it.",
    fix: "Move it, or make it smaller.",
  },
  "bevel-lost": {
    name: "Front bevel left",
    says: (f, mm) => `The front bevel is ${mm(f.measured)} long after contouring; ${mm(f.limit)} is wanted.`,
    why: "Contouring takes from the bevel, and it cannot be cut again next to the blade.",
    fix: "Cut it longer.",
  },
  "steel-needs-more-heat": {
    name: "Heat for the steel",
    says: (f, _mm, _g, materialOf) =>
      `${named(f.subject, materialOf)} is hardened from ${heatWords(f.limit ?? 0)}, held there where it is air-hardening; the shop's sources reach ${heatWords(f.measured ?? 0)}, or do not hold it.`,
    why: "Steel that is not hot enough, or not for long enough, stays soft whatever is done afterwards.",
    fix: "Take a steel that your source can harden, or have the blade hardened.",
  },
  "longer-than-its-heat": {
    name: "Blade in its heat source",
    says: (f, mm) =>
      `Blade and tang are ${mm(f.measured)} long; the shop's longest source that is hot enough takes ${mm(f.limit)}.`,
    why: "What sticks out is not hardened, and bends where it cools first.",
    fix: "Shorten it, or have it hardened where there is room.",
  },
  "glue-sets-too-soon": {
    name: "Pot life over assembly time",
    says: (f) =>
      `The glue sets in ${Math.round(f.measured ?? 0)} min; putting it together takes about ${Math.round(f.limit ?? 0)} min.`,
    why: "Glue that has begun to set does not bond.",
    fix: "Take a slower glue, work colder, or glue in two steps.",
  },
  "wood-moves": {
    name: "Wood against a flush tang",
    says: (f, mm, _, materialOf) =>
      `${named(f.subject, materialOf)} moves up to ${mm(f.measured)} across its grain over the year; over ${mm(f.limit)} is felt at a flush tang.`,
    why: "Wood swells and shrinks with the air; steel does not.",
    fix: "Seal it well, take quarter-sawn or stabilised wood, or ease the tang's edge.",
  },
  "washers-overpressed": {
    name: "Compression of a stack, at most",
    says: (f) =>
      `A piece is pressed by ${percent(f.measured)} of its length; up to ${percent(f.limit)} can be pulled up.`,
    why: "Leather and cork that are pressed harder split or creep.",
    fix: "Stack less of it.",
  },
  "washers-unpressed": {
    name: "Washers pulled up",
    says: (f) =>
      `These washers are pressed by ${percent(f.measured)}; leather, cork and bark take ${percent(f.limit)} or more.`,
    why: "An unpressed stack loosens as it dries.",
    fix: "Stack 10 to 15 % over length and pull it up.",
  },
  "metals-differ": {
    name: "Metals apart",
    says: (f, _mm, _grams, materialOf) => {
      const [first, last] = (f.subject ?? "").split("+");
      return `${named(first, materialOf)} corrodes next to ${named(last, materialOf)} where it is damp (${ratio(f.measured)} V apart).`;
    },
    why: "Two metals far apart make a cell when water reaches their joint.",
    fix: "Seal the joint with epoxy or wax.",
  },
  "outside-target": {
    name: "Weight, balance and grips for the use",
    says: (f, _mm, _grams, _materialOf, system) =>
      outsideWords(f.goal ?? { figure: "massG", grip: null }, (f.measured ?? 0) - (f.limit ?? 0), system),
    why: "A knife that balances in the wrong place tires the hand, or will not do its work.",
    fix: "The Balance view shows what would move it, and finds the smallest changes.",
  },
};

const UNIT_WORDS = {
  mm: "mm",
  diameters: "diameters",
  share: "share",
  ratio: "ratio",
  volts: "V",
  none: "",
  "g/cm³": "g/cm³",
} as const;

export function ruleUnitWords(unit: keyof typeof UNIT_WORDS): string {
  return UNIT_WORDS[unit];
}
