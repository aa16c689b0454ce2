import { alignedToMiddle, evenlySpread, mirrored } from "../../figures/fit/spread";
import { type FittingKind, newFitting, withFitting } from "../../kinds/guardFittings/registry";
import { type GuardForm, guardOfForm } from "../../knife/design/guards";
import { namesWithout } from "../../knife/design/marks";
import type { Design } from "../../knife/design/schema";
import { fittingPlace } from "../../knife/layout/fittingPlace";
import { layoutOf } from "../../knife/layout/layout";
import { COMMON_EDITS } from "../common";

const LAID = { evenly: evenlySpread, mirrored, "on-the-middle": alignedToMiddle };
/** Ways to lay all pins at once. */
export type PinLay = keyof typeof LAID;

/** Edits of the guard and of what goes through the handle. */
export const GUARD_EDITS = {
  "guard-form": (design: Design, { form }: Readonly<{ form: GuardForm }>): Design => ({
    ...design,
    guard: guardOfForm(form, design),
  }),
  /** A plate taken out: plates go by their place, so names of those behind it move up. */
  "plate-remove": (design: Design, { at }: Readonly<{ at: number }>) => {
    const without = COMMON_EDITS.remove(design, { list: "guard.plates", at });
    return without === design
      ? design
      : { ...without, names: namesWithout(design.names, "guard.plates", at) };
  },
  "guard-fitting": (design: Design, { kind, fitted }: Readonly<{ kind: FittingKind; fitted: boolean }>) => {
    const { guard } = design;
    if (!guard) return design;
    const made = fitted ? newFitting(kind, guard.plates[0].material, fittingPlace(layoutOf(design))) : null;
    return { ...design, guard: { ...guard, fittings: withFitting(guard.fittings, kind, made) } };
  },
  "lay-pins": (design: Design, { lay }: Readonly<{ lay: PinLay }>): Design => {
    const places = new Map(LAID[lay](design).map((m) => [m.id, m]));
    return {
      ...design,
      fasteners: design.fasteners.map((f) => {
        const to = places.get(f.id);
        return to ? { ...f, xMm: to.xMm, yMm: to.yMm } : f;
      }),
    };
  },
};
