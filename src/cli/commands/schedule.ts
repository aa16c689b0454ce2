import { newWorkshop } from "@/core/knife/design/workshop";
import { newPlan } from "@/core/plan/newPlan";
import { planState } from "@/core/plan/state";
import { USUAL_SCHOOLS } from "@/core/plan/types";
import { modelOf } from "@/core/products/modelOf";
import { localTime } from "@/core/schedule/calendar";
import { schedule as scheduled } from "@/core/schedule/schedule";
import { kindWords } from "@/words/plan";
import { scheduleFailureWords } from "@/words/schedule";
import { command } from "../command";
import { weighed } from "../input";
import { Refusal } from "../refusal";

const FROM = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2})?$/;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

function momentIn(typed: string | undefined): number {
  if (typed === undefined) return Date.now();
  const ms = FROM.test(typed)
    ? new Date(typed.includes("T") ? typed : `${typed}T00:00`).getTime()
    : Number.NaN;
  if (!Number.isFinite(ms))
    throw new Refusal(`--from is a day, such as 2026-12-01 or 2026-12-01T09:00, not "${typed}"`);
  return ms;
}

function daysIn(typed: string | undefined): readonly string[] {
  const days = typed === undefined ? [] : typed.split(",");
  const wrong = days.find((d) => !DAY.test(d));
  if (wrong !== undefined) throw new Refusal(`--off is days, such as 2026-12-24,2026-12-25, not "${wrong}"`);
  return days;
}

/** Knives in days, by one maker in a usual week: Monday to Friday, nine to five. */
export const schedule = command({
  name: "schedule",
  says: "knives in days: when each task is done, by one pair of hands in working hours",
  args: ["FILE…"],
  options: {
    from: { value: "2026-12-01T09:00", says: "when to begin; now where it is not said" },
    off: { value: "2026-12-24,2026-12-25", says: "days on which nobody works" },
  },
  run: async ({ args: files, text }) => {
    const fromMs = momentIn(text("from"));
    const days = { hours: newWorkshop("w", "w").hours, daysOff: daysIn(text("off")) };
    const jobs = [];
    for (const file of files) {
      const { design } = await weighed(file);
      const { plan } = await modelOf(design).making();
      jobs.push({ knife: design.name, tasks: planState(plan(design, USUAL_SCHOOLS), newPlan()).tasks });
    }
    const found = scheduled(jobs, fromMs, days);
    if (!found.ok) throw new Refusal(scheduleFailureWords(found));
    return {
      finish: localTime(found.finishMs),
      lowerBound: localTime(found.lowerBoundMs),
      tasks: found.placed.map((p) => ({
        knife: p.knife,
        id: p.id,
        title: p.kind === null ? p.id : kindWords(p.kind),
        work: p.work.map((w) => ({ from: localTime(w.fromMs), to: localTime(w.toMs) })),
        over: localTime(p.endMs),
      })),
    };
  },
});
