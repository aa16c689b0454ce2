import { ownIdsIn, withDefinition } from "@/core/knife/design/materials";
import type { OwnMaterial } from "@/core/materials/own/types";
import { db, tableNamed } from "./db";
import type { Removed, Saved } from "./keptTable";
import { changeDesign } from "./knives";
import { forgetMaterial, keepMaterial } from "./ownMaterials";
import { nameIn } from "./reading";
import type { StoredKnife, StoredMaterial, StoredVariant } from "./rows";
import { ready } from "./storage";
import { rowsInBin } from "./tables/bin";
import { KNIVES } from "./tables/knives";
import type { Row } from "./tables/spec";
import { VARIANTS } from "./tables/variants";
import { withUnwritten } from "./unwritten";
import { changeVariantDesign } from "./variants";

/** Something that is made of a material: a knife on the rack or in the bin, or a variant of one. */
export interface MaterialUse {
  readonly name: string;
  readonly where: "rack" | "variant" | "bin";
}

const knives = async () =>
  withUnwritten(KNIVES, await tableNamed(KNIVES.name).toArray()) as unknown as readonly StoredKnife[];
const variants = async () =>
  withUnwritten(VARIANTS, await tableNamed(VARIANTS.name).toArray()) as unknown as readonly StoredVariant[];

/** Everything that is made of a material, as it lies in the database and waits to be written. */
export async function usesOfMaterial(id: string): Promise<readonly MaterialUse[]> {
  await ready();
  const uses: MaterialUse[] = [];
  const look = (name: string, where: MaterialUse["where"], ...records: readonly unknown[]) => {
    if (records.some((r) => ownIdsIn(r).has(id))) uses.push({ name, where });
  };
  for (const k of await knives()) look(nameIn(k), "rack", k.design, k.saved);
  for (const v of await variants()) look(v.name, "variant", v.design);
  for (const item of await db.bin.toArray()) {
    const rows = rowsInBin(item as unknown as Row);
    const made = [KNIVES.name, VARIANTS.name].flatMap((name) => rows.get(name) ?? []);
    const [first] = made;
    if (first)
      look(
        nameIn(first),
        "bin",
        made.map((r) => r.design),
      );
  }
  return uses;
}

/** Deletes a material that nothing is made of: where it lies in the bin; otherwise changes nothing, and says what is. */
export async function deleteMaterial(
  own: OwnMaterial,
): Promise<{ readonly uses: readonly MaterialUse[]; readonly removed: Removed | null }> {
  const uses = await usesOfMaterial(own.id);
  return { uses, removed: uses.length > 0 ? null : await forgetMaterial(own) };
}

/**
 * Keeps another definition of a material, changed from `base`, and gives it to every knife on the rack and every variant
 * that carries it. Where another tab changed it meanwhile nothing is changed, and its state answered, unless both are to
 * be kept.
 */
export async function redefineMaterial(
  own: OwnMaterial,
  base: StoredMaterial | null = null,
  onClash: "ask" | "keep-both" = "ask",
): Promise<Saved<StoredMaterial>> {
  const kept = await keepMaterial(own, base, onClash);
  if (!kept.ok) return kept;
  for (const { id, design } of await knives())
    if (ownIdsIn(design).has(own.id)) await changeDesign(id, (d) => withDefinition(d, own));
  for (const { id, design } of await variants())
    if (ownIdsIn(design).has(own.id)) await changeVariantDesign(id, (d) => withDefinition(d, own));
  return kept;
}
