import { lineAt } from "../../geometry/solids/line";
import { piecesOf } from "../design/handleParts";
import type { Design, Texture } from "../design/schema";
import { meanLossMm } from "../design/textures";
import { layoutOf } from "../layout/layout";
import type { Report } from "../parts/faults";

/** A face that is not smooth, where it is, and what it may be cut into at most. */
interface Face {
  readonly face: Texture | null;
  readonly at: { readonly x: number; readonly y: number };
  readonly subject?: string;
  readonly thickMm: number;
}

/** Faces that are not smooth: what is missing of them lies within their depth, and that within what they are on. */
export function checkTextures(design: Design, report: Report): void {
  for (const { face, at, subject, thickMm } of facesOf(design)) {
    if (!face) continue;
    const loss = meanLossMm(face);
    if (loss > face.depthMm)
      report("error", "loss-over-depth", { at, subject, measured: loss, limit: face.depthMm });
    if (!(face.depthMm < thickMm))
      report("error", "texture-too-deep", { at, subject, measured: face.depthMm, limit: thickMm });
  }
}

function facesOf(design: Design): Face[] {
  const { handle, guard, blade } = design;
  const { tangFace, crowns, frontX, buttX, pieces } = layoutOf(design);
  const faces: Face[] = [
    { face: blade.face, at: { x: blade.ricassoMm, y: 0 }, thickMm: blade.spineMm / 2 },
    ...(guard ? [{ face: guard.face, at: { x: 0, y: 0 }, thickMm: guard.plates[0].thicknessMm }] : []),
    ...piecesOf(handle).map(({ id, face, shape }, i): Face => {
      const x = pieces[i] ? (pieces[i][0] + pieces[i][1]) / 2 : frontX;
      const thickMm = shape ? Number.POSITIVE_INFINITY : Math.min(crowns.right.at(x), crowns.left.at(x));
      return { face, at: { x, y: 0 }, subject: id, thickMm };
    }),
  ];
  if (handle.kind !== "scales") return faces;
  for (const side of ["right", "left"] as const) {
    const { face, thicknessMm } = handle[side];
    const over = handle.plan.map((p) => crowns[side].at(p.xMm) - lineAt(tangFace, p.xMm));
    const thickMm = Math.min(thicknessMm, ...over);
    const at = { x: (frontX + buttX) / 2, y: 0 };
    faces.push({ face, at, subject: `scale-${side}`, thickMm });
    for (const end of ["front", "rear"] as const) {
      const bolster = handle.bolsters[end];
      if (bolster)
        faces.push({ face: bolster.face, at: { x: end === "front" ? frontX : buttX, y: 0 }, thickMm });
    }
  }
  return faces;
}
