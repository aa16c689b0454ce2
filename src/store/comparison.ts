"use client";
import * as z from "zod/mini";
import { db } from "./db";
import { changeSetting, settingValue } from "./keptSetting";
import { ready } from "./storage";
import { useKept } from "./useKept";

/** So many lie side by side, the knife on the bench among them. */
export const MOST_COMPARED = 4;

/** What is laid beside a knife: another knife, or a variant of any. */
const compared = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("knife"), id: z.string() }),
  z.object({ kind: z.literal("variant"), id: z.string() }),
]);
export type Compared = z.infer<typeof compared>;

const list = z.array(compared).check(z.maxLength(MOST_COMPARED - 1));
const keyOf = (knifeId: string) => `beside ${knifeId}`;
const NONE: readonly Compared[] = [];

/** What lies beside a knife, in order. */
export function useComparison(knifeId: string): readonly Compared[] {
  return useKept(() => comparisonOf(knifeId), [knifeId]) ?? NONE;
}

/** What lies beside a knife and is still there: what was deleted takes no place, and has it again once it is put back. */
export async function comparisonOf(knifeId: string): Promise<readonly Compared[]> {
  const kept = z.catch(list, []).parse((await settingValue(keyOf(knifeId))) ?? []);
  const there = await Promise.all(
    kept.map((b) => (b.kind === "knife" ? db.knives : db.variants).where("id").equals(b.id).count()),
  );
  return kept.filter((_, i) => there[i] > 0);
}

/** Changes what lies beside a knife; what is more than there is room for is left off. */
export async function changeComparison(
  knifeId: string,
  change: (now: readonly Compared[]) => readonly Compared[],
): Promise<void> {
  await ready();
  const next = change(await comparisonOf(knifeId)).slice(0, MOST_COMPARED - 1);
  await changeSetting(keyOf(knifeId), () => next);
}
