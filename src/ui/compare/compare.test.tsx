// @vitest-environment happy-dom
import { screen, waitFor, within } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { printMass } from "@/core/base/units/print";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import type { Design } from "@/core/knife/design/schema";
import { variantsOf } from "@/store/variants";
import type { Column } from "../cost/column";
import { onBench } from "../onBench.fixtures";
import { useBench } from "../session/BenchContext";
import { CompareTable } from "./CompareTable";
import { VariantsSection } from "./VariantsSection";

const sedge = newDesign("Sedge");
const thick: Design = { ...sedge, blade: { ...sedge.blade, spineMm: 5 } };
const massOf = (design: Design) => {
  const weighing = weigh(design);
  if (!weighing.ok) throw new Error("cannot be built");
  return weighing.report.massG;
};

function column(key: string, name: string, design: Design): Column {
  const weighing = weigh(design);
  return {
    key,
    name,
    compared: key === "now" ? null : { kind: "variant", id: key },
    design,
    report: weighing.ok ? weighing.report : null,
    broken: !weighing.ok,
    bill: null,
  };
}

function KnifeId({ tell }: { tell: (id: string) => void }) {
  tell(useBench().knifeId);
  return null;
}

describe("variants", () => {
  it("are kept as the knife is, weighed, renamed, taken, and deleted and put back", async () => {
    let id = "";
    const { session, design } = await onBench(
      sedge,
      <>
        <KnifeId
          tell={(told) => {
            id = told;
          }}
        />
        <VariantsSection />
      </>,
    );
    screen.getByText(/None yet/);
    await userEvent.type(screen.getByRole("textbox", { name: "Name of the variant" }), "Thin{Enter}");
    const list = await screen.findByRole("table", { name: "Variants" });
    await waitFor(() => within(list).getByText(printMass(massOf(sedge), "metric")));
    within(list).getByText("nothing: they are alike");

    session.getState().edit({ code: "set", path: "blade.spineMm", to: 5 });
    await waitFor(() => expect(within(list).queryByText("nothing: they are alike")).toBeNull());
    await userEvent.click(within(list).getByRole("button", { name: /^Use / }));
    expect(design().blade.spineMm).toBe(sedge.blade.spineMm);
    session.undo();
    expect(design().blade.spineMm).toBe(5);

    await userEvent.click(within(list).getByRole("button", { name: "Delete Thin" }));
    await waitFor(async () => expect(await variantsOf(id)).toEqual([]));
  });
});

describe("figures side by side", () => {
  it("are told with their difference from the first, and what is made otherwise", async () => {
    await onBench(
      sedge,
      <CompareTable columns={[column("now", "As it is now", sedge), column("v", "Thick", thick)]} />,
    );
    const table = screen.getByRole("table", { name: "Figures side by side" });
    const rowOf = (name: string) =>
      within(table)
        .getAllByRole("row")
        .find((r) => r.textContent?.startsWith(name))?.textContent ?? "";
    expect(rowOf("Weight")).toContain(printMass(massOf(sedge), "metric"));
    expect(rowOf("Weight")).toContain(`+${printMass(massOf(thick) - massOf(sedge), "metric")}`);
    expect(table.textContent).toMatch(/Spine/);
  });

  it("are left out of what cannot be built", async () => {
    const broken: Design = { ...sedge, blade: { ...sedge.blade, lengthMm: 60, ricassoMm: 80 } };
    await onBench(
      sedge,
      <CompareTable columns={[column("now", "As it is now", sedge), column("v", "Broken", broken)]} />,
    );
    const [, weight] = within(screen.getByRole("table", { name: "Figures side by side" })).getAllByRole(
      "row",
    );
    const cells = within(weight)
      .getAllByRole("cell")
      .map((c) => c.textContent);
    expect(cells.slice(-2)).toEqual([printMass(massOf(sedge), "metric"), "–"]);
  });
});
