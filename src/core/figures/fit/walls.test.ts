import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { meshRegion } from "../../geometry/solids/meshRegion";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { newDesign } from "../../knife/design/create";
import { plainKnife as plain } from "../../knife/design/plainKnife.fixtures";
import type { Design } from "../../knife/design/schema";
import { manifoldOf } from "../../knife/kernel/solidParts";
import { layoutOf } from "../../knife/layout/layout";
import { withTang } from "../../knife/starts/constructions";
import { tangWalls, thinnerTang, thinnest, thinnestScale } from "./walls";

const sound = newDesign("Sedge");
const hidden = withTang(sound, "hidden");

describe("walls", () => {
  let kernel: ManifoldToplevel;
  beforeAll(async () => {
    kernel = await Module();
    kernel.setup();
  });

  it("in a block are what is left beside a slot of the same shape", () => {
    const base = plain(hidden);
    const tang = {
      ...base.tang,
      lengthMm: 60,
      yMm: 1,
      frontHeightMm: 12,
      endHeightMm: 12,
      frontThicknessMm: 4,
      endThicknessMm: 4,
      hole: { kind: "broached", clearanceMm: 0.5, deeperMm: 3, fill: null },
    } as Design["tang"];
    const wall = thinnest(tangWalls({ ...base, tang }))!;
    // Up: 12 − (1 + 6 + 0.5); across: 10 − 2.5.
    expect(wall.wallMm).toBeCloseTo(4.5, 2);
    expect(tangWalls(sound)).toEqual([]);
    expect(thinnerTang({ ...base, tang }, 4)).toBe(1);
    const share = thinnerTang({ ...base, tang }, 5.5)!;
    expect(share).toBeCloseTo(10 / 12, 1);
    expect(thinnerTang({ ...base, tang }, 30)).toBeNull();
  });

  /** Source: npm's manifold-3d, nearest distance between the hole and all that lies outside the handle. */
  it.each(["hidden tang, rounded section", "hidden tang, milled hole", "framed tang", "domed guard"])(
    "%s: the thinnest agrees with the nearest distance between solids",
    (name) => {
      const design = CONSTRUCTIONS[name];
      const { tang } = design;
      if (tang.kind === "full") throw new Error("no hole");
      const ours = thinnest(tangWalls(design))!;
      const { body, tangHoles: holes, buttX: butt, frontX: front } = layoutOf(design);
      const fine = { stations: 6, rows: 24 };
      const union = (regions: readonly Parameters<typeof meshRegion>[0][]) =>
        kernel.Manifold.union(regions.flatMap((r) => meshRegion(r, fine).map((m) => manifoldOf(kernel, m))));
      // The hole is open at the front: both are looked at behind it only.
      const behind = (m: ReturnType<typeof union>) => m.trimByPlane([-1, 0, 0], -(front - 0.5));
      const solid = union([body]);
      const world = kernel.Manifold.cube([300, 90, 60], true).translate([butt + 100, 0, 0]);
      const outside = behind(world.subtract(solid));
      const gap = outside.minGap(behind(union(holes)), 20);
      const room = tang.kind === "framed" ? tang.hole.clearanceMm : 0;
      expect(Math.abs(ours.wallMm + room - gap), `${ours.wallMm} ${gap}`).toBeLessThan(0.05 + 0.02 * gap);
    },
  );
});

describe("scales after contouring", () => {
  it("are thinnest in the hollow: R − √(R² − c²/4) less than beside it, common practice", () => {
    const base = plain(sound);
    const waist = { xMm: -50, chordMm: 40, wheelRadiusMm: 101.6 };
    const left = thinnestScale({ ...base, handle: { ...base.handle, waist } })!;
    expect(left.xMm).toBeCloseTo(-50, 6);
    expect(left.leftMm).toBeCloseTo(10 - 2 - (101.6 - Math.sqrt(101.6 ** 2 - 20 ** 2)), 3);
    expect(thinnestScale(hidden)).toBeNull();
  });
});
