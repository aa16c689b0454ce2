import { proxy } from "comlink";
import { strToU8 } from "fflate";
import { writeKnifeWithin } from "@/core/exchange/files/knife/write";
import type { Material } from "@/core/materials/types";
import { askSheets } from "@/sheets/client";
import type { SheetSource } from "@/sheets/pageBuilder";
import { pictureData } from "@/store/pictures";
import { underlayOf } from "@/store/underlays";
import { variantsOf } from "@/store/variants";
import { partName } from "@/words/parts";
import { solids } from "@/workers/services";
import { fileStem } from "../files/files";

/** A knife with everything on it, all its sheets and files, takes a while on a slow machine, ms. */
const AT_LONGEST_MS = 20 * 60_000;

/** What of a knife's ZIP is kept, or made by the mesh kernel: its file with its variants, its photo, its meshes. */
async function keptFiles(knifeId: string, { design, report }: SheetSource, say: (step: string) => void) {
  const stem = fileStem(design.name);
  const files: Record<string, Uint8Array> = {};
  files[`${stem}.euaxis.json`] = strToU8(writeKnifeWithin(design, await variantsOf(knifeId)).text);
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
  return files;
}

/** The knife's file, sheets, drawings, meshes and tables, packed into one ZIP. */
export async function packEverything(
  knifeId: string,
  source: SheetSource,
  materials: readonly Material[],
  say: (step: string) => void,
): Promise<Uint8Array> {
  const kept = await keptFiles(knifeId, source, say);
  return askSheets((s) => s.pack(source, materials, kept, proxy(say)), AT_LONGEST_MS);
}
