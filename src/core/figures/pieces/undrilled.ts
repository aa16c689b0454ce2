import { remembered } from "../../base/record/remembered";
import { assemble } from "../../knife/assembly/assemble";
import type { Design } from "../../knife/design/schema";
import type { PartKey } from "../../knife/parts/partKey";
import type { Assembly } from "../../knife/parts/types";

/**
 * How each kind of part stands to what is cut by an outline: `solid` is a piece, or takes space from one; `drilled` is
 * bored, let in or broached later, and listed as a hole; `carved` is taken off the finished handle, or put on it.
 */
const STANDS: Readonly<Record<PartKey["kind"], "solid" | "drilled" | "carved">> = {
  blade: "solid",
  "blade-notch": "solid",
  tang: "solid",
  "tang-rest": "solid",
  slot: "solid",
  frame: "solid",
  guard: "solid",
  fitting: "solid",
  bolster: "solid",
  "bare-end": "solid",
  liner: "solid",
  scale: "solid",
  divider: "solid",
  lower: "solid",
  "lengthwise-sheet": "solid",
  half: "solid",
  piece: "solid",
  ring: "solid",
  "ring-bore": "solid",
  component: "solid",
  fastener: "drilled",
  hole: "drilled",
  "tang-end": "drilled",
  "tang-hole": "drilled",
  "guard-slot": "drilled",
  recess: "carved",
  groove: "carved",
  wrap: "carved",
};

/** A knife's parts before anything is drilled in them, or carved into their faces. */
export function undrilled(assembly: Assembly, { tang }: Design): Assembly {
  const stays = ({ key }: Assembly["parts"][number]): boolean => {
    // A frame is sawn with its opening; a cap at the butt is a piece of its own; dowels are drilled for.
    if (key.kind === "tang-hole") return tang.kind === "framed";
    if (key.kind === "tang-end") return key.component === "cap";
    if (key.kind === "fitting") return key.sort !== "dowels";
    return STANDS[key.kind] === "solid";
  };
  return { ...assembly, parts: assembly.parts.filter(stays) };
}

/** The same without what goes through others from end to end: their faces are whole then. */
export function unpierced(assembly: Assembly): Assembly {
  const stays = ({ key }: Assembly["parts"][number]): boolean =>
    (STANDS[key.kind] === "solid" || key.kind === "tang-end") && key.kind !== "blade" && key.kind !== "tang";
  return { ...assembly, parts: assembly.parts.filter(stays) };
}

/** The parts of a design before anything is drilled in them, and those of them with whole faces; worked out once. */
export const solidsOf = remembered((design: Design): Assembly => undrilled(assemble(design), design));
export const facesOf = remembered((design: Design): Assembly => unpierced(solidsOf(design)));
