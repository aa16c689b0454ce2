import { describe, expect, it } from "vitest";
import { seeded } from "../../../faults/random";
import { DEMO_KNIVES } from "../exchange/files/knife/demo.fixtures";
import { weigh } from "../figures/weigh/weigh";
import { CONSTRUCTIONS } from "../knife/design/constructions.fixtures";
import { newGuard } from "../knife/design/guards";
import { mutated } from "../knife/design/mutated.fixtures";
import type { Design } from "../knife/design/schema";
import { heatOf } from "../materials/heat";
import { shippedMaterial } from "../materials/materials";
import { STEELS } from "../materials/metals";
import { needsOf } from "../shelf/needs";
import { buildSheet } from "./buildSheet";
import { newPlan } from "./newPlan";
import { planOf } from "./planOf";
import { TASKS, type TaskKind } from "./taskKinds";
import {
  BOUGHT,
  DRILL_SCHOOLS,
  GRIND_SCHOOLS,
  type Schools,
  SURFACES,
  type Task,
  USUAL_SCHOOLS,
} from "./types";
import { WAYS_BACK } from "./waysBack";

/** Every way to grind and to drill; surfaces and bought blades in turn, so that each of them is met. */
const SCHOOLS: Schools[] = GRIND_SCHOOLS.flatMap((grind, i) =>
  DRILL_SCHOOLS.map((drill, k) => ({
    grind,
    drill,
    surface: SURFACES[(3 * i + k) % SURFACES.length],
    bought: BOUGHT[(i + k) % BOUGHT.length],
  })),
);
const stamped = DEMO_KNIVES.filter(([, d]) => d.blade.marks.length > 0).map(([name, d]): [string, Design] => [
  `${name}, stamped`,
  { ...d, blade: { ...d.blade, marks: d.blade.marks.map((m) => ({ ...m, way: "stamped" as const })) } },
]);
const burned = CONSTRUCTIONS["hidden tang, burned in"];
const [, aKnife] = DEMO_KNIVES.find(([name]) => name.includes("heath")) ?? DEMO_KNIVES[0];
const buildable = [
  ...DEMO_KNIVES,
  ["in a shop that is too cold for glue", { ...aKnife, workshop: { ...aKnife.workshop, shopC: 4 } }] as [
    string,
    Design,
  ],
  ...stamped,
  ["burned in behind a guard", { ...burned, guard: newGuard(burned) }] as [string, Design],
  ...Object.entries(CONSTRUCTIONS),
].filter(([, d]) => weigh(d).ok);

/** What a task waits for, however far back: by following needs alone, apart from how the plan was made. */
function before(tasks: readonly Task[]): Map<string, Set<string>> {
  const known = new Map<string, Set<string>>();
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const of = (id: string, path: readonly string[]): Set<string> => {
    if (path.includes(id)) throw new Error(`a loop: ${[...path, id].join(" > ")}`);
    const found = known.get(id);
    if (found) return found;
    const task = byId.get(id);
    if (!task) throw new Error(`${id} is waited for, and not planned`);
    const all = new Set(task.needs.flatMap((n) => [n.id, ...of(n.id, [...path, id])]));
    known.set(id, all);
    return all;
  };
  for (const { id } of tasks) of(id, []);
  return known;
}

/**
 * Rules of the trade: the first kind of task stands before the second wherever a plan has both; where there is a third, that
 * stands before the second instead. Common practice, no source.
 */
const RULES: readonly (readonly [TaskKind, TaskKind])[] = [
  ["saw-piece", "dry-fit"],
  ["weld-tang", "harden"],
  ["file-tang", "harden"],
  ["stamp-mark", "harden"],
  ["hammer-flats", "harden"],
  ["grind-soft", "harden"],
  ["drill-one-pass", "harden"],
  ["burn-in", "harden"],
  ["normalise", "harden"],
  ["harden", "temper"],
  ["cold", "temper"],
  ["temper", "grind-bevels"],
  ["grind-bevels", "surface-blade"],
  ["surface-blade", "etch"],
  ["surface-blade", "acid-etch"],
  ["surface-blade", "darken"],
  ["surface-blade", "buff"],
  ["etch", "acid-etch"],
  ["acid-etch", "tumble"],
  ["acid-etch", "tape-blade"],
  ["tumble", "sharpen"],
  ["darken", "sharpen"],
  ["check-faces", "glue-handle"],
  ["check-faces", "glue-first"],
  ["anneal", "harden"],
  ["fit-guard", "drill-scales"],
  ["fit-guard", "drill-one-pass"],
  ["fit-guard", "drill-block"],
  ["fit-guard", "burn-in"],
  ["check-guard", "dry-fit"],
  ["check-holes", "drill-scales"],
  ["fit-bolsters", "drill-scales"],
  ["fit-segments", "drill-scales"],
  ["front-faces", "glue-handle"],
  ["front-faces", "glue-first"],
  ["front-faces", "counterbore"],
  ["dry-fit", "glue-handle"],
  ["dry-fit", "assemble"],
  ["degrease", "glue-handle"],
  ["carry-indoors", "cure"],
  ["tape-blade", "glue-handle"],
  ["tape-blade", "contour"],
  ["glue-handle", "cure"],
  ["clean-squeeze-out", "cure"],
  ["cure", "flush-pins"],
  ["cure", "contour"],
  ["cure", "peen"],
  ["peen", "contour"],
  ["fit-block", "thread-tang"],
  ["thread-tang", "dry-fit"],
  ["drill-pins", "glue-handle"],
  ["contour", "sand-handle"],
  ["finish-handle", "wind-wrap"],
  ["sand-handle", "sharpen"],
  ["surface-blade", "sharpen"],
  ["sharpen", "weigh-and-log"],
];

function wrongIn(tasks: readonly Task[]): string[] {
  const behind = before(tasks);
  const of = (kind: TaskKind) => tasks.filter((t) => t.kind === kind);
  const isBefore = (a: Task, b: Task) => behind.get(b.id)?.has(a.id) ?? false;
  const wrong = RULES.flatMap(([first, second]) =>
    of(second).flatMap((b) => of(first).flatMap((a) => (isBefore(a, b) ? [] : [`${b.id} before ${a.id}`]))),
  );
  // Steel is drilled before it is hard, or drawn soft before it is drilled.
  for (const drill of [...of("drill-tang"), ...of("drill-one-pass")]) {
    const soft = [...of("soften-tang"), ...of("anneal")].some((s) => isBefore(s, drill));
    const early = of("harden").every((h) => isBefore(drill, h));
    const hard = of("harden").length > 0 || of("inspect-blade").length > 0;
    if (hard && !((soft || of("inspect-blade").length === 0) && early))
      wrong.push(`${drill.id} in hard steel`);
  }
  // A thread is cut into a tang that was drawn soft after it was hardened.
  for (const thread of of("thread-tang"))
    if (!of("soften-tang").some((s) => isBefore(s, thread))) wrong.push(`${thread.id} in hard steel`);
  // A guard is sawn before its slot is cut.
  for (const slot of of("slot-guard"))
    for (const saw of of("saw-piece"))
      if (saw.of?.kind === "piece" && saw.of.piece.kind === "guard" && !isBefore(saw, slot))
        wrong.push(`${slot.id} before ${saw.id}`);
  // Hard steel is tempered within two hours, or goes into the cold.
  for (const t of of("temper"))
    if (!t.needs.some((n) => n.maxLagMin !== null && n.maxLagMin <= 120)) wrong.push(`${t.id} whenever`);
  // The last task waits for all that is done, but for looks.
  const last = of("weigh-and-log")[0];
  for (const t of tasks)
    if (t !== last && !isBefore(t, last) && !t.inspection) wrong.push(`${t.id} after the end`);
  return wrong;
}

const RANDOM_KNIVES = 60;

/** Whether a number that is none stands anywhere in a value. */
function hasHole(value: unknown): boolean {
  if (typeof value === "number") return !Number.isFinite(value);
  if (value instanceof Map) return [...value.values()].some(hasHole);
  if (typeof value !== "object" || value === null) return false;
  return Object.values(value).some(hasHole);
}

describe("the order of work", () => {
  it.each(SCHOOLS)("holds the rules of the trade for every construction: $grind, $drill", (schools) => {
    const wrong = buildable.flatMap(([name, design]) =>
      wrongIn(planOf(design, schools)).map((w) => `${name}: ${w}`),
    );
    expect(wrong).toEqual([]);
  });

  it("finds what is against them: every rule is met in some plan, and broken by a plan that waits for nothing", () => {
    const plans = SCHOOLS.flatMap((schools) => buildable.map(([, design]) => planOf(design, schools)));
    const loose = plans.map((tasks) => tasks.map((t) => ({ ...t, needs: [] })));
    const broken = new Set(loose.flatMap(wrongIn).map((w) => w.replace(/:\S*/g, "")));
    for (const [first, second] of RULES)
      expect(broken, `${first} before ${second}`).toContain(`${second} before ${first}`);
  });

  it("has every kind of task in some knife, and each of a knife once", () => {
    const seen = new Set<TaskKind>();
    for (const schools of SCHOOLS)
      for (const [name, design] of buildable) {
        const tasks = planOf(design, schools);
        for (const t of tasks) seen.add(t.kind);
        expect(new Set(tasks.map((t) => t.id)).size, name).toBe(tasks.length);
      }
    // What is done on a way back alone is in no plan before something failed.
    for (const { task } of WAYS_BACK) if (task) seen.add(task);
    seen.add("fill-holes");
    expect(Object.keys(TASKS).filter((k) => !seen.has(k as TaskKind))).toEqual([]);
  });

  it("holds them for random knives, too, by every way to work; their figures and lists are finite", () => {
    const random = seeded(27);
    const wrong: string[] = [];
    let tried = 0;
    for (let n = 0; n < RANDOM_KNIVES; n++) {
      const [name, of] = random.of(buildable);
      const design = mutated(of, random);
      const weighed = design && weigh(design);
      if (!design || !weighed?.ok) continue;
      tried++;
      const schools = random.of(SCHOOLS);
      const tasks = planOf(design, schools);
      wrong.push(...wrongIn(tasks).map((w) => `${name}, ${n}: ${w}`));
      const sheet = buildSheet(design, { ...newPlan(), schools }, []);
      if (hasHole(sheet) || hasHole(needsOf(design, weighed.report, schools)))
        wrong.push(`${name}, ${n}: a figure is no number`);
    }
    expect(wrong).toEqual([]);
    expect(tried).toBeGreaterThan(RANDOM_KNIVES / 2);
  });

  it("follows how its maker works", () => {
    const knife = Object.entries(CONSTRUCTIONS).find(([name]) => name === "fastener: pin")![1];
    const kinds = (schools: Partial<Schools>, design: Design = knife) =>
      planOf(design, { ...USUAL_SCHOOLS, ...schools }).map((t) => t.kind);
    expect(kinds({})).toContain("drill-scales");
    expect(kinds({})).not.toContain("grind-soft");
    expect(kinds({ grind: "grind-first" })).toContain("grind-soft");
    expect(kinds({ drill: "one-pass" })).toContain("drill-one-pass");
    expect(kinds({ drill: "one-pass" })).not.toContain("drill-scales");
    expect(kinds({ drill: "through-glued" })).toContain("glue-first");
    // Screws alone: nothing is glued.
    const bolted = CONSTRUCTIONS["fastener: sleeve-bolt"];
    expect(kinds({}, bolted)).toContain("assemble");
    expect(kinds({}, bolted)).not.toContain("glue-handle");
    expect(kinds({ drill: "through-glued" }, bolted)).not.toContain("glue-first");
    // What is glued first waits as long as the shop waits.
    const glue = { ...knife.workshop.glue, leastCureH: 36 };
    const slow = { ...knife, workshop: { ...knife.workshop, glue } };
    const first = planOf(slow, { ...USUAL_SCHOOLS, drill: "through-glued" });
    expect(first.find((t) => t.kind === "glue-first")?.waitMin).toBe(36 * 60);
  });
});

describe("how a steel is hardened", () => {
  it("is known of every steel that ships, but wrought iron, which is not", () => {
    for (const steel of STEELS) {
      const heat = heatOf(steel);
      if (steel.id === "iron-wrought") expect(heat).toBeNull();
      else expect(heat?.group, steel.id).not.toBe("as-its-mill-says");
    }
    expect(heatOf(shippedMaterial("mild-steel"))).toBeNull();
  });

  it("normalises carbon and low-alloy steels, and takes air-hardening ones into the cold", () => {
    expect(heatOf(shippedMaterial("steel-1084"))).toMatchObject({ group: "carbon", normalised: true });
    expect(heatOf(shippedMaterial("steel-5160"))).toMatchObject({ group: "low-alloy", normalised: true });
    expect(heatOf(shippedMaterial("steel-440c"))).toMatchObject({ group: "air-hardening", cold: true });
  });
});
