// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { useState } from "react";
import { expect, it } from "vitest";
import { DEMO_KNIVES } from "@/core/exchange/files/knife/demo.fixtures";
import { newPlan } from "@/core/plan/newPlan";
import type { PlanRecord } from "@/core/plan/version";
import { knivesInDays } from "@/core/products/knivesInDays";
import { DAYS_BEGIN_MS, USUAL_DAYS } from "@/core/schedule/many.fixtures";
import type { Lot } from "@/core/shelf/version";
import { onBench } from "../onBench.fixtures";
import { HeldTasks } from "./HeldTasks";
import { ScheduleContext, type ShownSchedule } from "./ScheduleContext";
import { TaskDays } from "./TaskDays";
import { WeekView } from "./WeekView";

const designs = ["heath", "gorse"].map((n) => DEMO_KNIVES.find(([name]) => name.includes(n))![1]);
const ASKED = {
  beginMs: DAYS_BEGIN_MS,
  days: USUAL_DAYS,
  capacity: { clamps: 2 },
  together: "always",
  deliveredOn: null,
} as const;
const plans: (PlanRecord | null)[] = [null, null];
const inDays = (asked: Partial<Parameters<typeof knivesInDays>[3]> = {}, lots: readonly Lot[] = []) =>
  knivesInDays(
    designs.map((design, i) => ({ design, plan: plans[i] })),
    lots,
    new Map(),
    { ...ASKED, ...asked },
  );

/** The page's parts over a schedule that follows what is changed of the plans. */
function Page({ first }: { first: Awaited<ReturnType<typeof inDays>> }) {
  const [found, setFound] = useState(first);
  if (!found.schedule.ok) throw new Error("no schedule");
  const shown: ShownSchedule = {
    schedule: found.schedule,
    knives: designs.map((design, i) => ({ id: String(i), design, plan: plans[i] })),
    names: found.names,
    days: USUAL_DAYS,
    change: (id, by) => {
      plans[Number(id)] = by(plans[Number(id)] ?? newPlan());
      void inDays().then(setFound);
    },
  };
  return (
    <ScheduleContext value={shown}>
      <HeldTasks />
      <WeekView />
      <TaskDays />
    </ScheduleContext>
  );
}

const dayOf = (task: string) =>
  document.querySelector(`[data-task="${task}"]`)?.closest("[data-day]")?.getAttribute("data-day");

it("a week shows each task on its day, in order; what is done together stands there once", async () => {
  await onBench(designs[0], <Page first={await inDays()} />);
  expect(dayOf("profile")).toBe("2026-11-30");
  const monday = document.querySelector('[data-day="2026-11-30"]')!;
  const times = [...monday.querySelectorAll("[data-testid=block]")].map((b) => b.textContent!.slice(0, 5));
  expect(times).toEqual([...times].sort());
  // One hardening of both, with the numbers of the two.
  const hardened = [...document.querySelectorAll('[data-task="harden"]')];
  expect(hardened).toHaveLength(1);
  expect(within(hardened[0] as HTMLElement).getByTitle("Heath field knife")).toBeDefined();
  expect(within(hardened[0] as HTMLElement).getByTitle("Gorse guard knife")).toBeDefined();
  fireEvent.click(screen.getByText("Week after"));
  expect(document.querySelector('[data-day="2026-12-07"]')).not.toBeNull();
});

it("a task is given a day, moves there, says what it cannot keep, and is let go", async () => {
  await onBench(designs[0], <Page first={await inDays()} />);
  fireEvent.click(screen.getByLabelText("Set a day: Harden, Heath field knife"));
  fireEvent.change(screen.getByLabelText("Not before: Harden, Heath field knife"), {
    target: { value: "2026-12-03" },
  });
  const held = await screen.findByText(/^Harden, Heath field knife: not before Thu,? 3 Dec/);
  expect(held).toBeDefined();
  expect(plans[0]?.holds.harden).toEqual({ day: "2026-12-03", why: "chosen" });
  fireEvent.change(screen.getByLabelText("Not before: Harden, Heath field knife"), {
    target: { value: "2026-11-20" },
  });
  expect(await screen.findByText(/Harden, Heath field knife cannot be on Fri,? 20 Nov/)).toBeDefined();
  fireEvent.click(screen.getByLabelText("Any day: Harden, Heath field knife"));
  await waitFor(() => expect(screen.queryByLabelText("Any day: Harden, Heath field knife")).toBeNull());
  expect(plans[0]?.holds).toEqual({});
});

it("what is not on the shelf is waited for, while all else goes on; what cannot be built is left out", async () => {
  const now = await inDays();
  const later = await inDays({ deliveredOn: "2026-12-10" });
  if (!now.schedule.ok || !later.schedule.ok) throw new Error("no schedule");
  expect(later.ordered).toBeGreaterThan(0);
  expect(later.schedule.finishMs).toBeGreaterThan(now.schedule.finishMs);
  const delivered = new Date(2026, 11, 10).getTime();
  for (const p of later.schedule.placed)
    if (p.kind === "profile" || p.kind === "saw-piece")
      expect(p.startMs, p.id).toBeGreaterThanOrEqual(delivered);
  const broken = { ...designs[0], blade: { ...designs[0].blade, lengthMm: 10, ricassoMm: 300 } };
  const found = await knivesInDays(
    [
      { design: broken, plan: null },
      { design: designs[1], plan: null },
    ],
    [],
    new Map(),
    ASKED,
  );
  expect([found.leftOut, found.knives]).toEqual([[0], [1]]);
});

it("several pieces of one design go through oven and glue together, each with its own name", async () => {
  const three = { ...newPlan(), pieces: 3, others: [{ profile: { at: 1, tookMin: null, cut: [] } }] };
  const found = await knivesInDays([{ design: designs[0], plan: three }], [], new Map(), ASKED);
  if (!found.schedule.ok) throw new Error("no schedule");
  expect(found.names).toEqual([1, 2, 3].map((n) => `${designs[0].name}, ${n} of 3`));
  expect(found.knives).toEqual([0, 0, 0]);
  const of = (kind: string) => found.schedule.ok && found.schedule.placed.filter((p) => p.kind === kind);
  // What the second has behind it is not done once more.
  expect(of("profile")).toHaveLength(2);
  expect(of("harden")).toHaveLength(3);
  expect(found.schedule.saved).toContainEqual(expect.objectContaining({ kind: "harden", tasks: 3, goes: 1 }));
});
