// @vitest-environment happy-dom
import { fireEvent, screen } from "@testing-library/react";
import { userEvent } from "@testing-library/user-event";
import { useState } from "react";
import { expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { newWorkshop } from "@/core/knife/design/workshop";
import { onBench } from "../onBench.fixtures";
import { DaysOffFields } from "./DaysOffFields";
import { HoursFields } from "./HoursFields";

type Hours = ReturnType<typeof newWorkshop>["hours"];

function Hours({ onHours }: { onHours: (hours: Hours) => void }) {
  const [hours, setHours] = useState(newWorkshop("w", "w").hours);
  return (
    <HoursFields
      hours={hours}
      onChange={(to) => {
        setHours(to);
        onHours(to);
      }}
    />
  );
}

function Days({ onDays }: { onDays: (days: readonly string[]) => void }) {
  const [all, setAll] = useState<readonly string[]>(["2026-12-25"]);
  return (
    <DaysOffFields
      days={all}
      onChange={(to) => {
        setAll(to);
        onDays(to);
      }}
    />
  );
}

it("a day gets a break at noon, a second one, and has them taken out again", async () => {
  let hours: Hours = [];
  await onBench(newDesign("Sedge"), <Hours onHours={(to) => (hours = to)} />);
  await userEvent.click(screen.getByRole("button", { name: "A break: Tuesday" }));
  expect(hours[1]).toEqual([
    { fromMin: 540, toMin: 720 },
    { fromMin: 780, toMin: 1020 },
  ]);
  expect(screen.getByText("39 h a week at the bench.")).toBeDefined();
  await userEvent.click(screen.getByRole("button", { name: "A break: Tuesday, part 2" }));
  expect(hours[1]).toHaveLength(3);
  for (let i = 1; i < hours[1].length; i++)
    expect(hours[1][i].fromMin).toBeGreaterThanOrEqual(hours[1][i - 1].toMin);
  await userEvent.click(screen.getByRole("button", { name: "Take out: Tuesday, part 2" }));
  expect(hours[1]).toHaveLength(2);
});

it("what runs into another part, or ends before it begins, is said and not taken", async () => {
  const taken: Hours[] = [];
  await onBench(newDesign("Sedge"), <Hours onHours={(to) => taken.push(to)} />);
  await userEvent.click(screen.getByRole("button", { name: "A break: Monday" }));
  const before = taken.length;
  fireEvent.change(screen.getByLabelText("Monday, part 2, from"), { target: { value: "11:00" } });
  expect(screen.getByRole("alert").textContent).toBe("It runs into another part of the day.");
  fireEvent.change(screen.getByLabelText("Monday, part 1, to"), { target: { value: "08:00" } });
  expect(screen.getAllByRole("alert").map((a) => a.textContent)).toContain(
    "The end must come after the beginning.",
  );
  expect(taken).toHaveLength(before);
});

it("days off are kept in order, each once, and worked on again", async () => {
  let days: readonly string[] = [];
  await onBench(newDesign("Sedge"), <Days onDays={(to) => (days = to)} />);
  for (const day of ["2026-12-24", "2026-12-25"]) {
    fireEvent.change(screen.getByLabelText("A day off"), { target: { value: day } });
    await userEvent.click(screen.getByRole("button", { name: "Add" }));
  }
  expect(days).toEqual(["2026-12-24", "2026-12-25"]);
  await userEvent.click(screen.getByRole("button", { name: "Work on 24 Dec 2026" }));
  expect(days).toEqual(["2026-12-25"]);
});
