import { leverEffects } from "@/core/figures/tune/effects";
import { command } from "../command";
import { weighedFixed } from "../input";

export const levers = command({
  name: "levers",
  says: "what one step of each change would do to weight and balance",
  args: ["FILE"],
  options: {},
  run: async ({ args: [path] }) => {
    const { design, report } = await weighedFixed(path);
    return { massG: report.massG, balanceMm: report.balanceMm, levers: leverEffects(design) };
  },
});
