import { slotContour } from "../curve/shapes";
import type { BarEnd, FullTang, HiddenTang, Nut } from "../design/schema";
import { filled, type Share, whole } from "../fasteners/kind";
import { barSizeAt, barTangRegion, roomRegion } from "../layout/bar";
import { cylinderRegion } from "../solids/cylinder";
import { dishRegion } from "../solids/dish";
import { type Line, layerRegion, shifted } from "../solids/layer";
import { prismRegion } from "../solids/prism";
import { sectionOf } from "../solids/section";
import { slabRegion } from "../solids/slab";
import { domedBlockRegion, hexRodRegion, rodRegion } from "../solids/turned";
import type { AssemblyBuilder, Stretches } from "./builder";
import type { PartKey, TangEndComponent } from "./partKey";

const TANG: PartKey = { kind: "tang" };
const TANG_HOLE: PartKey = { kind: "tang-hole" };

/** Room round a butt screw's shank, mm on the radius. Common practice, no source. */
const SCREW_ROOM_MM = 0.25;
/** A counterbore is begun so far behind the butt, mm. */
const BEHIND_BUTT_MM = 5;

/** What stands in the tang and takes its place: holes, slots, recesses; of a bar, screws and nuts at its end. */
export function addInTang(b: AssemblyBuilder, housings: Stretches): void {
  const { tang } = b.design;
  if (tang.kind === "full") addOpenings(b, tang);
  else if (tang.kind === "hidden") addEnd(b, tang, tang.end, housings);
}

function slab(b: AssemblyBuilder, from: number): number {
  return b.put(slabRegion(b.layout.outline, b.layout.tangFace, [from, 0]));
}

/** The tang itself, and what carries on behind a short one. */
export function addTang(b: AssemblyBuilder, housings: Stretches, guard: Stretches): void {
  const { tang, blade } = b.design;
  const steel = whole(blade.steel);
  if (tang.kind === "full") {
    const end = tang.short ? Math.max(b.layout.buttX, -tang.short.lengthMm) : b.layout.buttX;
    b.add("blade", TANG, steel, slab(b, end));
    if (tang.short && end > b.layout.buttX) {
      const rest = b.put(slabRegion(b.layout.outline, b.layout.tangFace, [b.layout.buttX, end]));
      const { behind, material } = tang.short;
      b.add(
        behind === "weld" ? "blade" : "handle",
        { kind: "tang-rest", sort: behind },
        whole(material),
        rest,
      );
    }
    return;
  }
  const bar = b.put(barTangRegion(tang, b.layout.outline));
  b.addIn(housings, "blade", TANG, steel, bar);
  if (b.design.guard) {
    const slot = b.put(layerRegion(null, null, [b.layout.frontX, 0]));
    b.add("blade", TANG, steel, bar, slot);
  }
  if (tang.kind === "hidden") addPeen(b, tang, steel);
  if (guard.length > 0 && b.design.guard && b.design.guard.slot.clearanceMm > 0) {
    const { clearanceMm, fill } = b.design.guard.slot;
    const room = b.put(roomRegion(tang, clearanceMm, 0, 0));
    b.addIn(guard, "guard", { kind: "guard-slot" }, filled(fill), room);
  }
}

/** The peened head that a hidden tang runs out into. */
function addPeen(b: AssemblyBuilder, tang: HiddenTang, steel: readonly Share[]): void {
  const { end } = tang;
  if (end.kind !== "peened") return;
  const butt = b.layout.rearAt(tang.yMm);
  const size = barSizeAt(tang, -tang.lengthMm);
  const heights: [number, number] = [tang.yMm - end.headMm / 2, tang.yMm + end.headMm / 2];
  const across = end.headMm * Math.min(1, Math.max(0.5, size.halfThickness / size.halfHeight));
  const head = domedBlockRegion([butt - end.proudMm, butt], heights, across, end.proudMm, sectionOf(1));
  b.addDetail("peened-head", "blade", TANG, steel, b.put(head));
}

/**
 * Radius of the plain rod that is as heavy as a thread: half its pitch diameter, d − 0.6495 P, at which flanks gain
 * what grooves lose. @see ISO 68-1, ISO 724.
 */
export function threadRadius({ diameterMm, pitchMm }: { diameterMm: number; pitchMm: number }): number {
  return Math.max(0.1, diameterMm - 0.6495 * pitchMm) / 2;
}

/** Nut, screw, counterbores and the bores that screws pass through. */
function addEnd(b: AssemblyBuilder, tang: HiddenTang, end: BarEnd, housings: Stretches): void {
  const butt = b.layout.rearAt(tang.yMm);
  const y = tang.yMm;
  const keyOf = (component: TangEndComponent): PartKey => ({ kind: "tang-end", component });
  if (end.kind === "threaded") {
    const seat = butt + end.seatMm;
    const from = -tang.lengthMm;
    const rod = b.put(rodRegion(from - end.rodMm, from, y, threadRadius(end)));
    b.add("blade", TANG, whole(b.design.blade.steel), rod);
    addNut(b, end.nut, seat, y);
    if (end.seatMm > 0) {
      const bore = putButtBore(b, y, butt - BEHIND_BUTT_MM, seat, end.counterboreMm / 2);
      b.addIn(housings, "handle", keyOf("counterbore"), [], bore);
    }
  } else if (end.kind === "take-down") {
    const seat = butt + end.seatMm;
    const made = whole(end.material);
    const tip = -tang.lengthMm + end.engagedMm;
    const socket = b.put(hexRodRegion(seat - end.headLengthMm, seat - end.headLengthMm / 2, y, end.socketMm));
    b.add("fasteners", keyOf("socket"), [], socket);
    const head = b.put(rodRegion(seat - end.headLengthMm, seat, y, end.headMm / 2));
    b.add("fasteners", keyOf("screw"), made, head);
    if (tip > seat)
      b.add("fasteners", keyOf("screw"), made, b.put(rodRegion(seat, tip, y, threadRadius(end))));
    const rear = Math.min(butt, seat - end.headLengthMm) - BEHIND_BUTT_MM;
    const bore = putButtBore(b, y, rear, seat, end.counterboreMm / 2);
    b.addIn(housings, "handle", keyOf("counterbore"), [], bore);
    const free = -tang.lengthMm;
    if (free > seat) {
      const clear = b.put(rodRegion(seat, free, y, end.diameterMm / 2 + SCREW_ROOM_MM));
      b.addIn(housings, "handle", keyOf("bore"), [], clear);
    }
  }
}

/** A counterbore from behind the butt; weighing breaks where its upper and its lower edge leave the handle. */
function putButtBore(b: AssemblyBuilder, y: number, rear: number, seat: number, radiusMm: number): number {
  const rod = rodRegion(rear, seat, y, radiusMm);
  const leave = [y - radiusMm, y + radiusMm].map((at) => b.layout.rearAt(at));
  const more = leave.map((x) => ({ x, below: true, above: true }));
  return b.put({ ...rod, breaks: [...rod.breaks, ...more] });
}

/** A nut behind its seat, closed by half a ball when domed. The rod through it is the tang's. */
function addNut(b: AssemblyBuilder, nut: Nut, seat: number, y: number): void {
  const key: PartKey = { kind: "tang-end", component: "nut" };
  const made = whole(nut.material);
  const rear = seat - nut.lengthMm;
  const r = nut.acrossMm / 2;
  const body = nut.style === "hex" ? hexRodRegion(rear, seat, y, nut.acrossMm) : rodRegion(rear, seat, y, r);
  b.add("fasteners", key, made, b.put(body));
  if (nut.style !== "domed") return;
  const dome = domedBlockRegion([rear - r, rear], [y - r, y + r], nut.acrossMm, r, sectionOf(1));
  b.add("fasteners", key, made, b.put(dome));
}

/** Holes, slots and recess of a full tang, filled or left empty. */
function addOpenings(b: AssemblyBuilder, tang: FullTang): void {
  const all = slab(b, b.layout.buttX);
  for (const hole of tang.holes) {
    const drill = b.put(cylinderRegion({ xMm: hole.xMm, yMm: hole.yMm, radiusMm: hole.diameterMm / 2 }));
    b.add("handle", { kind: "hole", sort: hole.purpose, id: hole.id }, filled(hole.fill), drill, all);
  }
  for (const s of tang.slots) {
    const outline = slotContour({ x: s.xMm, y: s.yMm }, s.lengthMm, s.widthMm, (s.angleDeg * Math.PI) / 180);
    b.add("handle", { kind: "slot", id: s.id }, filled(s.fill), b.put(prismRegion(outline)), all);
  }
  if (tang.recess) addRecess(b, tang.recess, all);
}

function addRecess(b: AssemblyBuilder, recess: NonNullable<FullTang["recess"]>, all: number): void {
  const outline = b.layout.recess;
  if (!outline) return;
  const made = filled(recess.fill);
  for (const mirror of [false, true]) {
    if (recess.floor === "hollow") {
      const dish = b.put(dishRegion(outline, b.layout.tangFace, recess.depthMm, mirror));
      b.add("handle", { kind: "recess" }, made, dish, all);
      continue;
    }
    const floor: Line = shifted(b.layout.tangFace, -recess.depthMm, mirror);
    const layer = mirror
      ? layerRegion(null, floor, outline.xRange)
      : layerRegion(floor, null, outline.xRange);
    b.add("handle", { kind: "recess" }, made, b.put(prismRegion(outline)), b.put(layer), all);
  }
}

/** What fills the hole round a hidden or a framed tang, and the frame itself. */
export function addTangHole(b: AssemblyBuilder, housings: Stretches, body: number): void {
  const { tang } = b.design;
  if (tang.kind === "full") return;
  const made = filled(tang.hole.fill);
  const holes = b.layout.tangHoles.map((region) => b.put(region));
  if (tang.kind === "hidden") {
    for (const hole of holes) b.addIn(housings, "handle", TANG_HOLE, made, hole);
    return;
  }
  const frame = b.put(slabRegion(b.layout.outline, b.layout.tangFace, b.layout.span));
  for (const room of holes) b.add("handle", TANG_HOLE, made, room, frame, body);
  b.add("handle", { kind: "frame" }, whole(tang.frame.material), frame, body);
}
