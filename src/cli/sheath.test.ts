import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

const KNIFE = "demo/heath-field-knife.json";

describe("sheath", () => {
  it("says panels, seam, stitches, thread and weight", async () => {
    const sheath = await json("sheath", KNIFE);
    expect(sheath.panels.map((p: { name: string }) => p.name)).toEqual(["front", "welt", "belt-loop"]);
    expect(sheath.pitchMm).toBeCloseTo(sheath.seamMm / (sheath.stitches - 1), 9);
    expect(sheath.threadMm.rule).toBeCloseTo(9 * sheath.seamMm, 6);
    expect(sheath.massG).toBeGreaterThan(30);
    const thick = await json("sheath", KNIFE, "--style", "two-panel", "--leather", "4mm");
    expect(thick.panels.map((p: { name: string }) => p.name)).toEqual(["front", "back", "welt", "belt-loop"]);
    expect(thick.massG).toBeGreaterThan(sheath.massG);
  });

  it("draws its panels as a cutter's file, with every stitch", async () => {
    const out = join(mkdtempSync(join(tmpdir(), "sheath-")), "panels.svg");
    const drawn = await json("draw", KNIFE, "--part", "sheath", "--out", out);
    expect(drawn.pieces.map((p: { name: string }) => p.name)).toEqual([
      "sheath-front",
      "sheath-welt",
      "sheath-belt-loop",
    ]);
    expect(readFileSync(out, "utf8")).toContain("<svg");
  });

  it.each([
    ["leather of nothing", ["--leather", "0oz"], /thickness is 0\.8 mm to 8\.0 mm/],
    ["a thickness that is none", ["--leather", "thick"], /--leather/],
    ["an unknown style", ["--style", "bag"], /--style is fold-over or two-panel/],
    ["more of the handle than there is", ["--depth", "280"], /of the handle at most/],
  ])("refuses %s in one line", async (_, options, says) => {
    const answer = await euaxis("sheath", KNIFE, ...options);
    expect(answer.code).toBe(2);
    expect(answer.errors).toHaveLength(1);
    expect(answer.errors[0]).toMatch(says);
  });
});
