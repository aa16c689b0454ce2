import type { Finding } from "@/core/figures/review/types";
import type { FaultRule } from "@/core/knife/parts/faults";

type Say = (mm: number | null) => string;

type BladeRule = Extract<
  FaultRule,
  | `blade-${string}`
  | `taper-thicker-${string}`
  | "taper-point-off"
  | "left-grind-unused"
  | "blade-beyond-tip"
  | "notch-not-open"
  | "plunge-off-blade"
  | `fuller${string}`
  | `swedge-${string}`
  | `notch-off-edge`
  | "notch-cuts-through"
  | "ramp-off-blade"
  | "bolster-longer-than-blade"
  | "bolster-inside-blade"
>;

/** What is wrong with a blade's own outline, its sections and what is cut into it. */
export const BLADE_FAULT_WORDS: Record<BladeRule, (f: Finding, mm: Say) => string> = {
  "blade-outline-crosses": () =>
    "The blade's outline crosses itself here: its edge comes above its spine, or it loops. Pull its points apart.",
  "blade-behind-datum": (f, mm) =>
    `The blade's outline swings ${mm(f.measured)} behind the front of the handle or guard. Move its first points to the tip, or make them corners.`,
  "taper-thicker-than-stock": (f, mm) =>
    `The spine is thicker here (${mm(f.measured)}) than the stock (${mm(f.limit)}) that it is ground from.`,
  "taper-point-off": () =>
    "A thickness of the distal taper stands where the taper does not reach: between its beginning and the tip. It does not count.",
  "left-grind-unused": () =>
    "A single bevel leaves the other side flat, but the left side has a grind of its own. Grind both sides alike, or choose another grind for the right side.",
  "blade-beyond-tip": (f, mm) =>
    `The blade's outline runs ahead of its tip, to ${mm(f.measured)}; the tip is at ${mm(f.limit)}. Move its last points back, or make the blade longer.`,
  "notch-not-open": (f, mm) =>
    `A notch ${mm(f.measured)} deep is no wider than ${mm(f.limit)}: it is a hole that does not open. Make it shallower, or its radius larger.`,
  "plunge-off-blade": (f, mm) =>
    `The plunge line leans so far that it leaves the blade, at ${mm(f.measured)}. Make its angle smaller.`,
  "fuller-off-blade": () =>
    "A fuller runs off the blade here. Move it, or make it narrower, shallower or shorter.",
  "fullers-meet": () => "Two fullers of one side meet here. Move them apart, or make them narrower.",
  "fuller-cuts-through": () => "The fuller cuts through the blade here. Make it shallower.",
  "fuller-deeper-than-radius": (f, mm) =>
    `The fuller (${mm(f.measured)} deep) is deeper than its tool's radius (${mm(f.limit)}): its walls stand upright.`,
  "swedge-longer-than-blade": (f, mm) =>
    `The false edge (${mm(f.measured)}) is longer than the blade (${mm(f.limit)}): it ends at the handle.`,
  "swedge-leaves-spine": (f, mm) =>
    `The false edge leaves ${mm(f.measured)}, but the spine is ${mm(f.limit)} thick where it begins: it takes nothing there.`,
  "notch-off-edge": (f, mm) =>
    `A notch stands at ${mm(f.measured)}, beyond the tip at ${mm(f.limit)}. Move it back.`,
  "notch-cuts-through": (f, mm) =>
    `A notch ${mm(f.measured)} deep cuts the blade in two: it is ${mm(f.limit)} high there.`,
  "ramp-off-blade": (f, mm) =>
    `The thumb ramp ends at ${mm(f.measured)}, beyond the tip at ${mm(f.limit)}. Make it shorter, or move it back.`,
  "bolster-longer-than-blade": (f, mm) =>
    `The integral bolster (${mm(f.measured)}) is as long as the blade (${mm(f.limit)}) or longer.`,
  "bolster-inside-blade": (f, mm) =>
    `The integral bolster (${mm(f.measured)}) is no wider than the blade's stock (${mm(f.limit)}): it does not show.`,
};
