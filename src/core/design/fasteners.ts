import type { Fastener, FastenerKind } from "./schema";

/** A fastener of a kind to begin from, common sizes of the trade (common practice, no source). */
export function newFastener(
  kind: FastenerKind,
  id: string,
  place: { readonly xMm: number; readonly yMm: number },
  tangMm: number,
): Fastener {
  const at = { id, ...place };
  switch (kind) {
    case "pin":
      return { kind, ...at, diameterMm: 6.35, material: "brass-360" };
    case "patterned-pin":
      return {
        kind,
        ...at,
        diameterMm: 6.35,
        tube: { material: "nickel-silver", share: 0.28 },
        rods: { material: "brass-260", share: 0.38 },
        fill: "epoxy",
      };
    case "lanyard-tube":
      return { kind, ...at, diameterMm: 6.35, boreMm: 4.75, material: "brass-260" };
    case "blind-pin":
      return { kind, ...at, diameterMm: 4, lengthMm: tangMm + 8, material: "stainless-304" };
    case "rivet":
      return {
        kind,
        ...at,
        diameterMm: 3.2,
        material: "brass-260",
        headMm: 6,
        headHeightMm: 1.6,
        letInMm: 0.4,
        style: "domed",
      };
    case "sleeve-bolt":
      return {
        kind,
        ...at,
        diameterMm: 4.7,
        screwMm: 2.6,
        screwLengthMm: 8,
        headMm: 7.9,
        headThicknessMm: 2.2,
        seatMm: tangMm / 2 + 4,
        plug: null,
        material: "brass-360",
      };
    case "cap-screw":
      return {
        kind,
        ...at,
        diameterMm: 4,
        insertMm: 6,
        insertLengthMm: tangMm + 0.5,
        insertMaterial: "brass-360",
        screwLengthMm: 6,
        headMm: 7,
        headLengthMm: 4,
        socketMm: 3,
        counterboreMm: 7.5,
        seatMm: tangMm / 2 + 4,
        plug: null,
        material: "stainless-304",
      };
    case "nutted-rod":
      return {
        kind,
        ...at,
        diameterMm: 4,
        nutAcrossMm: 7,
        nutLengthMm: 3.2,
        counterboreMm: 8.2,
        seatMm: tangMm / 2 + 4,
        plug: null,
        material: "stainless-304",
      };
  }
}
