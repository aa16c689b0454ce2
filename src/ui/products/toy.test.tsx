// @vitest-environment happy-dom

import { mkdtempSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { ChakraProvider } from "@chakra-ui/react";
import { render, screen, waitFor, within } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import loadKernel from "manifold-3d";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { runShell } from "@/cli/shell";
import { printMass } from "@/core/base/units/print";
import { readKnife } from "@/core/exchange/files/knife/read";
import { writeKnife } from "@/core/exchange/files/knife/write";
import { meshAgreement } from "@/core/figures/weigh/agreement";
import { newDesign } from "@/core/knife/design/create";
import { shippedMaterial } from "@/core/materials/materials";
import { modelOf } from "@/core/products/modelOf";
import { recordOf } from "@/core/products/recordOf";
import { newToy, type Toy, toyModel, toyRecord } from "@/core/products/toy.fixtures";
import { answerWeighing } from "@/server/answerWeighing";
import { backupFile, takeIn } from "@/store/backup.fixtures";
import { binItems, putBack } from "@/store/bin";
import { db } from "@/store/db";
import { readTimeline } from "@/store/history";
import { addKnife, duplicateKnife, getKnife, openKnife, readableKnives, removeKnife } from "@/store/knives";
import { ready } from "@/store/storage";
import { addVariants, variantsOf } from "@/store/variants";
import { NewKnife } from "../begin/NewKnife";
import { BenchTools } from "../bench/BenchTools";
import { PlaceSwitch } from "../bench/PlaceSwitch";
import { ReadoutBar } from "../bench/ReadoutBar";
import { StepPanel } from "../bench/StepPanel";
import { Views } from "../bench/Views";
import { system } from "../kit/theme";
import { onBench } from "../onBench.fixtures";
import { Rack } from "../rack/Rack";

// All that a product asks for outside its own files: a line in each of three lists.
vi.mock("@/core/products/records", async (original) => {
  const { RECORDS } = await original<typeof import("@/core/products/records")>();
  const { anyRecord } = await import("@/core/products/product");
  const { toyRecord } = await import("@/core/products/toy.fixtures");
  return { RECORDS: [...RECORDS, anyRecord(toyRecord)] };
});
vi.mock("@/core/products/models", async (original) => {
  const { MODELS } = await original<typeof import("@/core/products/models")>();
  const { anyModel } = await import("@/core/products/product");
  const { toyModel } = await import("@/core/products/toy.fixtures");
  return { MODELS: [...MODELS, anyModel(toyModel)] };
});
vi.mock("./list", async (original) => {
  const { PRODUCT_VIEWS } = await original<typeof import("./list")>();
  const { anyViews } = await import("../session/product");
  const { toyViews } = await import("./toy.fixtures");
  return { PRODUCT_VIEWS: [...PRODUCT_VIEWS, anyViews(toyViews)] };
});
vi.mock("next/navigation", () => ({
  usePathname: () => "/",
  useRouter: () => ({ push: () => undefined, prefetch: () => undefined }),
}));

const bytes = (text: string) => new TextEncoder().encode(text);
const toy = newToy("Cube");
/** Weight of the block with the pin through it, g, by the volumes of a box and of a round bar. */
function weightOf({ block, pin }: Toy): number {
  const round = (Math.PI / 4) * pin.diameterMm ** 2 * block.thicknessMm;
  const box = block.lengthMm * block.heightMm * block.thicknessMm;
  const density = (id: string) => (shippedMaterial(id)?.densityGcc.typical ?? Number.NaN) / 1000;
  return (box - round) * density(block.material) + round * density(pin.material);
}

beforeEach(async () => {
  await ready();
  for (const table of db.tables) await table.clear();
});

describe("a second product", () => {
  it("weighs what its box and its round bar weigh, and balances where they do", () => {
    const weighing = modelOf(toy).weigh(toy);
    if (!weighing.ok) throw new Error("cannot be built");
    expect(weighing.report.massG).toBeCloseTo(weightOf(toy), 6);
    expect(weighing.report.parts.map((p) => p.id)).toEqual(["component:cross-pin", "component:body-block"]);
    const off = { ...toy, pin: { ...toy.pin, xMm: -200 } };
    expect(modelOf(off).weigh(off)).toMatchObject({ ok: false, findings: [{ rule: "pin-off-handle" }] });
  });

  it("is the same solid to the mesh kernel", async () => {
    const kernel = await loadKernel();
    kernel.setup();
    const found = meshAgreement(kernel, toyModel.assemble(toy));
    expect(found).toHaveLength(2);
    for (const { meshVolumeMm3, volumeMm3 } of found) expect(meshVolumeMm3 / volumeMm3).toBeCloseTo(1, 3);
  });

  it("is written to a file and read back, beside knives, each by its own record", () => {
    const variants = [{ name: "Longer", design: { ...toy, block: { ...toy.block, lengthMm: 80 } } }];
    expect(readKnife(bytes(writeKnife(toy, variants)))).toEqual({ ok: true, design: toy, variants });
    const bent = { ...toy, block: { ...toy.block, lengthMm: 5000 } };
    expect(readKnife(bytes(writeKnife(bent)))).toMatchObject({
      code: "invalid",
      problems: [{ path: "knife.block.lengthMm" }],
    });
    const alike = { ...toy, pin: { ...toy.pin, material: toy.block.material } };
    expect(readKnife(bytes(writeKnife(alike)))).toMatchObject({ problems: [{ path: "knife.pin.material" }] });
    expect(readKnife(bytes(writeKnife({ ...toy, kind: "sled" })))).toEqual({
      ok: false,
      code: "other-product",
      kind: "sled",
    });
    expect(readKnife(bytes(writeKnife(toy, [{ name: "Knife", design: newDesign("Sedge") }])))).toMatchObject({
      problems: [{ path: "variants[0].knife.kind" }],
    });
    expect(recordOf(toy)).toBe(toyRecord);
  });

  it("goes through the shell: begun, weighed, priced, reviewed, written as a mesh; what it does not have is refused", async () => {
    const folder = mkdtempSync(join(tmpdir(), "toy-"));
    const [file, mesh] = [join(folder, "cube.json"), join(folder, "cube.stl")];
    expect(JSON.parse((await runShell(["new", "--list"])).out)).toContain("small-block");
    expect(await runShell(["new", "small-block", "--out", file])).toMatchObject({ code: 0 });
    const begun = readKnife(readFileSync(file));
    expect(begun).toMatchObject({ ok: true, design: { kind: "toy", name: "Small block" } });
    const weighed = JSON.parse((await runShell(["weigh", file])).out);
    expect(weighed.massG).toBeCloseTo(weightOf(toy), 6);
    expect(weighed.parts.map((p: { name: string }) => p.name)).toEqual(["Cross pin", "Body block"]);
    expect(JSON.parse((await runShell(["cost", file])).out)).toMatchObject({ minutes: 30 });
    expect(JSON.parse((await runShell(["review", file])).out)).toEqual([]);
    expect(await runShell(["mesh", file, "--out", mesh])).toMatchObject({ code: 0 });
    expect(statSync(mesh).size).toBeGreaterThan(500);
    const refused = await runShell(["fit", file]);
    expect(refused).toMatchObject({ code: 2, out: "" });
    expect(refused.error).toContain("knives with a fixed blade");
    writeFileSync(file, writeKnife({ ...toy, pin: { ...toy.pin, xMm: -200 } }));
    expect(await runShell(["weigh", file])).toMatchObject({ code: 2, out: "" });
  });

  it("is weighed by the server", () => {
    const { status, body } = answerWeighing(bytes(writeKnife(toy)));
    expect(status).toBe(200);
    expect(JSON.parse(body).massG).toBeCloseTo(weightOf(toy), 6);
  });

  it("is kept, copied, put in the bin and back, with its variants, and comes back from a backup", async () => {
    const { id } = await addKnife(toy);
    await addVariants(id, [{ name: "Longer", design: { ...toy, block: { ...toy.block, lengthMm: 80 } } }]);
    const kept = await getKnife(id);
    if (!kept?.ok) throw new Error("not kept");
    const copy = await duplicateKnife(kept.record);
    expect(copy.design).toEqual({ ...toy, name: "Cube 2" });
    expect((await variantsOf(copy.id)).map((v) => v.name)).toEqual(["Longer"]);
    await removeKnife(id);
    expect((await readableKnives()).map((k) => k.design.name)).toEqual(["Cube 2"]);
    expect(await putBack((await binItems())[0].id)).toMatchObject({ ok: true });
    const file = await backupFile();
    for (const table of db.tables) await table.clear();
    await takeIn(file, "replace");
    const back = await readableKnives();
    expect(back.map((k) => k.design).sort((a, b) => a.name.localeCompare(b.name))).toEqual([
      toy,
      copy.design,
    ]);
    expect((await variantsOf(id)).map((v) => v.name)).toEqual(["Longer"]);
  });

  it("stands on the rack among knives with its drawing, its weight and its balance", async () => {
    // Without the demo knives, which would all be weighed first.
    await db.settings.put({ key: "demo-knives-laid-out", value: true });
    await addKnife(newDesign("Sedge"));
    await addKnife(toy);
    render(
      <ChakraProvider value={system}>
        <Rack />
      </ChakraProvider>,
    );
    const drawing = await screen.findByRole("img", { name: "Cube from its right side" });
    expect(drawing.querySelectorAll("path").length).toBeGreaterThan(1);
    await waitFor(() => {
      const row = drawing.closest<HTMLElement>("[data-testid=rack-row]")!;
      expect(within(row).getByTestId("rack-mass").textContent).toBe(printMass(weightOf(toy), "metric"));
    });
  });

  it("is offered among the forms that a design begins from", async () => {
    render(
      <ChakraProvider value={system}>
        <NewKnife />
      </ChakraProvider>,
    );
    await userEvent.click(screen.getByRole("radio", { name: "Small block" }));
    expect(screen.queryByText("Blade's length")).toBeNull();
    expect(screen.queryByRole("button", { name: "Begin it from a pattern" })).toBeNull();
    const figures = await screen.findByTestId("start-figures");
    expect(figures.textContent).toContain(printMass(weightOf(toy), "metric"));
    await userEvent.click(screen.getByRole("button", { name: "Begin this knife" }));
    await waitFor(async () =>
      expect((await readableKnives())[0]?.design).toEqual({
        ...toy,
        name: "Small block",
        // It begins in the maker's workshop.
        workshop: { ...toy.workshop, id: expect.any(String) },
      }),
    );
  });

  it("is edited on the bench, weighed as it changes, undone and redone, its history kept", async () => {
    const { design, session, autosave } = await onBench(
      toy,
      <>
        <PlaceSwitch place="bench" onChange={() => undefined} />
        <BenchTools onPattern={null} />
        <Views />
        <StepPanel />
        <ReadoutBar listed={false} />
      </>,
    );
    const weight = () => screen.getByTestId("weight").textContent;
    await waitFor(() => expect(weight()).toBe(printMass(weightOf(toy), "metric")));
    expect(screen.getByText("No findings.")).toBeTruthy();
    const views = within(screen.getByRole("group", { name: "Views of this knife" }));
    expect(views.getAllByRole("button").map((b) => b.textContent)).toEqual(["Bench"]);
    expect(screen.getByText(/The block is drawn here/)).toBeTruthy();
    const field = screen.getByRole("textbox", { name: "Length of the block" });
    await userEvent.clear(field);
    await userEvent.type(field, "80{Enter}");
    const longer = { ...toy, block: { ...toy.block, lengthMm: 80 } };
    expect(design()).toEqual(longer);
    await waitFor(() => expect(weight()).toBe(printMass(weightOf(longer), "metric")));
    await userEvent.click(screen.getByRole("button", { name: "Undo: Change length of the block" }));
    expect(design()).toEqual(toy);
    await userEvent.click(screen.getByRole("button", { name: "Redo: Change length of the block" }));
    expect(design()).toEqual(longer);
    // What the record cannot hold is refused and said.
    const refused = session.getState().edit({ code: "set", path: "block.lengthMm", to: 5000 });
    expect(refused).toMatchObject({ keys: ["block", "lengthMm"] });
    await autosave.flush();
    const [{ id }] = await readableKnives();
    const found = await openKnife(id);
    if (!found?.reading.ok || !found.stored) throw new Error("not kept");
    const { past } = await readTimeline(id, found.reading.record.design, found.stored);
    expect(past.map((s) => s.design)).toEqual([toy]);
  });
});
