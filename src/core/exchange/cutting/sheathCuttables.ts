import type { Design } from "../../knife/design/schema";
import { sheathPattern } from "../../sheath/pattern";
import { LEATHER, type SheathSettings } from "../../sheath/settings";
import { holesIn, wholePanel } from "../../sheath/wholePanel";
import type { CutSettings } from "./cutSettings";
import { type Cuttable, cuttableOf } from "./cuttable";
import { asLoops } from "./follows";

/**
 * The pieces of a sheath as they are cut, `sheath-front`, `sheath-back`, `sheath-welt` and `sheath-belt-loop`: stitches are
 * only marked. None of a knife that no sheath can be drawn round.
 */
export function sheathCuttables(design: Design, settings: CutSettings, sheath: SheathSettings): Cuttable[] {
  const found = sheathPattern(design, sheath);
  if (!found.ok) return [];
  const { panels, foldY } = found.pattern;
  return panels.map((panel) => {
    const mirrored = panel.name === "back";
    const outlines = asLoops(wholePanel(panel, foldY).map((l) => [...l]));
    // Leather is not ground to its size.
    const cut = cuttableOf(
      { name: `sheath-${panel.name}`, part: { outlines, holes: [] }, mirrored },
      { ...settings, allowanceMm: 0 },
      { count: 1, material: LEATHER, thicknessMm: panel.thickMm, mayTurn: false },
    );
    const ahead = mirrored ? -1 : 1;
    return {
      ...cut,
      layer: {
        ...cut.layer,
        centres: holesIn(panel, found.pattern).map(({ x, y }) => ({ x: ahead * x, y })),
      },
    };
  });
}
