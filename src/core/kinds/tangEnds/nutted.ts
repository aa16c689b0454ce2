import { upToTenth } from "../../base/number";
import { choice, group, length, material, type RecordOf } from "../../base/record/fields";
import { ROUNDING } from "../../base/tolerances";
import type { Thread } from "../../base/units/threads";
import { sectionOf } from "../../geometry/solids/section";
import { domedBlockRegion, hexRodRegion, rodRegion } from "../../geometry/solids/turned";
import { type LengthBore, whole } from "../fasteners/kind";
import { hexNutSizes, sizesOfThread, threadFields } from "../fasteners/thread";
import {
  BEHIND_BUTT_MM,
  type EndFault,
  type EndPlace,
  type EndPoint,
  type EndSite,
  type EndThread,
  sizesFault,
} from "./kind";

export const NUT_STYLES = ["hex", "round", "domed"] as const;

/** A threaded rod behind the bar with a nut on it, let in or behind the butt. */
export const nuttedFields = {
  ...threadFields,
  rodMm: length(1, 300),
  nut: group({
    style: choice(NUT_STYLES),
    acrossMm: length(2, 80),
    lengthMm: length(0.5, 80),
    material,
  }),
  // How far ahead of the butt the nut's seat lies; 0 leaves it proud.
  seatMm: length(0, 100),
  counterboreMm: length(2, 100),
} as const;
export type Nutted = RecordOf<typeof nuttedFields>;

export const nuttedStart = (): Nutted => ({
  diameterMm: 4,
  pitchMm: 0.7,
  rodMm: 30,
  nut: { style: "round", acrossMm: 10, lengthMm: 6, material: "brass-360" },
  seatMm: 4,
  counterboreMm: 10.5,
});

/** The nut, and the counterbore that lets it in. */
export function buildNut(e: Nutted, site: EndSite): void {
  const { yMm: y } = site;
  const seat = site.buttX + e.seatMm;
  const materials = whole(e.nut.material);
  const rear = seat - e.nut.lengthMm;
  const r = e.nut.acrossMm / 2;
  site.add(
    "nut",
    materials,
    e.nut.style === "hex" ? hexRodRegion(rear, seat, y, e.nut.acrossMm) : rodRegion(rear, seat, y, r),
  );
  if (e.nut.style === "domed")
    site.add(
      "nut",
      materials,
      domedBlockRegion([rear - r, rear], [y - r, y + r], e.nut.acrossMm, r, sectionOf(1)),
    );
  if (e.seatMm > 0) site.hollow("counterbore", site.buttX - BEHIND_BUTT_MM, seat, e.counterboreMm / 2);
}

export function nutFaults(e: Nutted, place: EndPlace): EndFault[] {
  const { nut } = e;
  const widest = nut.style === "hex" ? (nut.acrossMm * 2) / Math.sqrt(3) : nut.acrossMm;
  const pairs: (readonly [number, number])[] = [...sizesOfThread(e), [e.diameterMm, nut.acrossMm]];
  if (e.seatMm > 0) pairs.push([widest, e.counterboreMm]);
  const reaches = place.endX - e.rodMm;
  const needed = place.buttX + e.seatMm - nut.lengthMm;
  const at = { x: place.buttX, y: place.yMm };
  return [
    ...sizesFault(pairs, place),
    ...(reaches > needed + ROUNDING
      ? [{ rule: "thread-too-short", severity: "warning", at, measured: reaches, limit: needed } as const]
      : []),
  ];
}

export const nutPoints = (e: Nutted, { endX, buttX, yMm }: EndPlace): EndPoint[] => [
  { id: "rod-end", at: { x: endX - e.rodMm, y: yMm }, field: "rodMm", zero: endX, per: -1 },
  {
    id: "nut-seat",
    at: { x: buttX + e.seatMm, y: yMm + e.counterboreMm / 2 },
    field: "seatMm",
    zero: buttX,
    per: 1,
  },
];

/** More than its diameter for a rod to slide through, mm. Common practice, no source. */
export const ROD_ROOM_MM = 0.5;

/** What lets the rod through between the end of the bar and the butt. */
export const rodBores = (
  e: { readonly diameterMm: number; readonly rodMm: number },
  { buttX, endX, yMm }: EndPlace,
): LengthBore[] =>
  endX > buttX
    ? [
        {
          use: "clearance",
          nominalMm: e.diameterMm,
          wantedMm: e.diameterMm + ROD_ROOM_MM,
          yMm,
          rearMm: Math.max(buttX, endX - e.rodMm),
          frontMm: endX,
        },
      ]
    : [];

/** The same, and the counterbore that lets the nut in. */
export const nutBores = (e: Nutted, place: EndPlace): LengthBore[] => [
  ...rodBores(e, place),
  ...(e.seatMm > 0
    ? [
        {
          use: "counterbore" as const,
          nominalMm: e.counterboreMm,
          wantedMm: e.counterboreMm,
          yMm: place.yMm,
          rearMm: place.buttX - BEHIND_BUTT_MM,
          frontMm: place.buttX + e.seatMm,
        },
      ]
    : []),
];

/** What the nut engages. */
export const nutThread = (e: Nutted, { buttX, yMm }: EndPlace): EndThread => ({
  at: { x: buttX + e.seatMm, y: yMm },
  engagedMm: e.nut.lengthMm,
  diameterMm: e.diameterMm,
  threadIn: e.nut.material,
  nut: e.nut.style === "hex",
  field: "nut.lengthMm",
});

/** Sizes of a nut of that thread, by their fields, mm; null where the tables have none. */
export function nutSizes(e: Nutted, thread: Thread): Record<string, number> | null {
  const of = (acrossMm: number, lengthMm: number, counterboreMm: number) => ({
    "nut.acrossMm": acrossMm,
    "nut.lengthMm": lengthMm,
    counterboreMm,
  });
  if (e.nut.style === "hex") {
    const hex = hexNutSizes(thread);
    return hex && of(hex.nutAcrossMm, hex.nutLengthMm, hex.counterboreMm);
  }
  // A turned nut is made to the thread. Common practice, no source.
  const acrossMm = upToTenth(2.5 * thread.diameterMm);
  return of(acrossMm, upToTenth(1.5 * thread.diameterMm), acrossMm + 0.5);
}
