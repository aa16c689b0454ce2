import AxeBuilder from "@axe-core/playwright";
import { expect, type Page, test } from "@playwright/test";
import sharp from "sharp";
import { AS_DRAWN } from "../src/core/exchange/cutting/cutSettings";
import { pieceLayer, piecesNamed } from "../src/core/exchange/cutting/pieceLayers";
import { writeDxf } from "../src/core/exchange/files/dxf/write";
import { DEMO_KNIVES } from "../src/core/exchange/files/knife/demo.fixtures";
import { pathData } from "../src/core/exchange/files/svg/write";
import type { Design } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, weightOf } from "./bench";

const knife = (file: string): Design => DEMO_KNIVES.find(([name]) => name === file)![1];
const drawingOf = (file: string, part: string) =>
  Buffer.from(writeDxf({ layers: piecesNamed(knife(file), part).map((p) => pieceLayer(p, AS_DRAWN)) }));

const choose = (page: Page, name: string, buffer: Buffer) =>
  page.getByTestId("pattern-file").setInputFiles({ name, mimeType: "application/octet-stream", buffer });

test("a new knife is begun from a drawing: a blank becomes blade, tang and pins, and weighs", async ({
  page,
}) => {
  await page.goto("/new");
  await page.getByRole("button", { name: "Begin it from a pattern" }).click();
  await expect(page.getByText("Drop a drawing or a photo here")).toBeVisible();
  await choose(page, "blank.dxf", drawingOf("orchard-parer.json", "blank"));
  const found = page.getByRole("group", { name: "Outlines found" });
  await expect(found.getByRole("button", { name: /^Outline, / })).toHaveCount(1);
  await expect(page.getByText(/Largest deviation 0\.0\d\d mm\. It would weigh/)).toBeVisible();
  const said = await page.getByText(/It would weigh [\d.]+ g/).textContent();
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByRole("tab", { name: "Blade" })).toBeVisible();
  const weighs = await weightOf(page);
  expect(said).toContain(`${weighs.toFixed(1)} g`);
  const { design } = (await keptKnife(page)) as unknown as { design: Design };
  const parer = knife("orchard-parer.json");
  expect(design.blade.lengthMm).toBeCloseTo(parer.blade.lengthMm, 2);
  expect(design.fasteners.length).toBe(3);
  // Undo takes all of it back at once.
  await page.keyboard.press("Control+z");
  await expect
    .poll(async () => ((await keptKnife(page)) as unknown as { design: Design }).design.blade.outline)
    .toBeNull();
});

test("unit, outline, role, datum and holes are chosen by keyboard; the guard's outline goes on the guard", async ({
  page,
}) => {
  await openKnife(page, "Gorse guard knife");
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  await choose(page, "all.dxf", drawingOf("gorse-guard-knife.json", "all"));
  const found = page.getByRole("group", { name: "Outlines found" });
  await expect(found.getByRole("button")).toHaveCount(5);
  const unit = page.getByLabel("Drawn in");
  await unit.selectOption("m");
  await expect(page.getByRole("main").getByRole("alert")).toContainText("Choose another unit");
  await expect(found).toHaveCount(0);
  await unit.selectOption("stated");
  await found.getByRole("button", { name: /guard/ }).first().focus();
  await page.keyboard.press("Enter");
  await page.getByLabel("The picked outline is").selectOption("guard");
  await expect(page.getByText(/Largest deviation/)).toBeVisible();
  await page.getByRole("button", { name: "Use it" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("tab", { name: "Blade" })).toBeVisible();
  // It is its own guard: the weight stays within a few hundredths.
  await expect.poll(async () => Math.abs((await weightOf(page)) - before)).toBeLessThan(0.15);

  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  await choose(page, "scale.dxf", drawingOf("gorse-guard-knife.json", "scale-right"));
  await page.getByLabel("The picked outline is").selectOption("handle");
  await expect(page.getByText(/It would weigh/)).toBeVisible();
  const datum = page.getByRole("textbox", { name: "Datum, to the right" });
  await datum.fill("-300");
  await datum.press("Enter");
  await page.getByLabel("The picked outline is").selectOption("blank");
  await page.getByRole("textbox", { name: "Datum, to the right" }).fill("-300");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("main").getByRole("alert")).toContainText(
    "The datum has to lie in the outline",
  );
  await expect(page.getByRole("button", { name: "Use it" })).toHaveCount(0);
});

test("what is no drawing is said, and changes nothing", async ({ page }) => {
  await openKnife(page, "Heath field knife");
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  const alert = page.getByRole("main").getByRole("alert");
  await choose(page, "pattern.txt", Buffer.from("blank"));
  await expect(alert).toContainText("is no pattern");
  await choose(page, "pattern.dxf", Buffer.from("blank"));
  await expect(alert).toContainText("This is no DXF drawing, or it is damaged");
  await choose(
    page,
    "pattern.svg",
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><text>blank</text></svg>'),
  );
  await expect(alert).toContainText("There are no lines in this drawing (passed over: 1 × text)");
  await choose(page, "huge.dxf", Buffer.alloc(17_000_000, " "));
  await expect(alert).toContainText("drawings up to 16 MB are taken");
  const open =
    '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="40mm" viewBox="0 0 200 40"><path d="M0 0H180V20H0V3"/><script>document.title = "run"</script></svg>';
  await choose(page, "open.svg", Buffer.from(open));
  await expect(page.getByText("Open line, its ends 3.00 mm apart")).toBeVisible();
  await expect(page.getByText("Passed over: 1 × script.")).toBeVisible();
  await expect(page).not.toHaveTitle("run");
  expect((await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa"]).analyze()).violations).toEqual([]);
  await page.getByRole("button", { name: "Back to the bench" }).click();
  expect(await weightOf(page)).toBe(before);
});

test("only what is seen is offered; a gap that matters is told and closed; a frame comes last", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="297mm" height="210mm" viewBox="-150 -105 297 210">
    <style>.aid{display:none} path{fill:none;stroke:#000}</style><rect x="-140" y="-95" width="277" height="190" fill="none" stroke="#000"/>
    <rect class="aid" x="-120" y="-60" width="250" height="120"/><path d="M-110 -10H110L100 12H-110V-9.4"/></svg>`;
  await choose(page, "framed.svg", Buffer.from(drawing));
  const found = page.getByRole("group", { name: "Outlines found" });
  const notes = page.getByRole("list", { name: "About this drawing" });
  await expect(notes).toContainText("Left out as not seen: 1 line that is not displayed.");
  await expect(found.getByRole("button").last()).toContainText("Frame of the drawing");
  const close = page.getByRole("button", { name: "Close gaps up to 0.60 mm" });
  await close.focus();
  await page.keyboard.press("Enter");
  await expect(found.getByRole("button")).toHaveText([
    /^Outline, 220.0 mm/,
    /^Frame of the drawing, 277.0 mm/,
  ]);
  await expect(notes).toContainText("Gaps of up to 0.60 mm were closed by straight lines.");
  await expect(page.getByRole("button", { name: "Use it" })).toBeEnabled();
});

/** A photo of a blank drawn on a sheet of A4 that lies aslant on a table, stored on its side with a mark that says so. */
async function photo(): Promise<Buffer> {
  const [blank] = piecesNamed(knife("orchard-parer.json"), "blank").map((p) => pieceLayer(p, AS_DRAWN));
  const paths = [
    ...blank.loops.map((l) => `<path d="${pathData(l)}" fill="#333"/>`),
    ...blank.circles.map((c) => `<circle cx="${c.x}" cy="${-c.y}" r="${c.radiusMm}" fill="#f3f1ea"/>`),
  ];
  const page = `<svg xmlns="http://www.w3.org/2000/svg" width="2280" height="1740" viewBox="0 0 380 290"><rect width="380" height="290" fill="#8a8075"/><g transform="rotate(4 190 145)"><rect x="41.5" y="40" width="297" height="210" fill="#f3f1ea"/><g transform="translate(195 145)">${paths.join("")}</g></g></svg>`;
  const upright = await sharp(Buffer.from(page)).blur(1).png().toBuffer();
  // 6: to be turned a quarter to the right. @see Exif 2.32, Orientation (from memory).
  return sharp(upright).rotate(-90).jpeg({ quality: 88 }).withMetadata({ orientation: 6 }).toBuffer();
}

test("a photo of a pattern on a sheet of paper becomes a knife with a weight", async ({ page }) => {
  await page.goto("/new");
  await page.getByRole("button", { name: "Begin it from a pattern" }).click();
  await page
    .getByTestId("pattern-file")
    .setInputFiles({ name: "bench.jpg", mimeType: "image/jpeg", buffer: await photo() });
  // The sheet is found by itself; a mark that is moved away by keyboard finds back to its corner.
  const corner = page.getByRole("button", { name: /^Corner 1/ });
  await expect(corner).toBeVisible();
  const at = async () => [await corner.getAttribute("cx"), await corner.getAttribute("cy")].map(Number);
  const found = await at();
  await corner.focus();
  for (const key of ["Shift+ArrowLeft", "Shift+ArrowUp", "ArrowDown"]) await page.keyboard.press(key);
  expect(await at()).not.toEqual(found);
  await page.getByRole("button", { name: "Find the sheet's edges" }).click();
  await expect
    .poll(async () => Math.hypot((await at())[0] - found[0], (await at())[1] - found[1]))
    .toBeLessThan(1);
  await page.getByRole("button", { name: "That is its size" }).click();
  const outlines = page.getByRole("group", { name: "Outlines found" });
  await expect(outlines.getByRole("button", { name: /^Outline, 18[78]\.\d mm/ })).toBeVisible({
    timeout: 30_000,
  });

  // Threshold, smoothing and the kind of shape are seen live.
  const threshold = page.getByRole("textbox", { name: "Threshold" });
  await threshold.fill("2");
  await threshold.press("Enter");
  await expect(page.getByRole("main").getByRole("alert")).toContainText("No shape is found");
  await page.getByRole("button", { name: "Find the threshold" }).click();
  await expect(outlines.getByRole("button", { name: /^Outline, 18/ })).toBeVisible();
  await expect(page.getByText(/Largest deviation 0\.[01]\d\d mm\. It would weigh/)).toBeVisible();
  // Nobody has said yet whether it lies on the paper; from straight above the camera's height is asked for.
  await expect(page.getByText(/^Say whether a piece lies on the paper or is drawn on it/)).toBeVisible();
  await page.getByLabel("It is", { exact: true }).selectOption({ label: "A piece on the paper" });
  await expect(page.getByText(/does not tell how high the camera was/)).toBeVisible();
  await page.getByText("The camera's height is known", { exact: true }).click();
  const camera = page.getByRole("textbox", { name: "Camera over the paper" });
  await camera.fill("400");
  await camera.press("Enter");
  await expect(page.getByText(/does not tell how high the camera was/)).toHaveCount(0);
  await expect(outlines.getByRole("button", { name: /^Outline, 18[56]\.\d mm/ })).toBeVisible();
  await page.getByLabel("It is", { exact: true }).selectOption({ label: "Drawn on the paper" });
  await expect(outlines.getByRole("button", { name: /^Outline, 18[78]\.\d mm/ })).toBeVisible();

  // What was chosen stays when its shapes are found anew, and when a file that is no pattern is dropped in.
  const right = page.getByRole("textbox", { name: "Datum, to the right" });
  const likely = await right.inputValue();
  const moved = (Number.parseFloat(likely) + 0.5).toFixed(2);
  await right.fill(moved);
  await right.press("Enter");
  const chosen = await right.inputValue();
  expect(chosen).not.toBe(likely);
  const smoothing = page.getByRole("textbox", { name: "Smooth over" });
  await smoothing.fill("0.3");
  await smoothing.press("Enter");
  await expect(page.getByText("Looking for shapes …")).toHaveCount(0);
  await expect(right).toHaveValue(chosen);
  await choose(page, "note.txt", Buffer.from("blank"));
  await expect(page.getByRole("main").getByRole("alert")).toContainText("is no pattern");
  await choose(page, "note.png", Buffer.from("not a picture"));
  await expect(page.getByRole("main").getByRole("alert")).toContainText("This is not a JPEG");
  await expect(right).toHaveValue(chosen);
  await right.fill(likely);
  await right.press("Enter");
  await page.getByRole("button", { name: "Use it" }).click();
  await expect(page.getByRole("tab", { name: "Blade" })).toBeVisible();
  const { design } = (await keptKnife(page)) as unknown as { design: Design };
  const parer = knife("orchard-parer.json");
  const over = (d: Design) => d.blade.lengthMm - Math.min(...d.handle.outline.map((n) => n.xMm));
  expect(Math.abs(over(design) - over(parer))).toBeLessThan(0.6);
  expect(design.fasteners.map((f) => f.diameterMm.toFixed(1))).toEqual(["4.8", "4.8", "4.8"]);
  expect(await weightOf(page)).toBeGreaterThan(40);

  // The photo stays under the drawing at true size: hidden, shown, moved, and still there after a reload.
  const under = page.getByTestId("underlay");
  await expect(under).toHaveAttribute("opacity", "0.4");
  await page.getByRole("button", { name: "Hide the photo" }).click();
  await expect(under).toHaveCount(0);
  await page.getByRole("button", { name: "Show the photo" }).click();
  await page.reload();
  await expect(under).toHaveCount(1);
  const before = await under.getAttribute("transform");
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  const field = page.getByRole("textbox", { name: "Datum, up" });
  const up = Number.parseFloat(await field.inputValue());
  await field.fill(String(up + 5));
  await field.press("Enter");
  await page.getByRole("button", { name: "Back to the bench" }).click();
  await expect(under).not.toHaveAttribute("transform", before ?? "");
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  await page.getByRole("button", { name: "Take the photo away" }).click();
  await page.getByRole("button", { name: "Back to the bench" }).click();
  await expect(under).toHaveCount(0);
});

test("what is no photo, or too many pixels of one, is said; a scale by two points and points by hand do too", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await page.getByRole("button", { name: "Bring in a pattern" }).click();
  const alert = page.getByRole("main").getByRole("alert");
  const file = (name: string, buffer: Buffer) =>
    page.getByTestId("pattern-file").setInputFiles({ name, mimeType: "image/png", buffer });
  await file("note.png", Buffer.from("not a picture"));
  await expect(alert).toContainText("This is not a JPEG, PNG or WebP picture");
  // The head of a PNG of 10,000 × 10,000 pixels: it is refused before it is decoded.
  const head = Buffer.from(
    "89504e470d0a1a0a0000000d49484452000027100000271008020000000000000000000000",
    "hex",
  );
  await file("huge.png", head);
  await expect(alert).toContainText("100 million pixels; up to 64 are taken");

  const grey = await sharp({ create: { width: 800, height: 400, channels: 3, background: "#888" } })
    .png()
    .toBuffer();
  await file("plain.png", grey);
  await page.getByLabel("True size by").selectOption("points");
  const distance = page.getByRole("textbox", { name: "Their distance" });
  await distance.fill("240");
  await distance.press("Enter");
  await page.getByRole("button", { name: "That is its size" }).click();
  // 480 of 800 pixels are 240 mm: the picture is 400 mm wide. Nothing is in it: points are laid, by keyboard.
  await page.getByRole("button", { name: "Lay points by hand" }).click();
  const places = [
    [60, 130],
    [190, 132],
    [300, 118],
    [190, 100],
    [60, 100],
    [40, 115],
  ];
  for (const [i, [x, y]] of places.entries()) {
    await page.getByRole("button", { name: "Add a point to type" }).click();
    for (const [label, value] of [
      [`Point ${i + 1}, to the right`, x],
      [`Point ${i + 1}, up`, y],
    ] as const) {
      const field = page.getByRole("textbox", { name: label });
      await field.fill(String(value));
      await field.press("Enter");
    }
  }
  await expect(
    page.getByRole("group", { name: "Outlines found" }).getByRole("button", { name: /by hand/ }),
  ).toBeVisible();
  await expect(page.getByText(/It would weigh/)).toBeVisible();
});
