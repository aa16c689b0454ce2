import { remembered } from "../../base/record/remembered";
import type { CrossBore, LengthBore } from "../../kinds/fasteners/kind";
import { kindOf } from "../../kinds/fasteners/registry";
import { type FittingKind, fittingsOn } from "../../kinds/guardFittings/registry";
import { endKindOf } from "../../kinds/tangEnds/registry";
import type { Design } from "../../knife/design/schema";
import { fittingPlace } from "../../knife/layout/fittingPlace";
import { layoutOf } from "../../knife/layout/layout";
import { endPlace } from "../../knife/shapes/endPlace";
import { type ItemName, itemNames } from "../../knife/shapes/itemNames";

/** What a hole is drilled for: a fastener or a hole by its name, a fitting of the guard, the tang and what holds it. */
export type BoreOwner =
  | ItemName
  | { readonly kind: "fitting"; readonly sort: FittingKind }
  | { readonly kind: "butt-nut" | "butt-screw" | "butt-cap" | "tang-hole" };

/** A hole that the knife asks for: what for, where, and which way. */
export type BoreAsked =
  | {
      readonly axis: "across";
      readonly owner: BoreOwner;
      readonly xMm: number;
      readonly yMm: number;
      readonly bore: CrossBore;
      /** Whether it is in the tang alone. */
      readonly inTang: boolean;
    }
  | { readonly axis: "along"; readonly owner: BoreOwner; readonly bore: LengthBore };

/** Every round hole that is drilled in a knife, of whatever it is made of: all other lists of holes are read off this one. */
export const boresAsked = remembered((design: Design): readonly BoreAsked[] => {
  const { tang, guard } = design;
  const layout = layoutOf(design);
  const names = itemNames(design);
  const named = (id: string): BoreOwner => names.get(id) ?? { kind: "hole", number: 1 };
  const asked: BoreAsked[] = [];
  for (const f of design.fasteners)
    for (const bore of kindOf(f).bores(f))
      asked.push({ axis: "across", owner: named(f.id), xMm: f.xMm, yMm: f.yMm, bore, inTang: false });
  if (tang.kind === "full")
    for (const { id, xMm, yMm, diameterMm, purpose } of tang.holes)
      if (purpose !== "old-pin") {
        const bore = { use: "tang", nominalMm: diameterMm, wantedMm: diameterMm } as const;
        asked.push({ axis: "across", owner: named(id), xMm, yMm, bore, inTang: true });
      }
  const place = guard && fittingPlace(layout);
  if (guard && place)
    for (const { kind, fitting } of fittingsOn(guard))
      for (const bore of kind.bores(fitting, place))
        asked.push({ axis: "along", owner: { kind: "fitting", sort: kind.kind }, bore });
  const end = endPlace(layout);
  if (tang.kind !== "hidden" || !end) return asked;
  const kind = endKindOf(tang.end);
  for (const bore of kind.bores(tang.end, end))
    asked.push({ axis: "along", owner: { kind: kind.hardware ?? "butt-cap" }, bore });
  if (tang.hole.kind === "drilled")
    for (const { bitMm, count, pitchMm, depthMm } of tang.hole.stages)
      for (let i = 0; i < count; i++) {
        const bore: LengthBore = {
          use: "tang",
          nominalMm: bitMm,
          wantedMm: bitMm,
          yMm: tang.yMm + (i - (count - 1) / 2) * pitchMm,
          rearMm: layout.frontX - depthMm,
          frontMm: layout.frontX,
        };
        asked.push({ axis: "along", owner: { kind: "tang-hole" }, bore });
      }
  return asked;
});
