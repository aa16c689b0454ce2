import { describe, expect, it } from "vitest";
import { seeded } from "../../../../faults/random";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { fittingOf } from "../../kinds/guardFittings/registry";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { mutated } from "../../knife/design/mutated.fixtures";
import type { Design } from "../../knife/design/schema";
import { pieceList } from "../pieces/pieceList";
import { undrilled } from "../pieces/undrilled";
import { rayThrough } from "../weigh/rayThrough";
import { boresAsked } from "./boreNeeds";
import { fitFigures } from "./fitFigures";
import { type Hole, holesOf } from "./holes";

const all: (readonly [string, Design])[] = [...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)];

/** Sizes are drilled a little larger or smaller than they are drawn, mm. */
const DRILLED_MM = 0.05;

/**
 * What is weighed as taken out of pieces by fasteners, along rays through each of them, that no hole of the piece
 * accounts for.
 */
function unaccounted(design: Design): string[] {
  const whole = assemble(design);
  const before = undrilled(whole, design);
  const holes = holesOf(design).filter((h) => h.axis === "across");
  const pieces = pieceList(design);
  const wrong: string[] = [];
  const places = boresAsked(design).flatMap((a) => (a.axis === "across" ? [a] : []));
  for (const { xMm, yMm, bore } of places)
    for (const share of [0, 0.5, 0.92])
      for (const turn of [0.3, 2.4, 4.5]) {
        const away = (share * bore.nominalMm) / 2;
        const [x, y] = [xMm + away * Math.cos(turn), yMm + away * Math.sin(turn)];
        const now = rayThrough(whole, x, y);
        for (const was of rayThrough(before, x, y)) {
          const { id, key } = before.parts[was.part];
          const piece = pieces.find((p) => p.parts.includes(id) || p.leftParts?.includes(id));
          if (!piece || piece.across) continue;
          const left = now.filter((p) => whole.parts[p.part].id === id);
          // The middle of each stretch that is gone.
          const stops = [was.fromMm, ...left.flatMap((p) => [p.fromMm, p.toMm]), was.toMm].sort(
            (a, b) => a - b,
          );
          for (let i = 0; i + 1 < stops.length; i++) {
            const middle = (stops[i] + stops[i + 1]) / 2;
            if (stops[i + 1] - stops[i] < 0.02 || left.some((p) => p.fromMm < middle && p.toMm > middle))
              continue;
            const side = "side" in key ? key.side : null;
            const z = side === "left" ? -middle : middle;
            const takes = (h: Hole) =>
              h.piece === piece.id &&
              (h.side === null || h.side === side) &&
              Math.hypot(h.xMm - x, h.yMm - y) <= Math.max(h.drilledMm, h.nominalMm) / 2 + DRILLED_MM &&
              // What is alike on both sides is told once.
              [z, -z].some((at) => at > h.takes[0] - DRILLED_MM && at < h.takes[1] + DRILLED_MM);
            if (!holes.some(takes))
              wrong.push(`${id} at ${x.toFixed(2)}, ${y.toFixed(2)}, ${middle.toFixed(2)}`);
          }
        }
      }
  return [...new Set(wrong)];
}

describe("holes of pieces", () => {
  it.each(all)("account for all that fasteners take out of %s", (_, design) => {
    expect(unaccounted(design)).toEqual([]);
  });

  it("and out of random designs", { timeout: 120_000 }, () => {
    const random = seeded(77);
    let tried = 0;
    for (let i = 0; tried < 40; i++) {
      const [name, base] = all[(i * 7) % all.length];
      if (base.fasteners.length === 0) continue;
      const design = mutated(base, random);
      if (!design) continue;
      tried++;
      expect(unaccounted(design), name).toEqual([]);
    }
  });

  it("are begun inside, outside, or go right through, each by its own diameter and depth", () => {
    const knife = CONSTRUCTIONS["fastener: cap-screw"];
    const [screw] = knife.fasteners;
    if (screw.kind !== "cap-screw" || knife.tang.kind !== "full") throw new Error("no cap screw");
    const of = (piece: string, side: "right" | null) =>
      holesOf(knife).filter((h) => h.piece === piece && h.side === side && h.xMm === screw.xMm);
    const [tang] = of("blade", null);
    expect(tang).toMatchObject({ use: "insert", from: null, nominalMm: screw.insertMm });
    const scale = of("scale:pair", "right");
    const half = knife.blade.spineMm / 2;
    expect(scale.find((h) => h.use === "insert")).toMatchObject({ from: "inside" });
    expect(scale.find((h) => h.use === "insert")!.depthMm).toBeCloseTo(screw.insertLengthMm / 2 - half, 6);
    expect(scale.find((h) => h.use === "clearance")!.depthMm).not.toBeNull();
    const bore = scale.find((h) => h.use === "counterbore")!;
    // From the outer face of the stock down to the seat.
    const thick = knife.handle.kind === "scales" ? knife.handle.right.thicknessMm : 0;
    expect(bore).toMatchObject({ from: "outside", nominalMm: screw.counterboreMm });
    expect(bore.depthMm).toBeCloseTo(half + thick - screw.seatMm, 6);
  });

  it("along the knife: dowels in guard and handle, a thread in a cap or in the tang, a counterbore from the butt", () => {
    const dowels = CONSTRUCTIONS["fitting: dowels"];
    const fitted = holesOf(dowels).filter((h) => h.use === "dowel");
    const { guard } = dowels;
    expect(fitted.filter((h) => h.piece === "guard").map((h) => h.from)).toEqual(["rear", "rear"]);
    expect(fitted[0].depthMm).toBeCloseTo(
      Math.min(fittingOf(guard, "dowels")!.lengthMm / 2, fitted[0].within[1] - fitted[0].within[0]),
      3,
    );

    const cap = CONSTRUCTIONS["butt cap as the nut"];
    const tapped = holesOf(cap).filter((h) => h.use === "tap");
    expect(tapped).toMatchObject([{ piece: "tang-end:cap", from: "front" }]);
    expect(fitFigures(cap).bores.some((b) => b.use === "tap" && b.thread !== null)).toBe(true);

    const apart = CONSTRUCTIONS["take-down"];
    const { tang } = apart;
    if (tang.kind !== "hidden" || tang.end.kind !== "take-down") throw new Error("no take-down");
    const of = holesOf(apart).filter((h) => h.owner.kind === "butt-screw");
    expect(of.find((h) => h.use === "tap")).toMatchObject({ piece: "blade", from: "rear" });
    expect(of.find((h) => h.use === "tap")!.depthMm).toBeCloseTo(tang.end.engagedMm, 9);
    const bore = of.find((h) => h.use === "counterbore")!;
    expect(bore.from).toBe("rear");
    expect(bore.depthMm).toBeCloseTo(tang.end.seatMm, 1);
  });
});
