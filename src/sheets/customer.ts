import type { Design } from "@/core/design/schema";
import type { Figure } from "@/core/paper/item";
import { knifeFigure } from "@/core/paper/knifeFigure";
import type { Page } from "@/core/paper/page";
import { printMass } from "@/core/units/print";
import { balanceWords } from "@/words/balance";
import { printMoney } from "@/words/money";
import { cutName } from "@/words/parts";
import type { SheetMaker } from "./sheet";

/** The largest that a drawing of the whole knife stands on a sheet, mm. */
const DRAWN_MM = 60;

/** The knife from its right side, with how much smaller it is drawn. */
export function drawing(maker: SheetMaker, design: Design): Figure[] {
  const figure = knifeFigure(design, { widthMm: maker.widthMm, heightMm: DRAWN_MM });
  const said =
    figure.scale > 0.999 ? "At its own size" : `Drawn at ${Math.round(figure.scale * 100)} % of its size`;
  const reach = design.blade.lengthMm - Math.min(...design.handle.outline.map((n) => n.xMm));
  return [
    figure,
    maker.text(
      `${said}, from its right side. ${maker.length(reach, 1)} long over all, blade ${maker.length(design.blade.lengthMm, 1)}.`,
    ),
  ];
}

/** Every material, and which way up and round its grain or weave lies. */
export function materials(maker: SheetMaker): Figure[] {
  return maker.table(
    [
      { name: "Part", share: 3 },
      { name: "Material", share: 3.4 },
      { name: "How it lies", share: 3 },
    ],
    maker.fit.cut.map((c) => [
      cutName(c.key),
      maker.materialName(c.material),
      [c.grain ? "grain along the handle" : "", c.pair ? "matched pair, good faces outside" : ""]
        .filter(Boolean)
        .join(", ") || "–",
    ]),
  );
}

/** What a customer agrees to before anything is cut. */
export function customerPages(maker: SheetMaker): Page[] {
  const { design, report, units, bill, currency, options } = maker.source;
  const price = (value: number | null) => (value === null ? "–" : printMoney(value, { currency }));
  const own = bill && bill.unpriced.length === 0 ? bill.total : null;
  const customer = design.job.customer ? [maker.text(`For ${design.job.customer}`)] : [];
  const figures = [
    maker.title(design.name),
    ...customer,
    ...drawing(maker, design),
    maker.heading("Materials"),
    ...materials(maker),
    maker.heading("Weight and balance"),
    maker.text(
      `${printMass(report.massG, units)}, to within ${printMass((report.massIntervalG[1] - report.massIntervalG[0]) / 2, units)}. It balances ${balanceWords(report.balanceMm, design, units)}.`,
    ),
    maker.heading(options.length > 0 ? "Options" : "Price"),
    ...maker.table(
      [
        { name: "Making", share: 3.4 },
        { name: "Weight", share: 1.4, number: true },
        { name: "Balances, from the front", share: 2, number: true },
        { name: "Price", share: 1.6, number: true },
        { name: "Chosen", share: 1 },
      ],
      [{ name: "As drawn", massG: report.massG, balanceMm: report.balanceMm, price: own }, ...options].map(
        (o) => [o.name, printMass(o.massG, units), maker.length(o.balanceMm, 1), price(o.price), ""],
      ),
    ),
    ...(bill && bill.unpriced.length > 0
      ? [maker.text("Without a price until every material has one (Compare › Cost); agree on it by hand.")]
      : []),
    maker.text("Wood and other grown materials differ from piece to piece; weight and balance with them."),
    maker.blank("Agreed: place, day, signature"),
  ];
  return maker.flowed("customer", figures, 2);
}

/** What the finished knife is, to go with it. */
export function certificatePages(maker: SheetMaker): Page[] {
  const { design, report, units, day } = maker.source;
  const { blade, job } = design;
  const facts: [string, string][] = [
    ["Finished on", job.finishedOn ?? "not yet"],
    ["Made for", job.customer || "–"],
    [
      "Blade",
      `${maker.materialName(blade.steel)}, ${maker.length(blade.lengthMm, 1)} long, ${maker.length(blade.spineMm)} thick at the spine`,
    ],
    [
      "Weight",
      `${printMass(report.massG, units)}${blade.measured?.of.kind === "knife" ? ", weighed" : ", as designed"}`,
    ],
    ["Balance", balanceWords(report.balanceMm, design, units)],
    ...(blade.sharpenedDeg
      ? ([["Sharpened at", `${blade.sharpenedDeg.toFixed(0)}° a side`]] as [string, string][])
      : []),
  ];
  const figures = [
    maker.title(`Certificate: ${design.name}`),
    ...(job.state === "finished" || job.state === "gone"
      ? []
      : [maker.text("This knife is not finished yet (Notes › State): the certificate tells the design.")]),
    ...drawing(maker, design),
    ...maker.table(
      [
        { name: "", share: 1.2 },
        { name: "", share: 4 },
      ],
      facts,
    ),
    maker.heading("Materials"),
    ...materials(maker),
    maker.text(
      "Keep it dry and clean; oil steel that is not stainless. Do not put it in a dishwasher, pry with it, or heat it. Carry and use it as the law of the place allows.",
    ),
    maker.blank(`Maker's name and signature · printed ${day}`),
  ];
  return maker.flowed("certificate", figures, 2);
}
