import type { HandRule } from "@/core/figures/review/types";
import { type RuleWords, ratio } from "./ruleWords";

/** What the rules say of how a handle suits the hand that it is for. */
export const HAND_WORDS: Record<HandRule, RuleWords> = {
  "handle-short-for-hand": {
    name: "Handle over the hand's breadth by",
    says: (f, mm) => `The grip is ${mm(f.measured)} long; the hand wants ${mm(f.limit)}.`,
    why: "The little finger hangs off a short handle.",
    fix: "Lengthen the handle, or state the hand it is for.",
  },
  "ring-narrow": {
    name: "Room round a finger in its ring",
    says: (f, mm) =>
      (f.measured ?? 0) < 0
        ? `The finger ring is ${mm(-(f.measured ?? 0))} narrower than a finger of the stated hand; ${mm(f.limit)} of room is wanted.`
        : `The finger ring leaves a finger of the stated hand ${mm(f.measured)} of room; ${mm(f.limit)} is wanted.`,
    why: "A finger that swells, or is caught when the knife turns, does not come out of a narrow ring.",
    fix: "Make the bore wider, or state the hand it is for.",
  },
  "ring-spacing": {
    name: "Finger rings as the fingers stand, to within",
    says: (f, mm) =>
      `This finger ring stands ${mm(f.measured)} off where the next finger of the stated hand is; up to ${mm(f.limit)} is reached without strain.`,
    why: "Fingers that are spread or pressed together to reach their rings cannot close on the handle.",
    fix: "Move the ring, or state the hand it is for.",
  },
  "nothing-before-finger": {
    name: "Drop in front of the finger",
    says: (f, mm) =>
      `For thrusting there is no guard, and the front drops ${mm(f.measured)}; ${mm(f.limit)} stops the finger.`,
    why: "A wet hand slides forward onto the edge.",
    fix: "Add a guard, or let the handle's front drop.",
  },
  "round-handle": {
    name: "Height to thickness",
    says: (f) =>
      `The handle is ${ratio(f.measured)} times as tall as thick here; ${ratio(f.limit)} or more is wanted.`,
    why: "A round handle turns in the hand, and hides where the edge is.",
    fix: "Make it taller or thinner here.",
  },
};
