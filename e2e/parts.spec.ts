import { expect, type Page, test } from "@playwright/test";
import { writeStl } from "../src/core/exchange/files/mesh/writeStl";
import { weigh } from "../src/core/figures/weigh/weigh";
import type { Design } from "../src/core/knife/design/schema";
import { designOf, keptKnife, openKnife, step, typeLength, weightOf, written } from "./bench";

/** The readout is the core's own figure for the knife as it is kept, and nothing stands against building it. */
async function agrees(page: Page, what: string): Promise<void> {
  await expect(page.getByTestId("findings"), what).not.toContainText("Cannot be built");
  await written(page);
  await expect
    .poll(
      async () => {
        const weighing = weigh(await designOf(page));
        return weighing.ok ? Math.abs(weighing.report.massG - (await weightOf(page))) < 0.06 : "refused";
      },
      { message: what },
    )
    .toBe(true);
}

test("each end of a hidden tang and each way of making its hole is drawn and weighed", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Tang");
  for (const end of ["peened", "threaded", "take-down", "plain"]) {
    await page.getByLabel("Held by", { exact: true }).selectOption(end);
    await agrees(page, end);
  }
  for (const hole of ["drilled", "milled", "burned", "broached"]) {
    await page.getByLabel("Made by", { exact: true }).selectOption(hole);
    await agrees(page, hole);
  }
  await page.getByLabel("Kind of tang", { exact: true }).selectOption("framed");
  await agrees(page, "framed");
});

test("the tang's end is dragged by keys and typed on the drawing; the hole follows", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Tang");
  const length = async () => {
    const { tang } = await designOf(page);
    return tang.kind === "hidden" ? tang.lengthMm : null;
  };
  const before = (await length()) ?? 0;
  const end = page.locator("[data-point=bar-end]");
  await end.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect.poll(length).toBeCloseTo(before - 5, 6);
  await page.keyboard.press("Enter");
  await page.getByLabel("End of the tang: Length", { exact: true }).fill("3 1/2");
  await page.keyboard.press("Enter");
  await expect.poll(length).toBeCloseTo(88.9, 6);
  await page.keyboard.press("Escape");
  await agrees(page, "tang's end");
});

test("a guard takes every form, and its end is dragged by the mouse", async ({ page }) => {
  await openKnife(page, "Gorse guard knife");
  await step(page, "Guard");
  const weights = new Set<number>();
  const forms = [
    "Oval plate",
    "Straight plate",
    "One quillon, below",
    "Two quillons",
    "S-curve",
    "Lower lug",
    "Disc",
    "Notched for the finger",
  ];
  for (const form of forms) {
    await page.getByRole("button", { name: form }).click();
    await agrees(page, form);
    weights.add(await weightOf(page));
  }
  expect(weights.size).toBe(forms.length);
  await page.getByRole("button", { name: "Two quillons" }).click();
  const top = page.locator("[data-point=guard-top]");
  const box = await top.boundingBox();
  if (!box) throw new Error("no point on the guard");
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
  const before = (await designOf(page)).guard?.sweepAboveMm ?? 0;
  await page.mouse.move(cx, cy);
  await page.mouse.down();
  await page.mouse.move(cx + 20, cy + 6, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => (await designOf(page)).guard?.sweepAboveMm).toBeGreaterThan(before + 3);
  await page.getByText("Collar round the handle's front", { exact: true }).click();
  await page.getByText("Two register dowels", { exact: true }).click();
  await page.getByRole("button", { name: "Add plate" }).click();
  await agrees(page, "collar, dowels, plates");
});

test("every fastener, butt, section, bolster and joint is chosen and weighed", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Pins");
  for (const kind of ["Blind pin", "Rivet", "Sleeve bolt", "Cap screws", "Nutted rod"]) {
    await page.getByRole("button", { name: kind, exact: true }).click();
    await agrees(page, kind);
    await page.keyboard.press("Control+z");
  }
  await step(page, "Handle");
  for (const butt of ["Bird's head", "Hooked", "Fishtail", "Rounded"]) {
    await page.getByRole("button", { name: butt, exact: true }).click();
    await agrees(page, butt);
  }
  await page.getByLabel("Shape", { exact: true }).selectOption("8");
  await agrees(page, "facets");
  await page.getByLabel("Shape", { exact: true }).selectOption("none");
  await page.getByText("Left side differs from the right", { exact: true }).click();
  await page.getByText("Waist, hollowed by a wheel", { exact: true }).click();
  await agrees(page, "waist");
  await page.getByText("Front bolsters", { exact: true }).click();
  await page.getByRole("button", { name: "Add joint" }).click();
  await agrees(page, "bolsters and joint");
});

test("another thread brings its own sizes, and asks about what was changed by hand", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Pins");
  await page.getByRole("button", { name: "Cap screws", exact: true }).click();
  await typeLength(page, "Counterbore", "8.4");
  const screw = async () => (await designOf(page)).fasteners.at(-1);
  await page.getByLabel("Thread", { exact: true }).selectOption("M5");
  await expect.poll(screw).toMatchObject({ diameterMm: 5, pitchMm: 0.8, headMm: 8.5, counterboreMm: 8.4 });
  const asked = page.getByRole("group", { name: "Sizes of the other thread" });
  await expect(asked).toContainText("Counterbore 8.40 mm; M5 has 9.00 mm");
  await asked.getByRole("button", { name: "Set to M5" }).click();
  await expect.poll(screw).toMatchObject({ counterboreMm: 9 });
  await expect(asked).toHaveCount(0);
  await page.getByLabel("Thread", { exact: true }).selectOption("By diameter and pitch");
  await typeLength(page, "Pitch", "0.5");
  await agrees(page, "a fine thread");
});

test("a pin is called the same everywhere: by its number from the front, or as its maker calls it", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Pins");
  await page.getByRole("button", { name: "Name Pin 1" }).click();
  const input = page.getByRole("textbox", { name: "Name of Pin 1" });
  await input.fill("Front pin");
  await input.press("Escape");
  await expect(page.getByRole("button", { name: "Name Pin 1" })).toBeVisible();
  await page.getByRole("button", { name: "Name Pin 1" }).click();
  await input.fill("Front pin");
  await input.press("Enter");
  await expect(page.getByRole("button", { name: "Name Front pin" })).toBeVisible();
  await expect(page.getByTestId("findings")).toContainText("Front pin stands");
  await step(page, "Parts");
  await expect(page.getByRole("cell", { name: "Front pin" })).toBeVisible();
  await page.getByRole("button", { name: "Fit-up", exact: true }).click();
  await expect(page.getByRole("row", { name: /^Front pin / })).toBeVisible();
  // The name goes with the pin.
  await page.getByRole("button", { name: "Bench", exact: true }).click();
  await step(page, "Pins");
  await page.getByRole("button", { name: "Remove Front pin" }).click();
  await expect.poll(async () => (await designOf(page)).names).toEqual({});
});

test("a tang is slotted, hollowed and cut short", async ({ page }) => {
  await openKnife(page, "Orchard parer");
  await step(page, "Tang");
  await page.getByText("Hollow both faces", { exact: true }).click();
  await agrees(page, "recess");
  await page.getByRole("button", { name: "Add slot" }).click();
  await page.getByText("Ends before the butt", { exact: true }).click();
  await expect.poll(async () => (await designOf(page)).tang).toMatchObject({ slots: [{}], short: {} });
});

/** What the blade or knife in the hand is drawn to weigh, which stands until it is weighed. */
async function drawnG(page: Page): Promise<number> {
  const said = await page.getByTestId("not-weighed").textContent();
  return Number.parseFloat(/weighs, ([\d.]+) g/.exec(said ?? "")?.[1] ?? "");
}

async function typeMass(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByRole("textbox", { name: label });
  await field.fill(text);
  await field.press("Enter");
}

test("a blade in the hand: its weight and balance are what was measured", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await page.getByLabel("The knife is", { exact: true }).selectOption("blade");
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 0);
  const field = page.getByRole("textbox", { name: "Weight of the blade" });
  const drawn = await drawnG(page);
  await field.fill(String(drawn + 20));
  await field.press("Enter");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 19);
  await page.getByLabel("Balance found", { exact: true }).selectOption("supports");
  await typeMass(page, "The scale reads", "20");
  await agrees(page, "two supports");
  await typeLength(page, "Support on the scale at", "0");
  await expect(page.getByTestId("findings")).toContainText("Cannot be built");
});

test("what is cut out of a blade in the hand makes it lighter, once its drawing is kept as weighed", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await page.getByLabel("The knife is", { exact: true }).selectOption("blade");
  const before = await weightOf(page);
  await typeMass(page, "Weight of the blade", String(await drawnG(page)));
  // Described: the scale said what it weighs.
  await typeLength(page, "Spine at the tip", "1");
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 0);
  await page.keyboard.press("Control+z");
  await page.getByLabel("Changes to the drawing", { exact: true }).selectOption("after");
  await typeLength(page, "Spine at the tip", "1");
  await expect.poll(() => weightOf(page)).toBeLessThan(before - 2);
  await expect(page.getByText(/^It weighed .* as it is drawn now it weighs/)).toBeVisible();
  const ground = await weightOf(page);
  const bores = page.getByText("Holes for pins and bolts were in it", { exact: true });
  await bores.click();
  await expect.poll(() => weightOf(page)).toBeLessThan(ground - 2);
  await page.getByRole("button", { name: "It was weighed as it is drawn now" }).click();
  await expect.poll(() => weightOf(page)).toBeCloseTo(before, 0);
});

test("a finished knife in the hand weighs what the scale said; a chosen part takes the difference", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await page.getByLabel("The knife is", { exact: true }).selectOption("knife");
  const field = page.getByRole("textbox", { name: "Weight of the knife" });
  await field.fill(String(Math.round(before) + 12));
  await field.press("Enter");
  await expect.poll(() => weightOf(page)).toBeCloseTo(Math.round(before) + 12, 0);
  await page.getByLabel("Assign the difference to", { exact: true }).selectOption("handle");
  await expect.poll(() => weightOf(page)).toBeCloseTo(Math.round(before) + 12, 0);
  await agrees(page, "a finished knife");
  await field.fill("20");
  await field.press("Enter");
  await expect(page.getByTestId("findings")).toContainText("takes the difference");
});

test("old knives are re-handled in one step, which can be undone", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: /^Re-handle/ }).click();
  await expect.poll(async () => (await designOf(page)).tang).toMatchObject({ short: { behind: "weld" } });
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await designOf(page)).tang).toMatchObject({ short: null });
});

/** A box as a file of STL, its faces turned outward; with fewer triangles it is open. */
function boxStl(x: number, y: number, z: number, triangles = 12): Buffer {
  const corner = (i: number) => [i & 1 ? x : 0, i & 2 ? y : 0, i & 4 ? z : 0];
  const vertices = Float32Array.from([0, 1, 2, 3, 4, 5, 6, 7].flatMap(corner));
  const faces = [
    [0, 2, 3, 1],
    [4, 5, 7, 6],
    [0, 1, 5, 4],
    [2, 6, 7, 3],
    [0, 4, 6, 2],
    [1, 3, 7, 5],
  ];
  const all = faces.flatMap(([a, b, c, d]) => [a, b, c, a, c, d]).slice(0, 3 * triangles);
  return Buffer.from(writeStl({ vertices, triangles: Uint32Array.from(all) }, "box"));
}

test("a guard drawn elsewhere is imported, scaled from metres; open and huge files are refused", async ({
  page,
}) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Guard");
  const choose = (name: string, buffer: Buffer) =>
    page.getByTestId("shape-file").setInputFiles({ name, mimeType: "model/stl", buffer });
  const said = page.getByTestId("shape-said");
  await choose("open.stl", boxStl(6, 40, 20, 11));
  await expect(said).toContainText("not closed: 3 of its edges");
  await choose("huge.stl", Buffer.alloc(50_000_000, 1));
  await expect(said).toContainText("50 MB; up to 24 MB");
  await choose("letter.stl", Buffer.from("not a mesh"));
  await expect(said).toContainText("neither an STL nor a 3MF");
  expect((await designOf(page)).meshes).toHaveLength(0);
  await choose("guard.stl", boxStl(0.006, 0.04, 0.02));
  await expect(said).toContainText("looks like metres");
  await expect.poll(async () => (await designOf(page)).guard?.mesh?.meshId).toBe("shape-1");
  await agrees(page, "imported guard");
  await page.getByRole("button", { name: "Back to a plate" }).click();
  await agrees(page, "plate again");
});

test("a binding screw is added from its common sizes, and drilled for what it needs", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await step(page, "Pins");
  await page.getByRole("button", { name: "Binding screw", exact: true }).click();
  await expect.poll(() => weightOf(page)).not.toBe(before);
  const { fasteners } = (await keptKnife(page)).design as Design;
  const added = fasteners[fasteners.length - 1];
  expect(added.kind).toBe("binding-screw");
  const card = page.locator(`[data-item="${added.id}"]`);
  await card.getByRole("textbox", { name: "Post diameter" }).fill("60");
  await page.keyboard.press("Enter");
  await expect(card.getByText(/Must be from 1 mm to 40 mm/)).toBeVisible();
  await card.getByRole("textbox", { name: "Post diameter" }).fill("5");
  await page.keyboard.press("Enter");
  await expect
    .poll(async () => {
      const kept = ((await keptKnife(page)).design as Design).fasteners.find((f) => f.id === added.id);
      return kept && "diameterMm" in kept ? kept.diameterMm : null;
    })
    .toBe(5);
  await page.getByRole("button", { name: "Fit-up" }).click();
  await expect(page.locator("#drills")).toContainText("Binding screw 2");
});

test("a knuckle bow is put on a guard and weighed; that such grips are forbidden in places is said", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  const before = await weightOf(page);
  await step(page, "Guard");
  await page.getByText("Knuckle bow to the butt", { exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 3);
  await expect(page.getByTestId("findings")).not.toContainText("Cannot be built");
  const heavier = await weightOf(page);
  await typeLength(page, "Bow thickness", "6");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(heavier + 2);
  await page.getByRole("button", { name: "Fit-up" }).click();
  await expect(page.locator("#cautions")).toContainText(/knuckle/i);
});
