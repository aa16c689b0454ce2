import { remembered } from "../base/record/remembered";
import { fitFigures } from "../figures/fit/fitFigures";
import type { Design } from "../knife/design/schema";

/** The fit-up of a design, worked out once for all that tasks ask of it. */
export const fitOf = remembered((design: Design) => fitFigures(design));
