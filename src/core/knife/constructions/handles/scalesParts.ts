import { radians } from "../../../base/number";
import { cylinderRegion } from "../../../geometry/solids/cylinder";
import { halfSpaceRegion, jointSide } from "../../../geometry/solids/halfSpace";
import { layerRegion } from "../../../geometry/solids/layer";
import { lineAt, shifted } from "../../../geometry/solids/line";
import { whole } from "../../../kinds/fasteners/kind";
import type { ScalesHandle } from "../../design/schema";
import type { AssemblyBuilder } from "../../parts/builder";
import type { PartKey, Side } from "../../parts/partKey";
import type { MadeOtherwise } from "../../parts/types";
import { halfStretches } from "../../shapes/halves";
import { lengthwiseParts } from "../../shapes/lengthwise";
import { scalesSpan } from "../../shapes/scaleEnd";
import { bolsterJoint, dividerStations, jointsFrontFirst, veneerNumber } from "../../shapes/scales";
import { workedAs } from "../../shapes/textures";

/** Shaped halves, what the tang is bare of, bolsters, liners and scales on both sides of it, in that order of precedence. */
export function addScales(b: AssemblyBuilder, handle: ScalesHandle, body: number): void {
  const along = lengthwiseParts(handle.lengthwise, b.layout);
  for (const mirror of [false, true]) addHalves(b, handle, mirror);
  addBareEnd(b, body);
  for (const mirror of [false, true]) {
    addBolster(b, handle, "front", mirror, body);
    addBolster(b, handle, "rear", mirror, body);
    addSide(b, handle, along, mirror, body);
  }
}

const sideOf = (mirror: boolean): Side => (mirror ? "left" : "right");

/** Halves of a shape of their own: from the middle out, so that they meet where there is no tang between them. */
function addHalves(b: AssemblyBuilder, { halves }: ScalesHandle, mirror: boolean): void {
  halves.forEach((half, i) => {
    const key: PartKey = {
      kind: "half",
      sort: half.end,
      id: half.id,
      number: halves.length > 1 ? i + 1 : null,
      side: sideOf(mirror),
    };
    for (const { regions, xRange, thicknessMm } of halfStretches(b.layout, half)) {
      const middle = { at0: 0, slope: 0 };
      const far = thicknessMm === null ? null : shifted(b.layout.tangFace, thicknessMm, mirror);
      const layer = mirror ? layerRegion(far, middle, xRange) : layerRegion(middle, far, xRange);
      b.add("handle", key, whole(half[sideOf(mirror)]), ...regions.map((r) => b.put(r)), b.put(layer));
    }
  });
}

/** The empty space beside the bare tang, where scales end ahead of the butt. */
function addBareEnd(b: AssemblyBuilder, body: number): void {
  const { scaleEnd, span } = b.layout;
  if (!scaleEnd) return;
  const { xMm, tiltDeg, wheel } = scaleEnd;
  const regions = [jointSide("behind", xMm, tiltDeg, span), ...(wheel ? [cylinderRegion(wheel)] : [])];
  for (const region of regions) b.add("handle", { kind: "bare-end" }, [], body, b.put(region));
}

/** The space outward from so far off the tang. */
function putLayer(b: AssemblyBuilder, from: number, to: number | null, mirror: boolean): number {
  const near = shifted(b.layout.tangFace, from, mirror);
  const far = to === null ? null : shifted(b.layout.tangFace, to, mirror);
  return b.put(mirror ? layerRegion(far, near, b.layout.span) : layerRegion(near, far, b.layout.span));
}

/** A block at one end down to the tang; its joint leans by the tilt, and overhangs the scale by the dovetail. */
function addBolster(
  b: AssemblyBuilder,
  handle: ScalesHandle,
  end: "front" | "rear",
  mirror: boolean,
  body: number,
): void {
  const bolster = handle.bolsters[end];
  if (!bolster) return;
  const at = bolsterJoint(bolster, end, scalesSpan(handle, b.layout.span));
  const lean = Math.tan(radians(bolster.tiltDeg));
  const under = Math.tan(radians(bolster.dovetailDeg));
  const s = end === "front" ? -1 : 1;
  const face = lineAt(b.layout.tangFace, at);
  // x = at + y·lean ∓ (|z| − face)·under; what lies toward the bolster's own end is its.
  const side = mirror ? -1 : 1;
  const normal = [s, -s * lean, -under * side] as const;
  const joint = b.put(halfSpaceRegion({ normal, offsetMm: s * at - under * face }, b.layout.span));
  const material = mirror ? bolster.left : bolster.right;
  const layer = putLayer(b, 0, null, mirror);
  const key = { kind: "bolster", sort: end, side: sideOf(mirror) } as const;
  b.addMade(
    { worked: workedAs(bolster.face, sideOf(mirror)) },
    "handle",
    key,
    whole(material),
    body,
    layer,
    joint,
  );
}

/** Liners, then the scale, in one piece or in segments with dividers between. */
function addSide(
  b: AssemblyBuilder,
  handle: ScalesHandle,
  along: ReturnType<typeof lengthwiseParts>,
  mirror: boolean,
  body: number,
): void {
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
  const { face, weighed } = handle[side];
  const otherwise: MadeOtherwise = {
    worked: workedAs(face, side),
    weighed: weighed?.massG ? { group: `scale-${side}`, massG: weighed.massG, offG: weighed.offG } : null,
  };
  const addScale = (number: number | null, of: string, ...more: readonly number[]) =>
    b.addMade(otherwise, "handle", { kind: "scale", number, side }, whole(of), body, rest, ...more);
  for (const { kind, material, region } of along) add({ kind, side }, material, rest, b.put(region));
  const joints = jointsFrontFirst(handle);
  const ahead = (at: number, tilt: number) => b.put(jointSide("ahead", at, tilt, b.layout.span));
  let { material } = handle[side];
  joints.forEach((joint, i) => {
    const { id, xMm, tiltDeg, dividers } = joint;
    addScale(i + 1, material, ahead(xMm, tiltDeg));
    dividerStations(joint).forEach((station, k) => {
      const key = { kind: "divider", id, number: i + 1, sheet: veneerNumber(joint, k), side } as const;
      add(key, dividers[k].material, rest, ahead(station, tiltDeg));
    });
    material = joint[side];
  });
  addScale(joints.length > 0 ? joints.length + 1 : null, material);
}
