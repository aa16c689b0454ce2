"use client";
import * as z from "zod/mini";
import { db } from "./db";
import { changeSetting, settingValue } from "./keptSetting";
import { ready } from "./storage";
import { useKept } from "./useKept";

/** So many lie side by side, the knife on the bench among them. */
export const MOST_BESIDE = 4;

/** What is laid beside a knife: another knife, or a variant of any. */
const beside = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal("knife"), id: z.string() }),
  z.object({ kind: z.literal("variant"), id: z.string() }),
]);
export type Beside = z.infer<typeof beside>;

const list = z.array(beside).check(z.maxLength(MOST_BESIDE - 1));
const keyOf = (knifeId: string) => `beside ${knifeId}`;
const NONE: readonly Beside[] = [];

/** What lies beside a knife, in order. */
export function useBeside(knifeId: string): readonly Beside[] {
  return useKept(() => besideOf(knifeId), [knifeId]) ?? NONE;
}

/** What lies beside a knife and is still there: what was deleted takes no place, and has it again once it is put back. */
export async function besideOf(knifeId: string): Promise<readonly Beside[]> {
  const kept = z.catch(list, []).parse((await settingValue(keyOf(knifeId))) ?? []);
  const there = await Promise.all(
    kept.map((b) => (b.kind === "knife" ? db.knives : db.variants).where("id").equals(b.id).count()),
  );
  return kept.filter((_, i) => there[i] > 0);
}

/** Changes what lies beside a knife; what is more than there is room for is left off. */
export async function putBeside(
  knifeId: string,
  change: (now: readonly Beside[]) => readonly Beside[],
): Promise<void> {
  await ready();
  const next = change(await besideOf(knifeId)).slice(0, MOST_BESIDE - 1);
  await changeSetting(keyOf(knifeId), () => next);
}
