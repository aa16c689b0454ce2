import { remembered } from "../../base/record/remembered";
import type { Point } from "../../geometry/curve/bezier";
import { handleModule } from "../../knife/constructions/handles/registry";
import { halvesOf, jointsOf, piecesOf, ringsOf } from "../../knife/design/handleParts";
import { holesOf, slotsOf } from "../../knife/design/openings";
import type { Design } from "../../knife/design/schema";
import type { CutKey } from "../../knife/parts/cutKey";
import { join, type PartKey, pairId } from "../../knife/parts/partKey";
import { type ItemName, itemNames } from "../../knife/shapes/itemNames";
import { assembleDrawn } from "../views/drawn";
import { silhouette } from "../views/silhouette";

/**
 * What of a knife is referred to by a row, a finding or a change: a part's id, or what the ids of several parts begin with
 * ("scale" of both sides, "fastener:pin-1" of a pin and its bore).
 */
export type PartRef = string;

/** Whether one is the other, or takes it in. */
export const overlaps = (a: PartRef, b: PartRef): boolean =>
  a === b || a.startsWith(`${b}:`) || b.startsWith(`${a}:`);

/**
 * Where a part, or a piece that is sawn, is: on both sides, for they are behind each other in a side view; a fastener with
 * all that is of it.
 */
export const partRefOf = (key: PartKey | CutKey): PartRef =>
  key.kind === "fastener" ? join(key.kind, key.id) : pairId(key);

/** Where a fastener, hole or slot is, by its name; null of one that is not there. */
export function partRefOfItem(design: Design, { kind, number }: ItemName): PartRef | null {
  for (const [id, name] of itemNames(design))
    if (name.kind === kind && name.number === number) return join(kind, id);
  return null;
}

/** All parts of a handle, without what is set into it. */
const handlePartRefs = ({ handle }: Design): readonly PartRef[] => handleModule(handle).partRefs(handle);

/** What of two states of a knife differs, part by part. */
export function partRefsOfChange(before: Design, after: Design): PartRef[] {
  const partRefs: PartRef[] = [];
  const other = (a: unknown, b: unknown) => JSON.stringify(a) !== JSON.stringify(b);
  // What is new is marked by what it comes into.
  const items = <T extends { readonly id: string }>(
    kind: string,
    a: readonly T[],
    b: readonly T[],
    into: readonly PartRef[],
  ) => {
    const [was, is] = [a, b].map((all) => new Map(all.map((x) => [x.id, x])));
    for (const id of new Set([...was.keys(), ...is.keys()]))
      if (other(was.get(id), is.get(id))) partRefs.push(...(was.has(id) ? [join(kind, id)] : into));
  };
  if (other(before.blade, after.blade)) partRefs.push("blade");
  const plain = (tang: Design["tang"]) => ({ ...tang, holes: null, slots: null });
  if (other(plain(before.tang), plain(after.tang))) partRefs.push("tang", "tang-end");
  if (other(before.guard, after.guard)) partRefs.push("guard", "fitting");
  items("fastener", before.fasteners, after.fasteners, handlePartRefs(before));
  items("hole", holesOf(before), holesOf(after), ["tang"]);
  items("slot", slotsOf(before), slotsOf(after), ["tang"]);
  const [a, b] = [before.handle, after.handle];
  if (other([a.outline, a.plan, a.kind], [b.outline, b.plan, b.kind]))
    partRefs.push(...handlePartRefs(before));
  if (other(a.wraps, b.wraps)) partRefs.push("wrap");
  if (a.kind === "scales" && b.kind === "scales") {
    const ends = (h: typeof a) => [h.right, h.left, h.frontBevel, h.rearEnd, h.rearBevel];
    if (other(ends(a), ends(b))) partRefs.push("scale");
    if (other(a.liners, b.liners)) partRefs.push("liner");
    for (const end of ["front", "rear"] as const)
      if (other(a.bolsters[end], b.bolsters[end])) partRefs.push(join("bolster", end));
    items("divider", a.joints, b.joints, ["scale"]);
    items("half", a.halves, b.halves, ["scale"]);
    if (other(a.lengthwise, b.lengthwise)) partRefs.push("lower", "lengthwise-sheet", "scale");
  } else if (a.kind === "stack" && b.kind === "stack") {
    items("piece", a.pieces, b.pieces, handlePartRefs(before));
    items("ring", a.rings, b.rings, handlePartRefs(before));
    if (other(a.lengthwise, b.lengthwise)) partRefs.push("lower", "lengthwise-sheet");
  }
  return [...new Set(partRefs)];
}

/** Every part that has a material in it. */
export function partRefsOfMaterial(design: Design, id: string): PartRef[] {
  const of = assembleDrawn(design).parts.filter((p) => p.materials.some((m) => m.materialId === id));
  return [...new Set(of.map((p) => partRefOf(p.key)))];
}

/** Everything on a knife that its maker's record has an id for, by the kind of part that it is. */
function itemsOf(design: Design): [PartKey["kind"], readonly { readonly id: string }[]][] {
  const { handle, fasteners } = design;
  return [
    ["fastener", fasteners],
    ["hole", holesOf(design)],
    ["slot", slotsOf(design)],
    ["groove", handle.grooves],
    ["divider", jointsOf(handle)],
    ["half", halvesOf(handle)],
    ["piece", piecesOf(handle)],
    ["ring", ringsOf(handle)],
  ].map(([kind, items]) => [kind as PartKey["kind"], items as readonly { readonly id: string }[]]);
}

/** What a finding refers to. It costs no outline: lines of findings are drawn again at every step of a drag. */
export function partRefsOfFinding(
  design: Design,
  f: {
    readonly subject: string | null;
    readonly items?: readonly ItemName[];
    readonly part?: PartKey;
    readonly piece?: CutKey;
  },
): PartRef[] {
  const partRefs = (f.items ?? []).map((item) => partRefOfItem(design, item));
  if (f.part) partRefs.push(partRefOf(f.part));
  if (f.piece) partRefs.push(partRefOf(f.piece));
  if (partRefs.length === 0 && f.subject !== null) {
    for (const [kind, items] of itemsOf(design))
      if (items.some(({ id }) => id === f.subject)) partRefs.push(join(kind, f.subject));
  }
  return [...new Set(partRefs.filter((s) => s !== null))];
}

/** Stations that an outline is read at for marking it. */
const STEPS = 40;

/** Outlines, seen from the side, of all that a spot takes in. */
export function partLoops(design: Design, partRef: PartRef): (readonly Point[])[] {
  return outlines(design).flatMap((o) =>
    o.partRef === partRef || o.partRef.startsWith(`${partRef}:`) ? o.loops : [],
  );
}

interface Outlined {
  readonly partRef: PartRef;
  readonly key: PartKey;
  readonly loops: readonly (readonly Point[])[];
}

/** Every part of a knife from the side, those of one spot together. */
const outlines = remembered((design: Design): readonly Outlined[] => {
  const { parts, regions } = assembleDrawn(design);
  const known = new Map<PartRef, Outlined & { loops: (readonly Point[])[] }>();
  for (const { key, regions: of } of parts) {
    const partRef = partRefOf(key);
    const there = known.get(partRef) ?? { partRef, key, loops: [] };
    known.set(partRef, there);
    // The other side lies behind the first.
    if ("side" in key && key.side === "left" && there.loops.length > 0) continue;
    there.loops.push(
      ...silhouette(
        of.map((r) => regions[r]),
        STEPS,
      ),
    );
  }
  return [...known.values()].filter((o) => o.loops.length > 0);
});

/** Kinds of part that show from the side, or as hidden lines. */
const SHOWN: ReadonlySet<PartKey["kind"]> = new Set([
  "blade",
  "tang",
  "tang-end",
  "guard",
  "bolster",
  "scale",
  "piece",
  "ring",
  "fastener",
  "hole",
  "slot",
]);

const size = (loops: Outlined["loops"]): number => {
  const [xs, ys] = [loops.flatMap((l) => l.map((p) => p.x)), loops.flatMap((l) => l.map((p) => p.y))];
  return (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
};

/** What can be picked on a side view, the largest first, so that what lies on it can be reached. */
export const pickable = remembered((design: Design): readonly Outlined[] =>
  outlines(design)
    .filter(({ key }) => SHOWN.has(key.kind) && !(key.kind === "tang" && design.tang.kind === "full"))
    .sort((a, b) => size(b.loops) - size(a.loops)),
);
