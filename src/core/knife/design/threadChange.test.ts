import { describe, expect, it } from "vitest";
import { putAt, valueAt } from "../../base/record/path";
import { THREADS } from "../../base/units/threads";
import { fitFigures } from "../../figures/fit/fitFigures";
import { FASTENER_KINDS, newFastener } from "../../kinds/fasteners/registry";
import { BAR_END_KINDS } from "../../kinds/tangEnds/registry";
import { withEnd, withTang } from "../starts/constructions";
import { newDesign } from "./create";
import { markOf } from "./marks";
import { migrate } from "./migrate";
import type { Design } from "./schema";
import { threadChange } from "./threadChange";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");
const named = (name: string) => THREADS.find((t) => t.name === name)!;
const changeTo = (design: Design, at: string, name: string) => threadChange(design, at, named(name))!;
const take = (design: Design, at: string, name: string): Design => {
  const next = structuredClone(design);
  for (const { path, value } of changeTo(design, at, name).sets) putAt(next, path, value);
  return next;
};
const fastened = (kind: (typeof FASTENER_KINDS)[number]): Design => ({
  ...sound,
  fasteners: [newFastener(kind, "f", { xMm: -50, yMm: 0 }, 4)],
});
const withPath = (design: Design, path: string, value: unknown): Design => {
  const next = structuredClone(design);
  putAt(next, path, value);
  return next;
};

/** Every record that has a thread to choose, as it begins. */
const THREADED: [string, Design, string][] = [
  ...FASTENER_KINDS.map((k): [string, Design, string] => [k, fastened(k), "fasteners.0"]),
  ...BAR_END_KINDS.map((k): [string, Design, string] => [k, withEnd(hidden, k), "tang.end"]),
].filter((row) => typeof valueAt(row[1], `${row[2]}.pitchMm`) === "number") as [string, Design, string][];

describe("another thread", () => {
  it("is there to choose for screws, threaded rods and threaded ends", () => {
    expect(THREADED.map(([kind]) => kind)).toEqual([
      "cap-screw",
      "nutted-rod",
      "threaded",
      "stud",
      "cap-nut",
      "take-down",
    ]);
  });

  it.each(THREADED)(
    "brings all sizes of a %s that were its own, and back again the same",
    (kind, design, at) => {
      const there = changeTo(design, at, "M6");
      expect(there.asks).toEqual([]);
      // A cap is as large as its handle, whatever thread it has.
      expect(there.sets.length).toBeGreaterThan(kind === "cap-nut" ? 1 : 3);
      const back = `M${valueAt(design, `${at}.diameterMm`)}`;
      expect(valueAt(take(take(design, at, "M6"), at, back), at)).toEqual(valueAt(design, at));
    },
  );

  // ISO 4762 for head and socket of M5; ISO 4032 for the nut of M6: from memory, as the tables' own note says.
  it("has the standard's head, socket and nut", () => {
    expect(valueAt(take(fastened("cap-screw"), "fasteners.0", "M5"), "fasteners.0")).toMatchObject({
      diameterMm: 5,
      pitchMm: 0.8,
      headMm: 8.5,
      headLengthMm: 5,
      socketMm: 4,
      counterboreMm: 9,
    });
    expect(valueAt(take(fastened("nutted-rod"), "fasteners.0", "M6"), "fasteners.0")).toMatchObject({
      nutAcrossMm: 10,
      nutLengthMm: 5.2,
      // 10 mm across flats are 11.547 over the corners.
      counterboreMm: 11.7,
    });
  });

  it("asks about what somebody had changed, and leaves it", () => {
    const design = withPath(fastened("cap-screw"), "fasteners.0.counterboreMm", 8.4);
    expect(changeTo(design, "fasteners.0", "M5").asks).toEqual([
      { path: "fasteners.0.counterboreMm", fromMm: 8.4, toMm: 9, locked: false },
    ]);
    expect(valueAt(take(design, "fasteners.0", "M5"), "fasteners.0")).toMatchObject({
      headMm: 8.5,
      counterboreMm: 8.4,
    });
  });

  it("leaves what is locked", () => {
    const design = withEnd(hidden, "take-down");
    const locked = { ...design, locked: [markOf(design, "tang.end.headMm")] };
    const { sets, asks } = changeTo(locked, "tang.end", "M5");
    expect(sets.map((s) => s.path)).not.toContain("tang.end.headMm");
    expect(asks).toEqual([{ path: "tang.end.headMm", fromMm: 5.5, toMm: 8.5, locked: true }]);
  });

  it("asks about every size where the thread before is in no table", () => {
    const design = withPath(fastened("nutted-rod"), "fasteners.0.diameterMm", 4.4);
    expect(changeTo(design, "fasteners.0", "M5").asks.map((a) => a.path.split(".")[2])).toEqual([
      "nutAcrossMm",
      "nutLengthMm",
      "counterboreMm",
    ]);
  });

  // Tapping drills of the two threads of one size, as handbooks list them: No. 25 and No. 21 (from memory).
  it.each([
    ["No. 10-24", "#25"],
    ["No. 10-32", "#21"],
  ])("has the tapping drill of %s by its own pitch", (name, drill) => {
    const tap = fitFigures(take(fastened("cap-screw"), "fasteners.0", name)).bores.find(
      (b) => b.use === "tap",
    )!;
    expect([tap.thread, tap.drill?.name]).toEqual([name, drill]);
  });

  it("has a usual pitch in a record of version 6", () => {
    const old = (diameterMm: number) => ({ fasteners: [{ kind: "nutted-rod", diameterMm }] });
    const pitch = (d: number) => valueAt(migrate(old(d), 6), "fasteners.0.pitchMm");
    // 4.4 mm is nearest to No. 8-32, of 4.166 mm.
    expect([pitch(4), pitch(4.4), pitch(6)]).toEqual([0.7, 0.84, 1]);
  });
});
