import type { PieceRole } from "@/core/knife/design/schema";
import type { PartKey } from "@/core/knife/parts/partKey";
import { FASTENERS } from "./fasteners";
import { FITTING_WORDS } from "./fittings";
import { componentName } from "./parts";

const ROLE_WORDS: Readonly<Record<PieceRole, string>> = {
  ferrule: "Ferrule",
  bolster: "Bolster",
  spacer: "Spacers",
  washer: "Discs",
  block: "Handle",
  "butt-plate": "Butt plate",
  pommel: "Pommel",
};

/** What nobody sees of a finished knife: what glues and fills it, and what holds its tang. */
export const INSIDE = "Inside, out of sight";

/** What a part is to who buys a knife: every kind of part has its place, and parts of one name stand together. */
export function customerWords(key: PartKey): string {
  switch (key.kind) {
    case "blade":
    case "tang":
    case "blade-notch":
      return "Blade and tang";
    case "guard":
      return "Guard";
    case "fitting":
      return FITTING_WORDS[key.sort].name;
    case "bolster":
      return "Bolsters";
    case "liner":
      return "Liners";
    case "scale":
    case "bare-end":
    case "lower":
    case "groove":
      return "Handle";
    case "divider":
    case "lengthwise-sheet":
      return "Spacers";
    case "half":
      return key.sort === "front" ? "Front of the handle" : "End of the handle";
    case "frame":
      return "Frame of the handle";
    case "piece":
      return ROLE_WORDS[key.sort];
    case "component":
      return componentName(key);
    case "wrap":
      return "Wrap";
    case "ring":
    case "ring-bore":
      return "Finger rings";
    case "fastener":
      return FASTENERS[key.sort].name;
    case "tang-end":
      return key.component === "cap" ? "Butt cap" : INSIDE;
    case "tang-rest":
    case "hole":
    case "slot":
    case "recess":
    case "guard-slot":
    case "tang-hole":
      return INSIDE;
  }
}
