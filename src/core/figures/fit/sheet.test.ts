import { describe, expect, it } from "vitest";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { fitFigures } from "./fitFigures";

describe("the whole sheet", () => {
  it.each(Object.keys(CONSTRUCTIONS))("%s: every figure is finite", (name) => {
    const finite = (value: unknown, path: string): void => {
      if (typeof value === "number") expect(Number.isFinite(value), path).toBe(true);
      else if (Array.isArray(value)) for (const [i, v] of value.entries()) finite(v, `${path}.${i}`);
      else if (value && typeof value === "object")
        for (const [k, v] of Object.entries(value)) finite(v, `${path}.${k}`);
    };
    finite(fitFigures(CONSTRUCTIONS[name]), name);
  });
});

describe("a wrap on the sheet", () => {
  it("is as long to buy as it is wound, and a tenth and both ends more; none without one", () => {
    const [wrap] = fitFigures(CONSTRUCTIONS["bare tang in cord"]).wraps;
    expect(wrap).toMatchObject({ material: "cord-nylon-flat", turns: 92 / 4 });
    expect(wrap.buyMm).toBeCloseTo(1.1 * wrap.lengthMm + 300, 6);
    expect(fitFigures(CONSTRUCTIONS["bare tang"]).wraps).toEqual([]);
  });
});
