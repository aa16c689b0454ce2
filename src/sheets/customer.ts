import { printMass, type UnitSystem } from "@/core/base/units/print";
import type { Figure, Item } from "@/core/exchange/paper/item";
import { moved } from "@/core/exchange/paper/item";
import { knifeFigure } from "@/core/exchange/paper/knifeFigure";
import { type Page, writing } from "@/core/exchange/paper/page";
import { differingInputs } from "@/core/figures/compare/inputs";
import { differingTraits, isPlace, traitOf } from "@/core/figures/compare/traits";
import { measuredBalanceMm, weighed } from "@/core/knife/design/measuredBalance";
import { balanceWords } from "@/words/balance";
import { dayWords, STATE_WORDS } from "@/words/job";
import { printMoney } from "@/words/money";
import { TRAIT_WORDS, traitValueWords } from "@/words/traits";
import { notes } from "./fitUp";
import { madeOfTable } from "./madeOf";
import type { Option, PageBuilder } from "./pageBuilder";

/** The largest that a drawing of the whole knife stands on a sheet, mm: of each of its two sides. */
const DRAWN_MM = 40;
/** Options in a row, few or many, and the height of their drawings, mm. */
const IN_A_ROW = { few: 3, many: 4 };
const OPTION_MM = 15;
const GAP_MM = 5;
/** Differences that are listed of an option; of more, how many there are. */
const MOST_TOLD = 5;

/** The knife from both sides, with how much smaller it is drawn. */
export function bothSides(builder: PageBuilder): Figure[] {
  const { design } = builder.source;
  const room = { widthMm: builder.widthMm, heightMm: DRAWN_MM };
  const [right, left] = (["right", "left"] as const).map((side) => knifeFigure(design, side, room));
  const said =
    right.scale > 0.999 ? "At its own size" : `Drawn at ${Math.round(right.scale * 100)} % of its size`;
  const reach = right.widthMm / right.scale;
  return [
    { ...right, leads: true },
    { ...left, leads: true },
    builder.text(
      `${said}, from its right and its left side. ${builder.length(reach, 1)} long over all, blade ${builder.length(design.blade.lengthMm, 1)}.`,
    ),
  ];
}

/** How far it has come, and by when it is wanted. */
function stateWords({ source: { design } }: PageBuilder): string {
  const { customer, state, begunOn, dueOn, finishedOn } = design.job;
  const days = [
    begunOn && `begun on ${dayWords(begunOn)}`,
    state === "planned" || state === "in-work" ? dueOn && `wanted by ${dayWords(dueOn)}` : null,
    finishedOn && (state === "finished" || state === "gone") ? `finished on ${dayWords(finishedOn)}` : null,
  ].filter(Boolean);
  return [customer ? `For ${customer}.` : "", `${[STATE_WORDS[state], ...days].join(", ")}.`]
    .filter(Boolean)
    .join(" ");
}

/** What a customer agrees to before anything is cut. */
export function customerPages(builder: PageBuilder): Page[] {
  const { design, report, units, bill, currency, options } = builder.source;
  const own = bill && bill.unpriced.length === 0 ? bill.total : null;
  const price = (value: number | null) => (value === null ? null : printMoney(value, { currency }));
  const about = printMass((report.massIntervalG[1] - report.massIntervalG[0]) / 2, units);
  const figures = [
    builder.title(design.name),
    builder.text(stateWords(builder)),
    ...bothSides(builder),
    builder.heading("Made of"),
    ...madeOfTable(builder),
    builder.heading("Weight, balance, price"),
    builder.text(
      `About ${printMass(report.massG, units)}, give or take ${about}. It balances ${balanceWords(report.balanceMm, design, units)}. ${own === null ? "The price is agreed on by hand." : `${price(own)}.`}`,
    ),
    ...(options.length > 0 ? [builder.heading("Or instead"), ...optionRows(builder, price)] : []),
    ...notes(builder),
    builder.text("Wood and other grown materials differ from piece to piece; weight and balance with them."),
    builder.blank("Agreed: which, place, day, signature"),
  ];
  return builder.flowed("customer", figures, 2);
}

/** Options beside each other: each drawn, with what differs, what it weighs and costs, and a box to tick. */
function optionRows(builder: PageBuilder, price: (value: number | null) => string | null): Figure[] {
  const { options } = builder.source;
  const inRow = options.length > IN_A_ROW.few ? IN_A_ROW.many : IN_A_ROW.few;
  const widthMm = (builder.widthMm - (inRow - 1) * GAP_MM) / inRow;
  const cells = options.map((o) => optionCell(builder, o, widthMm, price(o.price)));
  const rows: Figure[] = [];
  for (let i = 0; i < cells.length; i += inRow) {
    const of = cells.slice(i, i + inRow);
    rows.push({
      items: of.flatMap((c, k) => c.items.map((item) => moved(item, k * (widthMm + GAP_MM), 0))),
      widthMm: builder.widthMm,
      heightMm: Math.max(...of.map((c) => c.heightMm)),
    });
  }
  return rows;
}

/** By how much it is heavier or lighter; what prints as nothing is none. */
function besideWords(heavierG: number, units: UnitSystem): string {
  const by = printMass(Math.abs(heavierG), units);
  return by === printMass(0, units) ? "as heavy" : `${by} ${heavierG < 0 ? "lighter" : "heavier"}`;
}

function optionCell(builder: PageBuilder, option: Option, widthMm: number, price: string | null): Figure {
  const { report, units } = builder.source;
  const drawn = knifeFigure(option.design, "right", { widthMm, heightMm: OPTION_MM });
  const heavier = option.massG - report.massG;
  const listed = differences(builder, option);
  const lines = [
    writing(option.name, widthMm - 6, { sizeMm: 3.4, bold: true }),
    ...listed.map((t) => writing(t, widthMm, { sizeMm: 2.9 })),
    writing(
      `${printMass(option.massG, units)}, ${besideWords(heavier, units)}. It balances ${balanceWords(option.balanceMm, option.design, units)}.`,
      widthMm,
      { sizeMm: 2.9 },
    ),
    ...(price ? [writing(price, widthMm, { sizeMm: 2.9 })] : []),
  ];
  const items: Item[] = [...drawn.items];
  let y = OPTION_MM + 2;
  for (const l of lines) {
    items.push(...l.items.map((item) => moved(item, 0, y)));
    y += l.heightMm + 0.6;
  }
  const [x0, y0, size] = [widthMm - 4.5, OPTION_MM + 2, 4];
  const box = [
    [x0, y0],
    [x0 + size, y0],
    [x0 + size, y0 + size],
    [x0, y0 + size],
  ].map(([x, at]) => ({ x, y: at, bulge: 0 }));
  return { items: [...items, { kind: "loop", pen: "mark", loop: box }], widthMm, heightMm: y };
}

/** What of an option is otherwise than in the knife itself. */
function differences(builder: PageBuilder, option: Option): string[] {
  const { design, units } = builder.source;
  const said = differingTraits([design, option.design]).flatMap((t) => {
    const value = traitOf(option.design, t);
    // What it has none of is said once, by its material.
    if (value === null && !isPlace(t)) return [];
    return [`${TRAIT_WORDS[t]}: ${traitValueWords(value, units, builder.materialOf)}`];
  });
  if (said.length > 0)
    return said.length > MOST_TOLD ? [...said.slice(0, MOST_TOLD), "and more, as it is drawn"] : said;
  return [differingInputs([design, option.design]).length > 0 ? "Of other sizes" : "As the knife itself"];
}

/** What the finished knife is, to go with it. */
export function certificatePages(builder: PageBuilder): Page[] {
  const { design, report, units, day } = builder.source;
  const { blade, job } = design;
  const measured = weighed(blade.measured);
  const isKnife = measured?.of.kind === "knife";
  const facts: [string, string][] = [
    ["Finished on", job.finishedOn ? dayWords(job.finishedOn) : "not yet"],
    ["Made for", job.customer || "–"],
    [
      "Blade",
      `${builder.materialName(blade.steel)}, ${builder.length(blade.lengthMm, 1)} long, ${builder.length(blade.spineMm)} thick at the spine`,
    ],
    ...(blade.sharpenedDeg
      ? ([["Sharpened at", `${blade.sharpenedDeg.toFixed(0)}° a side`]] as [string, string][])
      : []),
    [
      "Weight",
      `${printMass(report.massG, units)}, ${isKnife ? `weighed on the finished knife${measured.onDay ? `, ${dayWords(measured.onDay)}` : ""}` : measured ? "the blade weighed, the rest from the drawing" : "from the drawing, not weighed"}`,
    ],
    [
      "Balance",
      `${balanceWords(report.balanceMm, design, units)}, ${isKnife && measuredBalanceMm(measured) !== null ? "measured on the finished knife" : "from the drawing"}`,
    ],
  ];
  const figures = [
    builder.title(`Certificate: ${design.name}`),
    ...(job.state === "finished" || job.state === "gone"
      ? []
      : [builder.text("This knife is not finished yet: the certificate says what it is to be.")]),
    ...bothSides(builder),
    ...builder.table(
      [
        { name: "", share: 1.2 },
        { name: "", share: 4 },
      ],
      facts,
    ),
    builder.heading("Made of"),
    ...madeOfTable(builder),
    ...notes(builder),
    builder.text(
      "Keep it dry and clean; oil steel that is not stainless. Do not put it in a dishwasher, pry with it, or heat it. Carry and use it as the law of the place allows.",
    ),
    builder.blank(`Maker's name and signature · printed ${day}`),
  ];
  return builder.flowed("certificate", figures, 2);
}
