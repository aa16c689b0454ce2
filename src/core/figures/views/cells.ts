import { handleModule } from "../../knife/constructions/handles/registry";
import type { Design } from "../../knife/design/schema";
import { layoutOf } from "../../knife/layout/layout";
import type { Cell } from "../../knife/parts/cells";

/** The parts of the handle's face from its right side, front to back, each within the handle's own outline. */
export function faceCells(design: Design): Cell[] {
  const { handle } = design;
  return handleModule(handle).cells(handle, layoutOf(design));
}
