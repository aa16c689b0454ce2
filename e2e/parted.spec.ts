import { expect, test } from "@playwright/test";
import { writeStl } from "../src/core/exchange/files/mesh/writeStl";
import type { Design, ScalesHandle } from "../src/core/knife/design/schema";
import { keptKnife, openKnife, step, weightOf, written } from "./bench";

const scalesOf = (design: { name: string }) => (design as Design).handle as ScalesHandle;

test("a joint along the handle, dividers and shaped halves are put on, dragged, typed and taken away", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Handle");
  const plain = await weightOf(page);

  // A joint along the handle with a sheet in it; its points are there to drag and to type.
  await page.getByText("Another material below a joint along the handle").click();
  await page.getByText("Sheet in the joint").click();
  await expect.poll(() => weightOf(page)).not.toBe(plain);
  const front = page.getByRole("button", { name: /^Joint along the handle, point 1/ });
  await front.focus();
  await page.keyboard.press("ArrowDown");
  await expect
    .poll(async () => scalesOf((await keptKnife(page)).design).lengthwise?.points[0].yMm)
    .toBeLessThan(2);
  await page.getByRole("button", { name: "Add point" }).first().click();
  await expect(page.getByText("Point 2 of 3")).toBeVisible();
  await page.keyboard.press("Tab");
  await page.getByRole("button", { name: "Remove point 2" }).click();
  await expect(page.getByText(/^2 points/)).toBeVisible();

  // Several sheets in one joint.
  await page.getByRole("button", { name: "Add joint" }).click();
  await page.getByRole("button", { name: "Add divider" }).click();
  await expect(page.getByRole("textbox", { name: "Divider 2, thickness" })).toBeVisible();
  await page.getByRole("button", { name: "Remove divider 1" }).click();
  await expect(page.getByRole("textbox", { name: "Divider 2, thickness" })).toHaveCount(0);

  // Halves with an outline of their own.
  const before = await weightOf(page);
  await page.getByRole("button", { name: "Front halves", exact: true }).click();
  await expect.poll(() => weightOf(page)).toBeGreaterThan(before + 20);
  const corner = page.getByRole("button", { name: /^Front halves, point 3/ });
  await corner.focus();
  const with4 = await weightOf(page);
  for (let i = 0; i < 6; i++) await page.keyboard.press("ArrowDown");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(with4);
  await page.keyboard.press("Delete");
  await expect
    .poll(async () => {
      const { shape } = scalesOf((await keptKnife(page)).design).halves[0];
      return shape.kind === "outline" ? shape.points.length : 0;
    })
    .toBe(3);
  await written(page);
  await page.getByRole("tab", { name: "Parts" }).click();
  await expect(page.getByText("Front half, right").first()).toBeVisible();
  await expect(page.getByText("Lower part of the handle, left").first()).toBeVisible();

  // Undo leads all the way back.
  for (let i = 0; i < 40 && (await weightOf(page)) !== plain; i++) {
    await page.getByRole("button", { name: "Undo" }).click();
    await page.waitForTimeout(60);
  }
  await expect.poll(() => weightOf(page)).toBe(plain);
});

test("a tang ends in a stud that is brazed on, or in a cap that is its nut", async ({ page }) => {
  await openKnife(page, "Marsh stick-tang");
  await step(page, "Tang");
  const end = page.getByRole("combobox", { name: "Held by" });
  await end.selectOption("cap-nut");
  await expect(page.getByRole("textbox", { name: "Cap height" })).toBeVisible();
  await expect
    .poll(async () => {
      const { tang } = (await keptKnife(page)).design as Design;
      return tang.kind === "hidden" && tang.end.kind;
    })
    .toBe("cap-nut");
  await end.selectOption("stud");
  await expect(page.getByRole("textbox", { name: "Brazed in the tang" })).toBeVisible();
  await expect(page.getByText("the heat draws its temper", { exact: false })).toBeVisible();
});

test("halves are of an imported shape, and a strip is wound round a pommel's edge alone", async ({
  page,
}) => {
  await openKnife(page, "Heath field knife");
  await step(page, "Handle");
  const plain = await weightOf(page);
  await page.getByRole("button", { name: "Rear halves", exact: true }).click();
  const corners = Float32Array.from(
    [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) => [i & 1 ? 16 : 0, i & 2 ? 34 : 0, i & 4 ? 30 : 0]),
  );
  const faces = [
    0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7,
    5,
  ];
  const buffer = Buffer.from(writeStl({ vertices: corners, triangles: Uint32Array.from(faces) }, "cap"));
  await page.getByTestId("shape-file").setInputFiles({ name: "cap.stl", mimeType: "model/stl", buffer });
  await expect(page.getByTestId("shape-said")).toContainText("cap.stl");
  await expect.poll(async () => scalesOf((await keptKnife(page)).design).halves[0].shape.kind).toBe("mesh");
  await expect.poll(() => weightOf(page)).toBeGreaterThan(plain + 60);

  await openKnife(page, "Hern long blade");
  await step(page, "Handle");
  const bare = await weightOf(page);
  await page.getByRole("button", { name: "Add wrap" }).click();
  await page.getByRole("combobox", { name: "Wound round" }).selectOption("pommel");
  await expect(page.getByRole("textbox", { name: "Begins behind the front" })).toHaveCount(0);
  await expect(page.getByTestId("wrap-plan")).toContainText(/6 turns/);
  await expect.poll(() => weightOf(page)).toBeGreaterThan(bare);
});
