import { gripFigure } from "@/core/figures/tune/goals";
import { dynamics, effectiveMass } from "@/core/figures/weigh/dynamics";
import { GRIP_FIGURES, workingGrip } from "@/core/knife/design/grips";
import { command } from "../command";
import { numberIn, weighedFixed } from "../input";

/** How a knife moves about its grip point, and what it feels like to be struck along the blade. */
export const motion = command({
  name: "dynamics",
  says: "moment, inertia, centre of percussion and effective mass about the grip",
  args: ["FILE"],
  options: {
    grip: {
      value: "MM",
      says: "the grip point, − behind the datum; else that of the first one of the knife",
    },
  },
  run: async ({ args: [path], text }) => {
    const { design, report } = await weighedFixed(path);
    const gripMm = numberIn(text("grip") ?? String(workingGrip(design).xMm), "--grip");
    const stations = [0, 0.25, 0.5, 0.75, 1].map((share) => share * design.blade.lengthMm);
    const effectiveMassG = stations.map((xMm) => ({ xMm, massG: effectiveMass(report, xMm) }));
    const grips = design.use.grips.map((grip) => {
      const felt = GRIP_FIGURES.map((figure) => [figure, gripFigure(report, grip, figure)]);
      return { id: grip.id, name: grip.name, xMm: grip.xMm, ...Object.fromEntries(felt) };
    });
    return {
      massG: report.massG,
      balanceMm: report.balanceMm,
      ...dynamics(report, gripMm),
      effectiveMassG,
      grips,
    };
  },
});
