import { format } from "date-fns";
import { own } from "@/core/base/own";
import { withDone } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { notices } from "../kit/notice";
import type { Build } from "./BuildContext";

/** What is kept of a task that is done now: when, and what it has cut as the design stands. */
export const doneNow = ({ sheet }: Pick<Build, "sheet">, task: string) => ({
  at: Date.now(),
  cut: sheet.cut.get(task) ?? [],
  count: sheet.tasks.length,
  activeMin: sheet.tasks.find((t) => t.id === task)?.activeMin,
});

/** Ticks a task; where another tab, or another device whose plan came in, was sooner, that stays and is said. */
export const tickTask = (build: Pick<Build, "sheet" | "change">, { id }: Pick<PlannedTask, "id">): void =>
  build.change((p) => {
    const there = own(p.done, id);
    if (!there) return withDone(p, id, doneNow(build, id));
    notices.info({ title: `It was ticked already, ${format(there.at, "d MMM, HH:mm")}` });
    return p;
  });
