import { byKind } from "../../base/record/byKind";
import type { Line } from "../../geometry/solids/line";
import type { Design } from "../design/schema";
import { barHalf } from "./bar";

/**
 * Half the thickness along x of what the scales lie on: a full tang's, which is the spine's or falls straight from
 * front to butt, or a frame's. Of a hidden tang its own.
 */
export function tangFace(
  { tang, blade }: { readonly tang: Design["tang"]; readonly blade: Pick<Design["blade"], "spineMm"> },
  buttX: number,
): Line {
  return byKind<typeof tang, Line>(tang, {
    hidden: barHalf,
    framed: ({ frame }) => ({ at0: frame.thicknessMm / 2, slope: 0 }),
    full: ({ taper }) =>
      taper && buttX < 0
        ? { at0: taper.frontMm / 2, slope: (taper.frontMm - taper.buttMm) / 2 / -buttX }
        : { at0: (taper?.frontMm ?? blade.spineMm) / 2, slope: 0 },
  });
}
