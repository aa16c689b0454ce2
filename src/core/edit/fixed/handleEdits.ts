import { valueAt } from "../../base/record/path";
import { THREADS } from "../../base/units/threads";
import type { Point } from "../../geometry/curve/bezier";
import { type ButtForm, withButt, withFingerGrooves } from "../../knife/design/butts";
import { newBlockHole } from "../../knife/design/newParts";
import type { BarEnd, BlockHole, CurvePoint, Design } from "../../knife/design/schema";
import { threadChange } from "../../knife/design/threadChange";
import { type HandleLength, withHandleLength } from "../../knife/layout/handleLengths";
import { withPointBetween } from "../../knife/layout/handleStarts";
import { withBareTang, withEnd, withMetalGrip, withTang } from "../../knife/starts/constructions";
import { COMMON_EDITS } from "../common";
import {
  mirrored,
  withNodeAfter,
  withNodeAt,
  withNodeCorner,
  withoutNode,
  withoutThickness,
  withThicknessAfter,
  withThicknessAt,
} from "../handleOutline";

const withHandle = (
  design: Design,
  handle: Partial<Pick<Design["handle"], "outline" | "symmetric" | "plan">>,
) => ({ ...design, handle: { ...design.handle, ...handle } }) as Design;

interface Sets {
  readonly sets: readonly { readonly path: string; readonly value: number }[];
}

const withAll = (design: Design, { sets }: Sets): Design =>
  sets.reduce((d, { path, value }) => COMMON_EDITS.set(d, { path, to: value }), design);

/** Edits of the tang and of the handle. */
export const HANDLE_EDITS = {
  tang: (design: Design, { kind }: Readonly<{ kind: Design["tang"]["kind"] }>) => withTang(design, kind),
  "tang-end": (design: Design, { kind }: Readonly<{ kind: BarEnd["kind"] }>) => withEnd(design, kind),
  "hole-made": (design: Design, { kind }: Readonly<{ kind: BlockHole["kind"] }>) =>
    design.tang.kind === "hidden"
      ? { ...design, tang: { ...design.tang, hole: newBlockHole(kind, design.tang) } }
      : design,
  /** Another thread of a fastener or of the tang's end, with the sizes that were the old thread's own. */
  thread: (design: Design, { at, thread }: Readonly<{ at: string; thread: string }>) => {
    const found = THREADS.find((t) => t.name === thread);
    const change = found && threadChange(design, at, found);
    return change ? withAll(design, change) : design;
  },
  /** Sizes that were not the old thread's own, as those of another. */
  "thread-sizes": (design: Design, { sets }: Sets & Readonly<{ thread: string }>) =>
    withAll(design, { sets }),
  "tang-bare": (design: Design, { bare }: Readonly<{ bare: boolean }>) => withBareTang(design, bare),
  "metal-grip": (design: Design, { material }: Readonly<{ material: string }>) =>
    withMetalGrip(design, material),
  "handle-length": (
    design: Design,
    { which, mm }: Readonly<{ which: HandleLength; mm: number }>,
  ): Design => ({
    ...design,
    handle: withHandleLength(design.handle, which, mm),
  }),
  "outline-mirrored": (design: Design, { mirrors }: Readonly<{ mirrors: boolean }>) =>
    withHandle(design, {
      symmetric: mirrors,
      ...(mirrors ? { outline: mirrored(design.handle.outline) } : {}),
    }),
  /** The handle's front brought to the blade's spine. */
  "follow-spine": (design: Design) =>
    withHandle(design, {
      outline: design.handle.outline.map((n, i) =>
        i === 0 ? { ...n, yMm: design.blade.spineOverAxisMm } : n,
      ),
    }),
  "butt-form": (design: Design, { form }: Readonly<{ form: ButtForm }>) =>
    withHandle(design, { outline: withButt(design.handle.outline, form), symmetric: false }),
  "finger-grooves": (design: Design, { count, depthMm }: Readonly<{ count: number; depthMm: number }>) =>
    withHandle(design, {
      outline: withFingerGrooves(design.handle.outline, count, depthMm),
      symmetric: false,
    }),
  "outline-move": (design: Design, { id, to }: Readonly<{ id: string; to: Point; role: string }>) =>
    withNodeAt(design, id, to),
  "outline-corner": (design: Design, { id, corner }: Readonly<{ id: string; corner: boolean }>) =>
    withNodeCorner(design, id, corner),
  "outline-add": (design: Design, { after, id }: Readonly<{ after: string; id: string }>) =>
    withNodeAfter(design, after, id),
  "outline-remove": (design: Design, { id }: Readonly<{ id: string; role: string }>) =>
    withoutNode(design, id),
  "thickness-move": (design: Design, { id, to, left }: Readonly<{ id: string; to: Point; left: boolean }>) =>
    withThicknessAt(design, id, to, left),
  "thickness-add": (design: Design, { after, id }: Readonly<{ after: number; id: string }>) =>
    withThicknessAfter(design, after, id),
  "thickness-remove": (design: Design, { id }: Readonly<{ id: string }>) => withoutThickness(design, id),
  /** One roundness all along the handle. */
  roundness: (design: Design, { to }: Readonly<{ to: number }>) =>
    withHandle(design, { plan: design.handle.plan.map((p) => ({ ...p, roundness: to })) }),
  "sides-differ": (design: Design, { differ }: Readonly<{ differ: boolean }>) =>
    withHandle(design, {
      plan: design.handle.plan.map((p) => ({ ...p, leftHalfMm: differ ? p.halfMm : null })),
    }),
  "match-scales": (design: Design) =>
    design.handle.kind === "scales"
      ? { ...design, handle: { ...design.handle, left: { ...design.handle.right } } }
      : design,
  /** A point more on a curve of the handle, in its longest stretch. */
  "curve-point-add": (
    design: Design,
    { list, closed, id }: Readonly<{ list: string; closed: boolean; id: string }>,
  ) => {
    const points = valueAt(design, list);
    if (!Array.isArray(points)) return design;
    return COMMON_EDITS.set(design, { path: list, to: withPointBetween(points as CurvePoint[], closed, id) });
  },
};
