import { db } from "./db";

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
