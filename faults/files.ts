import { readdirSync, readFileSync } from "node:fs";
import { strToU8, unzipSync, zipSync } from "fflate";
import type { ManifoldToplevel } from "manifold-3d";
import { newDesign } from "@/core/design/create";
import { boxesMesh, endingIn, rodMesh } from "@/core/design/limits.fixtures";
import { readBackup } from "@/core/files/backup/read";
import { readKnife } from "@/core/files/knife/read";
import { writeKnife } from "@/core/files/knife/write";
import { importShape } from "@/core/files/mesh/importShape";
import { writeStl } from "@/core/files/mesh/writeStl";
import { writeThreeMf } from "@/core/files/mesh/writeThreeMf";
import { readPrices } from "@/core/files/prices/prices";
import { weigh } from "@/core/weigh/weigh";
import { damaged, damagedJson } from "./damage";
import { type Random, seeded } from "./random";

/** What became of a format's damaged files. */
export interface Tally {
  readonly what: string;
  tried: number;
  /** Taken in all the same: the damage did not matter, or made another sound file. */
  taken: number;
  refused: number;
  crashed: number;
  /** Longer than two seconds. */
  hung: number;
  slowestMs: number;
  /** The first that crashed or hung, to look at: its seed and why. */
  first: string | null;
}

interface Format {
  readonly what: string;
  readonly json: boolean;
  readonly samples: readonly Uint8Array[];
  /** Reads a file and does with it what the application does; true where it was taken. Throws where something broke. */
  read(bytes: Uint8Array): boolean | Promise<boolean>;
  /** A way of damaging that the format asks for by itself. */
  own?(bytes: Uint8Array, r: Random): Uint8Array;
}

const TOO_LONG_MS = 2000;
const text = (s: string) => new TextEncoder().encode(s);

function formats(kernel: ManifoldToplevel): Format[] {
  const knives = readdirSync("demo").filter((f) => f.endsWith(".json"));
  const demo = knives.map((f) => new Uint8Array(readFileSync(`demo/${f}`)));
  const old = readdirSync("src/core/files/knife/fixtures").map(
    (f) => new Uint8Array(readFileSync(`src/core/files/knife/fixtures/${f}`)),
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
        const reading = readKnife(bytes);
        if (!reading.ok) return false;
        const weighing = weigh(reading.design);
        if (weighing.ok && !(Number.isFinite(weighing.report.massG) && weighing.report.massG > 0))
          throw new Error(`weighs ${weighing.report.massG} g`);
        return true;
      },
    },
    { what: "binary STL", json: false, samples: [writeStl(box, "box"), writeStl(rod, "rod")], read: shape },
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
      what: "backups",
      json: true,
      samples: [text(backup)],
      read: async (bytes) => (await readBackup(new Blob([bytes as BlobPart]), { row: () => undefined })).ok,
    },
  ];
}

function stlText({ vertices: v, triangles: t }: ReturnType<typeof boxesMesh>): string {
  const lines = ["solid box"];
  for (let i = 0; i < t.length; i += 3) {
    lines.push(" facet normal 0 0 0", "  outer loop");
    for (let k = 0; k < 3; k++)
      lines.push(`   vertex ${[0, 1, 2].map((d) => v[3 * t[i + k] + d]).join(" ")}`);
    lines.push("  endloop", " endfacet");
  }
  return `${lines.join("\n")}\nendsolid box\n`;
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
export function damagedFile(kernel: ManifoldToplevel, what: string, seed: number): Uint8Array {
  const format = formats(kernel).find((f) => f.what === what);
  if (!format) throw new Error(`no format ${what}`);
  return fileOf(format, seed);
}

function fileOf(format: Format, seed: number): Uint8Array {
  const r = seeded(seed);
  const sample = r.of(format.samples);
  return format.own && r.next() < 0.6 ? format.own(sample, r) : damaged(sample, format.json, r);
}

/** Damages so many files of every format, and reads them. The same seed damages the same way. */
export async function damagedFiles(kernel: ManifoldToplevel, count: number, seed: number): Promise<Tally[]> {
  const tallies: Tally[] = [];
  for (const [f, format] of formats(kernel).entries()) {
    const tally: Tally = {
      what: format.what,
      tried: 0,
      taken: 0,
      refused: 0,
      crashed: 0,
      hung: 0,
      slowestMs: 0,
      first: null,
    };
    for (let i = 0; i < count; i++) {
      const one = seed + 1_000_003 * f + i;
      const bytes = fileOf(format, one);
      const begun = performance.now();
      try {
        if (await format.read(bytes)) tally.taken++;
        else tally.refused++;
      } catch (error) {
        tally.crashed++;
        tally.first ??= `seed ${one}: ${error instanceof Error ? error.message : error}`;
      }
      const ms = performance.now() - begun;
      tally.tried++;
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
