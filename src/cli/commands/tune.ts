import { tuneReviewed } from "@/core/figures/review/tuneReviewed";
import { goalsOf } from "@/core/figures/tune/goals";
import { command } from "../command";
import { weighedFixed, windowIn } from "../input";
import { Refusal } from "../refusal";

export const tune = command({
  name: "tune",
  says: "the smallest changes that bring balance and weight into windows",
  args: ["FILE"],
  options: {
    balance: {
      value: "LO..HI",
      says: "where it should balance, mm from the datum, such as -20..-5",
      needed: true,
      unless: "grips",
    },
    mass: { value: "LO..HI", says: "what it should weigh, g" },
    grips: { value: null, says: "the windows that stand on its grips as well" },
  },
  run: async ({ args: [path], has, text }) => {
    const window = (option: "balance" | "mass") => {
      const typed = text(option);
      return typed ? windowIn(typed, `--${option}`) : null;
    };
    const windows = { balanceMm: window("balance"), massG: window("mass") };
    const { design, report } = await weighedFixed(path);
    const target = { ...windows, grips: has("grips") ? design.use.grips : [] };
    if (goalsOf(target).length === 0)
      throw new Refusal("no window stands on a grip of this knife: say --balance LO..HI");
    return { massG: report.massG, balanceMm: report.balanceMm, answers: tuneReviewed(design, target) };
  },
});
