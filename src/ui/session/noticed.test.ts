import { describe, expect, it } from "vitest";
import type { Finding } from "@/core/figures/review/types";
import { newDesign } from "@/core/knife/design/create";
import { NOTHING_NOTICED, newestFirst, notice } from "./noticed";

const finding = (rule: Finding["rule"], severity: Finding["severity"], subject: string | null = null) =>
  ({ rule, severity, subject, at: null, measured: null, limit: null }) as Finding;
const [first, second, third] = ["A", "B", "C"].map((name) => newDesign(name));
const thin = finding("wall-in-wood", "warning");
const note = finding("guard-before-holes", "note");
const pin = finding("far-from-butt", "warning");
const off = finding("pin-off-handle", "error", "pin-1");
const rules = (all: readonly Finding[]) => all.map((f) => f.rule);

describe("findings", () => {
  it("that come at once stand by their weight", () => {
    const seen = notice(NOTHING_NOTICED, first, "trade", [note, thin]);
    expect(rules(newestFirst(seen, [], [note, thin]))).toEqual(["wall-in-wood", "guard-before-holes"]);
  });

  it("that a change brings stand above those that were there", () => {
    let seen = notice(NOTHING_NOTICED, first, "trade", [thin]);
    seen = notice(seen, second, "trade", [thin, note]);
    expect(rules(newestFirst(seen, [], [thin, note]))).toEqual(["guard-before-holes", "wall-in-wood"]);
    // A change that brings nothing leaves the order alone.
    seen = notice(seen, third, "trade", [thin, note]);
    expect(rules(newestFirst(seen, [], [thin, note]))).toEqual(["guard-before-holes", "wall-in-wood"]);
  });

  it("that come back are new again", () => {
    let seen = notice(NOTHING_NOTICED, first, "trade", [thin, pin]);
    seen = notice(seen, second, "trade", [pin]);
    seen = notice(seen, third, "trade", [pin, thin]);
    expect(rules(newestFirst(seen, [], [pin, thin]))).toEqual(["wall-in-wood", "far-from-butt"]);
  });

  it("of the weighing and of the rules that one change brings are of one age; what cannot be built stands first", () => {
    let seen = notice(NOTHING_NOTICED, first, "trade", [thin]);
    seen = notice(seen, second, "faults", [off]);
    seen = notice(seen, second, "trade", [thin, note]);
    expect(seen.change).toBe(2);
    expect(rules(newestFirst(seen, [off], [thin, note]))).toEqual([
      "pin-off-handle",
      "guard-before-holes",
      "wall-in-wood",
    ]);
  });

  it("of one rule and subject are told apart by their order", () => {
    const seen = notice(NOTHING_NOTICED, first, "trade", [thin]);
    const two = notice(seen, second, "trade", [thin, thin]);
    expect([...two.since.trade.values()]).toEqual([1, 2]);
  });
});
