import { fitFigures } from "@/core/figures/fit/fitFigures";
import { command } from "../command";
import { weighedFixed } from "../input";

export const fit = command({
  name: "fit",
  says: "drills, holes, slot, walls, glue, cut list and strength",
  args: ["FILE"],
  options: {},
  run: async ({ args: [path] }) => fitFigures((await weighedFixed(path)).design),
});
