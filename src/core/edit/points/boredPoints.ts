import { degrees, radians } from "../../base/number";
import type { Design } from "../../knife/design/schema";
import { itemNames } from "../../knife/shapes/itemNames";
import { type BenchPoint, type PointField, setHeld, setPlace } from "./types";

/** Where something stands on the side view: the fields of its station and height. */
export function placeFields(path: string): PointField[] {
  return [{ path: `${path}.xMm`, behind: true }, { path: `${path}.yMm` }];
}

const levels = (all: readonly { id: string; yMm: number }[], id: string) => ({
  ys: [0, ...all.filter((o) => o.id !== id).map((o) => o.yMm)],
});

/** Which fastener, hole or slot it is. */
const nameOf = (design: Design, id: string) => ({ point: "item", item: itemNames(design).get(id) }) as const;

/** Pins, bolts and tubes. */
export function pinPoints(design: Design): BenchPoint[] {
  const { fasteners } = design;
  return fasteners.map((f, i) => ({
    id: f.id,
    name: nameOf(design, f.id),
    at: { x: f.xMm, y: f.yMm },
    radiusMm: f.diameterMm / 2,
    move: (d, to) => {
      setPlace(d, "fasteners", f.id, to);
    },
    remove: (d) => {
      d.fasteners = d.fasteners.filter((o) => o.id !== f.id);
    },
    fields: [...placeFields(`fasteners.${i}`), { path: `fasteners.${i}.diameterMm` }],
    snaps: levels(fasteners, f.id),
  }));
}

/** Holes and slots of a full tang. */
export function openingPoints(design: Design): BenchPoint[] {
  const { tang } = design;
  if (tang.kind !== "full") return [];
  const holes = tang.holes.map(
    (h, i): BenchPoint => ({
      id: h.id,
      name: nameOf(design, h.id),
      at: { x: h.xMm, y: h.yMm },
      radiusMm: h.diameterMm / 2,
      move: (d, to) => {
        setPlace(d, "tang.holes", h.id, to);
      },
      remove: (d) => {
        if (d.tang.kind === "full") d.tang.holes = d.tang.holes.filter((o) => o.id !== h.id);
      },
      fields: [...placeFields(`tang.holes.${i}`), { path: `tang.holes.${i}.diameterMm` }],
      snaps: levels(tang.holes, h.id),
    }),
  );
  const slots = tang.slots.flatMap((s, i): BenchPoint[] => {
    const turn = radians(s.angleDeg);
    const reach = s.lengthMm / 2;
    return [
      {
        id: s.id,
        name: nameOf(design, s.id),
        at: { x: s.xMm, y: s.yMm },
        move: (d, to) => {
          setPlace(d, "tang.slots", s.id, to);
        },
        remove: (d) => {
          if (d.tang.kind === "full") d.tang.slots = d.tang.slots.filter((o) => o.id !== s.id);
        },
        fields: [
          ...placeFields(`tang.slots.${i}`),
          { path: `tang.slots.${i}.lengthMm` },
          { path: `tang.slots.${i}.widthMm` },
        ],
        snaps: levels(tang.slots, s.id),
      },
      {
        id: `${s.id}-end`,
        name: { ...nameOf(design, s.id), point: "slot-end" },
        at: { x: s.xMm + reach * Math.cos(turn), y: s.yMm + reach * Math.sin(turn) },
        corner: true,
        move: (d, to) => {
          const mine = d.tang.kind === "full" && d.tang.slots.find((o) => o.id === s.id);
          if (!mine) return;
          setHeld(d, `tang.slots.${i}.lengthMm`, 2 * Math.hypot(to.x - s.xMm, to.y - s.yMm));
          const turned = degrees(Math.atan2(to.y - s.yMm, to.x - s.xMm));
          // A slot turned by half a circle is the same slot.
          mine.angleDeg = Math.round(turned > 90 ? turned - 180 : turned < -90 ? turned + 180 : turned);
        },
        fields: [{ path: `tang.slots.${i}.lengthMm` }],
      },
    ];
  });
  return [...holes, ...slots];
}
