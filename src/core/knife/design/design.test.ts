import { describe, expect, it } from "vitest";
import { HANDLE_LENGTHS, handleLength, withHandleLength } from "../layout/handleLengths";
import { withTang } from "../starts/constructions";
import { checkDesign } from "../validity/checkDesign";
import { newDesign, tipFrom } from "./create";
import { newGuard } from "./guards";
import { designSchema, TIP_STYLES } from "./schema";

const sound = newDesign("Sedge");

describe("designs to begin from", () => {
  it("are whole, and can be built with every tip and tang, with and without a guard", () => {
    for (const style of TIP_STYLES) {
      for (const kind of ["full", "hidden"] as const) {
        const bare = withTang({ ...sound, blade: { ...sound.blade, tip: tipFrom(style, 105) } }, kind);
        for (const design of [bare, { ...bare, guard: newGuard(bare) }]) {
          expect(designSchema.safeParse(design).success).toBe(true);
          expect(checkDesign(design), `${style}, ${kind}`).toEqual([]);
        }
      }
    }
  });

  it("keep outline, section, guard and pins when the tang changes, and the handle's material there and back", () => {
    const guarded = { ...sound, guard: newGuard(sound) };
    const hidden = withTang(guarded, "hidden");
    expect(hidden.handle.outline).toBe(sound.handle.outline);
    expect(hidden.fasteners).toBe(sound.fasteners);
    expect(hidden.guard).toBe(guarded.guard);
    expect(withTang(hidden, "hidden")).toBe(hidden);
    const back = withTang(hidden, "full");
    if (back.handle.kind !== "scales") throw new Error("no scales");
    expect(back.handle.right.material).toBe("walnut-black");
  });
});

describe("lengths of a handle", () => {
  it.each(HANDLE_LENGTHS)("%s is what it was set to", (which) => {
    const now = handleLength(sound.handle, which)!;
    const longer = withHandleLength(sound.handle, which, now + 3);
    // The butt bulges a hair differently between stretched points: a ten-thousandth of a millimetre.
    expect(handleLength(longer, which)).toBeCloseTo(now + 3, 3);
  });

  it("stretching moves every station and keeps every height", () => {
    const before = handleLength(sound.handle, "length")!;
    const after = withHandleLength(sound.handle, "length", before * 1.1);
    after.outline.forEach((n, i) => {
      expect(n.xMm).toBeCloseTo(sound.handle.outline[i].xMm * 1.1, 9);
      expect(n.yMm).toBe(sound.handle.outline[i].yMm);
    });
    expect(after.plan[3].xMm).toBeCloseTo(sound.handle.plan[3].xMm * 1.1, 9);
  });

  it("changes nothing for a length that cannot be, or a point that is gone", () => {
    expect(withHandleLength(sound.handle, "length", 0)).toBe(sound.handle);
    expect(withHandleLength(sound.handle, "swell", Number.NaN)).toBe(sound.handle);
    const bare = { ...sound.handle, outline: sound.handle.outline.filter((n) => n.role !== "swell") };
    expect(handleLength(bare, "swell")).toBeNull();
    expect(withHandleLength(bare, "swell", 30)).toBe(bare);
  });
});
