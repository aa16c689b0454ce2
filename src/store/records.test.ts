import { asFixed } from "@/core/knife/design/fixed.fixtures";
import { RECORD_VERSION } from "@/core/knife/design/version";
import "fake-indexeddb/auto";
import { readFileSync } from "node:fs";
import Dexie from "dexie";
import { beforeEach, describe, expect, it } from "vitest";
import { readKnife } from "@/core/exchange/files/knife/read";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { createAutosave } from "./autosave";
import { checksumOf } from "./checksum";
import { db } from "./db";
import { readTimeline } from "./history";
import {
  addKnife,
  changeDesign,
  getKnife,
  knifeIds,
  openKnife,
  readableKnives,
  removeKnife,
  restoreKnife,
} from "./knives";
import { sealed } from "./reading";
import { createSession } from "./session";
import { spine } from "./session.fixtures";
import { ready } from "./storage";
import { addVariants, allVariantsOf, renameVariant, variantsOf } from "./variants";

const FIXTURES = [
  "v1-rook-hunter",
  "v2-gorse-guard-knife",
  "v2-marsh-stick-tang",
  "v3-bracken-dagger",
  "v4-reed-take-down-hunter",
];
const fixture = (name: string) => readFileSync(`src/core/exchange/files/knife/fixtures/${name}.json`);
/** The bare record of a knife file, as the browser of that version kept it. */
const recordIn = (name: string): unknown => JSON.parse(fixture(name).toString()).knife;

const all = [db.knives, db.variants, db.settings, db.steps, db.figures, db.bin];
beforeEach(async () => {
  await ready();
  for (const table of all) await table.clear();
});

async function readBack(id: string) {
  const reading = await getKnife(id);
  if (!reading?.ok) throw new Error(JSON.stringify(reading?.damaged.reason));
  return reading.record;
}

describe("a design that is read again", () => {
  it("is the same object while it is unchanged, whatever else was written: nothing is worked out again for it", async () => {
    const kept = await addKnife(newDesign("Sedge"));
    await addVariants(kept.id, [{ name: "In ash", design: { ...kept.design, notes: "ash" } }]);
    const first = await readBack(kept.id);
    const [variant] = await variantsOf(kept.id);
    await renameVariant(variant.id, "In white ash");
    const [renamed] = await variantsOf(kept.id);
    expect(renamed.name).toBe("In white ash");
    expect(renamed.design).toBe(variant.design);
    expect((await readBack(kept.id)).design).toBe(first.design);
    await changeDesign(kept.id, (d) => ({ ...d, notes: "other" }));
    expect((await readBack(kept.id)).design).not.toBe(first.design);
  });
});

describe("databases as earlier versions wrote them", () => {
  it("open with the layout they had: versions 1 and 2 of the database", async () => {
    db.close();
    await Dexie.delete("euaxis");
    for (const [version, stores] of [
      [1, { knives: "id, createdAt", settings: "key" }],
      [2, { knives: "id, createdAt", settings: "key", variants: "id, knifeId" }],
    ] as const) {
      const old = new Dexie("euaxis");
      old.version(version).stores(stores);
      const design = recordIn("v1-rook-hunter");
      const at = 1000 * version;
      await old
        .table("knives")
        .put({ id: `k${version}`, design, revision: 3, createdAt: at, updatedAt: at, saved: null });
      await old.table("settings").put({ key: "preferences", value: { units: "inch", snapMm: 1 } });
      old.close();
    }
    await db.open();
    expect(await knifeIds()).toEqual(["k1", "k2"]);
    expect((await readBack("k1")).revision).toBe(3);
    expect((await db.settings.get("preferences"))?.value).toMatchObject({ units: "inch", snapMm: 1 });
  });

  it.each(FIXTURES)("%s: is read as its file is, and can be edited", async (name) => {
    const reading = readKnife(fixture(name));
    if (!reading.ok) throw new Error(reading.code);
    const design = recordIn(name);
    await db.knives.put({
      id: "old",
      design,
      revision: 7,
      createdAt: 1,
      updatedAt: 2,
      saved: { design, massG: 1, balanceMm: 2, at: 3 },
    });
    const record = await readBack("old");
    expect(record.design).toEqual(reading.design);
    expect(record.reference).toEqual({ design: reading.design, massG: 1, balanceMm: 2, at: 3 });

    const session = createSession(record.design);
    const autosave = createAutosave(session, record);
    expect(spine(session, 3.3), "an edit of an older record is taken").toBeNull();
    expect(await autosave.flush()).toBe(true);
    autosave.dispose();
    const kept = await db.knives.get("old");
    expect(kept).toMatchObject({ revision: 8, version: RECORD_VERSION, design: { blade: { spineMm: 3.3 } } });
    expect(kept?.checksum).toBe(checksumOf(kept?.design));
    expect((await readBack("old")).reference?.design, "the old reference is still read").toEqual(
      reading.design,
    );
  });

  it("weigh what their files weigh", async () => {
    const reading = readKnife(fixture(FIXTURES[0]));
    await db.knives.put({
      id: "old",
      design: recordIn(FIXTURES[0]),
      revision: 1,
      createdAt: 1,
      updatedAt: 1,
      saved: null,
    });
    if (!reading.ok) throw new Error(reading.code);
    const [kept, file] = [weigh(asFixed((await readBack("old")).design)), weigh(asFixed(reading.design))];
    if (!kept.ok || !file.ok) throw new Error("not weighed");
    expect(kept.report.massG).toBe(file.report.massG);
  });

  it("keep their variants", async () => {
    await db.variants.put({
      id: "v",
      knifeId: "k",
      name: "Slim",
      design: recordIn("v3-bracken-dagger"),
      createdAt: 5,
    });
    const reading = readKnife(fixture("v3-bracken-dagger"));
    expect(reading.ok && (await variantsOf("k"))[0]).toMatchObject({
      name: "Slim",
      design: reading.ok && reading.design,
    });
  });
});

describe("a record that cannot be read", () => {
  const sound = sealed(newDesign("Sedge"));
  const broken: [string, Record<string, unknown>][] = [
    ["no design in it", { design: {} }],
    ["no design at all", {}],
    ["a text for a design", { design: "knife" }],
    ["a list for a design", { design: [] }],
    ["nothing for a design", { design: null }],
    ["a field missing", { design: { ...(sound.design as object), tang: undefined } }],
    ["a field out of range", { design: { ...(sound.design as object), notes: 5 }, version: RECORD_VERSION }],
    ["a version of nothing", { ...sound, version: "five" }],
    ["a version to come", { ...sound, version: 99 }],
  ];

  it.each(broken)("%s: is listed with why, untouched, and the rest stays", async (_, fields) => {
    const good = await addKnife(newDesign("Rush"));
    const raw = { id: "bad", revision: 1, createdAt: 5, updatedAt: 5, saved: null, ...fields };
    await db.knives.put(raw as never);
    expect((await knifeIds()).sort()).toEqual(["bad", good.id].sort());
    const reading = await getKnife("bad");
    if (!reading || reading.ok) throw new Error("was read");
    expect(reading.damaged.raw).toEqual(raw);
    expect(reading.damaged.reason.code).toMatch(/invalid|newer/);
    expect((await readableKnives()).map((k) => k.id)).toEqual([good.id]);
    expect(await db.knives.get("bad")).toEqual(raw);
    await removeKnife("bad");
    expect(await restoreKnife("bad")).toBe(true);
    expect(await db.knives.get("bad"), "comes back from the bin as it was").toEqual(raw);
  });

  it("stays in the list even without the fields that order it", async () => {
    await db.knives.put({ id: "bad" } as never);
    const good = await addKnife(newDesign("Rush"));
    expect(await knifeIds()).toEqual([good.id, "bad"]);
  });

  it("is found by its checksum when something else changed it, and checked anew", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const kept = await db.knives.get(id);
    const design = kept?.design as ReturnType<typeof newDesign>;
    await db.knives.put({ ...kept!, design: { ...design, blade: { ...design.blade, spineMm: 5 } } });
    expect(asFixed((await readBack(id)).design).blade.spineMm, "sound all the same").toBe(5);
    await db.knives.put({ ...kept!, design: { ...design, blade: { ...design.blade, spineMm: -5 } } });
    expect((await getKnife(id))?.ok).toBe(false);
  });

  it("leaves its variants' neighbours alone", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await addVariants(id, [{ name: "Slim", design: newDesign("Sedge") }]);
    await db.variants.put({ id: "bad", knifeId: id, name: "Bad", design: {}, createdAt: 1 });
    const { records, damaged } = await allVariantsOf(id);
    expect(records.map((v) => v.name)).toEqual(["Slim"]);
    expect(damaged.map((d) => [d.name, d.reason.code])).toEqual([["Bad", "invalid"]]);
  });
});

describe("the checksum", () => {
  it("sees every change, and none where there is none", () => {
    const design = newDesign("Sedge");
    expect(checksumOf(structuredClone(design))).toBe(checksumOf(design));
    const changed = [
      { ...design, name: "Sedgf" },
      { ...design, notes: " " },
      { ...design, blade: { ...design.blade, spineMm: design.blade.spineMm + 1e-12 } },
      { ...design, meshes: [{ id: "m", name: "m", vertices: "", triangles: "" }] },
    ];
    expect(new Set([design, ...changed].map(checksumOf)).size).toBe(5);
  });
});

describe("a knife's history", () => {
  async function opened(id: string) {
    const found = await openKnife(id);
    if (!found?.reading.ok) throw new Error("not read");
    const { record } = found.reading;
    const kept = found.stored ? await readTimeline(id, record.design, found.stored) : undefined;
    const session = createSession(record.design, kept);
    return { session, autosave: createAutosave(session, record, kept) };
  }
  const spineNow = (session: ReturnType<typeof createSession>) =>
    asFixed(session.getState().design).blade.spineMm;

  it("is there again when the knife is opened: undo, redo, and their words", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const first = await opened(id);
    for (const mm of [5, 6, 7]) {
      spine(first.session, mm);
      await first.autosave.flush();
    }
    first.session.undo();
    await first.autosave.flush();
    first.autosave.dispose();
    expect(await db.steps.count()).toBe(3);

    const { session, autosave } = await opened(id);
    expect(spineNow(session)).toBe(6);
    expect(session.getState().last).toEqual({ code: "set", path: "blade.spineMm", to: 6 });
    session.redo();
    expect(spineNow(session)).toBe(7);
    for (const mm of [6, 5, 4]) {
      session.undo();
      expect(spineNow(session)).toBe(mm);
    }
    session.undo();
    expect(spineNow(session), "further back there is nothing").toBe(4);
    autosave.dispose();
  });

  it("writes a step once, a gesture as one, and forgets what could be redone once something else is done", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const { session, autosave } = await opened(id);
    for (const mm of [5, 6, 7, 8]) {
      spine(session, mm, "drag");
      await autosave.flush();
    }
    expect(await db.steps.count()).toBe(1);
    session.undo();
    await autosave.flush();
    spine(session, 9);
    await autosave.flush();
    const steps = await db.steps.toArray();
    expect(steps).toHaveLength(1);
    expect(steps[0].after).toEqual({ blade: asFixed(session.getState().design).blade });
    autosave.dispose();
  });

  it("keeps the last hundred steps", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const { session, autosave } = await opened(id);
    for (let i = 1; i <= 130; i++) {
      spine(session, 2 + i / 50);
      if (i % 7 === 0) await autosave.flush();
    }
    await autosave.flush();
    autosave.dispose();
    expect(await db.steps.count()).toBe(100);
    const again = await opened(id);
    for (let i = 0; i < 100; i++) again.session.undo();
    expect(spineNow(again.session)).toBeCloseTo(2 + 30 / 50, 12);
    again.autosave.dispose();
  });

  it("goes into the bin and comes back with its knife, and a step that makes no sense ends it", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const { session, autosave } = await opened(id);
    for (const mm of [5, 6, 7]) {
      spine(session, mm);
      await autosave.flush();
    }
    autosave.dispose();
    await removeKnife(id);
    expect(await db.steps.count()).toBe(0);
    await restoreKnife(id);
    const [, second] = await db.steps.toArray();
    await db.steps.put({ ...second, before: { blade: "none" } });
    const again = await opened(id);
    again.session.undo();
    expect(spineNow(again.session)).toBe(6);
    again.session.undo();
    expect(spineNow(again.session)).toBe(6);
    again.autosave.dispose();
  });
});

describe("autosave and history together", () => {
  it("says kept when an edit is undone before it was written, and keeps what can be redone", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    const found = await openKnife(id);
    if (!found?.reading.ok) throw new Error("not read");
    const session = createSession(found.reading.record.design);
    const autosave = createAutosave(session, found.reading.record);
    spine(session, 5);
    session.undo();
    expect(await autosave.flush()).toBe(true);
    expect(autosave.getState().status).toBe("kept");
    expect((await db.steps.toArray()).map((s) => s.undone)).toEqual([true]);
    autosave.dispose();
  });
});
