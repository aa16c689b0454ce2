import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { weigh } from "../figures/weigh/weigh";
import { CONSTRUCTIONS } from "../knife/design/constructions.fixtures";
import { newDesign } from "../knife/design/create";
import { newGuard } from "../knife/design/guards";
import type { Design } from "../knife/design/schema";
import { buildSheet, wayBecomes } from "./buildSheet";
import { newPlan } from "./newPlan";
import { planOf } from "./planOf";
import {
  doneOfPiece,
  moved,
  piecesOf,
  withDone,
  withMinutes,
  withNote,
  withOtherwise,
  withOwnTask,
  withoutDone,
  withoutOwnTask,
  withoutWayBack,
  withPieceDone,
  withTaken,
  withTimer,
  withWayBack,
} from "./progress";
import { type PlanRecord, planRecord } from "./record";
import { planState } from "./state";
import { cutsHardSteel, steelState } from "./steelState";
import { TASKS } from "./taskKinds";
import { spacerCutMm, WAYS_BACK, wayBack, waysFrom } from "./waysBack";

const knife = Object.entries(CONSTRUCTIONS).find(([name]) => name === "fastener: pin")![1];
const tasksOf = (design: Design, record: PlanRecord) => planState(planOf(design, record.schools), record);
const sheetOf = (design: Design, record: PlanRecord) => {
  const sheet = buildSheet(design, record, []);
  if (!sheet) throw new Error("it cannot be built");
  return sheet;
};

/** A plan with tasks done one after the other, up to and with one. */
function doneUpTo(design: Design, id: string): PlanRecord {
  const start = newPlan();
  const { tasks, cut } = sheetOf(design, start);
  const last = tasks.findIndex((t) => t.id === id);
  if (last < 0) throw new Error(`no task ${id}`);
  return tasks
    .slice(0, last + 1)
    .reduce((p, t, i) => withDone(p, t.id, { at: 1000 + i, cut: cut.get(t.id) ?? [] }), start);
}

describe("a plan in progress", () => {
  it("stands in an order in which every task follows what it needs, for every knife", () => {
    for (const [name, design] of DEMO_KNIVES) {
      if (!weigh(design).ok) continue;
      const { tasks } = tasksOf(design, newPlan());
      const ids = tasks.map((t) => t.id);
      for (const [i, t] of tasks.entries())
        for (const n of t.needs) expect(ids.indexOf(n.id), `${name}: ${t.id} before ${n.id}`).toBeLessThan(i);
    }
  });

  it("has ready what waits for nothing, and the next once that is done", () => {
    const record = newPlan();
    const before = tasksOf(knife, record);
    expect(before.tasks[0]).toMatchObject({ id: "profile", state: "ready" });
    const drill = before.tasks.find((t) => t.id === "drill-tang");
    expect(drill).toMatchObject({ state: "waiting", waitsFor: ["profile"] });
    const after = tasksOf(knife, withDone(record, "profile", { at: 1, cut: [] }));
    expect(after.tasks.find((t) => t.id === "drill-tang")).toMatchObject({ state: "ready", waitsFor: [] });
    expect(after.activeMin).toBe(before.activeMin - TASKS.profile.activeMin);
    expect(tasksOf(knife, withoutDone(withDone(record, "profile", { at: 1, cut: [] }), "profile"))).toEqual(
      before,
    );
  });

  it("keeps minutes, notes and what would be done otherwise, each within what may be kept", () => {
    let record = doneUpTo(knife, "profile");
    record = withNote(withTaken(record, "profile", 42), "profile", " Slow belt. ");
    record = withTimer(record, "temper", { startedAt: 5, min: 120 });
    record = withMinutes(record, "drill-tang", { activeMin: 7, waitMin: 0 });
    record = withOtherwise(record, "profile", "  Work rest square first. ");
    expect(record.done.profile).toMatchObject({ tookMin: 42 });
    expect(record.notes).toEqual({ profile: "Slow belt." });
    expect(withNote(record, "profile", "").notes).toEqual({});
    expect(withTimer(record, "temper", null).timers).toEqual({});
    expect(tasksOf(knife, record).tasks.find((t) => t.id === "drill-tang")?.activeMin).toBe(7);
    expect(record.otherwise).toEqual({ profile: "Work rest square first." });
    expect(withOtherwise(record, "profile", " ").otherwise).toEqual({});
    expect(withTaken(record, "contour", 3)).toBe(record);
    // A task that is not done after all keeps its note.
    expect(withoutDone(record, "profile").notes).toEqual({ profile: "Slow belt." });
    expect(planRecord.safeParse(record).success).toBe(true);
  });

  it("takes tasks of the maker's own where they are put, and tells a loop instead of making one", () => {
    const own = { id: "own:1", title: "Photograph it", activeMin: 5, waitMin: 0 };
    const placed = withOwnTask(newPlan(), { ...own, after: "profile", before: "harden" });
    const { tasks, notices } = tasksOf(knife, placed);
    const at = (id: string) => tasks.findIndex((t) => t.id === id);
    expect(notices).toEqual([]);
    expect(at("own:1")).toBeGreaterThan(at("profile"));
    expect(at("own:1")).toBeLessThan(at("harden"));
    const looped = tasksOf(knife, withOwnTask(newPlan(), { ...own, after: "harden", before: "profile" }));
    expect(looped.notices).toEqual([{ code: "loop", task: "own:1" }]);
    expect(looped.tasks.length).toBe(tasks.length);
    const lost = tasksOf(knife, withOwnTask(newPlan(), { ...own, after: "no-such", before: null }));
    expect(lost.notices).toEqual([{ code: "gone", task: "own:1", names: "no-such" }]);
    expect(tasksOf(knife, withoutOwnTask(placed, "own:1")).tasks.some((t) => t.id === "own:1")).toBe(false);
  });

  it("moves a task where the order allows it, and nowhere else", () => {
    const record = newPlan();
    const { tasks } = tasksOf(knife, record);
    for (const [i, t] of tasks.entries())
      for (const by of [-1, 1] as const) {
        const next = moved(record, tasks, t.id, by);
        const other = tasks[i + by];
        const bound = !other || (by < 0 ? t : other).needs.some((n) => n.id === (by < 0 ? other : t).id);
        expect(next === null, `${t.id} by ${by}`).toBe(bound);
        if (!next) continue;
        const ids = tasksOf(knife, next).tasks.map((x) => x.id);
        expect(ids.indexOf(t.id)).toBe(i + by);
      }
  });
});

describe("ways back", () => {
  it("are each found at a task that there is, and reopen tasks that come no later than what they lead back from", () => {
    for (const way of WAYS_BACK) {
      expect(way.on.length, way.code).toBeGreaterThan(0);
      // What is asked for is what the knife is changed by.
      if (way.asks) expect(way.change, way.code).not.toBeNull();
    }
    expect(new Set(WAYS_BACK.map((w) => w.code)).size).toBe(WAYS_BACK.length);
  });

  it("a blade too soft goes back to the fire: what stays true stays done", () => {
    const record = doneUpTo(knife, "check-hardness");
    const { tasks } = tasksOf(knife, record);
    const back = withWayBack(record, tasks, wayBack("harden-again")!, {
      id: "r",
      on: "check-hardness",
      at: 2,
      note: "",
    });
    expect(Object.keys(back.done)).toEqual(expect.arrayContaining(["profile", "drill-tang"]));
    for (const id of ["normalise", "harden", "check-hardness"]) expect(back.done).not.toHaveProperty(id);
    expect(tasksOf(knife, back).tasks.find((t) => t.id === "normalise")?.state).toBe("ready");
    // Nothing is lost: it is taken back whole.
    expect(withoutWayBack(back, "r")).toEqual({ ...record, done: expect.objectContaining(record.done) });
    expect(Object.keys(withoutWayBack(back, "r").done).sort()).toEqual(Object.keys(record.done).sort());
    expect(planRecord.safeParse(back).success).toBe(true);
  });

  it("a bent blade is straightened before it is looked at again", () => {
    const record = doneUpTo(knife, "temper");
    const { tasks } = tasksOf(knife, record);
    const back = withWayBack(record, tasks, wayBack("straighten-hot")!, {
      id: "r",
      on: "check-straight",
      at: 2,
      note: "",
    });
    const after = tasksOf(knife, back).tasks;
    expect(after.find((t) => t.id === "rework:r")).toMatchObject({ kind: "straighten", state: "ready" });
    expect(after.find((t) => t.id === "check-straight")).toMatchObject({
      state: "waiting",
      waitsFor: ["rework:r"],
    });
  });

  it("a gap of 0.8 mm behind the guard takes leather of 0.8/(1 − 0.12) mm, and the handle stands back by the gap", () => {
    const guarded: Design = { ...newDesign("Sedge"), guard: newGuard(newDesign("Sedge")) };
    const way = waysFrom("check-guard", guarded).find((w) => w.code === "spacer-in-gap")!;
    const mended = way.change!(guarded, 0.8);
    expect(spacerCutMm(0.8)).toBeCloseTo(0.90909, 4);
    const [before, after] = [weigh(guarded), weigh(mended)];
    if (!before.ok || !after.ok) throw new Error("it cannot be built");
    expect(after.report.massG).toBeGreaterThan(before.report.massG);
    expect(mended.guard?.plates.at(-1)).toMatchObject({ material: "leather-veg", thicknessMm: 0.8 });
    // A knife without a guard has no gap behind it.
    expect(waysFrom("dry-fit", newDesign("Sedge")).map((w) => w.code)).not.toContain("spacer-in-gap");
  });

  it("grinding off an etch takes its depth off both faces, a burnt tip makes the blade shorter and lighter", () => {
    const thinner = wayBack("grind-etch-off")!.change!(knife, 0.05);
    expect(thinner.blade.spineMm).toBeCloseTo(knife.blade.spineMm - 0.1, 9);
    const [, chopper] = DEMO_KNIVES.find(
      ([, d]) => d.blade.grind.kind === "partial-flat" && !d.blade.measured,
    )!;
    expect(waysFrom("etch", chopper).map((w) => w.code)).toContain("raise-grind");
    expect(wayBecomes(chopper, "raise-grind", 0)?.massG).toBeLessThan(0);
    expect(wayBecomes(knife, "grind-etch-off", 0.05)?.massG).toBeLessThan(0);
    const shorter = wayBack("burnt-tip")!.change!(knife, 3);
    const [before, after] = [weigh(knife), weigh(shorter)];
    expect(before.ok && after.ok && after.report.massG < before.report.massG).toBe(true);
  });
});

describe("points of no return", () => {
  it("nothing that is done contradicts the design that it was done to, of any demo knife", () => {
    for (const [name, design] of DEMO_KNIVES) {
      if (!weigh(design).ok) continue;
      const { tasks } = tasksOf(design, newPlan());
      const all = doneUpTo(design, tasks.at(-1)!.id);
      expect(sheetOf(design, all).contradicted, name).toEqual([]);
      expect(planRecord.safeParse(all).success, name).toBe(true);
    }
  });

  it("a hole moved after it was drilled is caught, with what each way out costs", () => {
    const record = doneUpTo(knife, "drill-tang");
    const [pin] = knife.fasteners;
    const to: Design = {
      ...knife,
      fasteners: knife.fasteners.map((f) => (f === pin ? { ...f, xMm: f.xMm - 4 } : f)),
    };
    const { contradicted } = sheetOf(to, record);
    expect(contradicted).toHaveLength(1);
    const [{ what, remedies }] = contradicted;
    expect(what).toMatchObject({
      code: "hole-moved",
      task: "drill-tang",
      was: { item: pin.id },
      byMm: expect.closeTo(4, 6),
    });
    const back = remedies.find((r) => r.code === "as-cut")!;
    expect(back).toMatchObject({ activeMin: 0, waitMin: 0, piece: null });
    // The design as it was weighs what it weighed.
    const [now, was] = [weigh(to), weigh(knife)];
    if (!now.ok || !was.ok) throw new Error("it cannot be built");
    expect(back.becomes?.massG).toBeCloseTo(was.report.massG - now.report.massG, 6);
    const weld = remedies.find((r) => r.code === "weld-and-drill")!;
    expect(weld.activeMin).toBe(TASKS["fill-holes"].activeMin + TASKS["drill-tang"].activeMin);
    expect(weld.becomes?.massG).not.toBeNull();
  });

  it("once it is hard, filling a hole asks for the heat again", () => {
    const hard = doneUpTo(knife, "temper");
    const to: Design = { ...knife, fasteners: knife.fasteners.slice(1) };
    const moved = sheetOf(to, hard).contradicted;
    expect(moved.map((c) => c.what.code)).toContain("hole-gone");
    const [weld] = moved[0].remedies;
    expect(weld.reopens).toContain("harden");
    expect(weld.activeMin).toBeGreaterThanOrEqual(TASKS["fill-holes"].activeMin + TASKS.harden.activeMin);
  });

  it("a longer blade than was profiled needs a new one, a shorter one is ground on", () => {
    const record = doneUpTo(knife, "profile");
    const of = (more: number) => ({
      ...knife,
      blade: { ...knife.blade, lengthMm: knife.blade.lengthMm + more },
    });
    const longer = sheetOf(of(5), record).contradicted;
    expect(longer.map((c) => c.what.code)).toContain("size-missing");
    expect(longer.flatMap((c) => c.remedies.map((r) => r.code))).toContain("new-blade");
    const shorter = sheetOf(of(-5), record).contradicted;
    expect(shorter.map((c) => c.what.code)).toContain("size-standing");
    expect(shorter.flatMap((c) => c.remedies.map((r) => r.code))).toContain("cut-on");
  });

  it("another steel than was hardened, and a bar of another thickness, are told", () => {
    const record = doneUpTo(knife, "temper");
    const other: Design = { ...knife, blade: { ...knife.blade, steel: "steel-440c" } };
    expect(sheetOf(other, record).contradicted.map((c) => c.what.code)).toEqual(
      expect.arrayContaining(["other-steel", "other-material"]),
    );
    const thick: Design = { ...knife, blade: { ...knife.blade, spineMm: knife.blade.spineMm + 0.5 } };
    const bar = sheetOf(thick, record).contradicted.find(
      (c) => "of" in c.what && c.what.of === "bar-thickness",
    );
    expect(bar?.what.code).toBe("size-missing");
    expect(bar?.remedies[0]).toMatchObject({
      code: "as-cut",
      change: { path: "blade.spineMm", mm: knife.blade.spineMm },
    });
  });
});

describe("the steel's state", () => {
  it("follows what is done: soft, hard, tempered; a blade in the hand is hard until it is annealed", () => {
    const at = (id: string) => steelState(knife, doneUpTo(knife, id)).blade;
    expect([steelState(knife, newPlan()).blade, at("harden"), at("temper")]).toEqual([
      "soft",
      "hardened",
      "tempered",
    ]);
    const bought = DEMO_KNIVES.find(([, d]) => d.blade.measured && d.tang.kind === "full")![1];
    expect(steelState(bought, newPlan())).toEqual({ blade: "bought-hard", tangSoft: false });
    const annealed = withDone(newPlan(), "anneal", { at: 1, cut: [] });
    expect(steelState(bought, annealed).blade).toBe("annealed");
  });

  it("says which tasks would cut hard steel: one more hole after hardening, none before", () => {
    const cuts = (id: string) => cutsHardSteel("drill-tang", steelState(knife, doneUpTo(knife, id)));
    expect([cuts("profile"), cuts("temper")]).toEqual([false, true]);
    expect(cutsHardSteel("contour", steelState(knife, doneUpTo(knife, "temper")))).toBe(false);
  });
});

describe("a plan that version 1 wrote", () => {
  it("is read with what has come since, as a new one has it", () => {
    const {
      pieces: ______,
      others: _______,
      count: _,
      readings: __,
      sizes: ___,
      log: ____,
      holds: _____,
      ...then
    } = newPlan();
    expect(planRecord.parse(then)).toEqual(newPlan());
  });

  it("and the demo knife's is as this version writes it", () => {
    const demo = JSON.parse(readFileSync("demo/shelf/gorse-guard-knife.plan.json", "utf8"));
    expect(planRecord.parse(demo)).toEqual(demo);
  });
});

describe("several pieces of one design", () => {
  it("are ticked each by itself, and together", () => {
    const three = { ...newPlan(), pieces: 3 };
    const of = { at: 9, cut: [] };
    const third = withPieceDone(three, 2, "profile", of);
    expect([0, 1, 2].map((k) => "profile" in doneOfPiece(third, k))).toEqual([false, false, true]);
    const all = withPieceDone(withPieceDone(third, 0, "profile", of), 1, "profile", of);
    expect([0, 1, 2].every((k) => doneOfPiece(all, k).profile?.at === 9)).toBe(true);
    expect(planRecord.parse(all)).toEqual(all);
    // What one is not done of after all stays done of the others; what nothing is done of leaves nothing.
    const without = [0, 1, 2].reduce((p, k) => withPieceDone(p, k, "profile", null), all);
    expect(without).toEqual({ ...three, count: without.count });
    expect(piecesOf(third).map((p) => Object.keys(p.done))).toEqual([[], [], ["profile"]]);
  });
});
