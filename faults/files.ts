import { readdirSync, readFileSync } from "node:fs";
import { strToU8, unzipSync, zipSync } from "fflate";
import type { ManifoldToplevel } from "manifold-3d";
import sharp from "sharp";
import { TooMuchWork, Work } from "@/core/base/work";
import { readBackup } from "@/core/exchange/files/backup/read";
import { readStock } from "@/core/exchange/files/csv/readStock";
import { readDxf } from "@/core/exchange/files/dxf/read";
import { readFixed } from "@/core/exchange/files/knife/readFixed";
import { writeKnife } from "@/core/exchange/files/knife/write";
import { importShape } from "@/core/exchange/files/mesh/importShape";
import { writeStl } from "@/core/exchange/files/mesh/writeStl";
import { writeThreeMf } from "@/core/exchange/files/mesh/writeThreeMf";
import { readPrices } from "@/core/exchange/files/prices/prices";
import { readSvg } from "@/core/exchange/files/svg/read";
import { shapesIn } from "@/core/exchange/pattern/found";
import { flattenedPhoto } from "@/core/exchange/photo/flatPhoto";
import { greyOf } from "@/core/exchange/photo/image";
import { pictureSize } from "@/core/exchange/photo/picture";
import { planeIn } from "@/core/exchange/photo/planeIn";
import { shapesInPhoto, USUAL_SEEING } from "@/core/exchange/photo/shapes";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { boxesMesh, endingIn, rodMesh } from "@/core/knife/design/limits.fixtures";
import { MATERIALS } from "@/core/materials/materials";
import { CLASS_NAMES } from "@/words/stockTables";
import { damaged, damagedJson } from "./damage";
import { type Random, seeded } from "./random";
import { photos, stlText, zippedBackup } from "./samples";
import { damagedCsv, damagedDxf, damagedSvg, plainCsv, plainDxf, plainSvg } from "./structure";

/** What became of a format's damaged files. */
export interface Tally {
  readonly what: string;
  tried: number;
  /** Taken in all the same: the damage did not matter, or made another sound file. */
  taken: number;
  refused: number;
  crashed: number;
  /** Longer than two seconds, by the clock or, where that is less, by the processor's time. */
  hung: number;
  slowestMs: number;
  /** Memory of the process at the most, MB. */
  peakMb: number;
  /** The first that crashed or hung, to look at: its seed and why. */
  first: string | null;
}

interface Format {
  readonly what: string;
  readonly json: boolean;
  /** Fewer of these are tried: each takes its time. */
  readonly binary?: true;
  readonly samples: readonly Uint8Array[];
  /** Reads a file and does with it what the application does; true where it was taken. Throws where something broke. */
  read(bytes: Uint8Array): boolean | Promise<boolean>;
  /** A way of damaging that the format asks for by itself. */
  own?(bytes: Uint8Array, r: Random): Uint8Array | Promise<Uint8Array>;
}

const TOO_LONG_MS = 2000;
const text = (s: string) => new TextEncoder().encode(s);

async function formats(kernel: ManifoldToplevel): Promise<Format[]> {
  const knives = readdirSync("demo").filter((f) => f.endsWith(".json"));
  const demo = knives.map((f) => new Uint8Array(readFileSync(`demo/${f}`)));
  const old = readdirSync("src/core/exchange/files/knife/fixtures").map(
    (f) => new Uint8Array(readFileSync(`src/core/exchange/files/knife/fixtures/${f}`)),
  );
  const box = boxesMesh([
    [0, -8, -6],
    [20, 8, 6],
  ]);
  const rod = rodMesh(24);
  const shape = (bytes: Uint8Array) => {
    const reading = importShape(kernel, bytes);
    if (!reading.ok) return false;
    if (!(reading.volumeMm3 > 0 && Number.isFinite(reading.volumeMm3)))
      throw new Error("a shape of no volume");
    return true;
  };
  const design = newDesign("Sedge");
  const holds = {
    knives: [{ id: "a", design, revision: 1, createdAt: 1, updatedAt: 1, saved: null }],
    settings: [],
  };
  const backup = JSON.stringify({
    format: "euaxis-backup",
    version: 1,
    made: "2026-11-27T00:00:00.000Z",
    holds,
  });
  return [
    {
      what: "knife files",
      json: true,
      samples: [...demo, ...old, text(writeKnife(endingIn(rodMesh(60))))],
      read: (bytes) => {
        const reading = readFixed(bytes);
        if (!reading.ok) return false;
        const weighing = weigh(reading.design);
        if (weighing.ok && !(Number.isFinite(weighing.report.massG) && weighing.report.massG > 0))
          throw new Error(`weighs ${weighing.report.massG} g`);
        return true;
      },
    },
    {
      what: "binary STL",
      json: false,
      binary: true,
      samples: [writeStl(box, "box"), writeStl(rod, "rod")],
      read: shape,
    },
    {
      what: "text STL",
      json: false,
      samples: [text(stlText(box)), text(stlText(rod))],
      read: shape,
      own: words,
    },
    {
      what: "3MF",
      json: false,
      binary: true,
      samples: [box, rod].map((mesh) => writeThreeMf([{ name: "part", mesh }], "part")),
      read: shape,
      own: (bytes, r) => {
        const files = unzipSync(bytes);
        const model = new TextDecoder().decode(files["3D/3dmodel.model"]);
        return zipSync({ ...files, "3D/3dmodel.model": words(strToU8(model), r) });
      },
    },
    {
      what: "price files",
      json: true,
      samples: [new Uint8Array(readFileSync("demo/prices/workshop.json"))],
      read: (bytes) => readPrices(bytes).ok,
    },
    {
      what: "backups of version 1",
      json: true,
      samples: [text(backup)],
      read: async (bytes) => (await readBackup(new Blob([bytes as BlobPart]), { row: () => undefined })).ok,
    },
    {
      what: "backups as ZIP",
      json: false,
      binary: true,
      samples: [await zippedBackup(backup)],
      read: async (bytes) => {
        const { ok } = await readBackup(new Blob([bytes as BlobPart]), {
          row: () => undefined,
          picture: () => undefined,
        });
        return ok;
      },
      // The ZIP is sound, what is in it is not.
      own: async (bytes, r) => {
        const files = unzipSync(bytes);
        const json = new TextDecoder().decode(files["backup.json"]);
        return zipSync({ ...files, "backup.json": strToU8(damagedJson(json, r)) });
      },
    },
    {
      what: "DXF drawings",
      json: false,
      samples: [text(plainDxf())],
      read: (bytes) => drawingRead(bytes, readDxf),
      own: (bytes, r) => text(damagedDxf(new TextDecoder().decode(bytes), r)),
    },
    {
      what: "SVG drawings",
      json: false,
      samples: [text(plainSvg())],
      read: (bytes) => drawingRead(bytes, readSvg),
      own: (bytes, r) => text(damagedSvg(new TextDecoder().decode(bytes), r)),
    },
    {
      what: "tables of stock",
      json: false,
      samples: [text(plainCsv())],
      read: (bytes) =>
        readStock(bytes, { materials: MATERIALS, classNames: CLASS_NAMES, nextId: () => "own-fault" }).ok,
      own: (bytes, r) => text(damagedCsv(new TextDecoder().decode(bytes), r)),
    },
    {
      what: "photos",
      json: false,
      binary: true,
      samples: await photos(),
      read: photoRead,
    },
  ];
}

/** Reads a drawing and finds what is in it, with one budget, as the application does. */
function drawingRead(bytes: Uint8Array, read: typeof readDxf): boolean {
  const work = new Work();
  const reading = read(bytes, work);
  if (!reading.ok) return false;
  try {
    for (const shape of shapesIn(reading.drawing, reading.drawing.mmPerUnit ?? 1, work).shapes)
      if (shape.kind === "outline" && !(shape.areaMm2 > 0)) throw new Error("an outline of no area");
    return true;
  } catch (error) {
    if (error instanceof TooMuchWork) return false;
    throw error;
  }
}

async function photoRead(bytes: Uint8Array): Promise<boolean> {
  const size = pictureSize(bytes);
  if (!size.ok) return false;
  let decoded: { data: Uint8Array; info: { width: number; height: number } };
  try {
    decoded = await sharp(bytes)
      .rotate()
      .resize({ width: 300, height: 300, fit: "inside", withoutEnlargement: true })
      .toColourspace("srgb")
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
  } catch {
    return false;
  }
  const { width, height } = decoded.info;
  const image = greyOf(new Uint8Array(decoded.data), width, height, 4);
  const plane = planeIn(image, { kind: "points", a: { x: 0, y: 0 }, b: { x: width, y: 0 }, mm: width });
  if (!plane.ok) return false;
  const flat = flattenedPhoto(image, plane);
  const { shapes } = shapesInPhoto(flat, { ...USUAL_SEEING, thicknessMm: 4, cameraMm: 400 });
  for (const s of shapes)
    if (s.kind === "outline" && !(s.areaMm2 > 0)) throw new Error("an outline of no area");
  return true;
}

/** Numbers and words of a text exchanged, left out and repeated, up to a hundred thousand times. */
function words(bytes: Uint8Array, r: Random): Uint8Array {
  const plain = new TextDecoder().decode(bytes);
  if (r.next() < 0.6) return text(damagedJson(plain, r));
  const all = plain.split(/(?<=\s)/);
  const word = r.of(all);
  const at = r.below(all.length);
  return text([...all.slice(0, at), word.repeat(10 ** r.below(6)), ...all.slice(at)].join(""));
}

/** The file that a seed of a format stands for: to look at what a run found. */
export async function damagedFile(kernel: ManifoldToplevel, what: string, seed: number): Promise<Uint8Array> {
  const format = (await formats(kernel)).find((f) => f.what === what);
  if (!format) throw new Error(`no format ${what}`);
  return fileOf(format, seed);
}

async function fileOf(format: Format, seed: number): Promise<Uint8Array> {
  const r = seeded(seed);
  const sample = r.of(format.samples);
  return format.own && r.next() < 0.6 ? format.own(sample, r) : damaged(sample, format.json, r);
}

/**
 * Damages so many files of every format, or of those whose name holds `only`, fewer of those of bytes, and reads them. The
 * same seed damages the same way.
 */
export async function damagedFiles(
  kernel: ManifoldToplevel,
  texts: number,
  binaries: number,
  seed: number,
  only = "",
): Promise<Tally[]> {
  const tallies: Tally[] = [];
  for (const [f, format] of (await formats(kernel)).entries()) {
    if (!format.what.includes(only)) continue;
    const count = format.binary ? binaries : texts;
    const tally: Tally = {
      what: format.what,
      tried: 0,
      taken: 0,
      refused: 0,
      crashed: 0,
      hung: 0,
      slowestMs: 0,
      peakMb: 0,
      first: null,
    };
    for (let i = 0; i < count; i++) {
      const one = seed + 1_000_003 * f + i;
      const bytes = await fileOf(format, one);
      const begun = performance.now();
      const cpuBegun = process.cpuUsage();
      try {
        if (await format.read(bytes)) tally.taken++;
        else tally.refused++;
      } catch (error) {
        tally.crashed++;
        tally.first ??= `seed ${one}: ${error instanceof Error ? error.message : error}`;
      }
      // On a machine that does something beside, the time in which this did not run is not the reader's.
      const cpu = process.cpuUsage(cpuBegun);
      const ms = Math.min(performance.now() - begun, (cpu.user + cpu.system) / 1000);
      tally.tried++;
      tally.peakMb = Math.max(tally.peakMb, process.memoryUsage.rss() / 1e6);
      tally.slowestMs = Math.max(tally.slowestMs, ms);
      if (ms > TOO_LONG_MS) {
        tally.hung++;
        tally.first ??= `seed ${one}: ${Math.round(ms)} ms`;
      }
    }
    tallies.push(tally);
  }
  return tallies;
}
