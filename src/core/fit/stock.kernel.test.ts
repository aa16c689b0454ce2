import Module, { type ManifoldToplevel } from "manifold-3d";
import { beforeAll, describe, expect, it } from "vitest";
import { assemble } from "../assembly/assemble";
import { CONSTRUCTIONS } from "../design/constructions.fixtures";
import type { Design } from "../design/schema";
import { DEMO_KNIVES } from "../files/knife/demo.fixtures";
import { solidParts } from "../kernel/solidParts";
import { pinLayout } from "./pinLayout";
import { cutList } from "./stockList";

/** Ids of the parts that a piece of the cut list becomes. */
function partsOf(piece: string, design: Design): readonly string[] {
  const sides = (stem: string) => [`${stem}-right`, `${stem}-left`];
  const [, n] = /(\d+)/.exec(piece) ?? [];
  if (/^\d+\. /.test(piece) && design.handle.kind === "stack")
    return [design.handle.pieces[Number(n) - 1].id];
  const side = /, (right|left)$/.exec(piece)?.[1];
  const only = (ids: string[]) => ids.filter((id) => !side || id.endsWith(side));
  if (piece.startsWith("Scale")) return only(sides(n ? `scale-${n}` : "scale"));
  if (piece.startsWith("Liner")) return sides(`liner-${n}`);
  if (piece.startsWith("Divider") && design.handle.kind === "scales")
    return sides([...design.handle.joints].sort((p, q) => q.xMm - p.xMm)[Number(n) - 1].id);
  if (piece.startsWith("Front bolster")) return only(sides("bolster-front"));
  if (piece.startsWith("Rear bolster")) return only(sides("bolster-rear"));
  if (piece.startsWith("Guard")) return [n ? `guard-${n}` : "guard"];
  if (/^Tang, welded on|^Filler/.test(piece)) return ["tang-rest"];
  return [piece.toLowerCase()];
}

/** Facets stand outside a hollow face, and off a round one, by as much, mm. */
const FACETS_MM = 0.1;
/** What a box may be larger than its piece, mm: a piece may end where another takes its corner. */
const WASTE_MM = 0.6;

describe("stock to saw, against the mesh kernel's solids", () => {
  let kernel: ManifoldToplevel;
  beforeAll(async () => {
    kernel = await Module();
    kernel.setup();
  });

  it.each([...DEMO_KNIVES, ...Object.entries(CONSTRUCTIONS)])(
    "%s: every piece comes out of its box, every pin out of its blank",
    (_, design) => {
      const assembly = assemble(design);
      const solids = solidParts(kernel, assembly, { stations: 8, rows: 24 });
      const boxOf = (id: string) => {
        const boxes = assembly.parts.flatMap((p, i) => {
          const solid = p.id === id && p.made.length > 0 ? solids[i] : null;
          return solid && !solid.isEmpty() ? [solid.boundingBox()] : [];
        });
        if (boxes.length === 0) return null;
        const over = (k: 0 | 1 | 2) =>
          Math.max(...boxes.map((b) => b.max[k])) - Math.min(...boxes.map((b) => b.min[k]));
        return { lengthMm: over(0), heightMm: over(1), thicknessMm: over(2) };
      };
      const wrong: string[] = [];
      for (const piece of cutList(design)) {
        // Sheet lies in the knife as it was bent or leans: its thickness is not that of its box, and it is taller.
        const sheet = {
          lengthMm: /Divider|Spacer|Washer|Guard plate/,
          heightMm: /^$/,
          thicknessMm: /Liner/,
        };
        // Slabs come as thick as they are bought, and a guard's plate as tall as it is before its ends are cut.
        const slab = {
          lengthMm: /Guard|Pommel/,
          heightMm: /Guard|Divider|Spacer|Washer/,
          thicknessMm: /Scale|Divider|bolster/,
        };
        for (const id of partsOf(piece.piece, design)) {
          const box = boxOf(id);
          for (const k of ["lengthMm", "heightMm", "thicknessMm"] as const) {
            const [has, wants] = [piece.finishedMm[k], box?.[k] ?? Number.NaN];
            const bent = sheet[k].test(piece.piece);
            if (!(has > wants - FACETS_MM) && !bent) wrong.push(`${piece.piece}: ${k} ${has} for ${wants}`);
            if (has > wants + WASTE_MM && !bent && !slab[k].test(piece.piece))
              wrong.push(`${piece.piece}: ${k} ${has} wasted on ${wants}`);
          }
        }
      }
      for (const pin of pinLayout(design)) {
        const box = ["pin", "blind-pin", "lanyard-tube"].includes(pin.kind) ? boxOf(pin.id) : null;
        const proudMm = pin.kind === "blind-pin" ? 0 : 2 * design.fitUp.pinProudShare * pin.diameterMm;
        const over = box ? pin.blankMm - proudMm - box.thicknessMm : 0;
        // A slanting surface is higher at the pin's rim than at its middle.
        if (!(Math.abs(over) < WASTE_MM) || (box && pin.blankMm < box.thicknessMm - FACETS_MM))
          wrong.push(`${pin.id}: ${pin.blankMm} for ${box?.thicknessMm}`);
      }
      for (const solid of solids) solid?.delete();
      expect(wrong).toEqual([]);
    },
  );
});
