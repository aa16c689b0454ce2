import { produce } from "immer";
import { roundTo } from "../base/number";
import type { Point } from "../geometry/curve/bezier";
import type { Design, OutlineNode } from "../knife/design/schema";
import type { Draft } from "./draft";
import { setHeld } from "./points/types";

type Nodes = Draft<OutlineNode>[];

/** Puts the node across the axis where this one is mirrored; one in the middle stays on the axis. */
function mirrorNode(nodes: Nodes, i: number): void {
  const across = nodes.length - 1 - i;
  if (across === i) {
    nodes[i].yMm = 0;
    return;
  }
  nodes[across].xMm = nodes[i].xMm;
  nodes[across].yMm = 0 - nodes[i].yMm;
  nodes[across].corner = nodes[i].corner;
}

/** The outline alike over and under the axis: its upper half, mirrored; the rearmost point stays in the middle. */
export function mirrored(nodes: readonly OutlineNode[]): OutlineNode[] {
  const rear = nodes.reduce((best, n, i) => (n.xMm < nodes[best].xMm ? i : best), 0);
  const upper = nodes.slice(0, Math.max(2, rear));
  const name = (n: OutlineNode) => nodes.find((o) => o.role === ACROSS[n.role]);
  const lower = [...upper].reverse().map((n, i) => {
    const like = name(n);
    return {
      ...n,
      id: like?.id ?? `mirror-${upper.length - i}`,
      role: like?.role ?? ("free" as const),
      yMm: 0 - n.yMm,
    };
  });
  return [...upper, { ...nodes[rear], yMm: 0, corner: false }, ...lower];
}

/** What a named point is called across the axis. */
const ACROSS: Partial<Record<OutlineNode["role"], OutlineNode["role"]>> = {
  "front-top": "front-bottom",
  "rear-top": "rear-bottom",
  back: "swell",
};

/** Its nodes changed by a recipe; the same design where the recipe has nothing to do. */
const changed = (design: Design, recipe: (handle: Draft<Design["handle"]>) => void): Design =>
  produce(design, (d) => recipe(d.handle as Draft<Design["handle"]>));

/** A node of the handle's outline moved; the two at the front stay on the front face, the others behind it. */
export const withNodeAt = (design: Design, id: string, to: Point): Design =>
  changed(design, ({ outline: nodes, symmetric }) => {
    const i = nodes.findIndex((n) => n.id === id);
    if (i < 0) return;
    const atFront = i === 0 || i === nodes.length - 1;
    nodes[i].xMm = atFront ? 0 : Math.min(0, to.x);
    nodes[i].yMm = to.y;
    if (symmetric) mirrorNode(nodes, i);
  });

/** A node made a corner, or rounded; of a mirrored outline the one across the axis as well. */
export const withNodeCorner = (design: Design, id: string, corner: boolean): Design =>
  changed(design, ({ outline: nodes, symmetric }) => {
    const i = nodes.findIndex((n) => n.id === id);
    if (i < 0) return;
    nodes[i].corner = corner;
    if (symmetric) nodes[nodes.length - 1 - i].corner = corner;
  });

/** A rounded node half way between the one with an id and the next; the last one's lies before it. */
export const withNodeAfter = (design: Design, after: string, id: string): Design =>
  changed(design, ({ outline: nodes, symmetric }) => {
    const found = nodes.findIndex((n) => n.id === after);
    const i = Math.min(nodes.length - 2, Math.max(0, found));
    const [a, b] = [nodes[i], nodes[i + 1]];
    const added = {
      id,
      role: "free" as const,
      xMm: (a.xMm + b.xMm) / 2,
      yMm: (a.yMm + b.yMm) / 2,
      corner: false,
    };
    const across = nodes.length - 2 - i;
    if (!symmetric) nodes.splice(i + 1, 0, added);
    // The stretch that meets the axis is its own counterpart.
    else if (across === i) nodes.splice(i + 1, 0, { ...added, yMm: 0 });
    else {
      const twin = { ...added, id: `${id}-across`, yMm: 0 - added.yMm };
      // The rear one first, so that the other's place holds.
      nodes.splice(Math.max(i, across) + 1, 0, across > i ? twin : added);
      nodes.splice(Math.min(i, across) + 1, 0, across > i ? added : twin);
    }
  });

/** Without a node; the front ones and the last four stay. */
export const withoutNode = (design: Design, id: string): Design =>
  changed(design, ({ outline: nodes, symmetric }) => {
    const i = nodes.findIndex((n) => n.id === id);
    if (i <= 0 || i >= nodes.length - 1 || nodes.length <= 4) return;
    const across = symmetric ? nodes.length - 1 - i : i;
    if (across !== i && nodes.length <= 5) return;
    nodes.splice(Math.max(i, across), 1);
    if (across !== i) nodes.splice(Math.min(i, across), 1);
  });

/**
 * A point of the thickness outline moved, of the left side alone or of both (of the right, where the sides differ); the
 * first and the last keep their station.
 */
export const withThicknessAt = (design: Design, id: string, to: Point, left: boolean): Design =>
  produce(design, (d) => {
    const nodes = d.handle.plan;
    const i = nodes.findIndex((n) => n.id === id);
    if (i < 0) return;
    setHeld(d as Draft<Design>, `handle.plan.${i}.${left ? "leftHalfMm" : "halfMm"}`, to.y);
    if (i === 0 || i === nodes.length - 1) return;
    nodes[i].xMm = Math.max(nodes[i + 1].xMm + 1, Math.min(nodes[i - 1].xMm - 1, to.x));
  });

/** A thickness half way from a station to the next behind it; of the last, ahead of it. */
export const withThicknessAfter = (design: Design, after: number, id: string): Design =>
  changed(design, ({ plan }) => {
    const i = Math.min(Math.max(0, after), plan.length - 2);
    const [a, b] = [plan[i], plan[i + 1]];
    const mean = (p: number, q: number) => roundTo((p + q) / 2, 2);
    plan.splice(i + 1, 0, {
      id,
      xMm: mean(a.xMm, b.xMm),
      halfMm: mean(a.halfMm, b.halfMm),
      leftHalfMm: a.leftHalfMm !== null && b.leftHalfMm !== null ? mean(a.leftHalfMm, b.leftHalfMm) : null,
      roundness: mean(a.roundness, b.roundness),
    });
  });

/** Without a thickness; the first and the last stay. */
export const withoutThickness = (design: Design, id: string): Design =>
  changed(design, ({ plan }) => {
    const i = plan.findIndex((n) => n.id === id);
    if (i > 0 && i < plan.length - 1) plan.splice(i, 1);
  });
