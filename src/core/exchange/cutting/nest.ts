import { ROUNDING } from "../../base/tolerances";
import type { Drawing, Layer } from "../../geometry/contours/drawing";
import { signedArea } from "../../geometry/contours/loop";
import { nestedBoxes } from "./nestBoxes";
import { nestedOutlines } from "./nestOutlines";
import type { LaidPiece, Panel, Wanted } from "./panel";
import { layerBox, placed } from "./place";

export interface NestedPanel {
  readonly drawing: Drawing;
  /** How much of its area the pieces themselves take. */
  readonly usedShare: number;
}

/** What the pieces were laid out by. */
export type NestedBy = "boxes" | "outlines";

export interface Nesting {
  readonly sheets: readonly NestedPanel[];
  readonly by: NestedBy;
  /** Names of what is larger than a sheet, and is not laid out. */
  readonly tooLarge: readonly string[];
}

/** More pieces than this of one material and thickness are laid out by their boxes alone: outlines would take seconds. */
const MOST_BY_OUTLINE = 40;

/**
 * Pieces laid out on sheets of stock, largest first, by the boxes round them and by their outlines: whichever takes fewer
 * sheets, then less of the last one. Those that may be turned are by quarters.
 */
export function nested(wanted: readonly Wanted[], sheet: Panel): Nesting {
  const [roomW, roomH] = [sheet.widthMm - 2 * sheet.rimMm, sheet.heightMm - 2 * sheet.rimMm];
  const fits = ({ layer, mayTurn }: Wanted): boolean => {
    const box = layerBox(layer);
    if (!box) return true;
    const [w, h] = [box.x1 - box.x0, box.y1 - box.y0];
    return (w <= roomW && h <= roomH) || (mayTurn && h <= roomW && w <= roomH);
  };
  const fitting = wanted.filter(fits);
  const many = fitting.reduce((sum, w) => sum + w.count, 0);
  const ways: { by: NestedBy; sheets: LaidPiece[][] }[] = [
    { by: "boxes", sheets: nestedBoxes(fitting, sheet) },
  ];
  if (many > 1 && many <= MOST_BY_OUTLINE)
    for (const sheets of nestedOutlines(fitting, sheet)) ways.push({ by: "outlines", sheets });
  const best = ways.reduce((a, b) =>
    stockOf(b.sheets, sheet) < stockOf(a.sheets, sheet) - ROUNDING ? b : a,
  );
  return {
    sheets: best.sheets.map(
      (on): NestedPanel => ({
        drawing: { layers: on.map((p) => placed(p.layer, p, p.quarters, p.name)) },
        usedShare: on.reduce((sum, p) => sum + areaOf(p.layer), 0) / (sheet.widthMm * sheet.heightMm),
      }),
    ),
    by: best.by,
    tooLarge: wanted.filter((w) => !fits(w)).map((w) => w.layer.name),
  };
}

/** Sheets that are used, of the last one what a straight cut through it would leave behind. */
function stockOf(sheets: readonly (readonly LaidPiece[])[], { widthMm, heightMm }: Panel): number {
  const last = sheets.at(-1);
  if (!last) return 0;
  const boxes = last.map((p) => layerBox(placed(p.layer, p, p.quarters))!);
  const across = Math.max(...boxes.map((b) => b.x1)) / widthMm;
  const up = Math.max(...boxes.map((b) => b.y1)) / heightMm;
  return sheets.length - 1 + Math.min(across, up);
}

/** What a piece covers, its openings left out, mm². */
const areaOf = ({ loops }: Layer) => loops.reduce((sum, l) => sum + signedArea(l), 0);
