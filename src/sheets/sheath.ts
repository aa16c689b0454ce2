import type { Item } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { pieceFigure } from "@/core/exchange/paper/pieceFigure";
import type { NamedFigure } from "@/core/exchange/paper/tile";
import type { Layer } from "@/core/geometry/contours/drawing";
import { straightLoop } from "@/core/geometry/contours/loop";
import type { Point } from "@/core/geometry/curve/bezier";
import { type Panel, type SheathPattern, sheathMassG, sheathPattern } from "@/core/sheath/pattern";
import { seenBetween } from "@/core/sheath/sections";
import { LEATHER, USUAL_SHEATH } from "@/core/sheath/settings";
import { goesIn } from "@/core/sheath/throat";
import { holesIn, wholePanel } from "@/core/sheath/wholePanel";
import {
  panelLines,
  SHEATH_CAUTIONS,
  SHEATH_STEPS,
  sheathFailureWords,
  sheathLines,
  sheathNoteWords,
} from "@/words/sheath";
import type { PageBuilder } from "./pageBuilder";

/** What is written of the order is so wide, mm. */
const ORDER_MM = 150;

/** A punched hole, mm. */
const HOLE_MM = 0.5;

/** The sheath's pieces at their own size with every stitch, the knife drawn where it lies, and the order of the work. */
export function sheathPages(builder: PageBuilder): Page[] {
  const { design, units, sheath } = builder.source;
  const found = sheathPattern(design, sheath ?? USUAL_SHEATH);
  if (!found.ok)
    return builder.flowed(
      "sheath",
      [builder.title("Sheath"), builder.text(sheathFailureWords(found, units))],
      4,
    );
  const { pattern } = found;
  const density = builder.materialOf(LEATHER)?.densityGcc.typical ?? 0;
  const knife = seenBetween(goesIn(design, pattern.throatMm), pattern.throatMm, pattern.tipMm);
  const says = [
    ...sheathLines(pattern, sheathMassG(pattern, density), builder.source.report.massG, units),
    ...pattern.notes.map((n) => sheathNoteWords(n, units)),
  ];
  return builder.trueSize("sheath", [
    ...pattern.panels
      .filter((p) => p.name !== "back")
      .map((panel) => panelFigure(builder, pattern, panel, knife, panel.name === "front" ? says : [])),
    orderFigure(pattern),
  ]);
}

/** What is done one after the other, and what to take care of. */
function orderFigure({ settings }: SheathPattern): NamedFigure {
  const line = [
    { x: 0, y: 0 },
    { x: ORDER_MM, y: 0 },
    { x: ORDER_MM, y: 0.01 },
  ];
  const room: Layer = { name: "order", loops: [straightLoop(line)], circles: [], centres: [] };
  const steps = SHEATH_STEPS[settings.style].map((step, i) => `${i + 1}. ${step}`);
  return { ...pieceFigure(room, ["Order of the work", ...steps, ...SHEATH_CAUTIONS], false), name: "order" };
}

function panelFigure(
  builder: PageBuilder,
  pattern: SheathPattern,
  panel: Panel,
  knife: readonly Point[],
  says: readonly string[],
): NamedFigure {
  const { foldY, settings } = pattern;
  const isPanel = panel.name === "front";
  const other = (p: Point): Point => ({ x: p.x, y: 2 * (foldY ?? 0) - p.y });
  const folded = isPanel && foldY !== null;
  const whole = wholePanel(panel, foldY);
  const layer: Layer = {
    name: panel.name,
    loops: whole.map((l) => straightLoop(l)),
    circles: [],
    centres: [],
  };
  const figure = pieceFigure(
    layer,
    [...panelLines(panel, settings.style, builder.source.units), ...says],
    false,
  );
  const halves = isPanel ? [(p: Point) => p, ...(folded ? [other] : [])] : [];
  const items: Item[] = [
    ...holesIn(panel, pattern).map(
      (h): Item => ({ kind: "circle", pen: "mark", ...figure.toPaper(h), radiusMm: HOLE_MM }),
    ),
    ...halves.map(
      (half): Item => ({
        kind: "line",
        pen: "hidden",
        points: knife.map((p) => figure.toPaper(half(p))),
      }),
    ),
  ];
  const xs = panel.outline.map((p) => p.x);
  const fold: Item[] = folded
    ? [
        {
          kind: "line",
          pen: "centre",
          points: [
            { x: Math.min(...xs), y: foldY },
            { x: Math.max(...xs), y: foldY },
          ].map(figure.toPaper),
        },
      ]
    : [];
  return { ...figure, items: [...figure.items, ...items, ...fold], name: panel.name };
}
