import { upToTenth } from "../../base/number";

/** A finger's breadth at its joint to the hand's across the knuckles: 20 mm of 85. DIN 33402-2, from memory. */
const FINGER_SHARE = 20 / 85;

/** Fingers across the knuckles. */
const FINGERS = 4;

/** Room that a finger needs beyond its breadth to go in and out, mm: what is usual, and the least. From memory. */
const USUAL_ROOM_MM = 3;
export const LEAST_ROOM_MM = 2;

/** Breadth of a finger at its joint, mm, of a hand so broad across the knuckles. */
export const fingerMm = (handMm: number): number => handMm * FINGER_SHARE;

/** From the middle of one finger to that of the next, mm, of a closed hand so broad across the knuckles. */
export const fingerSpacingMm = (handMm: number): number => handMm / FINGERS;

/** The bore to begin with for a hand, mm. */
export const usualBoreMm = (handMm: number): number => upToTenth(fingerMm(handMm) + USUAL_ROOM_MM);
