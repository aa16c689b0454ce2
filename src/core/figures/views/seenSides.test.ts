import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { joined } from "../../geometry/contours/clip";
import { signedArea, straightLoop } from "../../geometry/contours/loop";
import type { Point } from "../../geometry/curve/bezier";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import type { Design } from "../../knife/design/schema";
import { seenSides } from "./seenSides";

const areaOf = (loops: readonly (readonly Point[])[]) =>
  loops.reduce((sum, l) => sum + signedArea(straightLoop(l)), 0);
const whole = (design: Design, side: "right" | "left") =>
  areaOf(seenSides(design, side).flatMap((s) => s.loops));

describe("what is seen of a knife from its sides", () => {
  it.each([...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)])(
    "%s: parts cover each place once, and as much from the left as from the right",
    (_, design) => {
      const seen = seenSides(design, "right").flatMap((s) => s.loops);
      const outline = areaOf(joined(seen.filter((l) => signedArea(straightLoop(l)) > 0)));
      // Openings of one part show the next: the sum of all is what they cover together, but for what is open.
      expect(areaOf(seen) / outline).toBeGreaterThan(0.9);
      expect(areaOf(seen) / outline).toBeLessThan(1.002);
      expect(whole(design, "left") / areaOf(seen)).toBeCloseTo(1, 2);
    },
  );

  it("a pin shows as a disc of its diameter in the scale, and a blind one not at all", () => {
    for (const [name, shows] of [
      ["fastener: pin", true],
      ["fastener: blind-pin", false],
    ] as const) {
      const design = CONSTRUCTIONS[name];
      const [f] = design.fasteners;
      const seen = seenSides(design, "right").filter((s) => s.key.kind === "fastener" && s.key.id === f.id);
      expect(seen.length > 0, name).toBe(shows);
      if (shows) expect(areaOf(seen[0].loops) / ((Math.PI / 4) * f.diameterMm ** 2)).toBeCloseTo(1, 2);
    }
  });

  it("what lies under scales is not seen of a framed tang, and all of it of a bare one", () => {
    const framed = CONSTRUCTIONS["framed tang"];
    expect(seenSides(framed, "right").some((s) => s.key.kind === "tang")).toBe(false);
    expect(seenSides(CONSTRUCTIONS["bare tang"], "right").some((s) => s.key.kind === "tang")).toBe(true);
  });
});
