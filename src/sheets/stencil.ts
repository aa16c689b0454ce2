import type { Stencil } from "@/core/exchange/cutting/film";
import { stencils } from "@/core/exchange/cutting/stencils";
import { cross, type Item } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { pieceFigure } from "@/core/exchange/paper/pieceFigure";
import type { NamedFigure } from "@/core/exchange/paper/tile";
import type { Layer } from "@/core/geometry/contours/drawing";
import { straightLoop } from "@/core/geometry/contours/loop";
import type { Point } from "@/core/geometry/curve/bezier";
import { sizeOfMark } from "@/core/knife/layout/bladeMarks";
import { MARK_WAY_STEPS, markLine, REVERSED_WORDS, stencilLines, stencilTitle } from "@/words/marks";
import type { PageBuilder } from "./pageBuilder";

/** What is opened in a film is printed black: films are exposed by it, or cut along its border. */
const OPENING_TINT = "#000000";
const CROSS_MM = 4;

/** Films for both sides of the blade at their own size: as they are read, and reversed. */
export function stencilPages(builder: PageBuilder): Page[] {
  const { design } = builder.source;
  const ways = [...new Set(design.blade.marks.map((m) => m.way))];
  const notes = ways.flatMap((w) => MARK_WAY_STEPS[w]);
  const films = stencils(design);
  const figures = films.flatMap((s, i) => [
    filmFigure(builder, s, false, i === 0 ? notes : []),
    ...(s.marks.length > 0 ? [filmFigure(builder, s, true, [])] : []),
  ]);
  return builder.trueSize("stencil", figures);
}

function filmFigure(
  { source: { units } }: PageBuilder,
  stencil: Stencil,
  reversed: boolean,
  notes: readonly string[],
): NamedFigure {
  const ahead = (stencil.side === "left") === reversed ? 1 : -1;
  const seen = ({ x, y }: Point): Point => ({ x: ahead * x, y });
  const name = reversed ? `${stencilTitle(stencil)}, reversed` : stencilTitle(stencil);
  const film: Layer = { name, loops: [straightLoop(stencil.film.map(seen))], circles: [], centres: [] };
  const says = reversed
    ? [name, `${REVERSED_WORDS}.`]
    : [
        name,
        ...stencil.marks.map((m) => markLine(m, sizeOfMark(m).widthMm, units)),
        ...stencilLines(stencil),
        ...notes,
      ];
  const figure = pieceFigure(film, says, false);
  const to = (p: Point) => figure.toPaper(seen(p));
  const drawn: Item[] = [
    ...stencil.blade.map((l): Item => ({ kind: "line", pen: "hidden", points: [...l, l[0]].map(to) })),
    { kind: "fill", loops: stencil.openings.map((l) => l.map(to)), tint: OPENING_TINT },
    ...stencil.crosses.flatMap((c) => cross(to(c), CROSS_MM, "cut")),
  ];
  return { ...figure, items: [...figure.items, ...drawn], name };
}
