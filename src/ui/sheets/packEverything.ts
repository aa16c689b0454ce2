import { strToU8, type Zippable, zipSync } from "fflate";
import { cuttables } from "@/core/exchange/cutting/cutJob";
import { drawingOf } from "@/core/exchange/cutting/cuttable";
import { AS_DRAWN } from "@/core/exchange/cutting/pieceLayers";
import { writeCsv } from "@/core/exchange/files/csv/write";
import { DRAWING_FORMAT_IDS, DRAWING_FORMATS } from "@/core/exchange/files/drawings";
import { writeKnifeWithin } from "@/core/exchange/files/knife/write";
import type { Material } from "@/core/materials/types";
import { sheetKindsOf, sheetPages } from "@/sheets/pages";
import type { SheetSource } from "@/sheets/sheet";
import { TABLE_KINDS, tableOf } from "@/sheets/tables";
import { pictureData } from "@/store/pictures";
import { underlayOf } from "@/store/underlays";
import { variantsOf } from "@/store/variants";
import { partName } from "@/words/parts";
import { SHEET_WORDS } from "@/words/sheets";
import { solids } from "@/workers/services";
import { fileStem } from "../files/files";
import { pdfOf } from "./savePdf";

/** The knife's file, sheets, drawings, meshes and tables, packed into one ZIP. */
export async function packEverything(
  knifeId: string,
  source: SheetSource,
  materials: readonly Material[],
  say: (step: string) => void,
): Promise<Uint8Array> {
  const { design, report, paper } = source;
  const stem = fileStem(design.name);
  const files: Zippable = {};
  files[`${stem}.euaxis.json`] = strToU8(writeKnifeWithin(design, await variantsOf(knifeId)).text);
  for (const kind of sheetKindsOf(design)) {
    say(SHEET_WORDS[kind].name);
    const title = `${design.name}: ${SHEET_WORDS[kind].name}`;
    files[`sheets/${kind}.pdf`] = await pdfOf(sheetPages(kind, source), title, paper.printer);
  }
  say("Cutter's files");
  const pieces = cuttables(design, AS_DRAWN);
  for (const id of DRAWING_FORMAT_IDS) {
    const write = await DRAWING_FORMATS[id].write();
    for (const piece of pieces) files[`cutters/${piece.name}.${id}`] = strToU8(write(drawingOf(piece)));
  }
  for (const kind of TABLE_KINDS)
    files[`tables/${kind}.csv`] = strToU8(writeCsv(tableOf(kind, { ...source, materials })));
  const underlay = await underlayOf(knifeId);
  const photo = underlay && (await pictureData(underlay.picture));
  if (photo) {
    const type = photo.type.slice("image/".length);
    files[`photo.${type === "jpeg" ? "jpg" : type}`] = new Uint8Array(await photo.arrayBuffer());
  }
  say("Meshes");
  const names = Object.fromEntries(report.parts.map((p) => [p.id, partName(p.key)]));
  for (const format of ["stl", "3mf"] as const) {
    const answer = await solids().ask((s) => s.exportFile(design, null, format, names));
    if (!answer.ok) throw new Error(`the meshes could not be made: ${answer.message}`);
    if (answer.value) files[`meshes/${stem}.${format}`] = answer.value;
  }
  return zipSync(files, { level: 6 });
}
