import { describe, expect, it } from "vitest";
import { byCount, capital, counted, small, smallFirst } from "./grammar";

describe("plurals", () => {
  it("are of everything but one", () => {
    expect([0, 1, 2, 21].map((n) => counted(n, "hole"))).toEqual([
      "0 holes",
      "1 hole",
      "2 holes",
      "21 holes",
    ]);
    expect(counted(3, "knife", "knives")).toBe("3 knives");
    expect([1, 2].map((n) => byCount(n, "is", "are"))).toEqual(["is", "are"]);
  });
});

describe("case", () => {
  it("of a name within a sentence, and at its beginning", () => {
    expect(small("Sleeve Bolt")).toBe("sleeve bolt");
    expect(smallFirst("Above the Axis")).toBe("above the Axis");
    expect(capital("élan")).toBe("Élan");
    expect([small, smallFirst, capital].map((f) => f(""))).toEqual(["", "", ""]);
  });
});
