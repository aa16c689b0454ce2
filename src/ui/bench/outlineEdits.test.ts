import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import type { Design, OutlineNode } from "@/core/design/schema";
import { HANDLE_LENGTHS, handleLength, withHandleLength } from "@/core/layout/handleLengths";
import { createSession } from "@/store/session";
import { addNodeAfter, addPlanNode, mirrored, moveNode, removeNode, removePlanNode } from "./outlineEdits";

const sound = newDesign("Sedge");
const even: Design = {
  ...sound,
  handle: { ...sound.handle, symmetric: true, outline: mirrored(sound.handle.outline) },
};

const isEven = (nodes: readonly OutlineNode[]) =>
  nodes.every((n, i) => {
    const twin = nodes[nodes.length - 1 - i];
    return Math.abs(n.yMm + twin.yMm) < 1e-9 && n.xMm === twin.xMm && n.corner === twin.corner;
  });

describe("an outline alike over and under the axis", () => {
  it("is mirrored from its upper half, with no id twice", () => {
    const nodes = even.handle.outline;
    expect(isEven(nodes)).toBe(true);
    expect(new Set(nodes.map((n) => n.id)).size).toBe(nodes.length);
    expect(nodes[0]).toEqual(sound.handle.outline[0]);
  });

  it("stays so when points are moved, added and removed anywhere", () => {
    const session = createSession(even);
    const { edit } = session.getState();
    const nodes = () => session.getState().design.handle.outline;
    for (let i = 0; i < nodes().length; i++) {
      moveNode(edit, nodes()[i], { x: nodes()[i].xMm - 1, y: nodes()[i].yMm + 1 });
      expect(isEven(nodes()), `moved ${i}`).toBe(true);
    }
    for (const i of [0, 2, nodes().length - 2]) {
      const before = nodes().length;
      addNodeAfter(edit, nodes()[i]);
      expect(nodes().length).toBeGreaterThan(before);
      expect(isEven(nodes()), `added after ${i}`).toBe(true);
    }
    removeNode(edit, nodes()[1]);
    expect(isEven(nodes())).toBe(true);
  });

  it("stays so when a height is typed", () => {
    for (const which of HANDLE_LENGTHS) {
      const now = handleLength(even.handle, which);
      if (now === null) continue;
      const handle = withHandleLength(even.handle, which, now + 4);
      expect(isEven(handle.outline), which).toBe(true);
      expect(handleLength(handle, which), which).toBeCloseTo(now + 4, 6);
    }
  });
});

describe("thicknesses along the handle", () => {
  it("are added between two stations and removed, but not the first and the last", () => {
    const session = createSession(sound);
    const { edit } = session.getState();
    const plan = () => session.getState().design.handle.plan;
    const id = addPlanNode(edit, plan(), 1);
    expect(plan()).toHaveLength(5);
    expect(plan()[2]).toMatchObject({ id, halfMm: (plan()[1].halfMm + plan()[3].halfMm) / 2 });
    removePlanNode(edit, { id });
    expect(plan()).toEqual(sound.handle.plan);
    removePlanNode(edit, plan()[0]);
    expect(plan()).toHaveLength(4);
  });
});
