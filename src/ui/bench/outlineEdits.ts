import type { Point } from "@/core/curve/bezier";
import type { Design, OutlineNode, PlanNode } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { roundTo } from "@/core/number";
import type { Draft, SessionState } from "@/store/session";
import { NODE_WORDS } from "@/words/bladeWords";
import { setHeld } from "./points/types";

type Edit = SessionState<Design>["edit"];

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

/** Moves a node of the handle's outline; the two at the front stay on the front face, the others behind it. */
export function moveNode(edit: Edit, node: OutlineNode, to: Point, gesture?: string): void {
  edit(
    `Move ${NODE_WORDS[node.role].toLowerCase()}`,
    (d) => {
      const nodes = d.handle.outline;
      const i = nodes.findIndex((n) => n.id === node.id);
      if (i < 0) return;
      const atFront = i === 0 || i === nodes.length - 1;
      nodes[i].xMm = atFront ? 0 : Math.min(0, to.x);
      nodes[i].yMm = to.y;
      if (d.handle.symmetric) mirrorNode(d.handle.outline, i);
    },
    { gesture },
  );
}

/**
 * Moves a point of the thickness outline, of the left side alone or of both (of the right, where the sides differ);
 * the first and the last keep their station.
 */
export function movePlanNode(edit: Edit, node: PlanNode, to: Point, gesture?: string, left = false): void {
  edit(
    "Change thickness",
    (d) => {
      const nodes = d.handle.plan;
      const i = nodes.findIndex((n) => n.id === node.id);
      if (i < 0) return;
      setHeld(d, `handle.plan.${i}.${left ? "leftHalfMm" : "halfMm"}`, to.y);
      if (i === 0 || i === nodes.length - 1) return;
      nodes[i].xMm = Math.max(nodes[i + 1].xMm + 1, Math.min(nodes[i - 1].xMm - 1, to.x));
    },
    { gesture },
  );
}

/** Adds a thickness half way to the next station behind, or ahead of the last, and answers its id. */
export function addPlanNode(edit: Edit, plan: readonly PlanNode[], after: number): string {
  const i = Math.min(Math.max(0, after), plan.length - 2);
  const id = freeId("plan", plan);
  edit("Add thickness", (d) => {
    const [a, b] = [d.handle.plan[i], d.handle.plan[i + 1]];
    const mean = (p: number, q: number) => roundTo((p + q) / 2, 2);
    d.handle.plan.splice(i + 1, 0, {
      id,
      xMm: mean(a.xMm, b.xMm),
      halfMm: mean(a.halfMm, b.halfMm),
      leftHalfMm: a.leftHalfMm !== null && b.leftHalfMm !== null ? mean(a.leftHalfMm, b.leftHalfMm) : null,
      roundness: mean(a.roundness, b.roundness),
    });
  });
  return id;
}

/** Removes a thickness; the first and the last stay. */
export function removePlanNode(edit: Edit, node: Pick<PlanNode, "id">): void {
  edit("Remove thickness", (d) => {
    const i = d.handle.plan.findIndex((n) => n.id === node.id);
    if (i > 0 && i < d.handle.plan.length - 1) d.handle.plan.splice(i, 1);
  });
}

/** Adds a rounded point half way along the outline's longest gap after the node, and answers its id. */
export function addNodeAfter(edit: Edit, node: OutlineNode): string {
  const id = `point-${Date.now().toString(36)}`;
  edit("Add outline point", (d) => {
    const nodes = d.handle.outline;
    const i = Math.min(
      nodes.length - 2,
      Math.max(
        0,
        nodes.findIndex((n) => n.id === node.id),
      ),
    );
    const [a, b] = [nodes[i], nodes[i + 1]];
    const added = {
      id,
      role: "free" as const,
      xMm: (a.xMm + b.xMm) / 2,
      yMm: (a.yMm + b.yMm) / 2,
      corner: false,
    };
    if (d.handle.symmetric) {
      // The stretch across the axis gets one, too; the one that meets the axis is its own.
      const across = nodes.length - 2 - i;
      const twin = { ...added, id: `${id}-across`, yMm: 0 - added.yMm };
      if (across === i) nodes.splice(i + 1, 0, { ...added, yMm: 0 });
      for (const [at, node] of across > i
        ? ([
            [across, twin],
            [i, added],
          ] as const)
        : ([
            [i, added],
            [across, twin],
          ] as const))
        if (across !== i) nodes.splice(at + 1, 0, node);
      return;
    }
    nodes.splice(i + 1, 0, added);
  });
  return id;
}

/** Removes a node; the front ones and the last four stay. */
export function removeNode(edit: Edit, node: OutlineNode): void {
  edit(`Remove ${NODE_WORDS[node.role].toLowerCase()}`, (d) => {
    const nodes = d.handle.outline;
    const i = nodes.findIndex((n) => n.id === node.id);
    if (i <= 0 || i >= nodes.length - 1 || nodes.length <= 4) return;
    const across = d.handle.symmetric ? nodes.length - 1 - i : i;
    if (across !== i && nodes.length <= 5) return;
    nodes.splice(Math.max(i, across), 1);
    if (across !== i) nodes.splice(Math.min(i, across), 1);
  });
}
