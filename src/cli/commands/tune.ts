import { tuneReviewed } from "@/core/figures/review/tuneReviewed";
import { command } from "../command";
import { weighedFixed, windowIn } from "../input";

export const tune = command({
  name: "tune",
  says: "the smallest changes that bring balance and weight into windows",
  args: ["FILE"],
  options: {
    balance: {
      value: "LO..HI",
      says: "where it should balance, mm from the datum, such as -20..-5",
      needed: true,
    },
    mass: { value: "LO..HI", says: "what it should weigh, g" },
  },
  run: async ({ args: [path], needed, text }) => {
    const mass = text("mass");
    const target = {
      balanceMm: windowIn(needed("balance"), "--balance"),
      massG: mass ? windowIn(mass, "--mass") : null,
    };
    const { design, report } = await weighedFixed(path);
    return { massG: report.massG, balanceMm: report.balanceMm, answers: tuneReviewed(design, target) };
  },
});
