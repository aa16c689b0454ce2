import type { Command } from "./command";
import { cost } from "./commands/cost";
import { density } from "./commands/density";
import { draw } from "./commands/draw";
import { drill } from "./commands/drill";
import { motion } from "./commands/dynamics";
import { edit } from "./commands/edit";
import { fit } from "./commands/fit";
import { levers } from "./commands/levers";
import { materials } from "./commands/materials";
import { mesh } from "./commands/mesh";
import { newKnife } from "./commands/new";
import { plan } from "./commands/plan";
import { review } from "./commands/review";
import { sample } from "./commands/sample";
import { sheath } from "./commands/sheath";
import { sheet } from "./commands/sheet";
import { shopping } from "./commands/shopping";
import { trace } from "./commands/trace";
import { tune } from "./commands/tune";
import { weighKnife } from "./commands/weigh";

/** Everything that the shell can do. */
export const COMMANDS: readonly Command[] = [
  weighKnife,
  review,
  fit,
  motion,
  levers,
  tune,
  sample,
  cost,
  plan,
  shopping,
  drill,
  mesh,
  draw,
  sheet,
  sheath,
  trace,
  newKnife,
  edit,
  materials,
  density,
];
