import { byKind } from "../../base/record/byKind";
import type { Design, ScalesHandle, StackHandle } from "../../knife/design/schema";
import { type Layout, layoutOf } from "../../knife/layout/layout";
import { jointTilt } from "../../knife/layout/pieces";
import { bolsterJoint, dividerStations, jointsFrontFirst } from "../../knife/layout/scales";

/** A cut across the handle: its station on the axis and its lean, the top toward the front. */
export interface CutAcross {
  readonly xMm: number;
  readonly tiltDeg: number;
}

/** What shows between two cuts of the handle from the right side. */
export interface Cell {
  readonly id: string;
  readonly material: string;
  readonly front: CutAcross;
  readonly rear: CutAcross;
  /** Whether a joint along the handle runs through it. */
  readonly parted: boolean;
}

const upright = (xMm: number): CutAcross => ({ xMm, tiltDeg: 0 });

/** The parts of the handle's face from its right side, front to back, each within the handle's own outline. */
export function faceCells(design: Design): Cell[] {
  const { handle } = design;
  const layout = layoutOf(design);
  return byKind<typeof handle, Cell[]>(handle, {
    bare: () => [
      {
        id: "tang",
        material: design.blade.steel,
        front: upright(layout.frontX),
        rear: upright(layout.buttX),
        parted: false,
      },
    ],
    scales: (scales) => scaleCells(scales, layout),
    stack: (stack) => pieceCells(stack, layout),
  });
}

function scaleCells(handle: ScalesHandle, { span, buttX: butt, frontX: front }: Layout): Cell[] {
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
    put("bolster-rear", behind.right, upright(butt));
  } else put("scale", material, upright(butt));
  return cells;
}

function pieceCells(handle: StackHandle, { pieces: stations }: Layout): Cell[] {
  return handle.pieces.flatMap((piece, i) => {
    if (piece.shape) return [];
    const [to, from] = stations[i];
    const cut = (xMm: number, of: number): CutAcross => ({
      xMm,
      tiltDeg: of >= 0 && of < handle.pieces.length ? jointTilt(handle, of) : 0,
    });
    const parted = handle.lengthwise !== null && piece.role === "block";
    return [{ id: piece.id, material: piece.material, front: cut(from, i - 1), rear: cut(to, i), parted }];
  });
}
