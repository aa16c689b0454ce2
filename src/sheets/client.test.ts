import { readFileSync } from "node:fs";
import { proxy } from "comlink";
import { unzipSync } from "fflate";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { AS_DRAWN } from "@/core/exchange/cutting/cutSettings";
import { TRUE_PRINTER } from "@/core/exchange/paper/paper";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { MATERIALS } from "@/core/materials/materials";
import { newPlan } from "@/core/plan/newPlan";
import { poolOver } from "@/workers/port.fixtures";
import { createSheetsWorker } from "./client";
import { sheetKindsOf, TABLE_KINDS } from "./kinds";
import type { SheetSource } from "./pageBuilder";
import { sheetPages } from "./pages";
import { sheetsService } from "./sheets.service";

const design = newDesign("Sedge");
const weighing = weigh(design);
if (!weighing.ok) throw new Error("a new knife can be built");
const source: SheetSource = {
  design,
  report: weighing.report,
  units: "metric",
  paper: { paper: "a4", way: "proposed", printer: TRUE_PRINTER },
  bill: null,
  currency: "€",
  options: [],
  plan: newPlan(),
  recipes: [],
  day: "3 March 2026",
};

beforeAll(() => {
  // The application's own address, which serves the fonts.
  vi.stubGlobal("fetch", async (path: string) => new Response(readFileSync(`public${path}`)));
  return () => vi.unstubAllGlobals();
});

const asked = () => createSheetsWorker(poolOver({ sheets: sheetsService }).pool);

describe("sheets over a worker's channel", () => {
  it("are those that are made here, every kind", async () => {
    const worker = asked();
    for (const kind of sheetKindsOf(design))
      expect(await worker.ask((s) => s.pages(kind, source))).toEqual({
        ok: true,
        value: sheetPages(kind, source),
      });
    worker.dispose();
  });

  it("come as a PDF, and with all else in one ZIP, that tells what it is at", async () => {
    const worker = asked();
    const pdf = await worker.ask((s) => s.pdf("grinding", source));
    expect(pdf.ok && new TextDecoder().decode(pdf.value.subarray(0, 5))).toBe("%PDF-");
    const said: string[] = [];
    const kept = { "sedge.euaxis.json": new Uint8Array([123, 125]) };
    const zip = await worker.ask((s) =>
      s.pack(
        source,
        MATERIALS,
        kept,
        proxy((step: string) => void said.push(step)),
      ),
    );
    if (!zip.ok) throw new Error(zip.message);
    const files = Object.keys(unzipSync(zip.value));
    const cut = await worker.ask((s) => s.cut([design], AS_DRAWN));
    if (!cut.ok) throw new Error(cut.message);
    expect(files).toEqual(
      expect.arrayContaining([
        "sedge.euaxis.json",
        ...sheetKindsOf(design).map((kind) => `sheets/${kind}.pdf`),
        ...TABLE_KINDS.map((kind) => `tables/${kind}.csv`),
        ...cut.value[0].flatMap((c) => [`cutters/${c.name}.dxf`, `cutters/${c.name}.svg`]),
      ]),
    );
    expect(said).toHaveLength(sheetKindsOf(design).length + 1);
    worker.dispose();
  });

  it("of a knife that cannot be drawn fail with the reason", async () => {
    const worker = asked();
    const broken = { ...source, design: { ...design, handle: { kind: "none" } } } as unknown as SheetSource;
    const answer = await worker.ask((s) => s.pages("templates", broken));
    expect(answer).toMatchObject({ ok: false, code: "failed" });
    worker.dispose();
  });
});
