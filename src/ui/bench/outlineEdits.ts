import type { Point } from "@/core/curve/bezier";
import type { OutlineNode, PlanNode } from "@/core/design/schema";
import type { SessionState } from "@/store/session";
import { NODE_WORDS } from "@/words/nodes";
import { setHeld } from "./points/types";

type Edit = SessionState["edit"];

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
    nodes.splice(i + 1, 0, {
      id,
      role: "free",
      xMm: (a.xMm + b.xMm) / 2,
      yMm: (a.yMm + b.yMm) / 2,
      corner: false,
    });
  });
  return id;
}

/** Removes a node; the front ones and the last four stay. */
export function removeNode(edit: Edit, node: OutlineNode): void {
  edit(`Remove ${NODE_WORDS[node.role].toLowerCase()}`, (d) => {
    const nodes = d.handle.outline;
    const i = nodes.findIndex((n) => n.id === node.id);
    if (i > 0 && i < nodes.length - 1 && nodes.length > 4) nodes.splice(i, 1);
  });
}
