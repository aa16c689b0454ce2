import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import ICAL from "ical.js";
import { expect, it } from "vitest";
import { euaxis, json } from "./shell.fixtures";

/** A Monday that is still to come, whenever this runs. */
function nextMonday(): string {
  const now = new Date();
  const d = new Date(now.getFullYear(), now.getMonth(), now.getDate() + 14 - ((now.getDay() + 6) % 7));
  return `${d.getFullYear()}-${`${d.getMonth() + 1}`.padStart(2, "0")}-${`${d.getDate()}`.padStart(2, "0")}`;
}

interface Told {
  readonly id: string;
  readonly kind: string;
  readonly activeMin: number;
  readonly start: string;
  readonly end: string;
  readonly spans: readonly { from: string; to: string; hands: boolean }[];
  readonly together: readonly string[];
}

const HEATH = "demo/heath-field-knife.json";
const HOURS = ["--hours", "9-12,13-17", "--days", "mon-thu"];

it("puts knives into days, work within the hours that are given, waits over nights", async () => {
  const monday = nextMonday();
  const found = await json("plan", HEATH, "demo/reed-take-down-hunter.json", "--start", monday, ...HOURS);
  expect(found.finish >= found.lowerBoundFinish).toBe(true);
  const tasks: Told[] = found.tasks;
  expect(new Set(tasks.map((t) => t.id[0]))).toEqual(new Set(["1", "2"]));
  for (const t of tasks) {
    expect(t.start, t.id).toBe(t.spans[0]?.from ?? t.start);
    const hands = t.spans.filter((s) => s.hands);
    const worked = hands.reduce((sum, s) => sum + (Date.parse(s.to) - Date.parse(s.from)) / 60_000, 0);
    if (t.together.length === 0) expect(worked, t.id).toBe(t.activeMin);
    for (const s of hands) {
      const [from, to] = [s.from.slice(11), s.to.slice(11)];
      expect(
        (from >= "09:00" && to <= "12:00") || (from >= "13:00" && to <= "17:00"),
        `${t.id} ${from} ${to}`,
      ).toBe(true);
      expect([1, 2, 3, 4]).toContain(new Date(s.from).getDay());
    }
  }
  expect(tasks.find((t) => t.kind === "cure")?.spans).toHaveLength(1);
});

it("writes a calendar of them that opens elsewhere", async () => {
  const out = join(mkdtempSync(join(tmpdir(), "euaxis-")), "work.ics");
  const { tasks } = await json("plan", HEATH, "--start", nextMonday(), "--ics", out);
  const events = new ICAL.Component(ICAL.parse(readFileSync(out, "utf8"))).getAllSubcomponents("vevent");
  expect(events).toHaveLength(tasks.reduce((sum: number, t: Told) => sum + t.spans.length, 0));
});

it("does like tasks of several knives at once, or never, as it is told", async () => {
  const files = [HEATH, "demo/gorse-guard-knife.json"];
  const always = await json("plan", ...files, "--start", nextMonday(), "--together", "always");
  expect(always.saved.map((s: { says: string }) => s.says)).toContain(
    "Harden: 2 in 1 go, 10 min of work less",
  );
  const [a, b]: Told[] = always.tasks.filter((t: Told) => t.kind === "harden");
  expect([a.start, a.end, a.together]).toEqual([b.start, b.end, [b.id]]);
  const never = await json("plan", ...files, "--start", nextMonday(), "--together", "never");
  expect(never.saved).toEqual([]);
});

it.each([
  [["--start", "soon"], /^--start is a day/],
  [["--start", "2027-13-40"], /^--start is a day/],
  [["--start", "2027-02-30"], /^--start is a day/],
  [["--start", "2027-02-03T24:10"], /^--start is a day/],
  [["--start", "2020-01-06"], /is over: begin today/],
  [["--hours", "9-17"], /^--hours goes with --start/],
  [["--ics", "x.ics"], /^--ics goes with --start/],
  [["--start", nextMonday(), "--hours", "17-9"], /^--hours is up to 4 stretches/],
  [["--start", nextMonday(), "--hours", "9-12,11-17"], /^--hours is up to 4 stretches/],
  [["--start", nextMonday(), "--hours", "9"], /^--hours is up to 4 stretches/],
  [["--start", nextMonday(), "--days", "mon-funday"], /^--days is weekdays/],
  [["--start", nextMonday(), "--days", ""], /^--days is weekdays/],
  [["--start", nextMonday(), "--off", "24.12."], /^--off is days/],
  [["--start", nextMonday(), "--together", "perhaps"], /^--together is/],
  [
    ["--start", nextMonday(), "--hours", "9-9:10"],
    /takes longer than the longest stretch at the bench, 10 min/,
  ],
  [["--start", nextMonday(), "--ics", "/nowhere/at/all.ics"], /nowhere/],
])("refuses %j in one line", async (args, says) => {
  const { code, out, errors } = await euaxis("plan", HEATH, ...args);
  expect({ code, out, lines: errors.length }).toEqual({ code: 2, out: "", lines: 1 });
  expect(errors[0]).toMatch(says);
});
