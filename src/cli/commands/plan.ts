import { writeCalendar } from "@/core/exchange/files/calendarFile";
import { newWorkshop } from "@/core/knife/design/workshop";
import { newPlan } from "@/core/plan/newPlan";
import { type PlannedTask, planState } from "@/core/plan/state";
import {
  BOUGHT,
  DRILL_SCHOOLS,
  GRIND_SCHOOLS,
  type Schools,
  SURFACES,
  USUAL_SCHOOLS,
} from "@/core/plan/types";
import { modelOf } from "@/core/products/modelOf";
import { localTime } from "@/core/schedule/calendar";
import type { Alike } from "@/core/schedule/job";
import { jobOf } from "@/core/schedule/jobOf";
import { type Placed, schedule, TOGETHER } from "@/core/schedule/schedule";
import { timeOf } from "@/core/schedule/taskTimes";
import { plannedWords, reasonWords } from "@/words/plan";
import { calendarOf, savedWords, scheduleFailureWords } from "@/words/schedule";
import { command } from "../command";
import { startIn, workDaysIn } from "../days";
import { weighed, writeTo } from "../input";
import { Refusal } from "../refusal";

/** One of several ways, or the usual one where none is said. */
function schoolIn<S extends string>(
  typed: string | undefined,
  schools: readonly S[],
  usual: S,
  option: string,
): S {
  if (typed === undefined) return usual;
  const found = schools.find((s) => s === typed);
  if (found === undefined) throw new Refusal(`${option} is ${schools.join(" or ")}, not "${typed}"`);
  return found;
}

/** The tasks of one knife or of several, each with what it waits for and why. */
export const plan = command({
  name: "plan",
  says: "what is to be done to make knives, in order, and in days: tasks, what each waits for and why, minutes",
  args: ["FILE…"],
  options: {
    school: { value: GRIND_SCHOOLS.join("|"), says: "whether bevels are ground before hardening or after" },
    surface: { value: SURFACES.join("|"), says: "what is done to the blade's faces once they are finished" },
    bought: { value: BOUGHT.join("|"), says: "whether a blade that comes hard is annealed whole" },
    drill: { value: DRILL_SCHOOLS.join("|"), says: "how scales are drilled" },
    start: { value: "2027-01-04", says: "puts the tasks into days from then on, by one pair of hands" },
    hours: {
      value: "9-12,13-17",
      says: "with --start: working hours; nine to five where they are not given",
    },
    days: { value: "mon-fri", says: "with --start: weekdays that are worked on" },
    off: { value: "2026-12-24,2026-12-25", says: "with --start: days on which nobody works" },
    together: {
      value: TOGETHER.join("|"),
      says: "with --start: whether like tasks of several knives are done at once",
    },
    ics: { value: "OUT.ics", says: "with --start: writes a calendar file" },
  },
  run: async ({ args: files, text }) => {
    const schools: Schools = {
      grind: schoolIn(text("school"), GRIND_SCHOOLS, USUAL_SCHOOLS.grind, "--school"),
      surface: schoolIn(text("surface"), SURFACES, USUAL_SCHOOLS.surface, "--surface"),
      bought: schoolIn(text("bought"), BOUGHT, USUAL_SCHOOLS.bought, "--bought"),
      drill: schoolIn(text("drill"), DRILL_SCHOOLS, USUAL_SCHOOLS.drill, "--drill"),
    };
    const typed = {
      start: text("start"),
      hours: text("hours"),
      days: text("days"),
      off: text("off"),
      together: text("together"),
      ics: text("ics"),
    };
    const alone = Object.entries(typed).find(([, v]) => v !== undefined)?.[0];
    if (typed.start === undefined && alone !== undefined)
      throw new Refusal(`--${alone} goes with --start, the day on which to begin`);
    const knives: Planned[] = [];
    for (const file of files) {
      const { design } = await weighed(file);
      const making = await modelOf(design).making();
      const { tasks } = planState(making.plan(design, schools), newPlan());
      knives.push({ name: design.name, tasks, alike: making.alike(design, tasks) });
    }
    if (typed.start === undefined)
      return { tasks: knives.flatMap((k, i) => k.tasks.map((t) => told(t, k, i))) };
    const days = workDaysIn(typed);
    const together = schoolIn(typed.together, TOGETHER, "if-no-later", "--together");
    const jobs = knives.map((k) => jobOf(k.name, k.tasks, k.alike, newPlan()));
    const { clampSets } = newWorkshop("w", "w");
    const found = schedule(jobs, startIn(typed.start, Date.now()), days, {
      together,
      capacity: { clamps: clampSets },
    });
    if (!found.ok) throw new Refusal(scheduleFailureWords(found));
    const at = new Map(found.placed.map((p) => [idOf(p.job, p.id), p]));
    if (typed.ics !== undefined)
      await writeTo(typed.ics, await writeCalendar("Order of work", calendarOf(found.placed)));
    return {
      finish: localTime(found.finishMs),
      lowerBoundFinish: localTime(found.lowerBoundMs),
      saved: found.saved.map((s) => ({ ...s, says: savedWords(s) })),
      tasks: knives.flatMap((k, i) =>
        k.tasks.flatMap((t) => {
          const placed = at.get(idOf(i, t.id));
          return placed ? [{ ...told(t, k, i), ...inDays(placed) }] : [];
        }),
      ),
    };
  },
});

interface Planned {
  readonly name: string;
  readonly tasks: readonly PlannedTask[];
  readonly alike: ReadonlyMap<string, Alike>;
}

/** A task's id among those of several knives. */
const idOf = (knife: number, id: string): string => `${knife + 1}/${id}`;

/** A task as it is printed. */
const told = (task: PlannedTask, { name }: Planned, knife: number) => ({
  id: idOf(knife, task.id),
  knife: name,
  kind: task.kind,
  title: plannedWords(task),
  needs: task.needs.map(({ id, minLagMin, maxLagMin }) => ({ id: idOf(knife, id), minLagMin, maxLagMin })),
  why: [...new Set(task.needs.map((n) => reasonWords(n.why)))].join("; "),
  activeMin: task.activeMin,
  waitMin: task.waitMin,
  resources: task.resources,
  noReturn: task.noReturn,
  split: timeOf(task.kind).split,
  wait: task.waitMin > 0 ? timeOf(task.kind).wait : null,
});

/** When it is done. */
const inDays = ({ startMs, endMs, spans, together }: Placed) => ({
  start: localTime(startMs),
  end: localTime(endMs),
  spans: spans.map(({ fromMs, toMs, hands }) => ({ from: localTime(fromMs), to: localTime(toMs), hands })),
  together: together.map(({ job, id }) => idOf(job, id)),
});
