import { describe, expect, it } from "vitest";
import { threadRadius } from "../../kinds/fasteners/thread";
import { newBlockHole, newPiece, newRecess } from "../design/newParts";
import { plainKnife } from "../design/plainKnife.fixtures";
import type { BlockHole, Design, HiddenTang, PieceShape } from "../design/schema";
import { withEnd, withTang } from "../starts/constructions";
import { assemble } from "./assemble";
import { at, bar, full, hidden, near, slab, sound } from "./closedForms.fixtures";
import { volumes } from "./volumes.fixtures";

describe("full tangs", () => {
  it("a slot is a rectangle and two half circles", () => {
    const slot = { id: "s", ...at, lengthMm: 24, widthMm: 8, angleDeg: 20, fill: "epoxy" };
    near(volumes(slab({ slots: [slot] })).get("slot:s"), (16 * 8 + Math.PI * 16) * 4);
  });

  it("a flat recess is its outline by its depth, on both faces", () => {
    const recess = { ...newRecess(full), rimMm: 4, fromMm: 20, depthMm: 0.8, fill: "epoxy" };
    near(volumes(slab({ recess })).get("recess"), 2 * 0.8 * 76 * 16);
  });

  it("a hollow one takes two thirds of that", () => {
    const recess = {
      ...newRecess(full),
      rimMm: 4,
      fromMm: 20,
      depthMm: 0.8,
      floor: "hollow" as const,
      fill: "epoxy",
    };
    near(volumes(slab({ recess })).get("recess"), (2 / 3) * 2 * 0.8 * 76 * 16);
  });

  it("a short tang and what carries on behind it share the slab", () => {
    const v = volumes(slab({ short: { lengthMm: 40, behind: "weld", material: "mild-steel" } }));
    near(v.get("tang"), 40 * 24 * 4);
    near(v.get("tang-rest"), 60 * 24 * 4);
  });
});

describe("scales", () => {
  /** The plane of the bevel crosses the faces of both liners and of the tang within the handle. */
  it("a front bevel cuts liners and scales to trapezoids", () => {
    if (full.handle.kind !== "scales") throw new Error("no scales");
    const liners = [
      { material: "g10", thicknessMm: 1 },
      { material: "copper", thicknessMm: 1.5 },
    ];
    for (const angleDeg of [25, 40, 60]) {
      const frontBevel = { lengthMm: 20, angleDeg };
      const v = volumes({ ...full, handle: { ...full.handle, liners, frontBevel } });
      const fall = Math.tan((angleDeg * Math.PI) / 180);
      // Where the bevel stands z high, behind the front; it begins 10 mm high, and ends at the front or on the tang.
      const behind = (z: number) => Math.max(0, 20 - (10 - z) / fall);
      const layer = (from: number, to: number) => {
        const front = Math.max(0, 10 - 20 * fall);
        const whole = (100 - behind(to)) * (to - from);
        const [low, high] = [Math.max(from, front), to];
        const cut = front >= to ? 0 : ((high - low) * (behind(high) - behind(low))) / 2;
        const under = Math.max(0, low - from) * behind(to);
        return 24 * (whole + cut + under);
      };
      near(v.get("liner:1:right"), layer(2, 3), 1e-9);
      near(v.get("liner:2:left"), layer(3, 4.5), 1e-9);
      near(v.get("scale:left"), layer(4.5, 10), 1e-9);
    }
  });

  it("a bolster that leans and reaches over the scale is a prism of two trapezoids", () => {
    if (full.handle.kind !== "scales") throw new Error("no scales");
    // 15 mm long at the tang's face in the middle; 8 mm of it stand over the tang, 24 mm high. The lean evens out.
    for (const dovetailDeg of [0, 20])
      for (const tiltDeg of [0, 20, -30]) {
        const bolster = {
          lengthMm: 15,
          tiltDeg,
          dovetailDeg,
          right: "brass-260",
          left: "brass-260",
          face: null,
        };
        const bolsters = { front: bolster, rear: null };
        const v = volumes({ ...full, handle: { ...full.handle, bolsters } });
        const over = (8 * Math.tan((dovetailDeg * Math.PI) / 180)) / 2;
        near(v.get("bolster:front:right"), 24 * 8 * (15 + over), 1e-6);
        near(v.get("scale:left"), 24 * 8 * (85 - over), 1e-6);
      }
  });

  it("a divider is as thick as its sheet, however it leans", () => {
    if (full.handle.kind !== "scales") throw new Error("no scales");
    for (const tiltDeg of [0, 22, -50]) {
      const divider = { material: "brass-260", thicknessMm: 1 };
      const joint = { id: "j", xMm: -50, tiltDeg, dividers: [divider], right: "g10", left: "g10" };
      const v = volumes({ ...full, handle: { ...full.handle, joints: [joint] } });
      // Its face is 8 mm by the handle's 24 mm of height, seen square to it.
      near(v.get("divider:j:right"), (8 * 24) / Math.cos((tiltDeg * Math.PI) / 180));
    }
  });
});

describe("hidden tangs", () => {
  it("rounded corners take (4 − π) r² off the section; half the thickness is a rod with flats", () => {
    for (const r of [0.5, 1.2, 2]) {
      const v = volumes(bar({ frontCornerMm: r, endCornerMm: r }));
      near(v.get("tang"), 60 * (12 * 4 - (4 - Math.PI) * r * r));
    }
  });

  it("the shoulder's fillets add (1 − π/4) r² above and below", () => {
    const r = 2;
    near(
      volumes(bar({ shoulderRadiusMm: r })).get("tang"),
      4 * (60 * 12 + 2 * (1 - Math.PI / 4) * r * r),
      2e-5,
    );
  });

  it("a drilled row is so many cylinders, a milled slot a rounded one", () => {
    const holes = (hole: BlockHole) => {
      const v = volumes(
        bar({ hole, lengthMm: 5, frontHeightMm: 2, endHeightMm: 2, frontThicknessMm: 1, endThicknessMm: 1 }),
      );
      return (v.get("tang-hole") ?? 0) + 5 * 2;
    };
    const drilled: BlockHole = {
      kind: "drilled",
      stages: [{ bitMm: 5, count: 3, pitchMm: 6, depthMm: 50 }],
      fill: "epoxy",
    };
    near(holes(drilled), 3 * Math.PI * 2.5 ** 2 * 50);
    const milled: BlockHole = {
      kind: "milled",
      heightMm: 14,
      widthMm: 5,
      cutterMm: 5,
      depthMm: 50,
      fill: "epoxy",
    };
    near(holes(milled), (9 * 5 + Math.PI * 2.5 ** 2) * 50);
  });

  it("burned in is broached by another name", () => {
    const kind = (k: "broached" | "burned") => {
      const hole = {
        ...newBlockHole(k, hidden.tang as HiddenTang),
        clearanceMm: 0.4,
        fill: "epoxy",
      } as BlockHole;
      return volumes(bar({ hole })).get("tang-hole");
    };
    expect(kind("burned")).toBe(kind("broached"));
  });

  it("a threaded end: the rod by its pitch diameter, a hex nut by its flats, a domed one with half a ball", () => {
    const nutted = (style: "hex" | "round" | "domed") => {
      const design = bar({}, withEnd(hidden, "threaded"));
      const end = { ...(design.tang as HiddenTang).end, rodMm: 60, seatMm: 0 } as Extract<
        HiddenTang["end"],
        { kind: "threaded" }
      >;
      return volumes(bar({ end: { ...end, nut: { ...end.nut, style, acrossMm: 10, lengthMm: 5 } } }, design));
    };
    const r = threadRadius({ diameterMm: 4, pitchMm: 0.7 });
    // The rod goes through nut and dome: what it fills is the tang's.
    near(nutted("round").get("tang-end:nut"), 5 * (Math.PI * 25 - Math.PI * r * r));
    near(nutted("hex").get("tang-end:nut"), 5 * ((Math.sqrt(3) / 2) * 100 - Math.PI * r * r));
    const inDome = (2 / 3) * Math.PI * (125 - (25 - r * r) ** 1.5);
    near(
      nutted("domed").get("tang-end:nut"),
      5 * (Math.PI * 25 - Math.PI * r * r) + (2 / 3) * Math.PI * 125 - inDome,
      // Rod and dome are two curved surfaces that meet: a few tenths of a cubic millimetre.
      1e-3,
    );
    near(nutted("round").get("tang"), 60 * 48 + 60 * Math.PI * r * r, 3e-5);
  });

  it("a take-down screw: head, socket and shank", () => {
    const design = bar({}, withEnd(hidden, "take-down"));
    const end = (design.tang as HiddenTang).end as Extract<HiddenTang["end"], { kind: "take-down" }>;
    const r = threadRadius(end);
    const shank = 100 - 60 - end.seatMm + end.engagedMm;
    const head =
      Math.PI * (end.headMm / 2) ** 2 * end.headLengthMm -
      (Math.sqrt(3) / 2) * end.socketMm ** 2 * (end.headLengthMm / 2);
    const v = volumes(design);
    near(v.get("tang-end:screw"), head + Math.PI * r * r * shank);
    near(v.get("tang"), 60 * 48 - Math.PI * r * r * end.engagedMm);
  });

  it("a peened head is half an ellipsoid", () => {
    const design = bar({ lengthMm: 100 }, withEnd(hidden, "peened"));
    const flat = volumes(bar({ lengthMm: 100 })).get("tang") ?? 0;
    // 8 mm high, half as thick, 1.5 mm proud: 2/3 π a b c.
    near((volumes(design).get("tang") ?? 0) - flat, (2 / 3) * Math.PI * 4 * 2 * 1.5, 1e-3);
  });

  it("a framed bar leaves its frame and the scales the rest", () => {
    const design = plainKnife(withTang(sound, "framed"));
    const tang = {
      ...design.tang,
      lengthMm: 60,
      yMm: 0,
      frontHeightMm: 12,
      endHeightMm: 12,
      frontThicknessMm: 3,
      endThicknessMm: 3,
      frame: { material: "nickel-silver", thicknessMm: 5 },
      hole: { clearanceMm: 0, deeperMm: 0, fill: null },
    } as Design["tang"];
    const v = volumes({ ...design, tang });
    near(v.get("tang"), 60 * 12 * 3);
    near(v.get("frame"), 100 * 24 * 5 - 60 * 12 * 3);
    near(v.get("scale:right"), 100 * 24 * 7.5);
  });
});

describe("pieces with an outline of their own", () => {
  const ended = (shape: PieceShape, lengthMm: number) => {
    const pieces = [
      newPiece("b", "block", "g10", 50),
      { ...newPiece("p", "pommel", "brass-360", lengthMm), shape },
    ];
    const handle = { ...hidden.handle, pieces } as Design["handle"];
    return volumes(bar({ lengthMm: 20 }, { ...hidden, handle })).get("piece:p");
  };

  it("a whole ball, a disc, a hexagon, a plate", () => {
    near(ended({ kind: "ball", diameterMm: 26, yMm: 0 }, 26), (4 / 3) * Math.PI * 13 ** 3);
    near(ended({ kind: "disc", diameterMm: 30, widthMm: 12, yMm: 0 }, 30), Math.PI * 225 * 12);
    // A regular hexagon stretched to 24 by 24: points up and down, (3/4) of the box.
    near(
      ended({ kind: "faceted", aboveMm: 12, belowMm: 12, widthMm: 24, facets: 6 }, 20),
      0.75 * 24 * 24 * 20,
    );
    near(
      ended(
        { kind: "plate", aboveMm: 10, belowMm: 14, widthMm: 18, roundness: 0, domeMm: 0, frontDomeMm: 0 },
        20,
      ),
      24 * 18 * 20,
    );
    near(
      ended(
        { kind: "plate", aboveMm: 12, belowMm: 12, widthMm: 20, roundness: 1, domeMm: 8, frontDomeMm: 0 },
        20,
      ),
      Math.PI * 12 * 10 * (12 + (2 / 3) * 8),
      1e-4,
    );
  });

  it("washers pressed by a share are denser by as much, so the leather weighs what was stacked", () => {
    const pieces = [
      { ...newPiece("w", "washer", "leather-veg", 50), pressedShare: 0.12 },
      newPiece("b", "block", "g10", 50),
    ];
    const assembly = assemble({ ...hidden, handle: { ...hidden.handle, pieces } as Design["handle"] });
    const washer = assembly.parts.find((p) => p.id === "piece:w")!;
    expect(washer.materials[0].share).toBeCloseTo(1 / 0.88, 12);
  });
});
