import type { Bolster, ScalesHandle } from "../design/schema";
import { whole } from "../fasteners/kind";
import { jointStations } from "../layout/meetings";
import { behindDivider, bolsterJoint, jointsFrontFirst } from "../layout/scales";
import { radians } from "../number";
import { halfSpaceRegion, jointSide } from "../solids/halfSpace";
import { layerRegion } from "../solids/layer";
import { lineAt, shifted } from "../solids/line";
import type { AssemblyBuilder } from "./builder";
import type { PartKey, Side } from "./partKey";

/** Bolsters, liners and scales on both sides of the tang, in that order of precedence. */
export function addScales(b: AssemblyBuilder, handle: ScalesHandle, body: number): void {
  for (const mirror of [false, true]) {
    addBolster(b, handle.bolsters.front, "front", mirror, body);
    addBolster(b, handle.bolsters.rear, "rear", mirror, body);
    addSide(b, handle, mirror, body);
  }
}

const sideOf = (mirror: boolean): Side => (mirror ? "left" : "right");

/** The space outward from so far off the tang. */
function putLayer(b: AssemblyBuilder, from: number, to: number | null, mirror: boolean): number {
  const near = shifted(b.layout.tangFace, from, mirror);
  const far = to === null ? null : shifted(b.layout.tangFace, to, mirror);
  return b.put(mirror ? layerRegion(far, near, b.layout.span) : layerRegion(near, far, b.layout.span));
}

/** A block at one end down to the tang; its joint leans by the tilt, and overhangs the scale by the dovetail. */
function addBolster(
  b: AssemblyBuilder,
  bolster: Bolster | null,
  end: "front" | "rear",
  mirror: boolean,
  body: number,
): void {
  if (!bolster) return;
  const at = bolsterJoint(bolster, end, b.layout.span);
  const lean = Math.tan(radians(bolster.tiltDeg));
  const under = Math.tan(radians(bolster.dovetailDeg));
  const s = end === "front" ? -1 : 1;
  const face = lineAt(b.layout.tangFace, at);
  // x = at + y·lean ∓ (|z| − face)·under; what lies toward the bolster's own end is its.
  const side = mirror ? -1 : 1;
  const normal = [s, -s * lean, -under * side] as const;
  const stations = jointStations(b.layout.outline, at, bolster.tiltDeg);
  const joint = b.put(halfSpaceRegion({ normal, offsetMm: s * at - under * face }, b.layout.span, stations));
  const material = mirror ? bolster.left : bolster.right;
  const layer = putLayer(b, 0, null, mirror);
  const key = { kind: "bolster", sort: end, side: sideOf(mirror) } as const;
  b.add("handle", key, whole(material), body, layer, joint);
}

/** Liners, then the scale, in one piece or in segments with dividers between. */
function addSide(b: AssemblyBuilder, handle: ScalesHandle, mirror: boolean, body: number): void {
  const side = sideOf(mirror);
  const add = (key: PartKey, material: string, ...of: readonly number[]) =>
    b.add("handle", key, whole(material), body, ...of);
  const { liners } = handle;
  let from = 0;
  liners.forEach(({ material, thicknessMm }, i) => {
    const to = from + thicknessMm;
    const number = liners.length > 1 ? i + 1 : null;
    add({ kind: "liner", number, side }, material, putLayer(b, from, to, mirror));
    from = to;
  });
  const rest = putLayer(b, from, null, mirror);
  const joints = jointsFrontFirst(handle);
  const ahead = (at: number, tilt: number) =>
    b.put(jointSide("ahead", at, tilt, b.layout.span, jointStations(b.layout.outline, at, tilt)));
  let { material } = handle[side];
  joints.forEach((joint, i) => {
    const { id, xMm, tiltDeg, divider } = joint;
    add({ kind: "scale", number: i + 1, side }, material, rest, ahead(xMm, tiltDeg));
    if (divider) {
      const back = ahead(behindDivider(joint), tiltDeg);
      add({ kind: "divider", id, number: i + 1, side }, divider.material, rest, back);
    }
    material = joint[side];
  });
  const number = joints.length > 0 ? joints.length + 1 : null;
  add({ kind: "scale", number, side }, material, rest);
}
