import { noted } from "@/core/edit/kept";
import { asFixed } from "@/core/knife/design/fixed.fixtures";
import { RECORD_VERSION } from "@/core/knife/design/version";
import "fake-indexeddb/auto";
import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import type { Design } from "@/core/knife/design/schema";
import { createAutosave } from "./autosave";
import { db } from "./db";
import { createHistory, MOST_STEPS, readTimeline, type Timeline } from "./history";
import { addKnife, openKnife } from "./knives";
import { sealed } from "./reading";
import { createSession } from "./session";
import { spine } from "./session.fixtures";
import { ready } from "./storage";

const sedge = newDesign("Sedge");
const thick = (mm: number, of: Design = sedge): Design => ({ ...of, blade: { ...of.blade, spineMm: mm } });
const state = (design: Design, says: string) => ({ design, last: noted(says) });
const timeline = (past: Design[], now: Design, future: Design[] = []): Timeline => ({
  past: past.map((d, i) => state(d, `p${i}`)),
  now: state(now, "now"),
  future: future.map((d, i) => state(d, `f${i}`)),
});

beforeEach(async () => {
  await ready();
  for (const table of [db.knives, db.steps]) await table.clear();
});

describe("the steps that are to be written", () => {
  const [a, b, c, d] = [3, 4, 5, 6].map((mm) => thick(mm));

  it("are those that are new, with the fields that they changed and no others", () => {
    const history = createHistory();
    const first = history.changes(timeline([a], b));
    expect(first.put).toEqual([
      {
        at: 0,
        edit: noted("now"),
        undone: false,
        version: RECORD_VERSION,
        before: { blade: a.blade },
        after: { blade: b.blade },
      },
    ]);
    first.commit();
    expect(history.changes(timeline([a], b)).put).toEqual([]);
    const second = history.changes(timeline([a, b], c));
    expect(second.put.map((s) => s.at)).toEqual([1]);
    expect(second.drop).toEqual([]);
  });

  it("are asked for again until they are said to be written", () => {
    const history = createHistory();
    expect(history.changes(timeline([a], b)).put).toHaveLength(1);
    expect(history.changes(timeline([a], b)).put).toHaveLength(1);
  });

  it("are marked as undone, and as done again, without being written anew", () => {
    const history = createHistory();
    history.changes(timeline([a, b], c)).commit();
    const undone = history.changes(timeline([a], b, [c]));
    expect(undone.put.map((s) => [s.at, s.undone])).toEqual([[1, true]]);
    expect(undone.drop).toEqual([]);
    undone.commit();
    const redone = history.changes(timeline([a, b], c));
    expect(redone.put.map((s) => [s.at, s.undone])).toEqual([[1, false]]);
  });

  it("leave out what can no longer be redone", () => {
    const history = createHistory();
    history.changes(timeline([a, b], c)).commit();
    const other = history.changes(timeline([a, b], d));
    expect([other.drop, other.put.map((s) => s.at)]).toEqual([[1], [2]]);
  });

  it("are a hundred at most, the nearest to the present, on both its sides", () => {
    const many = Array.from({ length: 150 }, (_, i) => thick(2 + i / 100));
    const undone = createHistory().changes(timeline(many.slice(0, 20), many[20], many.slice(21)));
    expect(undone.put).toHaveLength(MOST_STEPS);
    expect(undone.put.filter((s) => !s.undone)).toHaveLength(20);
    const done = createHistory().changes(timeline(many.slice(0, 149), many[149]));
    expect(done.put).toHaveLength(MOST_STEPS);
    expect(done.put[99].after).toEqual({ blade: many[149].blade });
  });
});

describe("whatever is done to a knife, with tabs closed in between", () => {
  type Act =
    | { kind: "edit"; mm: number }
    | { kind: "drag"; mm: number }
    | { kind: "undo" | "redo" | "write" | "reopen" };
  const act: fc.Arbitrary<Act> = fc.oneof(
    {
      weight: 4,
      arbitrary: fc.integer({ min: 10, max: 90 }).map((n) => ({ kind: "edit" as const, mm: n / 10 })),
    },
    {
      weight: 2,
      arbitrary: fc.integer({ min: 10, max: 90 }).map((n) => ({ kind: "drag" as const, mm: n / 10 })),
    },
    { weight: 3, arbitrary: fc.constantFrom({ kind: "undo" as const }, { kind: "redo" as const }) },
    { weight: 2, arbitrary: fc.constantFrom({ kind: "write" as const }, { kind: "reopen" as const }) },
  );

  /** Opens the knife as the bench does. */
  async function opened(id: string) {
    const found = await openKnife(id);
    if (!found?.reading.ok) throw new Error("not read");
    const { record } = found.reading;
    const kept = found.stored ? await readTimeline(id, record.design, found.stored) : undefined;
    const session = createSession(record.design, kept);
    return { session, autosave: createAutosave(session, record, kept) };
  }
  const spines = (session: ReturnType<typeof createSession>) => {
    const { past, now, future } = session.timeline();
    return [...past, now, ...future].map((s) => asFixed(s.design).blade.spineMm);
  };

  it("the next tab has the same states before and after the present one", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 3, maxLength: 25 }), async (acts) => {
        const { id } = await addKnife(sedge);
        let bench = await opened(id);
        for (const [i, a] of acts.entries()) {
          if (a.kind === "edit") spine(bench.session, a.mm);
          else if (a.kind === "drag") spine(bench.session, a.mm, `drag ${Math.floor(i / 4)}`);
          else if (a.kind === "undo") bench.session.undo();
          else if (a.kind === "redo") bench.session.redo();
          else if (a.kind === "write") await bench.autosave.flush();
          else {
            await bench.autosave.flush();
            const before = { all: spines(bench.session), past: bench.session.timeline().past.length };
            bench.autosave.dispose();
            bench = await opened(id);
            expect({ all: spines(bench.session), past: bench.session.timeline().past.length }).toEqual(
              before,
            );
          }
        }
        await bench.autosave.flush();
        bench.autosave.dispose();
      }),
      { numRuns: 40, seed: 20261127 },
    );
  });
});

describe("a history that does not fit its knife", () => {
  const step = (at: number, change: object) =>
    db.steps.put({
      knifeId: "k",
      at,
      label: `s${at}`,
      undone: false,
      version: RECORD_VERSION,
      before: { blade: sedge.blade },
      after: { blade: thick(5).blade },
      ...change,
    });

  it.each([
    ["of another version of the design", { version: 4 }],
    ["of a version to come", { version: 99 }],
    ["whose fields are none", { before: { blade: 3 } }],
    ["without fields", { before: null }],
  ])("%s: ends there, and what is nearer stays", async (_, change) => {
    await step(0, {});
    await step(1, change);
    await step(2, {});
    const { past, now, future } = await readTimeline("k", thick(5), sealed(thick(5)));
    expect(past).toHaveLength(1);
    expect(now.last).toEqual(noted("s2"));
    expect(future).toEqual([]);
  });
});
