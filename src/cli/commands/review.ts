import { materialsIn } from "@/core/design/materials";
import { reviewDesign } from "@/core/review/reviewDesign";
import type { Finding } from "@/core/review/types";
import { faultsOf } from "@/core/weigh/faults";
import { findingWords } from "@/words/findings";
import { command } from "../command";
import { designIn, withinTime } from "../input";

/** All findings of a knife, impossible things first. A design that cannot be built has only those. */
export const review = command({
  name: "review",
  says: "findings of a knife with measure, limit and fixes; what cannot be built first",
  args: ["FILE"],
  options: {},
  run: async ({ args: [path] }) => {
    const design = await designIn(path);
    const all = withinTime((): Finding[] => {
      const checked = faultsOf(design);
      const sound = checked.every((f) => f.severity !== "error");
      return sound ? [...checked, ...reviewDesign(design).findings] : checked;
    });
    return all.map((f) => ({
      ...f,
      fixes: f.fixes ?? [],
      says: findingWords(f, "metric", materialsIn(design)),
    }));
  },
});
