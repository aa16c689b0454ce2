// @vitest-environment happy-dom
import { screen, within } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { useState } from "react";
import { expect, it } from "vitest";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import { buildSheet } from "@/core/plan/buildSheet";
import { newPlan } from "@/core/plan/newPlan";
import type { PlanRecord } from "@/core/plan/version";
import { onBench } from "../onBench.fixtures";
import { AsBuiltSection } from "./AsBuiltSection";
import { BuildContext } from "./BuildContext";
import { HoldFields } from "./HoldFields";
import { PieceTicks } from "./PieceTicks";
import { tickTask } from "./tickTask";

const [, design] = DEMO_KNIVES.find(([name]) => name.includes("heath"))!;

/** What is kept of the plan, as the view changes it. */
const kept: { plan: PlanRecord } = { plan: newPlan() };

function Plan({ children, from = newPlan() }: { children: React.ReactNode; from?: PlanRecord }) {
  const [plan, setPlan] = useState(from);
  kept.plan = plan;
  const sheet = buildSheet(design, plan, []);
  if (!sheet) return null;
  const change = (by: (p: PlanRecord) => PlanRecord | null) => setPlan((p) => by(p) ?? p);
  return (
    <BuildContext value={{ knifeId: "k", plan, sheet, lessons: new Map(), change }}>{children}</BuildContext>
  );
}

it("a reading is kept beside what was predicted then, told against it, and deleted", async () => {
  await onBench(
    design,
    <Plan>
      <AsBuiltSection />
    </Plan>,
  );
  await userEvent.click(screen.getByRole("button", { name: "Note a reading" }));
  const form = within(screen.getByRole("group", { name: "A reading" }));
  await userEvent.click(form.getByRole("button", { name: "Keep it" }));
  expect(form.getByRole("alert").textContent).toBe("Type a weight, a balance, or both.");
  await userEvent.type(form.getByRole("textbox", { name: "Weight" }), "900{Enter}");
  expect(form.getByRole("status").textContent).toContain("far from what was predicted");
  await userEvent.clear(form.getByRole("textbox", { name: "Weight" }));
  await userEvent.type(form.getByRole("textbox", { name: "Weight" }), "205{Enter}");
  await userEvent.click(form.getByRole("button", { name: "Keep it" }));
  const [reading] = kept.plan.readings;
  expect(reading).toMatchObject({ stage: "dry-fit", massG: 205, balanceMm: null });
  expect(reading.predicted?.massG).toBe(buildSheet(design, newPlan(), [])?.predicted.get("dry-fit")?.massG);
  expect(screen.getByTestId("reading").textContent).toContain("dry fit: 205.0 g");
  // The next one is of the next stage.
  await userEvent.click(screen.getByRole("button", { name: "Note a reading" }));
  expect(screen.getByLabelText<HTMLSelectElement>("Stage").value).toBe("shaped");
  await userEvent.click(screen.getByRole("button", { name: "Cancel" }));
  await userEvent.click(screen.getByRole("button", { name: /^Delete the reading/ }));
  expect(kept.plan.readings).toEqual([]);
});

it("sizes stand beside what is drawn, and notes have their day", async () => {
  await onBench(
    design,
    <Plan>
      <AsBuiltSection />
    </Plan>,
  );
  const sizes = screen.getByRole("textbox", { name: "Measured: Blade length" });
  await userEvent.type(sizes, `${design.blade.lengthMm - 1}{Enter}`);
  expect(kept.plan.sizes["blade-length"]).toBe(design.blade.lengthMm - 1);
  expect(screen.getByText("−1.0 mm")).toBeDefined();
  await userEvent.clear(sizes);
  await userEvent.tab();
  expect(kept.plan.sizes).toEqual({});
  await userEvent.type(screen.getByRole("textbox", { name: "A note of today" }), "Left scale proud");
  await userEvent.tab();
  expect(kept.plan.log.map((l) => l.says)).toEqual(["Left scale proud"]);
});

it("a task is held until a day, with why, and let go", async () => {
  const task = buildSheet(design, newPlan(), [])!.tasks[0];
  await onBench(
    design,
    <Plan from={{ ...newPlan(), holds: { [task.id]: { day: "2027-02-01", why: "chosen" } } }}>
      <HoldFields task={task} name="Task" />
    </Plan>,
  );
  await userEvent.selectOptions(screen.getByLabelText("Why: Task"), "customer");
  expect(kept.plan.holds[task.id]).toEqual({ day: "2027-02-01", why: "customer" });
});

it("what was ticked elsewhere stays as it was ticked there", () => {
  const sheet = buildSheet(design, newPlan(), [])!;
  let plan: PlanRecord = { ...newPlan(), done: { profile: { at: 1000, tookMin: 12, cut: [] } } };
  const change = (by: (p: PlanRecord) => PlanRecord | null) => {
    plan = by(plan) ?? plan;
  };
  const build = { knifeId: "k", plan, sheet, lessons: new Map(), change };
  tickTask(build, { id: "profile" });
  expect(plan.done.profile).toEqual({ at: 1000, tookMin: 12, cut: [] });
  tickTask(build, { id: "drill-tang" });
  expect(plan.done["drill-tang"].cut.length).toBeGreaterThan(0);
  expect(plan.count).toBe(sheet.tasks.length);
});

it("of a design that three are made of each is ticked by itself, or all at once", async () => {
  const task = buildSheet(design, newPlan(), [])!.tasks.find((t) => t.kind === "profile")!;
  await onBench(
    design,
    <Plan from={{ ...newPlan(), pieces: 3 }}>
      <PieceTicks task={task} />
    </Plan>,
  );
  await userEvent.click(screen.getByRole("checkbox", { name: "2" }));
  expect(kept.plan.done).toEqual({});
  expect(Object.keys(kept.plan.others[0])).toEqual(["profile"]);
  expect(screen.getByText("Done of 1 of 3 pieces:")).toBeDefined();
  await userEvent.click(screen.getByRole("button", { name: "All of them" }));
  expect(Object.keys(kept.plan.done)).toEqual(["profile"]);
  expect(kept.plan.others.map((o) => Object.keys(o))).toEqual([["profile"], ["profile"]]);
  await userEvent.click(screen.getByRole("checkbox", { name: "3" }));
  expect(kept.plan.others).toHaveLength(1);
});
