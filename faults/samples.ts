import sharp from "sharp";
import { writeBackup } from "@/core/exchange/files/backup/write";
import type { boxesMesh } from "@/core/knife/design/limits.fixtures";

/** A sound backup of these rows, with a picture. */
export async function zippedBackup(json: string): Promise<Uint8Array> {
  const { holds } = JSON.parse(json);
  const parts: Uint8Array[] = [];
  await writeBackup(
    {
      made: "2026-11-27T00:00:00.000Z",
      tables: Object.entries(holds as Record<string, Record<string, unknown>[]>).map(([name, rows]) => ({
        name,
        rows: async function* () {
          yield* rows;
        },
      })),
      pictures: [{ id: "p", type: "image/jpeg", bytes: 900 }],
      picture: async () => new Blob([new Uint8Array(900).fill(7)]),
    },
    (piece) => {
      parts.push(new Uint8Array(piece));
    },
  );
  return new Uint8Array(await new Blob(parts as BlobPart[]).arrayBuffer());
}

/** A small made-up photo of a dark shape, in every kind that is taken. */
export async function photos(): Promise<Uint8Array[]> {
  const [width, height] = [240, 170];
  const data = new Uint8Array(width * height * 3).map((_, i) => {
    const [x, y] = [Math.floor(i / 3) % width, Math.floor(i / 3 / width)];
    return Math.abs(x - 120) < 90 && Math.abs(y - 85) < 20 ? 40 : 225 + ((x * y) % 20);
  });
  const raw = () => sharp(data, { raw: { width, height, channels: 3 } });
  const made = await Promise.all([raw().jpeg().toBuffer(), raw().png().toBuffer(), raw().webp().toBuffer()]);
  return made.map((b) => new Uint8Array(b));
}

/** A mesh as an STL of words. */
export function stlText({ vertices: v, triangles: t }: ReturnType<typeof boxesMesh>): string {
  const lines = ["solid box"];
  for (let i = 0; i < t.length; i += 3) {
    lines.push(" facet normal 0 0 0", "  outer loop");
    for (let k = 0; k < 3; k++)
      lines.push(`   vertex ${[0, 1, 2].map((d) => v[3 * t[i + k] + d]).join(" ")}`);
    lines.push("  endloop", " endfacet");
  }
  return `${lines.join("\n")}\nendsolid box\n`;
}
