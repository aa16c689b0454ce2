import { describe, expect, it } from "vitest";
import { newDesign } from "../knife/design/create";
import type { Design, OutlineNode } from "../knife/design/schema";
import { HANDLE_LENGTHS, handleLength, withHandleLength } from "../knife/layout/handleLengths";
import {
  mirrored,
  withNodeAfter,
  withNodeAt,
  withoutNode,
  withoutThickness,
  withThicknessAfter,
  withThicknessAt,
} from "./handleOutline";

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

const nodeOf = (design: Design, role: string): OutlineNode => {
  const found = design.handle.outline.find((n) => n.role === role);
  if (!found) throw new Error(`no ${role}`);
  return found;
};

describe("an outline alike over and under the axis", () => {
  it("is mirrored from its upper half, with no id twice", () => {
    const nodes = even.handle.outline;
    expect(isEven(nodes)).toBe(true);
    expect(new Set(nodes.map((n) => n.id)).size).toBe(nodes.length);
    expect(nodes[0]).toEqual(sound.handle.outline[0]);
  });

  it("stays so when points are moved, added and removed anywhere", () => {
    let design = even;
    const nodes = () => design.handle.outline;
    for (let i = 0; i < nodes().length; i++) {
      const { id, xMm, yMm } = nodes()[i];
      design = withNodeAt(design, id, { x: xMm - 1, y: yMm + 1 });
      expect(isEven(nodes()), `moved ${i}`).toBe(true);
    }
    for (const i of [0, 2, nodes().length - 2]) {
      const before = nodes().length;
      design = withNodeAfter(design, nodes()[i].id, `added-${i}`);
      expect(nodes().length).toBeGreaterThan(before);
      expect(isEven(nodes()), `added after ${i}`).toBe(true);
    }
    design = withoutNode(design, nodes()[1].id);
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
    const added = withThicknessAfter(sound, 1, "more");
    const { plan } = added.handle;
    expect(plan).toHaveLength(5);
    expect(plan[2]).toMatchObject({ id: "more", halfMm: (plan[1].halfMm + plan[3].halfMm) / 2 });
    expect(withoutThickness(added, "more")).toEqual(sound);
    expect(withoutThickness(sound, sound.handle.plan[0].id)).toBe(sound);
  });

  it("keep in order, their ends in place, and every half above nothing", () => {
    const [first, second, third] = sound.handle.plan;
    expect(withThicknessAt(sound, second.id, { x: -500, y: 9 }, false).handle.plan[1].xMm).toBe(
      third.xMm + 1,
    );
    const low = withThicknessAt(sound, first.id, { x: -40, y: -3 }, false);
    expect(low.handle.plan[0]).toMatchObject({ xMm: 0, halfMm: 0.2 });
  });
});

describe("the handle's outline", () => {
  it("moves by a point, the front ones only along their face, none ahead of it", () => {
    const at = (role: string, to: { x: number; y: number }) =>
      nodeOf(withNodeAt(sound, nodeOf(sound, role).id, to), role);
    expect(at("swell", { x: -70, y: -18 })).toMatchObject({ xMm: -70, yMm: -18 });
    expect(at("front-top", { x: -9, y: 14 })).toMatchObject({ xMm: 0, yMm: 14 });
    expect(at("groove", { x: 30, y: -10 }).xMm).toBe(0);
  });

  it("takes a point between two, and loses it, but never the front or the last four", () => {
    let design = withNodeAfter(sound, nodeOf(sound, "back").id, "more");
    const nodes = () => design.handle.outline;
    const i = nodes().findIndex((n) => n.id === "more");
    expect(nodes()[i - 1].role).toBe("back");
    expect(nodes()[i].xMm).toBeCloseTo((nodes()[i - 1].xMm + nodes()[i + 1].xMm) / 2, 9);
    design = withoutNode(design, "more");
    expect(design).toEqual(sound);
    expect(withoutNode(sound, nodeOf(sound, "front-top").id)).toBe(sound);
    for (const { id } of nodes()) design = withoutNode(design, id);
    expect(nodes()).toHaveLength(4);
  });
});
