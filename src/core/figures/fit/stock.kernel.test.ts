import { beforeAll, describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../../exchange/files/knife/demo.fixtures";
import { assemble } from "../../knife/assembly/assemble";
import { CONSTRUCTIONS } from "../../knife/design/constructions.fixtures";
import { partSolids } from "../../knife/kernel/partMeshes";
import { type WatchedKernel, watchedKernel } from "../../knife/kernel/watchedKernel.fixtures";
import type { CutKey } from "../../knife/parts/cutKey";
import { type PartKey, partId, type Side } from "../../knife/parts/partKey";
import type { Size } from "./bladeStock";
import { pinLayout } from "./pinLayout";
import { cutList } from "./stockList";

/** The parts that a piece of the cut list becomes. */
function partsOf(key: CutKey): PartKey[] {
  const sides = (side: Side | "pair"): Side[] => (side === "pair" ? ["right", "left"] : [side]);
  switch (key.kind) {
    case "scale":
    case "liner":
    case "bolster":
    case "half":
      return sides(key.side).map((side) => ({ ...key, side }));
    case "fitting":
      return sides(key.side).map((side) => ({ ...key, side }));
    case "divider":
      return sides("pair").map((side) => ({ ...key, side }));
    case "lower":
    case "lengthwise-sheet":
      return key.side === null ? [{ ...key, side: null }] : sides(key.side).map((side) => ({ ...key, side }));
    case "blade":
      return [{ kind: "blade" }, { kind: "tang" }];
    default:
      return [key];
  }
}

/** Sheet lies in the knife as it was bent or leans: its thickness is not that of its box, and it is taller. */
function bent(key: CutKey, k: keyof Size): boolean {
  const slice =
    key.kind === "divider" ||
    (key.kind === "piece" && ["spacer", "washer", "butt-plate"].includes(key.sort)) ||
    (key.kind === "guard" && key.number !== null);
  if (key.kind === "lengthwise-sheet") return k !== "thicknessMm" || key.side === null;
  return k === "lengthMm" ? slice : k === "thicknessMm" && key.kind === "liner";
}

/** Slabs come as thick as they are bought, and a guard's plate as tall as it is before its ends are cut. */
function asBought(key: CutKey, k: keyof Size): boolean {
  // Blade and tang come out of one bar, which neither fills.
  if (key.kind === "blade") return true;
  const piece = key.kind === "piece" ? key.sort : null;
  if (k === "lengthMm") return key.kind === "guard" || piece === "pommel";
  if (k === "heightMm")
    return key.kind === "guard" || key.kind === "divider" || piece === "spacer" || piece === "washer";
  return (
    ["scale", "lower", "lengthwise-sheet"].includes(key.kind) ||
    key.kind === "divider" ||
    key.kind === "bolster"
  );
}

/** Facets stand outside a hollow face, and off a round one, by as much, mm. */
const FACETS_MM = 0.1;
/** What a box may be larger than its piece, mm: a piece may end where another takes its corner. */
const WASTE_MM = 0.6;

describe("stock to saw, against the mesh kernel's solids", () => {
  let watched: WatchedKernel;
  beforeAll(async () => {
    watched = await watchedKernel();
  });

  it.each([...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)])(
    "%s: every piece comes out of its box, every pin out of its blank, every solid is deleted",
    (_, design) => {
      const { kernel, made, leftOver } = watched;
      const solids = partSolids(kernel, assemble(design));
      const boxOf = (id: string) => {
        const solid = solids.find((s) => s.id === id)?.solid;
        if (!solid || solid.isEmpty()) return null;
        const { min, max } = solid.boundingBox();
        const over = (k: 0 | 1 | 2) => max[k] - min[k];
        return { lengthMm: over(0), heightMm: over(1), thicknessMm: over(2) };
      };
      const wrong: string[] = [];
      for (const piece of cutList(design)) {
        const { key, id, finishedMm } = piece;
        for (const part of partsOf(key)) {
          const box = boxOf(partId(part));
          for (const k of ["lengthMm", "heightMm", "thicknessMm"] as const) {
            const [has, wants] = [finishedMm[k], box?.[k] ?? Number.NaN];
            // A peened head is upset: it grows wider than the bar was.
            const upset = design.tang.kind === "hidden" && design.tang.end.kind === "peened";
            if (bent(key, k) || (part.kind === "tang" && upset)) continue;
            // A film of the scale over a half is ground away.
            const filmed =
              key.kind === "scale" && design.handle.kind === "scales" && design.handle.halves.length > 0;
            if (!(has > wants - FACETS_MM) && !filmed) wrong.push(`${id}: ${k} ${has} for ${wants}`);
            if (has > wants + WASTE_MM && !asBought(key, k))
              wrong.push(`${id}: ${k} ${has} wasted on ${wants}`);
          }
        }
      }
      for (const pin of pinLayout(design)) {
        const box = ["pin", "blind-pin", "lanyard-tube"].includes(pin.kind)
          ? boxOf(partId({ kind: "fastener", sort: pin.kind, id: pin.id, component: null }))
          : null;
        const proudMm = pin.kind === "blind-pin" ? 0 : 2 * design.fitUp.pinProudShare * pin.diameterMm;
        const over = box ? pin.blankMm - proudMm - box.thicknessMm : 0;
        // A slanting surface is higher at the pin's rim than at its middle.
        if (!(Math.abs(over) < WASTE_MM) || (box && pin.blankMm < box.thicknessMm - FACETS_MM))
          wrong.push(`${pin.id}: ${pin.blankMm} for ${box?.thicknessMm}`);
      }
      for (const { solid } of solids) solid.delete();
      expect(wrong).toEqual([]);
      // Every solid of the kernel has an owner that deletes it.
      expect(made.size).toBeGreaterThan(5);
      expect(leftOver()).toBe(0);
    },
  );
});
