import { expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

it("puts knives into days, each task in working hours, none before what nothing can finish before", async () => {
  const args = [
    "demo/heath-field-knife.json",
    "demo/reed-take-down-hunter.json",
    "--from",
    "2026-11-30T09:00",
  ];
  const found = await json("schedule", ...args, "--off", "2026-12-02");
  expect(found.finish >= found.lowerBound).toBe(true);
  expect(new Set(found.tasks.map((t: { knife: string }) => t.knife)).size).toBe(2);
  const starts = found.tasks.flatMap((t: { work: { from: string }[] }) => t.work.map((w) => w.from));
  expect(starts[0]).toBe("2026-11-30T09:00");
  for (const s of starts) {
    expect(s.slice(11) >= "09:00" && s.slice(11) < "17:00", s).toBe(true);
    expect(s.startsWith("2026-12-02"), s).toBe(false);
  }
});

it.each([
  [["schedule", "demo/heath-field-knife.json", "--from", "soon"], /^--from is a day/],
  [["schedule", "demo/heath-field-knife.json", "--from", "2026-13-40"], /^--from is a day/],
  [["schedule", "demo/heath-field-knife.json", "--off", "24.12."], /^--off is days/],
  [["schedule", "gone.json"], /^no such file/],
])("refuses %j in one line", async (args, says) => {
  const { code, out, errors } = await euaxis(...args);
  expect({ code, out, lines: errors.length }).toEqual({ code: 2, out: "", lines: 1 });
  expect(errors[0]).toMatch(says);
});
