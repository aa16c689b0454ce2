import { hexContour } from "../curve/shapes";
import type { Fastener } from "../design/schema";
import { surfaceAt } from "../layout/handleBody";
import { domeRegion } from "../solids/dome";
import { drillRegion } from "../solids/drill";
import { wellRegion } from "../solids/well";
import { type AssemblyBuilder, all, filled } from "./builder";
import type { MaterialShare } from "./types";

type Of<K extends Fastener["kind"]> = Extract<Fastener, { kind: K }>;

/** Names of fasteners in reports and on screen alike. */
export const FASTENER_NAMES: Record<Fastener["kind"], string> = {
  pin: "Pin",
  "patterned-pin": "Patterned pin",
  "lanyard-tube": "Lanyard tube",
  "blind-pin": "Blind pin",
  rivet: "Rivet",
  "sleeve-bolt": "Sleeve bolt",
  "cap-screw": "Cap screws",
  "nutted-rod": "Nutted rod",
};

/** A fastener's parts: earlier ones take their space from later ones. */
export function addFastener(b: AssemblyBuilder, f: Fastener, body: number): void {
  const add = (id: string, name: string, made: readonly MaterialShare[], ...of: number[]) =>
    b.add("fasteners", id, name, made, ...of);
  const round = (diameterMm: number) =>
    b.put(drillRegion({ xMm: f.xMm, yMm: f.yMm, radiusMm: diameterMm / 2 }));
  const range: [number, number] = [f.xMm - 50, f.xMm + 50];
  const levels = (low: number | null, high: number | null) => b.putLevels(low, high, range);
  const name = FASTENER_NAMES[f.kind];
  const both = (low: number, high: number | null): number[] => [
    levels(low, high),
    levels(high === null ? null : -high, -low),
  ];
  if (f.kind === "pin") add(f.id, name, all(f.material), round(f.diameterMm), body);
  else if (f.kind === "patterned-pin") add(f.id, name, patternShares(f), round(f.diameterMm), body);
  else if (f.kind === "lanyard-tube") {
    add(`${f.id}-bore`, "Lanyard bore", [], round(f.boreMm), body);
    add(f.id, name, all(f.material), round(f.diameterMm), body);
  } else if (f.kind === "blind-pin") {
    const reach = levels(-f.lengthMm / 2, f.lengthMm / 2);
    add(f.id, name, all(f.material), round(f.diameterMm), reach, body);
  } else if (f.kind === "rivet") addRivet(b, f, body);
  else if (f.kind === "sleeve-bolt") {
    // The screw comes from the right head through the barrel; the rest of the barrel's bore stays empty.
    const bore = round(f.screwMm);
    const end = Math.max(-f.seatMm, f.seatMm - f.screwLengthMm);
    add(f.id, name, all(f.material), bore, levels(end, f.seatMm), body);
    add(`${f.id}-bore`, "Empty bore", [], bore, levels(-f.seatMm, end), body);
    add(f.id, name, all(f.material), round(f.diameterMm), levels(-f.seatMm, f.seatMm), body);
    const head = round(f.headMm);
    for (const at of both(f.seatMm, f.seatMm + f.headThicknessMm))
      add(f.id, name, all(f.material), head, at, body);
    for (const at of both(f.seatMm + f.headThicknessMm, null))
      add(`${f.id}-plug`, "Plugs over heads", filled(f.plug), head, at, body);
  } else if (f.kind === "cap-screw") {
    const socket = b.put(wellRegion(hexContour({ x: f.xMm, y: f.yMm }, f.socketMm)));
    const top = f.seatMm + f.headLengthMm;
    // A socket is about half as deep as the head is long. Common practice, no source.
    for (const at of both(top - f.headLengthMm / 2, top))
      add(`${f.id}-socket`, "Socket", [], socket, at, body);
    const head = round(f.headMm);
    for (const at of both(f.seatMm, top)) add(f.id, name, all(f.material), head, at, body);
    // Two screws from opposite sides may not pass each other: each ends at the middle at the latest.
    const end = Math.max(0, f.seatMm - f.screwLengthMm);
    const shank = round(f.diameterMm);
    for (const at of both(end, f.seatMm)) add(f.id, name, all(f.material), shank, at, body);
    const reach = levels(-f.insertLengthMm / 2, f.insertLengthMm / 2);
    if (end > 0) add(`${f.id}-bore`, "Empty thread", [], shank, levels(-end, end), reach, body);
    add(`${f.id}-insert`, "Threaded insert", all(f.insertMaterial), round(f.insertMm), reach, body);
    const wide = round(f.counterboreMm);
    for (const at of both(f.seatMm, null))
      add(`${f.id}-plug`, "Plugs over heads", filled(f.plug), wide, at, body);
  } else {
    const top = f.seatMm + f.nutLengthMm;
    add(f.id, name, all(f.material), round(f.diameterMm), levels(-top, top), body);
    const nut = b.put(wellRegion(hexContour({ x: f.xMm, y: f.yMm }, f.nutAcrossMm)));
    for (const at of both(f.seatMm, top)) add(f.id, name, all(f.material), nut, at, body);
    const wide = round(f.counterboreMm);
    for (const at of both(f.seatMm, null))
      add(`${f.id}-plug`, "Plugs over nuts", filled(f.plug), wide, at, body);
  }
}

/** A shaft through both sides with a head on each, let into the surface. */
function addRivet(b: AssemblyBuilder, f: Of<"rivet">, body: number): void {
  const drill = { xMm: f.xMm, yMm: f.yMm, radiusMm: f.headMm / 2 };
  const range: [number, number] = [f.xMm - 50, f.xMm + 50];
  const shaft = b.put(drillRegion({ ...drill, radiusMm: f.diameterMm / 2 }));
  const seats = (["right", "left"] as const).map((side) =>
    Math.max(0.1, surfaceAt(b.region(body), f.xMm, f.yMm, side) - f.letInMm),
  );
  b.add(
    "fasteners",
    f.id,
    FASTENER_NAMES.rivet,
    all(f.material),
    shaft,
    b.putLevels(-seats[1], seats[0], range),
  );
  seats.forEach((seat, i) => {
    const mirror = i === 1;
    if (f.style === "domed") {
      const dome = b.put(domeRegion(drill, seat, f.headHeightMm, mirror));
      b.add("fasteners", f.id, FASTENER_NAMES.rivet, all(f.material), dome);
      return;
    }
    const [low, high] = mirror ? [-seat - f.headHeightMm, -seat] : [seat, seat + f.headHeightMm];
    const head = b.put(drillRegion(drill));
    b.add("fasteners", f.id, FASTENER_NAMES.rivet, all(f.material), head, b.putLevels(low, high, range));
  });
}

/** Shares of tube, rods and fill; the fill takes the rest, and where tube and rods overfill it they are scaled down. */
export function patternShares(pin: Of<"patterned-pin">): MaterialShare[] {
  const taken = pin.tube.share + pin.rods.share;
  const scale = taken > 1 ? 1 / taken : 1;
  return [
    { materialId: pin.tube.material, share: pin.tube.share * scale },
    { materialId: pin.rods.material, share: pin.rods.share * scale },
    { materialId: pin.fill, share: Math.max(0, 1 - taken) },
  ];
}
