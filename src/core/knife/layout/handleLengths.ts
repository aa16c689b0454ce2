import { roundTo } from "../../base/number";
import { handleModule } from "../constructions/handles/registry";
import type { Design, NodeRole } from "../design/schema";
import { handleOutline } from "../shapes/handleOutline";

/** Lengths of a handle that a maker measures and sets directly. */
export const HANDLE_LENGTHS = ["length", "front", "groove", "swell", "butt"] as const;
export type HandleLength = (typeof HANDLE_LENGTHS)[number];

type Handle = Design["handle"];

function nodeOf(handle: Handle, role: NodeRole) {
  return handle.outline.find((n) => n.role === role);
}

/** That length now, mm, or null where the outline has lost the point it is measured at. */
export function handleLength(handle: Handle, which: HandleLength): number | null {
  const contour = handleOutline(handle);
  if (which === "length") return -contour.xRange[0];
  if (which === "front") return handle.outline[0].yMm - handle.outline[handle.outline.length - 1].yMm;
  if (which === "butt") {
    const top = nodeOf(handle, "rear-top");
    const bottom = nodeOf(handle, "rear-bottom");
    return top && bottom ? top.yMm - bottom.yMm : null;
  }
  const node = nodeOf(handle, which);
  if (!node) return null;
  const ys = contour.cut(node.xMm);
  return ys.length > 1 ? ys[ys.length - 1] - node.yMm : null;
}

/**
 * The handle with one length changed: its length by stretching every station, a height by moving the point on the
 * edge side. A length that is not above zero, or whose point is gone, changes nothing.
 */
export function withHandleLength(handle: Handle, which: HandleLength, toMm: number): Handle {
  const now = handleLength(handle, which);
  if (now === null || !(toMm > 0) || !(now > 0)) return handle;
  if (which === "length") {
    const k = toMm / now;
    return {
      ...handle,
      outline: handle.outline.map((n) => ({ ...n, xMm: n.xMm * k })),
      plan: handle.plan.map((p) => ({ ...p, xMm: p.xMm * k })),
    };
  }
  const role: NodeRole = which === "front" ? "front-bottom" : which === "butt" ? "rear-bottom" : which;
  const target = which === "front" ? handle.outline[handle.outline.length - 1] : nodeOf(handle, role);
  const nodes = handle.outline;
  // Of an outline that is alike over and under the axis both sides take half.
  const twin = handle.symmetric && target ? nodes[nodes.length - 1 - nodes.indexOf(target)] : null;
  const lower = (n: (typeof nodes)[number]) => (twin ? -toMm / 2 : n.yMm - (toMm - now));
  return {
    ...handle,
    outline: nodes.map((n) =>
      n === target ? { ...n, yMm: lower(n) } : n === twin ? { ...n, yMm: toMm / 2 } : n,
    ),
  };
}

/** The handle so long, with what is drilled through it moved along: each keeps its share of the way to the butt. */
export function stretchedHandle(design: Design, toMm: number): Design {
  const now = handleLength(design.handle, "length");
  const handle = withHandleLength(design.handle, "length", toMm);
  if (now === null || handle === design.handle) return design;
  const along = <T extends { readonly xMm: number }>(items: readonly T[]) =>
    items.map((item) => ({ ...item, xMm: roundTo((item.xMm * toMm) / now, 2) }));
  const { tang } = design;
  return {
    ...design,
    handle: handleModule(handle).moved(handle, along),
    fasteners: along(design.fasteners),
    tang: tang.kind === "full" ? { ...tang, holes: along(tang.holes), slots: along(tang.slots) } : tang,
  };
}
