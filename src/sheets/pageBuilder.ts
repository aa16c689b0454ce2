import { printLength, printLengthBare, type UnitSystem } from "@/core/base/units/print";
import type { Figure, Item } from "@/core/exchange/paper/item";
import {
  type FootWords,
  flowed,
  type Page,
  pagesOf,
  roomOf,
  table as rowsOf,
  writing,
} from "@/core/exchange/paper/page";
import { type PaperChoice, type PaperSetup, setupOf } from "@/core/exchange/paper/paper";
import { laidOut, laidOutProposed, type NamedFigure } from "@/core/exchange/paper/tile";
import { wrapped } from "@/core/exchange/paper/wrapped";
import type { Bill } from "@/core/figures/cost/bill";
import { type FitFigures, fitFigures } from "@/core/figures/fit/fitFigures";
import type { MassReport } from "@/core/figures/weigh/report";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import type { PlanRecord, Recipe } from "@/core/plan/version";
import type { SheathSettings } from "@/core/sheath/settings";
import { FOOT_WORDS, SHEET_WORDS, type SheetKind, tileWords } from "@/words/sheets";

/** Another making of the knife, for the customer to choose from. */
export interface Option {
  readonly name: string;
  readonly design: Design;
  readonly massG: number;
  readonly balanceMm: number;
  readonly price: number | null;
}

/** What sheets are made of. */
export interface SheetSource {
  readonly design: Design;
  readonly report: MassReport;
  readonly units: UnitSystem;
  readonly paper: PaperChoice;
  readonly bill: Bill | null;
  readonly currency: string;
  readonly options: readonly Option[];
  /** How far the work has come, and how its maker works. */
  readonly plan: PlanRecord;
  /** Heat treatments of the maker's own. */
  readonly recipes: readonly Recipe[];
  /** How its maker makes sheaths; the usual way where it is left out. */
  readonly sheath?: SheathSettings;
  /** The day that the sheets are made, as it is written. */
  readonly day: string;
}

/** The same with what the sheets ask for again and again. */
export class PageBuilder {
  readonly materialOf: ReturnType<typeof materialsIn>;
  readonly setup: PaperSetup;
  readonly widthMm: number;
  private sheet: FitFigures | null = null;

  constructor(readonly source: SheetSource) {
    this.materialOf = materialsIn(source.design);
    this.setup = setupOf(source.paper);
    this.widthMm = roomOf(this.setup, "titled").widthMm;
  }

  get fit(): FitFigures {
    this.sheet ??= fitFigures(this.source.design);
    return this.sheet;
  }

  materialName = (id: string): string => this.materialOf(id)?.name ?? id;
  length = (mm: number, digits = 2): string => printLength(mm, this.source.units, digits);
  /** The same without its unit. */
  bare = (mm: number): string => printLengthBare(mm, this.source.units, 2);

  heading = (text: string): Figure => writing(text, this.widthMm, { sizeMm: 4.2, bold: true, leads: true });
  title = (text: string): Figure => writing(text, this.widthMm, { sizeMm: 6, bold: true, afterMm: 1 });
  text = (text: string): Figure => writing(text, this.widthMm, { sizeMm: 3.2 });

  /** A text of several lines, one figure a line, so that it may go on on the next sheet. */
  paragraphs = (text: string): Figure[] =>
    text
      .split("\n")
      .flatMap((line) => wrapped(line, 3.2, this.widthMm))
      .map((line) => this.text(line));

  table(columns: Parameters<typeof rowsOf>[0], rows: Parameters<typeof rowsOf>[1]): Figure[] {
    return rowsOf(columns, rows, this.widthMm);
  }

  /** A line to write on, with what is to be written there. */
  blank(said: string): Figure {
    const line: Item = {
      kind: "line",
      pen: "mark",
      points: [
        { x: 0, y: 12 },
        { x: this.widthMm * 0.6, y: 12 },
      ],
    };
    return {
      items: [line, { kind: "text", x: 0, y: 16, text: said, sizeMm: 3, anchor: "start" }],
      widthMm: this.widthMm,
      heightMm: 17,
    };
  }

  /** Figures one under the other. */
  flowed(kind: SheetKind, figures: readonly Figure[], gapMm: number): Page[] {
    const { setup } = this;
    const bodies = flowed(figures, setup, gapMm).map((items) => ({ items, setup }));
    return pagesOf(bodies, this.foot(kind), "titled");
  }

  /** Figures at their own size, the way round that cuts the fewest of them where none is chosen. */
  trueSize(kind: SheetKind, figures: readonly NamedFigure[]): Page[] {
    const { setup, source } = this;
    const bodies =
      source.paper.way === "proposed"
        ? laidOutProposed(figures, setup, tileWords)
        : laidOut(figures, setup, tileWords).map((items) => ({ items, setup }));
    return pagesOf(bodies, this.foot(kind), "measured");
  }

  private foot(kind: SheetKind): FootWords {
    const { design, day } = this.source;
    return {
      ...FOOT_WORDS,
      title: (n, of) => `${design.name} · ${SHEET_WORDS[kind].name} · ${n} of ${of} · ${day}`,
    };
  }
}
