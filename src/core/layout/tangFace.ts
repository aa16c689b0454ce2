import type { Design } from "../design/schema";
import type { Line } from "../solids/line";
import { barHalf } from "./bar";

/**
 * Half the thickness along x of what the scales lie on: a full tang's, which is the spine's or falls straight from
 * front to butt, or a frame's. Of a hidden tang its own.
 */
export function tangFace(
  { tang, blade }: { readonly tang: Design["tang"]; readonly blade: Pick<Design["blade"], "spineMm"> },
  buttX: number,
): Line {
  if (tang.kind === "hidden") return barHalf(tang);
  if (tang.kind === "framed") return { at0: tang.frame.thicknessMm / 2, slope: 0 };
  const taper = tang.taper;
  if (!taper || !(buttX < 0)) return { at0: (taper?.frontMm ?? blade.spineMm) / 2, slope: 0 };
  return { at0: taper.frontMm / 2, slope: (taper.frontMm - taper.buttMm) / 2 / -buttX };
}
