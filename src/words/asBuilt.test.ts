import { expect, it } from "vitest";
import { SIZE_PLACES, STAGES } from "@/core/plan/types";
import { offWords, predictedOffWords, SIZE_WORDS, STAGE_NOTES, STAGE_WORDS } from "./asBuilt";

const print = (g: number) => `${g.toFixed(1)} g`;

it("how far a figure is off has its sign, and says where it lies outside", () => {
  expect(offWords(203.1, 200, print)).toBe("+3.1 g");
  expect(offWords(198, 200, print)).toBe("−2.0 g");
  expect(offWords(200, 200, print)).toBe("0.0 g");
  expect(predictedOffWords(203.1, 200, [195, 205], print)).toBe("+3.1 g");
  expect(predictedOffWords(206, 200, [195, 205], print)).toBe("+6.0 g, outside");
  expect(predictedOffWords(194.9, 200, [195, 205], print)).toBe("−5.1 g, outside");
});

it("every stage and place has its words, no two the same", () => {
  expect(new Set(STAGES.map((s) => STAGE_WORDS[s])).size).toBe(STAGES.length);
  expect(STAGES.every((s) => STAGE_NOTES[s] !== "")).toBe(true);
  expect(new Set(SIZE_PLACES.map((p) => SIZE_WORDS[p])).size).toBe(SIZE_PLACES.length);
});
