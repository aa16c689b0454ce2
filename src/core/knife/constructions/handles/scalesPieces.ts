import { lineAt } from "../../../geometry/solids/line";
import type { ScalesHandle } from "../../design/schema";
import { type Cell, type CutAcross, upright } from "../../parts/cells";
import { partId } from "../../parts/partKey";
import { alike, type Both, leaning, made, SIDES, sides, type Workpiece } from "../../parts/workpiece";
import { areaBetween, lengthwiseArea, sectionArea } from "../../shapes/areas";
import { standsOut } from "../../shapes/halves";
import { alongJoint } from "../../shapes/lengthwise";
import { scalesSpan } from "../../shapes/scaleEnd";
import {
  bolsterJoint,
  dividerStations,
  jointsFrontFirst,
  linersThickness,
  veneerNumber,
} from "../../shapes/scales";
import type { Layout } from "../../shapes/types";
import type { GluedAreas } from "./kind";

export function scalePieces(handle: ScalesHandle, layout: Layout): Workpiece[] {
  const thick = { right: handle.right.thicknessMm, left: handle.left.thicknessMm };
  const widest = Math.max(thick.right, thick.left);
  const slab = { form: "slab" } as const;
  const pieces: Workpiece[] = [];
  const joints = jointsFrontFirst(handle);
  let of: Both<string> = { right: handle.right.material, left: handle.left.material };
  [...joints, null].forEach((next, i) => {
    const number = joints.length > 0 ? i + 1 : null;
    pieces.push(...sides((side) => ({ kind: "scale", number, side }), of, thick, slab));
    next?.dividers.forEach(({ thicknessMm, material }, k) => {
      const key = { kind: "divider", id: next.id, number: i + 1, sheet: veneerNumber(next, k) } as const;
      const [parts, leftParts] = SIDES.map((side) => [partId({ ...key, side })]);
      // It lies along its joint, which leans.
      const across = leaning(dividerStations(next)[k], thicknessMm, next.tiltDeg);
      const more = { count: 2, pair: true, parts, leftParts, across, form: "slice" } as const;
      pieces.push(made({ key, material, thicknessMm: widest, lengthMm: thicknessMm, ...more }));
    });
    if (next) of = { right: next.right, left: next.left };
  });
  const { lengthwise } = handle;
  if (lengthwise) {
    pieces.push(...sides((side) => ({ kind: "lower", side }), alike(lengthwise.material), thick, slab));
    const { divider } = lengthwise;
    // A strip, bent along the joint.
    if (divider)
      pieces.push(
        ...sides((side) => ({ kind: "lengthwise-sheet", side }), alike(divider.material), thick, {
          ...slab,
          lengthMm: alongJoint(lengthwise, layout.span),
          heightMm: divider.thicknessMm,
        }),
      );
  }
  handle.halves.forEach((half, i) => {
    const { end, id, shape } = half;
    const number = handle.halves.length > 1 ? i + 1 : null;
    // What stands out beyond the tang reaches to the middle of it.
    const onTang = shape.kind === "outline" && !standsOut(shape.points, layout);
    const deep = onTang ? shape.thicknessMm : null;
    pieces.push(...sides((side) => ({ kind: "half", sort: end, id, number, side }), half, alike(deep)));
  });
  handle.liners.forEach((l, i) => {
    const number = handle.liners.length > 1 ? i + 1 : null;
    pieces.push(
      ...sides((side) => ({ kind: "liner", number, side }), alike(l.material), alike(l.thicknessMm), slab),
    );
  });
  for (const end of ["front", "rear"] as const) {
    const bolster = handle.bolsters[end];
    if (bolster)
      pieces.push(...sides((side) => ({ kind: "bolster", sort: end, side }), bolster, alike(widest)));
  }
  return pieces;
}

export function scaleCells(handle: ScalesHandle, layout: Layout): Cell[] {
  const { frontX: front, buttX: butt, scaleEnd } = layout;
  const span = scalesSpan(handle, layout.span);
  const end: CutAcross = scaleEnd ?? upright(butt);
  const cells: Cell[] = [];
  const { front: ahead, rear: behind } = handle.bolsters;
  let from = upright(front);
  const put = (id: string, material: string, rear: CutAcross) => {
    cells.push({
      id,
      material,
      front: from,
      rear,
      parted: handle.lengthwise !== null && !id.startsWith("bolster-"),
    });
    from = rear;
  };
  if (ahead)
    put("bolster-front", ahead.right, {
      xMm: bolsterJoint(ahead, "front", span),
      tiltDeg: ahead.tiltDeg,
    });
  let material = handle.right.material;
  for (const j of jointsFrontFirst(handle)) {
    put(`before-${j.id}`, material, { xMm: j.xMm, tiltDeg: j.tiltDeg });
    dividerStations(j).forEach((xMm, k) => {
      put(`${j.id}-${k}`, j.dividers[k].material, { xMm, tiltDeg: j.tiltDeg });
    });
    material = j.right;
  }
  if (behind) {
    put("scale", material, { xMm: bolsterJoint(behind, "rear", span), tiltDeg: behind.tiltDeg });
    put("bolster-rear", behind.right, end);
  } else put("scale", material, end);
  if (scaleEnd)
    cells.push({
      id: "bare-tang",
      material: layout.design.blade.steel,
      front: end,
      rear: upright(butt),
      wheel: scaleEnd.wheel,
      parted: false,
    });
  return cells;
}

/** Faces of scales, liners and bolsters on the tang, and the joints between segments. */
export function addScaleFaces(handle: ScalesHandle, layout: Layout, areas: GluedAreas): void {
  const { outline, body, tangFace } = layout;
  const span = scalesSpan(handle, layout.span);
  const { front, rear } = handle.bolsters;
  const bolsters =
    (front ? areaBetween(outline, span[1] - front.lengthMm, span[1]) : 0) +
    (rear ? areaBetween(outline, span[0], span[0] + rear.lengthMm) : 0);
  const scales = areaBetween(outline, span[0], span[1]) - bolsters;
  // Bolsters lie on the tang itself, scales on the liners.
  areas.faces += 2 * (bolsters + scales * (handle.liners.length + 1));
  const liners = linersThickness(handle);
  const joint = (x: number) => sectionArea(body, x, lineAt(tangFace, x) + liners);
  for (const j of handle.joints) areas.segments += (1 + j.dividers.length) * joint(j.xMm);
  areas.segments += lengthwiseArea(handle.lengthwise, layout, liners);
  if (front) areas.segments += joint(span[1] - front.lengthMm);
  if (rear) areas.segments += joint(span[0] + rear.lengthMm);
}
