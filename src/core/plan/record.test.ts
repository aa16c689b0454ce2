import { describe, expect, it } from "vitest";
import { newPlan } from "./newPlan";
import { withHold, withLogged, withoutLogged, withoutReading, withReading, withSize } from "./progress";
import { planRecord, type Reading } from "./record";

describe("what is kept as built", () => {
  const reading: Reading = {
    id: "r1",
    stage: "dry-fit",
    at: 5,
    massG: 200,
    balanceMm: null,
    predicted: null,
  };

  it("is put in by its time, taken out, and put back", () => {
    const early = { ...reading, id: "r0", at: 1 };
    const both = withReading(withReading(newPlan(), reading), early);
    expect(both.readings.map((r) => r.id)).toEqual(["r0", "r1"]);
    expect(withReading(withoutReading(both, "r0"), early)).toEqual(both);
    const log = withLogged(newPlan(), { id: "n", at: 1, says: "Warped 0.3 mm", picture: null });
    expect(withoutLogged(log, "n")).toEqual(newPlan());
    const size = withSize(newPlan(), "handle-length", 110.5);
    expect(size.sizes).toEqual({ "handle-length": 110.5 });
    expect(withSize(size, "handle-length", null)).toEqual(newPlan());
    const held = withHold(newPlan(), "harden", { day: "2027-01-05", why: "customer" });
    expect(withHold(held, "harden", null)).toEqual(newPlan());
    for (const plan of [both, log, size, held]) expect(planRecord.safeParse(plan).success).toBe(true);
  });

  it.each([
    ["a day that there is not", { holds: { harden: { day: "2027-02-30", why: "chosen" } } }],
    ["a weight below nothing", { readings: [{ ...reading, massG: -1 }] }],
    ["a stage that there is not", { readings: [{ ...reading, stage: "soon" }] }],
    ["a size of a place that there is not", { sizes: { nose: 3 } }],
    ["an empty note", { log: [{ id: "n", at: 1, says: " ", picture: null }] }],
  ])("refuses %s", (_, of) => {
    expect(planRecord.safeParse({ ...newPlan(), ...of }).success).toBe(false);
  });
});
