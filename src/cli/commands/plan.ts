import { newPlan } from "@/core/plan/newPlan";
import { planState } from "@/core/plan/state";
import {
  BOUGHT,
  DRILL_SCHOOLS,
  GRIND_SCHOOLS,
  type Schools,
  SURFACES,
  USUAL_SCHOOLS,
} from "@/core/plan/types";
import { modelOf } from "@/core/products/modelOf";
import { reasonWords, taskWords } from "@/words/plan";
import { command } from "../command";
import { weighed } from "../input";
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
  says: "what is to be done to make knives, in order: tasks, what each waits for and why, minutes",
  args: ["FILE…"],
  options: {
    school: { value: GRIND_SCHOOLS.join("|"), says: "whether bevels are ground before hardening or after" },
    surface: { value: SURFACES.join("|"), says: "what is done to the blade's faces once they are finished" },
    bought: { value: BOUGHT.join("|"), says: "whether a blade that comes hard is annealed whole" },
    drill: { value: DRILL_SCHOOLS.join("|"), says: "how scales are drilled" },
  },
  run: async ({ args: files, text }) => {
    const schools: Schools = {
      grind: schoolIn(text("school"), GRIND_SCHOOLS, USUAL_SCHOOLS.grind, "--school"),
      surface: schoolIn(text("surface"), SURFACES, USUAL_SCHOOLS.surface, "--surface"),
      bought: schoolIn(text("bought"), BOUGHT, USUAL_SCHOOLS.bought, "--bought"),
      drill: schoolIn(text("drill"), DRILL_SCHOOLS, USUAL_SCHOOLS.drill, "--drill"),
    };
    const tasks = [];
    for (const [i, file] of files.entries()) {
      const { design } = await weighed(file);
      const { plan: planOf } = await modelOf(design).making();
      const idOf = (id: string) => `${i + 1}/${id}`;
      for (const task of planState(planOf(design, schools), newPlan()).tasks)
        tasks.push({
          id: idOf(task.id),
          knife: design.name,
          kind: task.kind,
          title: task.kind === null ? task.title : taskWords({ kind: task.kind, of: task.of }),
          needs: task.needs.map(({ id, minLagMin, maxLagMin }) => ({ id: idOf(id), minLagMin, maxLagMin })),
          why: [...new Set(task.needs.map((n) => reasonWords(n.why)))].join("; "),
          activeMin: task.activeMin,
          waitMin: task.waitMin,
          resources: task.resources,
          noReturn: task.noReturn,
        });
    }
    return { tasks };
  },
});
