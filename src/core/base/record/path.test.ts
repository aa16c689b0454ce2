import { describe, expect, it } from "vitest";
import { putAt, valueAt, withValueAt } from "./path";

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

describe("a record with another value at a path", () => {
  const record = { a: { b: [{ c: 1 }, { c: 2 }], d: null }, e: { f: 3 } };

  it("has that, and shares all that is not on the way there", () => {
    const next = withValueAt(record, "a.b.1.c", 5)!;
    expect(next).toEqual({ a: { b: [{ c: 1 }, { c: 5 }], d: null }, e: { f: 3 } });
    expect(next.e).toBe(record.e);
    expect(next.a.b[0]).toBe(record.a.b[0]);
    expect(record.a.b[1].c).toBe(2);
    expect(Array.isArray(next.a.b)).toBe(true);
    expect(withValueAt(record, "a.b.0.c", null)).toEqual({
      ...record,
      a: { ...record.a, b: [{ c: null }, { c: 2 }] },
    });
  });

  it("is none where the path leads nowhere, and touches no prototype", () => {
    for (const path of ["x", "a.x.c", "a.b.2.c", "a.d.c", "e.f.g", "__proto__.f", "constructor.name"])
      expect(withValueAt(record, path, 1)).toBeNull();
  });
});
