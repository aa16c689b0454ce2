import * as z from "zod/mini";
import { FITTINGS, type Fitting } from "../../../kinds/guardFittings/registry";
import { between, fill, materialId, meshPlace, mm, printed, roundness } from "./fields";
import { shapeOf } from "./schemaOf";
import { texture } from "./texture";

const [firstFitting, ...otherFittings] = FITTINGS.map(({ kind, fields }) =>
  z.strictObject({ kind: z.literal(kind), ...shapeOf(fields) }),
);

/** What is fitted to it, of any kind in the registry, one of each at most. */
const fittings = z
  .array(
    z.discriminatedUnion("kind", [firstFitting, ...otherFittings]) as unknown as z.ZodMiniType<
      Fitting,
      Fitting
    >,
  )
  .check(
    z.maxLength(FITTINGS.length),
    z.refine(
      (all) => new Set(all.map((f) => f.kind)).size === all.length,
      "may have one of each kind at most",
    ),
  );

/** Plates across the tang, the front face of the first on the datum. */
export const guard = z.strictObject({
  /** Front to back. */
  plates: z
    .array(z.strictObject({ material: materialId, thicknessMm: mm(0.3, 60), printed }))
    .check(z.minLength(1), z.maxLength(6)),
  /** How far it stands over and under the axis. */
  aboveMm: mm(1, 150),
  belowMm: mm(1, 150),
  widthMm: mm(1, 120),
  /** 0 is a rectangle from the front, 1 an oval; for arms it has no meaning. */
  roundness,
  /** Half height of the middle, which stays flat for the handle and as wide as the guard. */
  bossMm: mm(1, 150),
  /** Width of the arms at their ends; null is one oval or rectangle. */
  armWidthMm: z.nullable(mm(0.5, 120)),
  /** How far the ends lean forward (+) or back (−). */
  sweepAboveMm: mm(-80, 80),
  sweepBelowMm: mm(-80, 80),
  /** Thickness at the ends as a share of that in the middle. */
  endShare: between(0.1, 2),
  /** How far the front face's rim lies behind its middle. */
  domeMm: mm(0, 20),
  /** Room round a hidden tang. */
  slot: z.strictObject({ clearanceMm: mm(0, 5), fill }),
  fittings,
  /** An imported shape in place of the plates' own, its foremost point at a station; the first plate's material and printing hold. */
  mesh: z.nullable(z.extend(meshPlace, { xMm: mm(-100, 100) })),
  /** Its front face; null where it is smooth. */
  face: z.nullable(texture),
});

export type Guard = z.infer<typeof guard>;
