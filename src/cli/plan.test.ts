import { expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

interface Printed {
  readonly id: string;
  readonly knife: string;
  readonly kind: string;
  readonly title: string;
  readonly needs: readonly { readonly id: string }[];
  readonly why: string;
}

it("plans one knife or several: every task behind what it waits for, in words, as its maker works", async () => {
  const { tasks }: { tasks: Printed[] } = await json(
    "plan",
    "demo/rook-hunter.json",
    "demo/marsh-stick-tang.json",
    "--school",
    "grind-first",
  );
  const ids = tasks.map((t) => t.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const [i, task] of tasks.entries()) {
    expect(task.title).not.toBe("");
    for (const { id } of task.needs) expect(ids.indexOf(id), task.id).toBeLessThan(i);
    if (task.needs.length > 0) expect(task.why, task.id).not.toBe("");
  }
  expect([...new Set(tasks.map((t) => t.knife))]).toEqual(["Rook hunter", "Marsh stick-tang"]);
  const kinds = (knife: string) => tasks.filter((t) => t.knife === knife).map((t) => t.kind);
  expect(kinds("Rook hunter")).toEqual(expect.arrayContaining(["drill-scales", "grind-soft", "cold"]));
  expect(kinds("Marsh stick-tang")).toContain("drill-block");
  const onePass = await json("plan", "demo/rook-hunter.json", "--drill", "one-pass");
  expect(onePass.tasks.map((t: Printed) => t.kind)).toContain("drill-one-pass");
});

it.each([
  [["plan"], /^FILE… is missing/],
  [
    ["plan", "demo/rook-hunter.json", "--school", "both"],
    /^--school is harden-first or grind-first, not "both"/,
  ],
  [["plan", "demo/rook-hunter.json", "--drill", ""], /^--drill is by-scale or one-pass or through-glued/],
  [["plan", "demo/rook-hunter.json", "gone.json"], /^no such file: gone.json/],
])("refuses %j in one line", async (args, says) => {
  const { code, out, errors } = await euaxis(...args);
  expect({ code, out, lines: errors.length }).toEqual({ code: 2, out: "", lines: 1 });
  expect(errors[0]).toMatch(says);
});
