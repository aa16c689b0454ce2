import { describe, expect, it } from "vitest";
import type { Contradiction, Hole } from "@/core/plan/contradictions";
import { blankListWords, blankWords, pieceWords } from "./line";

const hole = (more: Partial<Hole> = {}): Hole => ({
  kind: "hole",
  piece: "blade",
  item: "pin-1",
  xMm: -22,
  yMm: 1,
  diameterMm: 6.5,
  depthMm: null,
  ...more,
});
const name = (id: string) => id.toUpperCase();
const of = { task: "drill-tang", kind: "drill-tang" } as const;
const says = (c: unknown) => blankWords({ ...of, ...(c as object) } as Contradiction, "metric", name);

describe("how a blank differs", () => {
  it.each([
    [
      { code: "hole-moved", was: hole(), now: hole({ xMm: -24 }), byMm: 2 },
      "6.50 mm hole at −22.00 mm, 1.00 mm stands 2.00 mm away",
    ],
    [{ code: "hole-larger", was: hole(), now: hole({ diameterMm: 8 }) }, "is 8.00 mm wide"],
    [{ code: "hole-deeper", was: hole({ depthMm: 3 }), now: hole({ depthMm: 4 }) }, "is 4.00 mm deep"],
    [{ code: "hole-gone", was: hole() }, "no 6.50 mm hole"],
    [{ code: "hole-missing", now: hole() }, "a 6.50 mm hole at −22.00 mm, 1.00 mm more"],
    [{ code: "outline-missing", xMm: 40, byMm: 1.5 }, "stands out by 1.50 mm at 40.00 mm"],
    [{ code: "outline-standing", xMm: 40, byMm: 1.5 }, "lies in by 1.50 mm"],
    [
      { code: "size-missing", of: "length", piece: "tip", wasMm: 112, nowMm: 118 },
      "the tip at 118.00 mm in the place of 112.00 mm",
    ],
    [
      { code: "size-standing", of: "bar-thickness", piece: "blade", wasMm: 4, nowMm: 3 },
      "thickness of the bar at 3.00 mm",
    ],
    [{ code: "other-material", piece: "blade", was: "o1", now: "w2" }, "W2 in the place of O1"],
    [{ code: "other-steel", was: "o1", now: "w2" }, "hardened: W2"],
  ])("%o", (c, words) => {
    expect(says(c)).toContain(words);
  });

  it("is told by its first four, and how many there are besides", () => {
    const all = Array.from({ length: 6 }, () => ({ ...of, code: "hole-gone", was: hole() }) as Contradiction);
    expect(blankListWords(all, "metric", name)).toMatch(/; and 2 more$/);
    expect(blankListWords(all.slice(0, 1), "metric", name)).not.toContain("more");
    expect([pieceWords(1, 3), pieceWords(0, 1)]).toEqual(["piece 2 of 3", "the piece"]);
  });
});
