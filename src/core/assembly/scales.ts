import type { Bolster, ScalesHandle } from "../design/schema";
import { jointStations } from "../layout/meetings";
import { bolsterJoint, jointsFrontFirst } from "../layout/scales";
import { halfSpaceRegion, jointSide } from "../solids/halfSpace";
import { layerRegion, lineAt, shifted } from "../solids/layer";
import { type AssemblyBuilder, all } from "./builder";

/** Bolsters, liners and scales on both sides of the tang, in that order of precedence. */
export function addScales(b: AssemblyBuilder, handle: ScalesHandle, body: number): void {
  for (const mirror of [false, true]) {
    addBolster(b, handle.bolsters.front, "front", mirror, body);
    addBolster(b, handle.bolsters.rear, "rear", mirror, body);
    addSide(b, handle, mirror, body);
  }
}

const word = (mirror: boolean) => (mirror ? "left" : "right");

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
  const lean = Math.tan((bolster.tiltDeg * Math.PI) / 180);
  const under = Math.tan((bolster.dovetailDeg * Math.PI) / 180);
  const s = end === "front" ? -1 : 1;
  const face = lineAt(b.layout.tangFace, at);
  // x = at + y·lean ∓ (|z| − face)·under; what lies toward the bolster's own end is its.
  const side = mirror ? -1 : 1;
  const normal = [s, -s * lean, -under * side] as const;
  const stations = jointStations(b.layout.outline, at, bolster.tiltDeg);
  const joint = b.put(halfSpaceRegion({ normal, offsetMm: s * at - under * face }, b.layout.span, stations));
  const name = `${end === "front" ? "Front" : "Rear"} bolster, ${word(mirror)}`;
  const material = mirror ? bolster.left : bolster.right;
  const layer = putLayer(b, 0, null, mirror);
  b.add("handle", `bolster-${end}-${word(mirror)}`, name, all(material), body, layer, joint);
}

/** Liners, then the scale, in one piece or in segments with dividers between. */
function addSide(b: AssemblyBuilder, handle: ScalesHandle, mirror: boolean, body: number): void {
  const side = word(mirror);
  let from = 0;
  handle.liners.forEach((liner, i) => {
    const name = handle.liners.length > 1 ? `Liner ${i + 1}, ${side}` : `Liner, ${side}`;
    const to = from + liner.thicknessMm;
    b.add("handle", `liner-${i + 1}-${side}`, name, all(liner.material), body, putLayer(b, from, to, mirror));
    from = to;
  });
  const rest = putLayer(b, from, null, mirror);
  const joints = jointsFrontFirst(handle);
  const ahead = (at: number, tilt: number) =>
    b.put(jointSide("ahead", at, tilt, b.layout.span, jointStations(b.layout.outline, at, tilt)));
  let material = mirror ? handle.left.material : handle.right.material;
  joints.forEach((joint, i) => {
    const name = `Scale ${i + 1}, ${side}`;
    b.add(
      "handle",
      `scale-${i + 1}-${side}`,
      name,
      all(material),
      body,
      rest,
      ahead(joint.xMm, joint.tiltDeg),
    );
    if (joint.divider) {
      const { material: of, thicknessMm } = joint.divider;
      const divider = `Divider ${i + 1}, ${side}`;
      const back = ahead(joint.xMm - thicknessMm, joint.tiltDeg);
      b.add("handle", `${joint.id}-${side}`, divider, all(of), body, rest, back);
    }
    material = mirror ? joint.left : joint.right;
  });
  const last = joints.length + 1;
  const name = joints.length > 0 ? `Scale ${last}, ${side}` : `Scale, ${side}`;
  const id = joints.length > 0 ? `scale-${last}-${side}` : `scale-${side}`;
  b.add("handle", id, name, all(material), body, rest);
}
