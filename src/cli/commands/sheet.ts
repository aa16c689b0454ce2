import { readFile } from "node:fs/promises";
import { pdfFonts, writePdf } from "@/core/exchange/files/pdf/write";
import { missingIn } from "@/core/exchange/paper/missing";
import { correction, PAPERS, type PaperName, TRUE_PRINTER } from "@/core/exchange/paper/paper";
import { billOf } from "@/core/figures/cost/bill";
import { plainShop } from "@/core/figures/cost/shop";
import { weigh } from "@/core/figures/weigh/weigh";
import { today } from "@/core/knife/design/job";
import { PRINTER_LIMITS } from "@/core/knife/design/workshopParts";
import { newPlan } from "@/core/plan/newPlan";
import { sheetKindsOf } from "@/sheets/kinds";
import { sheetPages } from "@/sheets/pages";
import { small } from "@/words/grammar";
import { dayWords } from "@/words/job";
import { SHEET_KINDS, SHEET_WORDS, WITHOUT_WORDS } from "@/words/sheets";
import { command } from "../command";
import { numberIn, weighedFixed, writeTo } from "../input";
import { Refusal } from "../refusal";

/** Where the fonts lie from here, and from a bundle of this. */
const FONTS = ["../../../public/fonts/", "../public/fonts/"].map((path) => new URL(path, import.meta.url));

async function fontNamed(name: string): Promise<Uint8Array> {
  for (const from of FONTS) {
    const bytes = await readFile(new URL(name, from)).catch(() => null);
    if (bytes) return new Uint8Array(bytes);
  }
  throw new Refusal(`the font ${name} is missing from public/fonts`);
}

/** Writes the sheets of a kind as a PDF, and says how many. */
export const sheet = command({
  name: "sheet",
  says: "prints sheets as a PDF",
  args: ["FILE"],
  options: {
    kind: { value: SHEET_KINDS.join("|"), says: "which sheets", needed: true },
    out: { value: "FILE.pdf", says: "where to", needed: true },
    paper: { value: Object.keys(PAPERS).join("|"), says: "a4 where it is not given" },
    across: { value: null, says: "on its side; else the way round that cuts the fewest pieces" },
    upright: { value: null, says: "upright" },
    printer: { value: "100x100", says: "what the printer makes of 100 mm, across and down" },
  },
  run: async ({ args: [path], needed, text, has }) => {
    const out = needed("out");
    const kind = SHEET_KINDS.find((k) => k === needed("kind"));
    if (!kind) throw new Refusal(`--kind is ${SHEET_KINDS.join(", ")}, not "${needed("kind")}"`);
    const paper = text("paper") ?? "a4";
    if (!Object.hasOwn(PAPERS, paper))
      throw new Refusal(`--paper is ${Object.keys(PAPERS).join(", ")}, not "${paper}"`);
    const { design, variants, report } = await weighedFixed(path);
    if (!sheetKindsOf(design).includes(kind))
      throw new Refusal(
        `${design.name} has no ${small(SHEET_WORDS[kind].name)}: ${WITHOUT_WORDS[kind] ?? "it is not of that kind"}`,
      );
    const printer = printerIn(text("printer"));
    const way = has("across") ? "across" : has("upright") ? "upright" : "proposed";
    const shop = plainShop();
    const built = variants.flatMap((v) => {
      const weighing = weigh(v.design);
      return weighing.ok
        ? [{ ...v, massG: weighing.report.massG, balanceMm: weighing.report.balanceMm, price: null }]
        : [];
    });
    const pages = sheetPages(kind, {
      design,
      report,
      units: "metric",
      paper: { paper: paper as PaperName, way, printer },
      bill: billOf(design, shop, report),
      currency: shop.currency,
      options: built,
      plan: newPlan(),
      recipes: [],
      day: dayWords(today()),
    });
    const title = `${design.name}: ${SHEET_WORDS[kind].name}`;
    await writeTo(
      out,
      writePdf(pages, { fonts: await pdfFonts(fontNamed), title, correction: correction(printer) }),
    );
    const missing = missingIn(pages);
    return { out, kind, paper, pages: pages.length, ...(missing.length > 0 ? { missing } : {}) };
  },
});

/** "99.5x100.2": what the printer makes of 100 mm, across and down. */
function printerIn(text: string | undefined) {
  if (text === undefined) return TRUE_PRINTER;
  const [acrossMm, downMm, ...more] = text.split("x").map((t) => numberIn(t, "--printer"));
  const [least, most] = PRINTER_LIMITS;
  const sound = (mm: number) => mm >= least && mm <= most;
  if (more.length > 0 || downMm === undefined || !sound(acrossMm) || !sound(downMm))
    throw new Refusal(
      `--printer is what it makes of 100 mm, across and down, such as 99.5x100.2, not "${text}"`,
    );
  return { acrossMm, downMm };
}
