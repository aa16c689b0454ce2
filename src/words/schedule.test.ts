import { describe, expect, it } from "vitest";
import { TASKS, type TaskKind } from "@/core/plan/taskKinds";
import { calendarOf, savedWords, scheduleFailureWords, timeWords } from "./schedule";

const of = (kind: TaskKind) => {
  const spec = TASKS[kind];
  return timeWords({ kind, activeMin: spec.activeMin, waitMin: "waitMin" in spec ? spec.waitMin : 0 });
};

describe("how the time of a task goes", () => {
  it.each([
    ["grind-bevels", "May be put down at a break."],
    ["harden", "In one go, without a break; somebody stays with it while it waits."],
    ["temper", "In one go, without a break; in 2 cycles, somebody there at the beginning of each."],
    ["cold", "In one go, without a break; it lasts until somebody takes it out."],
    ["tumble", "In one go, without a break; ended by hand within 15 min of its time."],
    ["cure", "The wait runs by itself, overnight too."],
    ["glue-handle", "In one go, without a break."],
  ] as const)("of %s is told", (kind, words) => {
    expect(of(kind)).toBe(words);
  });

  it("of every kind is a sentence", () => {
    for (const kind of Object.keys(TASKS) as TaskKind[]) expect(of(kind), kind).toMatch(/^[A-Z].*\.$/);
    expect(timeWords({ kind: null, activeMin: 0, waitMin: 0 })).toBe("");
  });
});

describe("a schedule in words", () => {
  const task = { id: "glue-handle", kind: "glue-handle", title: null, of: null } as const;

  it("says why there is none, with a way out", () => {
    expect(scheduleFailureWords({ code: "never-open" })).toMatch(/put some into the workshop/);
    expect(scheduleFailureWords({ code: "too-long", knife: "Heath", longestMin: 20, ...task })).toMatch(
      /^Heath: “Mix, glue and clamp” takes longer than .*20 min.*lengthen a stretch, or shorten the task\.$/,
    );
    expect(scheduleFailureWords({ code: "no-room", knife: "Heath", ...task })).toMatch(
      /finds no day .*: lengthen a day, or free the day after\.$/,
    );
  });

  it("says what is saved, and nothing of no minutes", () => {
    expect(savedWords({ kind: "harden", tasks: 3, goes: 1, savedMin: 20 })).toBe(
      "Harden: 3 in 1 go, 20 min of work less",
    );
    expect(savedWords({ kind: "cure", tasks: 2, goes: 1, savedMin: 0 })).toBe("Let it cure: 2 in 1 go");
  });

  it("has an entry a span in a calendar, waits taking nobody up", () => {
    const placed = {
      job: 0,
      knife: "Heath",
      ...task,
      spans: [
        { fromMs: 0, toMs: 60_000, hands: true },
        { fromMs: 60_000, toMs: 120_000, hands: false },
      ],
      startMs: 0,
      endMs: 120_000,
      busyUntilMs: 120_000,
      together: [],
      overdue: false,
    };
    const entries = calendarOf([placed, { ...placed, job: 1 }]);
    expect(entries.map((e) => [e.title, e.busy])).toEqual([
      ["Heath: Mix, glue and clamp", true],
      ["Heath: Mix, glue and clamp (waiting)", false],
      ["Heath: Mix, glue and clamp", true],
      ["Heath: Mix, glue and clamp (waiting)", false],
    ]);
    expect(new Set(entries.map((e) => e.id)).size).toBe(4);
    // Moved by a day, and one knife more: the same entries, at another time.
    const moved = {
      ...placed,
      job: 1,
      startMs: 9e7,
      spans: placed.spans.map((s) => ({ ...s, fromMs: 9e7 })),
    };
    expect(calendarOf([moved]).map((e) => e.id)).toEqual(calendarOf([placed]).map((e) => e.id));
  });
});
