import { describe, expect, it } from "vitest";
import type { Panel } from "@/core/sheath/pattern";
import { SHEATH_STYLES } from "@/core/sheath/settings";
import { panelLines, SHEATH_STEPS, sheathFailureWords, sheathNoteWords } from "./sheath";

describe("what is said of a sheath", () => {
  it.each([
    [{ code: "cannot-be-built" }, /no outline/],
    [
      { code: "limit", field: "leatherMm", min: 0.8, max: 8 },
      /^Leather's thickness is 0\.8 mm to 8\.0 mm\.$/,
    ],
    [{ code: "margin", most: 9 }, /9\.0 mm at most/],
    [{ code: "depth", most: 90 }, /90\.0 mm of the handle at most/],
  ] as const)("is why there is none: %o", (failure, says) => {
    expect(sheathFailureWords(failure, "metric")).toMatch(says);
  });

  it("is each note with its place", () => {
    expect(sheathNoteWords({ code: "loose", xMm: -20, byMm: 6.5 }, "metric")).toMatch(
      /^6\.5 mm of room at −20\.0 mm/,
    );
    expect(sheathNoteWords({ code: "stretch", xMm: -40, share: 0.216 }, "metric")).toMatch(/22 % longer/);
    expect(sheathNoteWords({ code: "guard", xMm: 0, widthMm: 50 }, "metric")).toMatch(
      /cut the throat to the guard/,
    );
  });

  it("is leather in mm and ounces under each piece, and an order that ends in the mould", () => {
    const panel = (name: Panel["name"]): Panel => ({ name, outline: [], areaMm2: 0, thickMm: 3.175 });
    for (const style of SHEATH_STYLES) {
      for (const name of ["front", "back", "welt", "belt-loop"] as const)
        expect(panelLines(panel(name), style, "metric").join(" ")).toContain("3.2 mm, 8 oz");
      const loop = SHEATH_STEPS[style].findIndex((s) => s.includes("belt loop to the back"));
      expect(loop).toBeLessThan(SHEATH_STEPS[style].findIndex((s) => s.includes("front")));
      expect(SHEATH_STEPS[style].at(-1)).toMatch(/mould/);
    }
  });
});
