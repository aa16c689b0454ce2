import { describe, expect, it } from "vitest";
import { freeAt, freed, taken } from "./units";

const NEVER = Number.POSITIVE_INFINITY;
const units = (...ms: number[]) => Float64Array.from(ms);

describe("units of a resource", () => {
  it("are free when so many of them are; more than there are never", () => {
    expect([1, 2, 3].map((n) => freeAt(units(5, 9), n))).toEqual([5, 9, NEVER]);
  });

  it("are taken from those that came free last, and stay in order", () => {
    // At 10 the ones of 2 and 7 are free: the one of 7 goes, that of 2 stays for what could begin before.
    expect([...taken(units(2, 7, 20), 1, 10, 30)]).toEqual([2, 20, 30]);
    expect([...taken(units(2, 7, 20), 2, 10, NEVER)]).toEqual([20, NEVER, NEVER]);
  });

  it("that were taken without an end are free once it is known, no more than so many", () => {
    expect([...freed(units(4, NEVER, NEVER), 1, 2)]).toEqual([2, 4, NEVER]);
    expect([...freed(units(4, NEVER, NEVER), 2, 6)]).toEqual([4, 6, 6]);
    expect([...freed(units(4, 5), 1, 6)]).toEqual([4, 5]);
    const before = units(1, NEVER);
    freed(before, 1, 3);
    expect([...before]).toEqual([1, NEVER]);
  });
});
