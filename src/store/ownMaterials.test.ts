import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { ownId, plainOwn } from "@/core/materials/own/make";
import type { OwnMaterial } from "@/core/materials/own/types";
import { backupFile, takeIn } from "./backup.fixtures";
import { checksumOf } from "./checksum";
import { db } from "./db";
import { addKnife, getKnife, removeKnife } from "./knives";
import { deleteMaterial, redefineMaterial, usesOfMaterial } from "./materialUses";
import { keepMaterial, learnMaterials, materialBase, ownMaterials } from "./ownMaterials";
import { createSession } from "./session";
import { ready, writeWaiting } from "./storage";
import { isReadableMaterial } from "./tables/materials";
import { addVariants, variantsOf } from "./variants";

const NAMES = ["North lot", "Layered"];
const [NORTH, LAYERED] = NAMES.map(
  (name, i): OwnMaterial => ({ ...plainOwn(ownId(`test-${i}`)), name, class: i === 0 ? "wood" : "steel" }),
);

beforeEach(async () => {
  await ready();
  for (const table of [db.knives, db.variants, db.bin, db.materials, db.steps]) await table.clear();
});

/** A knife whose blade is of an own steel. */
function layered() {
  const design = newDesign("Sedge");
  return { ...design, blade: { ...design.blade, steel: LAYERED.id }, materials: [LAYERED as never] };
}
const ids = async () => (await db.materials.toArray()).map((m) => m.id).sort();
const densityIn = (design: { materials: readonly OwnMaterial[] }) => design.materials[0]?.density;
const heavier: OwnMaterial = { ...LAYERED, density: { kind: "stated", typical: 8, low: 7.9, high: 8.1 } };

describe("own materials", () => {
  it("come with a knife that brings them, and what is known stays as it is", async () => {
    await keepMaterial(NORTH);
    await addKnife({ ...layered(), materials: [LAYERED as never, { ...NORTH, name: "Theirs" } as never] });
    expect(await ids()).toEqual([NORTH.id, LAYERED.id]);
    expect(
      ownMaterials()
        .map((m) => m.name)
        .sort(),
    ).toEqual(["Layered", "North lot"]);
  });

  it("are carried by a knife as soon as it is made of them, and left behind when it no longer is", async () => {
    await keepMaterial(LAYERED);
    const session = createSession(newDesign("Sedge"));
    const steel = (id: string) => session.getState().edit({ code: "set", path: "blade.steel", to: id });
    expect(steel(LAYERED.id)).toBeNull();
    expect(session.getState().design.materials).toEqual([LAYERED]);
    steel("steel-1084");
    expect(session.getState().design.materials).toEqual([]);
    session.undo();
    expect(session.getState().design.materials).toEqual([LAYERED]);
  });

  it("are deleted only when nothing is made of them: on the rack, as a variant, as a reference or in the bin", async () => {
    await keepMaterial(LAYERED);
    const knife = await addKnife(newDesign("Sedge"));
    await addVariants(knife.id, [{ name: "Layered", design: layered() }]);
    const gone = await addKnife({ ...layered(), name: "Reed" });
    await removeKnife(gone.id);
    const rush = await addKnife({ ...layered(), name: "Rush" });
    expect((await deleteMaterial(LAYERED)).uses).toEqual([
      { name: "Rush", where: "rack" },
      { name: "Layered", where: "variant" },
      { name: "Reed", where: "bin" },
    ]);
    expect(await ids()).toEqual([LAYERED.id]);
    await db.knives.delete(rush.id);
    await db.variants.clear();
    await db.bin.clear();
    expect(await usesOfMaterial(LAYERED.id)).toEqual([]);
    expect(await deleteMaterial(LAYERED)).toEqual({
      uses: [],
      removed: { ok: true, binId: expect.any(String) },
    });
    expect(await ids()).toEqual([]);
    expect(ownMaterials().map((m) => m.id)).not.toContain(LAYERED.id);
  });

  it("that are changed change every knife and variant that is made of them, and no other", async () => {
    await keepMaterial(LAYERED);
    const mine = await addKnife(layered());
    const other = await addKnife(newDesign("Rush"));
    await addVariants(other.id, [{ name: "Layered", design: layered() }]);
    await redefineMaterial(heavier, await materialBase(LAYERED.id));
    const read = async (id: string) => {
      const reading = await getKnife(id);
      if (!reading?.ok) throw new Error("unreadable");
      return reading.record;
    };
    expect(densityIn((await read(mine.id)).design)).toEqual(heavier.density);
    expect((await read(mine.id)).revision, "so that other tabs see it").toBe(2);
    expect((await read(other.id)).revision).toBe(1);
    expect(densityIn((await variantsOf(other.id))[0].design)).toEqual(heavier.density);
    expect(ownMaterials()[0].density).toEqual(heavier.density);
  });

  it("go into the backup and come out of it", async () => {
    await keepMaterial(NORTH);
    const backup = await backupFile();
    await db.materials.clear();
    await takeIn(backup, "merge-newer");
    expect((await db.materials.toArray()).map((m) => m.material)).toEqual([NORTH]);
  });

  it("that cannot be read stay where they are, and hide no other", async () => {
    const row = { version: 9, createdAt: 1, updatedAt: 1 };
    await db.materials.bulkPut([
      { ...row, id: NORTH.id, material: NORTH },
      {
        ...row,
        id: ownId("bad-1"),
        material: { ...NORTH, id: ownId("bad-1"), density: { kind: "stated", typical: 0 } },
      },
      { ...row, id: ownId("bad-2"), material: NORTH },
      { ...row, id: ownId("bad-3"), material: null },
    ]);
    const sound = await Promise.all((await db.materials.toArray()).map(isReadableMaterial));
    expect(sound.filter(Boolean)).toHaveLength(1);
    // What was checked when it was written is taken as it is, unless it was changed since.
    await keepMaterial(LAYERED);
    const kept = (await db.materials.get(LAYERED.id))!;
    expect(await isReadableMaterial(kept)).toBe(true);
    expect(await isReadableMaterial({ ...kept, id: NORTH.id })).toBe(false);
    expect(await isReadableMaterial({ ...kept, material: { ...LAYERED, tint: "red" } })).toBe(false);
    expect(await isReadableMaterial({ ...kept, version: 1 }), "of another version it is checked").toBe(true);
    await learnMaterials([{ ...NORTH, id: ownId("bad-1") }]);
    expect(await db.materials.get(ownId("bad-1")), "and are not written over").toMatchObject({
      createdAt: 1,
    });
  });

  it("wait in memory while the database takes nothing", async () => {
    const full = vi
      .spyOn(db.materials, "put")
      .mockRejectedValueOnce(new DOMException("full", "QuotaExceededError"));
    expect(await keepMaterial(NORTH)).toMatchObject({ ok: true, waits: true });
    expect(ownMaterials().map((m) => m.id)).toContain(NORTH.id);
    full.mockRestore();
    expect(await writeWaiting()).toBe(true);
    expect(await ids()).toEqual([NORTH.id]);
  });
});

it("a row that version 13 wrote is read with what has come since", async () => {
  await keepMaterial(NORTH);
  const row = (await db.materials.get(NORTH.id))!;
  const { otherNames: _, ...old } = NORTH;
  await db.materials.put({ ...row, material: old, version: 13, checksum: checksumOf(old) });
  await keepMaterial(LAYERED);
  const read = ownMaterials().find((m) => m.id === NORTH.id);
  expect(read).toEqual(NORTH);
});
