import * as z from "zod";
import { fill, height, id, materialId, mm, share, station } from "./fields";

const place = { id, xMm: station, yMm: height };
const diameterMm = mm(0.3, 40);
const material = materialId;

/** Heads are seated so far outside the centre plane; what stands over the handle's surface is dressed flush. */
const seatMm = mm(0.3, 100);

export const RIVET_HEADS = ["domed", "flat"] as const;

export const fastener = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("pin"), ...place, diameterMm, material }),
  z.strictObject({
    kind: z.literal("patterned-pin"),
    ...place,
    diameterMm: mm(1, 40),
    tube: z.strictObject({ material, share }),
    rods: z.strictObject({ material, share }),
    /** Takes the rest of the area. */
    fill: materialId,
  }),
  z.strictObject({
    kind: z.literal("lanyard-tube"),
    ...place,
    diameterMm: mm(1, 40),
    boreMm: mm(0.3, 39),
    material,
  }),
  /** Hidden: through tang and liners, ending inside both scales. */
  z.strictObject({ kind: z.literal("blind-pin"), ...place, diameterMm, lengthMm: mm(0.5, 200), material }),
  /** Peened over both sides; its heads stand on the surface, let in by so much. */
  z.strictObject({
    kind: z.literal("rivet"),
    ...place,
    diameterMm,
    material,
    headMm: mm(0.5, 60),
    headHeightMm: mm(0.1, 20),
    letInMm: mm(0, 20),
    style: z.enum(RIVET_HEADS),
  }),
  /** Two halves, the screw of one in the barrel of the other, each with a wide head in a counterbore. */
  z.strictObject({
    kind: z.literal("sleeve-bolt"),
    ...place,
    /** Of the barrel. */
    diameterMm: mm(1, 40),
    screwMm: mm(0.5, 30),
    screwLengthMm: mm(0.5, 100),
    headMm: mm(2, 60),
    headThicknessMm: mm(0.2, 20),
    /** From the centre plane to each head's seat. */
    seatMm,
    /** What closes the counterbore over the head. */
    plug: fill,
    material,
  }),
  /** A threaded insert through the tang, a cap screw into it from each side. */
  z.strictObject({
    kind: z.literal("cap-screw"),
    ...place,
    /** Of the screws. */
    diameterMm: mm(1, 30),
    insertMm: mm(1, 40),
    insertLengthMm: mm(0.5, 100),
    insertMaterial: materialId,
    /** Under the head. */
    screwLengthMm: mm(1, 100),
    headMm: mm(2, 60),
    headLengthMm: mm(0.5, 40),
    socketMm: mm(0.5, 30),
    counterboreMm: mm(2, 80),
    seatMm,
    plug: fill,
    material,
  }),
  /** A threaded rod with a hex nut in a counterbore at each end. */
  z.strictObject({
    kind: z.literal("nutted-rod"),
    ...place,
    diameterMm: mm(1, 30),
    nutAcrossMm: mm(2, 60),
    nutLengthMm: mm(0.5, 40),
    counterboreMm: mm(2, 80),
    seatMm,
    plug: fill,
    material,
  }),
]);

export type Fastener = z.infer<typeof fastener>;
export type FastenerKind = Fastener["kind"];
