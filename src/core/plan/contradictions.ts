import { own } from "../base/own";
import type { Design } from "../knife/design/schema";
import { type CutFact, type CutSize, factsOf } from "./cutFacts";
import type { PlanRecord } from "./record";
import { TASKS, type TaskKind } from "./taskKinds";
import type { Task } from "./types";

/** Less than this is no contradiction, mm: a tenth is what is filed away. */
export const CUT_MM = 0.1;

/** What a design asks for against what has been cut. */
export type Contradiction = { readonly task: string; readonly kind: TaskKind } & (
  | { readonly code: "hole-moved"; readonly was: Hole; readonly now: Hole; readonly byMm: number }
  | { readonly code: "hole-larger" | "hole-smaller"; readonly was: Hole; readonly now: Hole }
  | { readonly code: "hole-deeper" | "hole-shallower"; readonly was: Hole; readonly now: Hole }
  | { readonly code: "hole-gone"; readonly was: Hole }
  | { readonly code: "hole-missing"; readonly now: Hole }
  /** Steel is asked for where it was ground away, or is to come off where it stands; at the station where it is most. */
  | { readonly code: "outline-missing" | "outline-standing"; readonly xMm: number; readonly byMm: number }
  | {
      readonly code: "size-missing" | "size-standing";
      readonly of: CutSize;
      readonly piece: string;
      readonly wasMm: number;
      readonly nowMm: number;
    }
  | { readonly code: "other-material"; readonly piece: string; readonly was: string; readonly now: string }
  | { readonly code: "other-steel"; readonly was: string; readonly now: string }
);
export type Hole = Extract<CutFact, { kind: "hole" }>;

/** Sizes of openings: what was cut larger than it is wanted is what is missing. */
const OPENINGS: readonly CutSize[] = ["slot-height", "slot-thickness"];
/** Sizes that say where something is: off either way it cannot be brought back by taking off more. */
const PLACES: readonly CutSize[] = ["slot-middle"];

type Named = Pick<Contradiction, "task" | "kind">;

function holesAgainst(named: Named, was: readonly Hole[], now: readonly Hole[]): Contradiction[] {
  const found: Contradiction[] = [];
  const left = new Set(now);
  const take = (h: Hole | undefined) => {
    if (h) left.delete(h);
    return h;
  };
  const apart = (a: Hole, b: Hole) => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);
  for (const hole of was) {
    const there = [...left].filter((h) => h.piece === hole.piece);
    const same = take(
      there.find((h) => apart(h, hole) < CUT_MM) ??
        there.find((h) => hole.item !== "" && h.item === hole.item),
    );
    if (!same) {
      found.push({ ...named, code: "hole-gone", was: hole });
      continue;
    }
    const pair = { ...named, was: hole, now: same };
    if (apart(same, hole) >= CUT_MM) found.push({ ...pair, code: "hole-moved", byMm: apart(same, hole) });
    else if (Math.abs(same.diameterMm - hole.diameterMm) >= CUT_MM)
      found.push({ ...pair, code: same.diameterMm > hole.diameterMm ? "hole-larger" : "hole-smaller" });
    else if (Math.abs((same.depthMm ?? 0) - (hole.depthMm ?? 0)) >= CUT_MM)
      found.push({
        ...pair,
        code: (same.depthMm ?? 0) > (hole.depthMm ?? 0) ? "hole-deeper" : "hole-shallower",
      });
  }
  for (const hole of left) found.push({ ...named, code: "hole-missing", now: hole });
  return found;
}

type Outline = Extract<CutFact, { kind: "outline" }>;

function outlineAgainst(named: Named, was: Outline, now: Outline): Contradiction[] {
  let [missing, standing] = [
    { xMm: 0, byMm: 0 },
    { xMm: 0, byMm: 0 },
  ];
  const at = (line: Outline["at"], x: number) => {
    const i = line.findIndex((p) => p.xMm >= x);
    if (i <= 0) return null;
    const [a, b] = [line[i - 1], line[i]];
    const t = (x - a.xMm) / (b.xMm - a.xMm || 1);
    return { lowMm: a.lowMm + t * (b.lowMm - a.lowMm), highMm: a.highMm + t * (b.highMm - a.highMm) };
  };
  for (const p of was.at) {
    const wanted = at(now.at, p.xMm);
    if (!wanted) continue;
    const more = Math.max(wanted.highMm - p.highMm, p.lowMm - wanted.lowMm);
    const less = Math.max(p.highMm - wanted.highMm, wanted.lowMm - p.lowMm);
    if (more > missing.byMm) missing = { xMm: p.xMm, byMm: more };
    if (less > standing.byMm) standing = { xMm: p.xMm, byMm: less };
  }
  // Between two stations a line is not read closer than that.
  const least = 3 * CUT_MM;
  return [
    ...(missing.byMm >= least ? [{ ...named, code: "outline-missing", ...missing } as const] : []),
    ...(standing.byMm >= least ? [{ ...named, code: "outline-standing", ...standing } as const] : []),
  ];
}

const of = <K extends CutFact["kind"]>(facts: readonly CutFact[], kind: K) =>
  facts.filter((f): f is Extract<CutFact, { kind: K }> => f.kind === kind);

function sizesAgainst(named: Named, was: readonly CutFact[], now: readonly CutFact[]): Contradiction[] {
  return of(was, "size").flatMap((a): Contradiction[] => {
    const b = of(now, "size").find((f) => f.of === a.of && f.piece === a.piece);
    if (!b || Math.abs(a.mm - b.mm) < CUT_MM) return [];
    const grows = a.piece === "butt" ? b.mm < a.mm : b.mm > a.mm;
    const missing = PLACES.includes(a.of) || (OPENINGS.includes(a.of) ? !grows : grows);
    return [
      {
        ...named,
        code: missing ? "size-missing" : "size-standing",
        of: a.of,
        piece: a.piece,
        wasMm: a.mm,
        nowMm: b.mm,
      },
    ];
  });
}

/** What a design asks for that contradicts what one done task has cut. */
function against(
  design: Design,
  task: Pick<Task, "id" | "kind" | "of">,
  cut: readonly CutFact[],
): Contradiction[] {
  const now = factsOf(design, task);
  const named = { task: task.id, kind: task.kind };
  const found = [...holesAgainst(named, of(cut, "hole"), of(now, "hole")), ...sizesAgainst(named, cut, now)];
  const [was] = of(cut, "outline");
  const [wanted] = of(now, "outline");
  if (was && wanted) found.push(...outlineAgainst(named, was, wanted));
  for (const { piece, material } of of(cut, "made-of")) {
    const other = of(now, "made-of").find((f) => f.piece === piece);
    if (other && other.material !== material)
      found.push({ ...named, code: "other-material", piece, was: material, now: other.material });
  }
  const [hard] = of(cut, "hardened");
  if (hard && design.blade.steel !== hard.steel)
    found.push({ ...named, code: "other-steel", was: hard.steel, now: design.blade.steel });
  return found;
}

/** The tasks that make a blank: its outline, and the holes in it. */
const BLANK_TASKS: readonly TaskKind[] = ["profile", "drill-tang"];

/**
 * Where the blank of one knife does not serve for another: outline, thickness, steel and holes. What `was` is the other's,
 * what is `now` the design's. Of designs that can be built.
 */
export const blankDifferences = (design: Design, other: Design): readonly Contradiction[] =>
  BLANK_TASKS.flatMap((kind) => {
    const task = { id: kind, kind, of: null };
    return against(design, task, factsOf(other, task));
  });

/** What is done of a piece that its blank can contradict: the outline, holes drilled through the tang, the steel hardened. */
export function blankContradictions(design: Design, done: PlanRecord["done"]): readonly Contradiction[] {
  const inBlank = (f: CutFact) => f.kind !== "hole" || f.piece === "blade";
  // However it was drilled, the holes are those of the tang.
  const as: Readonly<Partial<Record<TaskKind, TaskKind>>> = {
    profile: "profile",
    "drill-tang": "drill-tang",
    "drill-one-pass": "drill-tang",
    harden: "harden",
  };
  return Object.entries(as).flatMap(([id, kind]) => {
    const entry = own(done, id);
    return entry ? against(design, { id, kind, of: null }, entry.cut.filter(inBlank)) : [];
  });
}

/** A done task that the plan has no more, as far as its id tells: what it cut is still there. */
function taskOf(id: string): Pick<Task, "id" | "kind" | "of"> | null {
  const [kind, subject] = id.split(":");
  if (!Object.hasOwn(TASKS, kind)) return null;
  const side = subject === "right" || subject === "left" ? subject : null;
  return { id, kind: kind as TaskKind, of: side && { kind: "side", side } };
}

/** Everything that a design asks for and what is done contradicts. */
export function contradictions(
  design: Design,
  tasks: readonly Task[],
  done: PlanRecord["done"],
): readonly Contradiction[] {
  const said = new Set<string>();
  return Object.entries(done)
    .flatMap(([id, { cut }]) => {
      const task = tasks.find((t) => t.id === id) ?? taskOf(id);
      return task ? against(design, task, cut) : [];
    })
    .filter((c) => {
      // What two tasks left alike is told once, of the first.
      const { task: _, kind: __, ...rest } = c;
      const key = JSON.stringify(rest);
      return !said.has(key) && said.add(key);
    });
}
