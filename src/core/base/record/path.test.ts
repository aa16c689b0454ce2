import { describe, expect, it } from "vitest";
import { putAt, valueAt } from "./path";

describe("a place in a record", () => {
  it("is read and written by its dotted path", () => {
    const root = { guard: { plates: [{ thicknessMm: 3 }, { thicknessMm: 1 }] } };
    expect(valueAt(root, "guard.plates.1.thicknessMm")).toBe(1);
    expect(putAt(root, "guard.plates.1.thicknessMm", 2)).toBe(true);
    expect(root.guard.plates.map((p) => p.thicknessMm)).toEqual([3, 2]);
  });

  it("that does not exist is undefined, and writing there changes nothing", () => {
    const root = { guard: null };
    expect(valueAt(root, "guard.plates.0")).toBeUndefined();
    expect(putAt(root, "guard.plates.0", 1)).toBe(false);
    expect(putAt(root, "gard", 1)).toBe(false);
    expect(root).toEqual({ guard: null });
  });
});
