import { db } from "./db";
import type { FiguresRecord } from "./rows";

/** What a knife weighed, g, and where it balanced, mm, when it last could be built. */
export interface LastFigures {
  readonly massG: number;
  readonly balanceMm: number;
}

/** The figures that the rack keeps of a knife; null where it never could be built, or they cannot be read. */
export async function lastFigures(knifeId: string): Promise<LastFigures | null> {
  const kept = await db.figures.get(knifeId).catch(() => undefined);
  if (!kept || kept.massG === null || kept.balanceMm === null) return null;
  const { massG, balanceMm } = kept;
  return { massG, balanceMm };
}

/**
 * Keeps what a knife last weighed, so that it is known though the page is left while it cannot be built. As of no state: the
 * rack weighs it anew.
 */
export async function keepLastFigures(
  id: string,
  { massG, balanceMm }: LastFigures,
  extent: FiguresRecord["extent"],
): Promise<void> {
  const row: FiguresRecord = { id, revision: -1, updatedAt: -1, engine: 0, massG, balanceMm, extent };
  await db.figures.put(row).catch((e: unknown) => console.warn("figures are not kept", e));
}
