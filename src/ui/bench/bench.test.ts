import { describe, expect, it } from "vitest";
import { newDesign } from "@/core/design/create";
import { newGuard } from "@/core/design/guards";
import { freeId, openSpot } from "@/core/fit/openSpot";
import { checkDesign } from "@/core/validity/checkDesign";
import { createSession } from "@/store/session";
import { knifeExtent } from "../drawing/extent";
import { chordPath, cubicPath, toMm, toPx } from "../drawing/path";
import { addNodeAfter, moveNode, movePlanNode, removeNode } from "./outlineEdits";

const scale = { pxPerMm: 3, originX: 400, originY: 120 };

describe("the drawing's scale", () => {
  it("puts +x to the right and +y up, there and back", () => {
    expect(toPx(scale, 10, 5)).toEqual([430, 105]);
    const back = toMm(scale, ...toPx(scale, -37.25, 11.5));
    expect(back.x).toBeCloseTo(-37.25, 12);
    expect(back.y).toBeCloseTo(11.5, 12);
  });

  it("writes paths that begin where they should, and nothing for nothing", () => {
    expect(cubicPath([], scale)).toBe("");
    expect(chordPath([], scale)).toBe("");
    expect(
      chordPath(
        [
          { x: 0, y: 0 },
          { x: 1, y: 0 },
        ],
        scale,
        false,
      ),
    ).toBe("M400.00 120.00L403.00 120.00");
  });

  it("holds the whole knife, guard and all", () => {
    const design = newDesign("Sedge");
    const bare = knifeExtent(design);
    expect(bare.xHigh).toBe(105);
    expect(bare.xLow).toBeLessThan(-111.9);
    const guarded = knifeExtent({ ...design, guard: { ...newGuard(design), belowMm: 40, aboveMm: 30 } });
    expect([guarded.yLow, guarded.yHigh]).toEqual([-40, 30]);
  });
});

describe("places for new holes", () => {
  it("clear the edges and each other, however many are asked for", () => {
    let design = newDesign("Sedge");
    for (let i = 0; i < 4; i++) {
      const id = freeId("pin", design.fasteners);
      const pin = { id, kind: "pin" as const, ...openSpot(design, 6), diameterMm: 6, material: "brass-360" };
      design = { ...design, fasteners: [...design.fasteners, pin] };
      expect(checkDesign(design)).toEqual([]);
    }
    expect(design.fasteners.map((f) => f.id)).toEqual(["pin-1", "pin-2", "pin-3", "pin-4", "pin-5", "pin-6"]);
  });
});

describe("edits of the outline", () => {
  const begin = () => {
    const session = createSession(newDesign("Sedge"));
    const { edit } = session.getState();
    const nodes = () => session.getState().design.handle.outline;
    const plan = () => session.getState().design.handle.plan;
    return { session, edit, nodes, plan, at: (role: string) => nodes().find((n) => n.role === role)! };
  };

  it("move a point, the front ones only along their face, none ahead of it", () => {
    const { edit, at } = begin();
    moveNode(edit, at("swell"), { x: -70, y: -18 });
    expect(at("swell")).toMatchObject({ xMm: -70, yMm: -18 });
    moveNode(edit, at("front-top"), { x: -9, y: 14 });
    expect(at("front-top")).toMatchObject({ xMm: 0, yMm: 14 });
    moveNode(edit, at("groove"), { x: 30, y: -10 });
    expect(at("groove").xMm).toBe(0);
  });

  it("keep thickness points in order, their ends in place, and every half above nothing", () => {
    const { edit, plan } = begin();
    movePlanNode(edit, plan()[1], { x: -500, y: 9 });
    expect(plan()[1].xMm).toBe(plan()[2].xMm + 1);
    movePlanNode(edit, plan()[0], { x: -40, y: -3 });
    expect(plan()[0]).toMatchObject({ xMm: 0, halfMm: 0.2 });
  });

  it("add a point between two, and remove it, but never the front or the last four", () => {
    const { edit, nodes, at, session } = begin();
    const id = addNodeAfter(edit, at("back"));
    const i = nodes().findIndex((n) => n.id === id);
    expect(nodes()[i - 1].role).toBe("back");
    expect(nodes()[i].xMm).toBeCloseTo((nodes()[i - 1].xMm + nodes()[i + 1].xMm) / 2, 9);
    removeNode(edit, nodes()[i]);
    expect(nodes()).toHaveLength(8);
    removeNode(edit, at("front-top"));
    expect(nodes()).toHaveLength(8);
    for (const n of [...nodes()]) removeNode(edit, n);
    expect(nodes()).toHaveLength(4);
    for (let k = 0; k < 6; k++) session.undo();
    expect(nodes()).toHaveLength(8);
  });

  it("of one drag are one step of undo", () => {
    const { edit, at, session } = begin();
    const start = at("swell").yMm;
    for (let k = 1; k <= 9; k++) moveNode(edit, at("swell"), { x: -60, y: start - k }, "drag-9");
    expect(session.temporal.getState().pastStates).toHaveLength(1);
    session.undo();
    expect(at("swell").yMm).toBe(start);
  });
});
