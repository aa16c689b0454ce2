import { ownIdsIn, withDefinition } from "@/core/design/materials";
import { isRecord } from "@/core/isRecord";
import type { OwnMaterial } from "@/core/stock/own/types";
import { db } from "./db";
import { changeDesign, unwrittenKnives } from "./knives";
import { forgetMaterial, keepMaterial } from "./ownMaterials";
import { ready } from "./storage";
import { changeVariantDesign, unwrittenVariants } from "./variants";

/** Something that is made of a material: a knife on the rack or in the bin, or a variant of one. */
export interface MaterialUse {
  readonly name: string;
  readonly where: "rack" | "variant" | "bin";
}

const nameOf = (design: unknown) =>
  isRecord(design) && typeof design.name === "string" ? design.name : "a knife";

/** Everything that is made of a material, as it lies in the database and waits to be written. */
export async function usesOfMaterial(id: string): Promise<readonly MaterialUse[]> {
  await ready();
  const uses: MaterialUse[] = [];
  const look = (name: string, where: MaterialUse["where"], ...records: readonly unknown[]) => {
    if (records.some((r) => ownIdsIn(r).has(id))) uses.push({ name, where });
  };
  const waiting = unwrittenKnives();
  const isWaiting = new Set(waiting.map((k) => k.id));
  const knives = (await db.knives.toArray()).filter((k) => !isWaiting.has(k.id));
  for (const k of [...knives, ...waiting]) look(nameOf(k.design), "rack", k.design, k.saved);
  const variants = unwrittenVariants();
  const named = new Set(variants.map((v) => v.id));
  for (const v of [...(await db.variants.toArray()).filter((v) => !named.has(v.id)), ...variants])
    look(v.name, "variant", v.design);
  for (const b of await db.bin.toArray())
    look(
      nameOf(b.knife.design),
      "bin",
      b.knife.design,
      b.variants.map((v) => v.design),
    );
  return uses;
}

/** Deletes a material that nothing is made of; otherwise changes nothing, and says what is. */
export async function deleteMaterial(own: OwnMaterial): Promise<readonly MaterialUse[]> {
  const uses = await usesOfMaterial(own.id);
  if (uses.length > 0) return uses;
  await forgetMaterial(own);
  return [];
}

/** Keeps another definition of a material, and gives it to every knife on the rack and every variant that carries it. */
export async function redefineMaterial(own: OwnMaterial): Promise<boolean> {
  const kept = await keepMaterial(own);
  for (const { id, design } of [...(await db.knives.toArray()), ...unwrittenKnives()])
    if (ownIdsIn(design).has(own.id)) await changeDesign(id, (d) => withDefinition(d, own));
  for (const { id, design } of [...(await db.variants.toArray()), ...unwrittenVariants()])
    if (ownIdsIn(design).has(own.id)) await changeVariantDesign(id, (d) => withDefinition(d, own));
  return kept;
}
