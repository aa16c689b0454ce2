import { signChanges } from "../curve/roots";
import { slotContour } from "../curve/shapes";
import type { BarEnd, FullTang, HiddenTang, Nut } from "../design/schema";
import { dishRegion } from "../solids/dish";
import { drillRegion } from "../solids/drill";
import { type Line, layerRegion, shifted } from "../solids/layer";
import { sectionOf } from "../solids/section";
import { slabRegion } from "../solids/slab";
import { domedBlockRegion, hexRodRegion, rodRegion } from "../solids/turned";
import { wellRegion } from "../solids/well";
import { barSizeAt, barTangRegion, blockHoleRegions, roomRegion } from "./barTang";
import { all, type Building, filled } from "./building";
import { insetOutline } from "./recess";

/** Regions that a tang may pass through, each a list of what makes it up. */
type Housings = readonly (readonly number[])[];

/** What stands in the tang and takes its place: holes, slots, recesses; of a bar, screws and nuts at its end. */
export function addInTang(b: Building, housings: Housings): void {
  const { tang } = b.design;
  if (tang.kind === "full") addOpenings(b, tang);
  else if (tang.kind === "hidden") addEnd(b, tang, tang.end, housings);
}

function slab(b: Building, from: number): number {
  return b.put(slabRegion(b.outline, b.half, [from, 0]));
}

/** The tang itself, and what carries on behind a short one. */
export function addTang(b: Building, housings: Housings, guard: Housings): void {
  const { tang, blade } = b.design;
  const steel = all(blade.steel);
  if (tang.kind === "full") {
    const end = tang.short ? Math.max(b.behind[0], -tang.short.lengthMm) : b.behind[0];
    b.add("blade", "tang", "Tang", steel, slab(b, end));
    if (tang.short && end > b.behind[0]) {
      const rest = b.put(slabRegion(b.outline, b.half, [b.behind[0], end]));
      const weld = tang.short.behind === "weld";
      b.add(
        weld ? "blade" : "handle",
        "tang-rest",
        weld ? "Tang, welded on" : "Filler behind the tang",
        all(tang.short.material),
        rest,
      );
    }
    return;
  }
  const bar = b.put(barTangRegion(tang, b.outline));
  for (const of of housings) b.add("blade", "tang", "Tang", steel, bar, ...of);
  if (b.design.guard) {
    const slot = b.put(layerRegion(null, null, [b.behind[1], 0]));
    b.add("blade", "tang", "Tang", steel, bar, slot);
  }
  if (tang.kind === "hidden") addPeen(b, tang, steel, housings);
  if (guard.length > 0 && b.design.guard && b.design.guard.slot.clearanceMm > 0) {
    const { clearanceMm, fill } = b.design.guard.slot;
    const room = b.put(roomRegion(tang, clearanceMm, 0, 0));
    for (const of of guard) b.add("guard", "guard-slot", "Slot fill", filled(fill), room, ...of);
  }
}

/** The peened head that a hidden tang runs out into. */
function addPeen(b: Building, tang: HiddenTang, steel: ReturnType<typeof all>, housings: Housings): void {
  const { end } = tang;
  if (end.kind !== "peened") return;
  const butt = knifeEnd(b, housings, tang.yMm);
  const size = barSizeAt(tang, -tang.lengthMm);
  const heights: [number, number] = [tang.yMm - end.headMm / 2, tang.yMm + end.headMm / 2];
  const across = end.headMm * Math.min(1, Math.max(0.5, size.halfThickness / size.halfHeight));
  const head = domedBlockRegion([butt - end.proudMm, butt], heights, across, end.proudMm, sectionOf(1));
  b.add("blade", "tang", "Tang", steel, b.put(head));
}

/** The rearmost station, at a height on the centre plane, of what the tang passes through. */
export function knifeEnd(b: Building, housings: Housings, y: number): number {
  const ends = housings.map((of) => {
    const regions = of.map((r) => b.regions[r]);
    const inside = (x: number) =>
      regions.every((r) => {
        const slice = x > r.xRange[0] && x < r.xRange[1] ? r.sliceAt(x) : null;
        return (
          slice !== null && (slice.ys === null || (y > slice.ys[0] && y < slice.ys[slice.ys.length - 1]))
        );
      });
    const from = Math.max(...regions.map((r) => r.xRange[0]));
    const found = signChanges((x) => (inside(x) ? 1 : -1), from, b.behind[1], 200);
    return found[0] ?? from;
  });
  return Math.min(...ends, b.behind[1]);
}

/**
 * Radius of the plain rod that is as heavy as a thread: half its pitch diameter, d − 0.6495 P, at which flanks gain
 * what grooves lose. @see ISO 68-1, ISO 724.
 */
export function threadRadius({ diameterMm, pitchMm }: { diameterMm: number; pitchMm: number }): number {
  return Math.max(0.1, diameterMm - 0.6495 * pitchMm) / 2;
}

/** Nut, screw, counterbores and the bores that screws pass through. */
function addEnd(b: Building, tang: HiddenTang, end: BarEnd, housings: Housings): void {
  const butt = knifeEnd(b, housings, tang.yMm);
  const within = (id: string, name: string, made: ReturnType<typeof filled>, region: number) => {
    for (const of of housings) b.add("handle", id, name, made, region, ...of);
  };
  if (end.kind === "threaded") {
    const seat = butt + end.seatMm;
    const from = -tang.lengthMm;
    const rod = b.put(rodRegion(from - end.rodMm, from, tang.yMm, threadRadius(end)));
    b.add("blade", "tang", "Tang", all(b.design.blade.steel), rod);
    addNut(b, end.nut, seat, tang.yMm);
    if (end.seatMm > 0) {
      const bore = putButtBore(b, housings, butt - 5, seat, end.counterboreMm / 2);
      within("butt-counterbore", "Counterbore", [], bore);
    }
  } else if (end.kind === "take-down") {
    const seat = butt + end.seatMm;
    const made = all(end.material);
    const y = tang.yMm;
    const tip = -tang.lengthMm + end.engagedMm;
    const socket = b.put(hexRodRegion(seat - end.headLengthMm, seat - end.headLengthMm / 2, y, end.socketMm));
    b.add("fasteners", "butt-screw-socket", "Socket", [], socket);
    const head = b.put(rodRegion(seat - end.headLengthMm, seat, y, end.headMm / 2));
    b.add("fasteners", "butt-screw", "Butt screw", made, head);
    if (tip > seat) {
      const shank = b.put(rodRegion(seat, tip, y, threadRadius(end)));
      b.add("fasteners", "butt-screw", "Butt screw", made, shank);
    }
    const rear = Math.min(butt, seat - end.headLengthMm) - 5;
    const bore = putButtBore(b, housings, rear, seat, end.counterboreMm / 2);
    within("butt-counterbore", "Counterbore", [], bore);
    const free = -tang.lengthMm;
    if (free > seat) {
      const clear = b.put(rodRegion(seat, free, y, end.diameterMm / 2 + 0.25));
      within("butt-bore", "Screw's bore", [], clear);
    }
  }
}

/** A counterbore from behind the butt; weighing breaks where its upper and its lower edge leave the handle. */
function putButtBore(b: Building, housings: Housings, rear: number, seat: number, radiusMm: number): number {
  const { tang } = b.design;
  const y = tang.kind === "full" ? 0 : tang.yMm;
  const rod = rodRegion(rear, seat, y, radiusMm);
  const leave = [y - radiusMm, y + radiusMm].map((at) => knifeEnd(b, housings, at));
  const more = leave.map((x) => ({ x, below: true, above: true }));
  return b.put({ ...rod, breaks: [...rod.breaks, ...more] });
}

/** A nut behind its seat, closed by half a ball when domed. The rod through it is the tang's. */
function addNut(b: Building, nut: Nut, seat: number, y: number): void {
  const rear = seat - nut.lengthMm;
  const r = nut.acrossMm / 2;
  const body = nut.style === "hex" ? hexRodRegion(rear, seat, y, nut.acrossMm) : rodRegion(rear, seat, y, r);
  b.add("fasteners", "butt-nut", "Butt nut", all(nut.material), b.put(body));
  if (nut.style !== "domed") return;
  const dome = domedBlockRegion([rear - r, rear], [y - r, y + r], nut.acrossMm, r, sectionOf(1));
  b.add("fasteners", "butt-nut", "Butt nut", all(nut.material), b.put(dome));
}

/** Holes, slots and recess of a full tang, filled or left empty. */
function addOpenings(b: Building, tang: FullTang): void {
  const whole = slab(b, b.behind[0]);
  for (const hole of tang.holes) {
    const drill = b.put(drillRegion({ xMm: hole.xMm, yMm: hole.yMm, radiusMm: hole.diameterMm / 2 }));
    const name = hole.purpose === "old-pin" ? "Old pin hole, filled" : "Tang hole fill";
    b.add("handle", hole.id, name, filled(hole.fill), drill, whole);
  }
  for (const s of tang.slots) {
    const outline = slotContour({ x: s.xMm, y: s.yMm }, s.lengthMm, s.widthMm, (s.angleDeg * Math.PI) / 180);
    b.add("handle", s.id, "Tang slot fill", filled(s.fill), b.put(wellRegion(outline)), whole);
  }
  if (tang.recess) addRecess(b, tang.recess, whole);
}

/** Outline of a tang's recess, or null where rim and stations leave nothing. */
export function recessOutline(b: Building, recess: NonNullable<FullTang["recess"]>) {
  return insetOutline(b.outline, recess.rimMm, -recess.fromMm);
}

function addRecess(b: Building, recess: NonNullable<FullTang["recess"]>, whole: number): void {
  const outline = recessOutline(b, recess);
  if (!outline) return;
  const made = filled(recess.fill);
  for (const mirror of [false, true]) {
    if (recess.floor === "hollow") {
      const dish = b.put(dishRegion(outline, b.half, recess.depthMm, mirror));
      b.add("handle", "recess", "Recess fill", made, dish, whole);
      continue;
    }
    const floor: Line = shifted(b.half, -recess.depthMm, mirror);
    const layer = mirror
      ? layerRegion(null, floor, outline.xRange)
      : layerRegion(floor, null, outline.xRange);
    b.add("handle", "recess", "Recess fill", made, b.put(wellRegion(outline)), b.put(layer), whole);
  }
}

/** What fills the hole round a hidden or a framed tang, and the frame itself. */
export function addTangHole(b: Building, housings: Housings, body: number): void {
  const { tang } = b.design;
  if (tang.kind === "full") return;
  const made = filled(tang.hole.fill);
  if (tang.kind === "hidden") {
    for (const region of blockHoleRegions(tang, tang.hole, b.behind[1])) {
      const hole = b.put(region);
      for (const of of housings) b.add("handle", "tang-hole", "Tang hole fill", made, hole, ...of);
    }
    return;
  }
  const room = b.put(roomRegion(tang, tang.hole.clearanceMm, tang.hole.deeperMm, b.behind[1]));
  const frame = b.put(slabRegion(b.outline, b.half, b.behind));
  b.add("handle", "tang-hole", "Tang hole fill", made, room, frame, body);
  b.add("handle", "frame", "Frame", all(tang.frame.material), frame, body);
}
