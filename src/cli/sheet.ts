import { readFile } from "node:fs/promises";
import { billOf } from "@/core/cost/bill";
import { plainShop } from "@/core/cost/shop";
import { today } from "@/core/design/job";
import { pdfFonts, writePdf } from "@/core/files/pdf/write";
import { missingIn } from "@/core/paper/missing";
import { correction, PAPERS, type PaperName, PRINTER_LIMITS, TRUE_PRINTER } from "@/core/paper/paper";
import { weigh } from "@/core/weigh/weigh";
import { sheetKindsOf, sheetPages } from "@/sheets/pages";
import { dayWords } from "@/words/job";
import { SHEET_KINDS, SHEET_WORDS, WITHOUT_WORDS } from "@/words/sheets";
import { numberIn, optionsOf, Refusal, USAGE, weighed, writeTo } from "./input";

/** Where the fonts lie from here, and from a bundle of this. */
const FONTS = ["../../public/fonts/", "../public/fonts/"].map((path) => new URL(path, import.meta.url));

async function fontNamed(name: string): Promise<Uint8Array> {
  for (const from of FONTS) {
    const bytes = await readFile(new URL(name, from)).catch(() => null);
    if (bytes) return new Uint8Array(bytes);
  }
  throw new Refusal(`the font ${name} is missing from public/fonts`);
}

/** Writes the sheets of a kind as a PDF, and says how many. */
export async function sheetFile(args: readonly string[]): Promise<unknown> {
  // Words of their own, beside options with values.
  const [across, upright] = [args.includes("--across"), args.includes("--upright")];
  const { path, options } = optionsOf(
    args.filter((a) => a !== "--across" && a !== "--upright"),
    ["--kind", "--paper", "--out", "--printer"],
  );
  const out = options.get("--out");
  if (!path || !out) throw new Refusal(USAGE);
  const kind = SHEET_KINDS.find((k) => k === options.get("--kind"));
  if (!kind) throw new Refusal(`--kind is ${SHEET_KINDS.join(", ")}, not "${options.get("--kind") ?? ""}"`);
  const paper = options.get("--paper") ?? "a4";
  if (!Object.hasOwn(PAPERS, paper))
    throw new Refusal(`--paper is ${Object.keys(PAPERS).join(", ")}, not "${paper}"`);
  const { design, variants, report } = await weighed(path);
  if (!sheetKindsOf(design).includes(kind))
    throw new Refusal(
      `${design.name} has no ${SHEET_WORDS[kind].name.toLowerCase()}: ${WITHOUT_WORDS[kind] ?? "it is not of that kind"}`,
    );
  const printer = printerIn(options.get("--printer"));
  const way = across ? "across" : upright ? "upright" : "proposed";
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
    day: dayWords(today()),
  });
  const title = `${design.name}: ${SHEET_WORDS[kind].name}`;
  await writeTo(
    out,
    writePdf(pages, { fonts: await pdfFonts(fontNamed), title, correction: correction(printer) }),
  );
  const missing = missingIn(pages);
  return { out, kind, paper, pages: pages.length, ...(missing.length > 0 ? { missing } : {}) };
}

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
