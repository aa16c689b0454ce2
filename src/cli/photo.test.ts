import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { expect, it } from "vitest";
import { readFixed } from "@/core/exchange/files/knife/readFixed";
import { pinhole } from "@/core/exchange/photo/pinhole.fixtures";
import { BLANK_LONG_MM, photographed, type Scene } from "@/core/exchange/photo/scene.fixtures";
import { sizesOf } from "@/core/knife/layout/resized";
import { euaxis } from "./shell.fixtures";

const FOCAL_PX = 1350;
const [WIDTH, HEIGHT] = [1600, 1200];
const folder = mkdtempSync(join(tmpdir(), "euaxis-photo-"));

/** A scene as a PNG file, and where the sheet's corners are in it, some pixels off as a hand marks them. */
async function pictureOf(name: string, scene: Partial<Scene>) {
  const { photo, corners } = photographed({
    width: WIDTH,
    height: HEIGHT,
    see: pinhole(FOCAL_PX, [148, 250, 400], { x: 148, y: 106 }),
    focalPx: FOCAL_PX,
    ...scene,
  });
  const bytes = Uint8Array.from(photo.data, (v) => Math.min(255, Math.max(0, Math.round(v))));
  const path = join(folder, `${name}.png`);
  writeFileSync(
    path,
    await sharp(bytes, { raw: { width: WIDTH, height: HEIGHT, channels: 1 } })
      .png()
      .toBuffer(),
  );
  const marked = corners.flatMap((p, i) => [p.x + [4, -5, 3, -4][i], p.y + [-3, 4, 5, -5][i]]);
  return { path, corners: marked.map((v) => v.toFixed(1)).join(",") };
}

it("brings a photo in through a bending lens, laid aslant, at its size; and tells of its shadow", async () => {
  const { path, corners } = await pictureOf("shadow", {
    k1: -0.12,
    turnDeg: 4,
    shadow: { xMm: 3, yMm: -4, light: 0.5 },
  });
  const out = join(folder, "traced.json");
  const run = (...more: string[]) =>
    euaxis("trace", path, "--paper", "a4", "--corners", corners, "--thickness", "0", ...more);
  const listed = JSON.parse((await run("--list")).out);
  expect(listed.lens.bowMm).toBeGreaterThan(0.3);
  expect(listed.warnings).toHaveLength(1);
  expect(listed.warnings[0]).toMatch(/^A shadow about \d/);
  const { code, out: said } = await run("--onto", "demo/heath-field-knife.json", "--out", out);
  expect(code).toBe(0);
  expect(JSON.parse(said)).toMatchObject({ out, canBeBuilt: true });
  // Where its datum lies is a guess; its length over all and its height are what a photo tells.
  const [before, after] = ["demo/heath-field-knife.json", out].map((file) => {
    const reading = readFixed(readFileSync(file));
    if (!reading.ok) throw new Error(reading.code);
    const { bladeMm, handleMm, heightMm } = sizesOf(reading.design);
    return { longMm: bladeMm + handleMm, heightMm };
  });
  expect(Math.abs(after.longMm - before.longMm)).toBeLessThan(1);
  expect(Math.abs(after.heightMm - before.heightMm)).toBeLessThan(0.6);
});

it("takes the lines of a pen by their middle, and says so", async () => {
  const { path, corners } = await pictureOf("pen", { lineMm: 1 });
  const { out } = await euaxis("trace", path, "--paper", "a4", "--corners", corners, "--list");
  const { found, warnings } = JSON.parse(out);
  expect(warnings).toHaveLength(1);
  expect(warnings[0]).toMatch(/^These are lines up to 1\.\d mm wide: their middle is taken/);
  const outlines = found.filter((f: { kind: string }) => f.kind === "outline");
  expect(outlines).toHaveLength(1);
  const [outline] = outlines;
  const longest = Math.max(...Object.values(outline).filter((v): v is number => typeof v === "number"));
  expect(longest).toBeGreaterThan(BLANK_LONG_MM - 1);
});
