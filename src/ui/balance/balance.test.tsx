// @vitest-environment happy-dom

import { screen, waitFor, within } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { printMass } from "@/core/base/units/print";
import { leverEffects } from "@/core/figures/tune/effects";
import { leversOf } from "@/core/figures/tune/levers";
import { spreadOf } from "@/core/figures/tune/spread";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { withUse } from "@/core/knife/design/uses";
import { shippedMaterial } from "@/core/materials/materials";
import { leverWords } from "@/words/levers";
import { onBench } from "../onBench.fixtures";
import type { Ghost } from "./ghost";
import { LeversSection } from "./LeversSection";
import { SpreadSection } from "./SpreadSection";
import { TargetSection } from "./TargetSection";
import { TuneSection } from "./TuneSection";

const sedge = newDesign("Sedge");
const weighed = weigh(sedge);
if (!weighed.ok) throw new Error("Sedge cannot be built");
const { report } = weighed;

describe("what the knife is for", () => {
  it("proposes windows, which can be changed, and says how far it is from them", async () => {
    const heavy = { ...sedge, use: { ...sedge.use, massG: { low: 10, high: 20 } } };
    const { design } = await onBench(heavy, <TargetSection report={report} />);
    expect(screen.getByTestId("target-said").textContent).toContain(
      `it is ${printMass(report.massG - 20, "metric")} too heavy`,
    );
    const use = screen.getByRole<HTMLSelectElement>("combobox", { name: "Use" });
    const other = [...use.options].map((o) => o.value).find((v) => v !== heavy.use.kind);
    await userEvent.selectOptions(use, other ?? "");
    expect(design().use).toEqual(withUse(heavy.use, other as typeof heavy.use.kind));
    const to = screen.getByRole("textbox", { name: "Weight to" });
    await userEvent.clear(to);
    await userEvent.type(to, "500{Enter}");
    expect(design().use.massG.high).toBe(500);
  });

  it("takes no window that ends before it begins", async () => {
    const { design } = await onBench(sedge, <TargetSection report={report} />);
    const from = screen.getByRole("textbox", { name: "Weight from" });
    await userEvent.clear(from);
    await userEvent.type(from, `${sedge.use.massG.high + 5}{Enter}`);
    expect(design().use).toEqual(sedge.use);
    expect(from.getAttribute("aria-invalid")).toBe("true");
  });
});

describe("the levers", () => {
  it("are all there with what each does; one that is tried is the knife with its step", async () => {
    const tried = vi.fn<(ghost: Ghost) => void>();
    await onBench(sedge, <LeversSection onTry={tried} />);
    const table = await screen.findByRole("table", { name: "Changes" });
    const effects = leverEffects(sedge);
    expect(within(table).getAllByRole("row").length - 1).toBe(effects.length);
    const buttons = within(table).getAllByRole("button", { name: /^Try / });
    expect(buttons).toHaveLength(effects.length);
    await userEvent.click(buttons[0]);
    const [ghost] = tried.mock.calls[0];
    expect(ghost.of).toEqual(sedge);
    const after = weigh(ghost.design);
    if (!after.ok) throw new Error("a lever led to nothing that can be built");
    expect(after.report.massG - report.massG).toBeCloseTo(effects[0].massG, 6);
    expect(after.report.balanceMm - report.balanceMm).toBeCloseTo(effects[0].balanceMm, 6);
  });
});

describe("landing it in the window", () => {
  it("finds changes by the levers that are allowed, each of which lands there", async () => {
    const aim = { low: report.balanceMm + 2, high: report.balanceMm + 4 };
    const wished = { ...sedge, use: { ...sedge.use, balanceMm: aim, massG: { low: 1, high: 2000 } } };
    const tried = vi.fn<(ghost: Ghost) => void>();
    await onBench(wished, <TuneSection onTry={tried} />);
    const lengths = leversOf(wished).filter((l) => l.unit === "mm");
    const barred = lengths[0].id;
    await userEvent.click(screen.getByRole("checkbox", { name: leverWords(barred, shippedMaterial) }));
    await userEvent.click(screen.getByRole("button", { name: "Find changes" }));
    const answers = await screen.findByTestId("answers");
    const buttons = within(answers).getAllByRole("button", { name: /try|show/i });
    expect(buttons.length).toBeGreaterThan(0);
    expect(answers.textContent).not.toContain(leverWords(barred, shippedMaterial));
    await userEvent.click(buttons[0]);
    const after = weigh(tried.mock.calls[0][0].design);
    if (!after.ok) throw new Error("an answer cannot be built");
    expect(after.report.balanceMm).toBeGreaterThanOrEqual(aim.low - 1e-6);
    expect(after.report.balanceMm).toBeLessThanOrEqual(aim.high + 1e-6);
  });
});

describe("how sure it is", () => {
  it("says between what nine of ten should weigh, and what it owes that to", async () => {
    await onBench(sedge, <SpreadSection />);
    const told = await screen.findByTestId("first-order");
    const spread = spreadOf(sedge);
    if (!spread) throw new Error("no spread");
    const low = printMass(spread.drawn.massG - 1.645 * spread.firstOrder.massG, "metric");
    expect(told.textContent).toContain(low);
    await waitFor(() => screen.getByTestId("owes-chart"));
    const [most] = spread.shares;
    expect(document.body.textContent).toContain(leverWords(most.id, shippedMaterial));
  });
});
