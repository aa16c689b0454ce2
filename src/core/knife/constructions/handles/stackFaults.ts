import type { Point } from "../../../geometry/curve/bezier";
import { signedDistance } from "../../../geometry/curve/crossing";
import type { StackHandle } from "../../design/schema";
import type { Report } from "../../parts/faults";
import { leastBetween } from "../../shapes/meetings";
import { bodyEnd, jointTilt, pressedLength, slackPiece } from "../../shapes/pieces";
import type { Layout } from "../../shapes/types";

/** Pieces along the tang: together they fill the handle. */
export function checkPieces(layout: Layout, handle: StackHandle, report: Report): void {
  const { buttX: butt, frontX: front, pieces: stations, outline } = layout;
  const slack = slackPiece(handle);
  if (slack < 0) {
    const end = stations[stations.length - 1][0];
    if (Math.abs(end - butt) > 0.5) {
      const at = { x: end, y: 0 };
      report("warning", "pieces-short-of-butt", { at, measured: front - end, limit: front - butt });
    }
    return;
  }
  const rest = bodyEnd(handle, front, butt);
  const given = handle.pieces.reduce((sum, p, i) => (i === slack ? sum : sum + pressedLength(p)), 0);
  const room = front - butt;
  if (!(given < room))
    report("error", "pieces-longer-than-handle", { at: { x: rest, y: 0 }, measured: given, limit: room });
  else
    handle.pieces.forEach((piece, i) => {
      if (piece.shape || i === 0) return;
      const [to, from] = stations[i];
      const ahead = { xMm: from, tiltDeg: jointTilt(handle, i - 1) };
      const behind = { xMm: to, tiltDeg: jointTilt(handle, i) };
      const between = leastBetween(outline, ahead, behind);
      if (!(between > 0)) {
        const more = { at: { x: to, y: 0 }, subject: piece.id, measured: between, limit: 0 };
        report("error", "joints-cross", more);
      }
    });
}

/** Rings are joined to what they stand on. */
export function checkRings({ rings }: StackHandle, edge: readonly Point[], report: Report): void {
  for (const r of rings) {
    const at = { x: r.xMm, y: r.yMm };
    const measured = signedDistance(edge, at) - r.boreMm / 2 - r.wallMm;
    if (!(measured < 0)) report("error", "ring-apart", { at, subject: r.id, measured, limit: 0 });
  }
}
