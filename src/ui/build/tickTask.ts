import { format } from "date-fns";
import { own } from "@/core/base/own";
import { withDone } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { notices } from "../kit/notice";
import type { Build } from "./BuildContext";

/** Ticks a task; where another tab, or another device whose plan came in, was sooner, that stays and is said. */
export const tickTask = ({ change, sheet }: Build, { id }: Pick<PlannedTask, "id">): void =>
  change((p) => {
    const there = own(p.done, id);
    if (!there)
      return withDone(p, id, { at: Date.now(), cut: sheet.cut.get(id) ?? [], count: sheet.tasks.length });
    notices.info({ title: `It was ticked already, ${format(there.at, "d MMM, HH:mm")}` });
    return p;
  });
