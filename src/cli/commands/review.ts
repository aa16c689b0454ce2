import type { Finding } from "@/core/figures/review/types";
import { materialsIn } from "@/core/knife/design/materials";
import { modelOf } from "@/core/products/modelOf";
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
    const model = modelOf(design);
    const making = await model.making();
    const all = withinTime((): Finding[] => {
      const { ok, findings } = model.weigh(design);
      if (ok) return [...findings, ...making.review(design, false).findings];
      return [...making.mend(design), ...findings.filter((f) => f.severity !== "error")];
    });
    return all.map((f) => ({
      ...f,
      fixes: f.fixes ?? [],
      says: findingWords(f, "metric", materialsIn(design)),
    }));
  },
});
