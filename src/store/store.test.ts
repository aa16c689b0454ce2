import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { variantName } from "@/core/knife/design/record/fields";
import { MOST_VARIANTS } from "@/core/knife/design/variant";
import { USUAL_SHEATH } from "@/core/sheath/settings";
import { changeComparison, comparisonOf } from "./comparison";
import { db } from "./db";
import { addDemoKnives, layOutDemoKnivesOnce } from "./demo";
import { addKnife, changeDesign, freeName, getKnife, removeKnife, restoreKnife, writeDesign } from "./knives";
import { createSession } from "./session";
import { spine } from "./session.fixtures";
import { changeSettings, noteChosen, settingsIn, toggleFavourite } from "./settings";
import { changeShop } from "./shop";
import {
  addVariants,
  removeVariant,
  renameVariant,
  replaceVariant,
  restoreVariants,
  variantsOf,
} from "./variants";

beforeEach(async () => {
  await db.knives.clear();
  await db.settings.clear();
  await db.variants.clear();
  await db.bin.clear();
  await db.steps.clear();
});

describe("an editing session", () => {
  it("undoes and redoes, a whole gesture as one step", () => {
    const session = createSession(newDesign("Sedge"));
    const now = () => session.getState().design.blade.spineMm;
    spine(session, 5);
    for (const mm of [6, 7, 8]) spine(session, mm, "drag-1");
    for (const mm of [9, 10]) spine(session, mm, "drag-2");
    session.undo();
    expect(now()).toBe(8);
    session.undo();
    expect(now()).toBe(5);
    session.undo();
    expect(now()).toBe(4);
    session.undo();
    expect(now()).toBe(4);
    for (let i = 0; i < 3; i++) session.redo();
    expect(now()).toBe(10);
  });

  it("forgets what could be redone once something else is done, and ignores edits that change nothing", () => {
    const session = createSession(newDesign("Sedge"));
    spine(session, 5);
    spine(session, 5);
    expect(session.temporal.getState().pastStates).toHaveLength(1);
    session.undo();
    spine(session, 6);
    session.redo();
    expect(session.getState().design.blade.spineMm).toBe(6);
  });

  it("refuses an edit that no file could hold, and changes nothing", () => {
    const session = createSession(newDesign("Sedge"));
    const before = session.getState().design;
    expect(spine(session, -1)).toMatchObject({ keys: ["blade", "spineMm"] });
    expect(spine(session, Number.NaN)).toMatchObject({ keys: ["blade", "spineMm"] });
    expect(session.getState().design).toBe(before);
    expect(session.temporal.getState().pastStates).toHaveLength(0);
  });

  it("never changes a design in place", () => {
    const design = newDesign("Sedge");
    const copy = structuredClone(design);
    const session = createSession(design);
    spine(session, 6);
    expect(design).toEqual(copy);
    expect(() => spine(session, 6)).not.toThrow();
    expect(Object.isFrozen(session.getState().design.blade)).toBe(true);
  });
});

describe("the rack's records", () => {
  it("refuse a write that began from an older state", async () => {
    const record = await addKnife(newDesign("Sedge"));
    const first = await writeDesign(record.id, { ...record.design, notes: "one" }, record.revision);
    expect(first.ok).toBe(true);
    const second = await writeDesign(record.id, { ...record.design, notes: "two" }, record.revision);
    expect(second).toMatchObject({
      ok: false,
      code: "changed-elsewhere",
      theirs: { design: { notes: "one" } },
    });
    await removeKnife(record.id);
    expect(await writeDesign(record.id, record.design, 2)).toEqual({ ok: false, code: "deleted" });
  });

  it("are renamed on the rack whatever their revision, and a knife that is gone stays gone", async () => {
    const record = await addKnife(newDesign("Sedge"));
    await writeDesign(record.id, { ...record.design, notes: "one" }, record.revision);
    await changeDesign(record.id, (d) => ({ ...d, name: "Rush" }));
    expect(await db.knives.get(record.id)).toMatchObject({
      revision: 3,
      design: { name: "Rush", notes: "one" },
    });
    await removeKnife(record.id);
    await changeDesign(record.id, (d) => ({ ...d, name: "Reed" }));
    expect(await db.knives.count()).toBe(0);
  });

  it("come back whole after a deletion", async () => {
    const record = await addKnife(newDesign("Sedge"));
    expect(await removeKnife(record.id)).toBe(true);
    expect(await db.knives.count()).toBe(0);
    expect(await restoreKnife(record.id)).toBe(true);
    expect(await getKnife(record.id)).toEqual({ ok: true, record });
  });

  it("hold the demo knives once, however often the rack is opened", async () => {
    await Promise.all([layOutDemoKnivesOnce(), layOutDemoKnivesOnce()]);
    expect(await db.knives.count()).toBe(18);
    await db.knives.clear();
    await layOutDemoKnivesOnce();
    expect(await db.knives.count()).toBe(0);
    await addDemoKnives();
    expect(await db.knives.count()).toBe(18);
  });

  it("find free names", () => {
    expect(freeName("Parer", [])).toBe("Parer");
    expect(freeName("Parer", ["Parer", "Parer 2"])).toBe("Parer 3");
    expect(freeName("Parer 2", ["Parer", "Parer 2"])).toBe("Parer 3");
    expect(freeName("x".repeat(80), ["x".repeat(80)]).length).toBeLessThanOrEqual(80);
  });
});

describe("variants", () => {
  const sedge = newDesign("Sedge");
  const named = (...names: string[]) => names.map((name) => ({ name, design: sedge }));

  it("are kept beside their knife in the order they were added, under free names", async () => {
    const [a, b] = [await addKnife(sedge), await addKnife(sedge)];
    await addVariants(a.id, named("Slim", "Slim"));
    await addVariants(a.id, named("Slim"));
    await addVariants(b.id, named("Slim"));
    expect((await variantsOf(a.id)).map((v) => v.name)).toEqual(["Slim", "Slim 2", "Slim 3"]);
    expect((await variantsOf(b.id)).map((v) => v.name)).toEqual(["Slim"]);
    const long = "x".repeat(80);
    const added = await addVariants(b.id, named(long, long));
    if (!added.ok) throw new Error("refused");
    for (const { name } of added.added) expect(variantName.safeParse(name).success).toBe(true);
  });

  it("are all refused where there would be too many", async () => {
    const { id } = await addKnife(sedge);
    await addVariants(id, named(...Array.from({ length: MOST_VARIANTS - 1 }, (_, i) => `${i}`)));
    expect(await addVariants(id, named("one", "too many"))).toEqual({ ok: false, room: 1 });
    expect(await variantsOf(id)).toHaveLength(MOST_VARIANTS - 1);
  });

  it("are renamed, replaced, taken away and put back", async () => {
    const { id } = await addKnife(sedge);
    await addVariants(id, named("Slim", "Stout"));
    const [slim] = await variantsOf(id);
    await renameVariant(slim.id, "Slimmer");
    const other = { ...sedge, blade: { ...sedge.blade, spineMm: 3 } };
    await replaceVariant(slim.id, other);
    expect((await variantsOf(id))[0]).toMatchObject({ name: "Slimmer", design: other });
    const gone = await removeVariant(slim.id);
    expect((await variantsOf(id)).map((v) => v.name)).toEqual(["Stout"]);
    await restoreVariants(gone.ok && gone.binId ? [gone.binId] : []);
    expect((await variantsOf(id)).map((v) => v.name)).toEqual(["Slimmer", "Stout"]);
    expect(await removeVariant("no such")).toEqual({ ok: true, binId: null });
  });

  it("go and come back with their knife", async () => {
    const { id } = await addKnife(sedge);
    await addVariants(id, named("Slim"));
    const before = await variantsOf(id);
    await removeKnife(id);
    expect(await db.variants.count()).toBe(0);
    await restoreKnife(id);
    expect(await variantsOf(id)).toEqual(before);
  });
});

describe("the shop", () => {
  it("keeps prices, and refuses what no file could hold", async () => {
    const kept = async () => (await db.settings.get("shop"))?.value;
    expect(await changeShop((s) => ({ ...s, ratePerHour: 30 }))).toBe(true);
    expect(await changeShop((s) => ({ ...s, currency: "cr" }))).toBe(true);
    expect(await kept()).toEqual({ currency: "cr", ratePerHour: 30, prices: {} });
    expect(await changeShop((s) => ({ ...s, ratePerHour: -1 }))).toBe(false);
    expect(await changeShop((s) => ({ ...s, ratePerHour: Number.NaN }))).toBe(false);
    expect(await kept()).toMatchObject({ ratePerHour: 30 });
  });
});

describe("settings", () => {
  it("are changed one by one, and two changes at once lose nothing", async () => {
    await Promise.all([changeSettings({ units: "inch" }), changeSettings({ snapMm: 0.25 })]);
    expect((await db.settings.get("preferences"))?.value).toMatchObject({ units: "inch", snapMm: 0.25 });
    await changeSettings({ snapMm: -3 });
    expect((await db.settings.get("preferences"))?.value, "out of reach").toMatchObject({
      units: "inch",
      snapMm: 0.5,
    });
  });

  it("that make no sense fall back, each by itself", () => {
    const paper = { paper: "a4", way: "proposed", printer: { acrossMm: 100, downMm: 100 } };
    expect(settingsIn(undefined)).toEqual({
      units: "metric",
      snapMm: 0.5,
      paper,
      sheath: USUAL_SHEATH,
      favourites: [],
      recent: [],
    });
    for (const wrong of [null, "thick", { style: "bag", leatherMm: 0, pitchMm: "4", beltMm: Number.NaN }])
      expect(settingsIn({ sheath: wrong }).sheath).toEqual(USUAL_SHEATH);
    expect(settingsIn({ sheath: { leatherMm: 4, beltMm: null, depthMm: 80 } }).sheath).toEqual({
      ...USUAL_SHEATH,
      leatherMm: 4,
      weltThickMm: 4,
      beltMm: null,
    });
    for (const wrong of [null, "a0", { paper: "a0", across: 1, printer: { acrossMm: 80, downMm: "x" } }])
      expect(settingsIn({ paper: wrong }).paper).toEqual(paper);
    const letter = { paper: "letter", way: "upright", printer: { acrossMm: 99, downMm: 101 } };
    expect(settingsIn({ paper: letter }).paper).toEqual(letter);
    // Before a way was proposed, one that lay across was kept as such.
    const before = { paper: "letter", across: true, printer: letter.printer };
    expect(settingsIn({ paper: before }).paper).toEqual({ ...letter, way: "across" });
    expect(settingsIn({ units: "inch", snapMm: 99 })).toMatchObject({ units: "inch", snapMm: 0.5 });
    expect(settingsIn({ units: "cubits", snapMm: 0 })).toMatchObject({ units: "metric", snapMm: 0 });
    expect(settingsIn({ snapMm: Number.NaN })).toMatchObject({ units: "metric", snapMm: 0.5 });
    expect(settingsIn({ favourites: ["g10", 7, "g10"], recent: "brass-260" })).toMatchObject({
      favourites: ["g10"],
      recent: [],
    });
  });

  it("that the page has not read yet are not lost by a change", async () => {
    await changeSettings({ favourites: [], recent: [] });
    // Another page made favourites meanwhile.
    const { value } = (await db.settings.get("preferences"))!;
    await db.settings.put({
      key: "preferences",
      value: { ...(value as object), favourites: ["koa"], recent: ["teak"] },
    });
    toggleFavourite("g10");
    noteChosen("brass-260");
    await expect
      .poll(async () => (await db.settings.get("preferences"))?.value)
      .toMatchObject({ favourites: ["koa", "g10"], recent: ["brass-260", "teak"] });
    await changeSettings({ favourites: [], recent: [] });
  });

  it("keep favourites, and the materials chosen last, the last first and not too many", async () => {
    toggleFavourite("g10");
    toggleFavourite("teak");
    toggleFavourite("g10");
    for (const id of ["brass-260", "teak", "brass-260", "", "koa", "lead", "acetal", "pewter", "abs"])
      noteChosen(id);
    await expect
      .poll(async () => (await db.settings.get("preferences"))?.value)
      .toMatchObject({
        favourites: ["teak"],
        recent: ["abs", "pewter", "acetal", "lead", "koa", "brass-260"],
      });
  });
});

describe("what lies beside a knife", () => {
  const knife = async () => ({ kind: "knife", id: (await addKnife(newDesign("Sedge"))).id }) as const;

  it("is kept for each knife by itself, in order, up to three", async () => {
    const [x, p, q, r, s] = await Promise.all(Array.from({ length: 5 }, knife));
    await changeComparison("a", () => [x]);
    await changeComparison("a", (now) => [...now, p]);
    await changeComparison("b", () => [p, q, r, s]);
    expect(await comparisonOf("a")).toEqual([x, p]);
    expect(await comparisonOf("b")).toEqual([p, q, r]);
    expect(await comparisonOf("c")).toEqual([]);
  });

  it("gives up the place of what was deleted, and has it back when it is put back", async () => {
    const [x, p, q, r] = await Promise.all(Array.from({ length: 4 }, knife));
    await changeComparison("a", () => [x, p, q]);
    await removeKnife(p.id);
    expect(await comparisonOf("a")).toEqual([x, q]);
    await restoreKnife(p.id);
    expect(await comparisonOf("a")).toEqual([x, p, q]);
    await removeKnife(p.id);
    await changeComparison("a", (now) => [...now, r]);
    expect(await comparisonOf("a"), "the fourth finds the place that is free").toEqual([x, q, r]);
  });

  it("is nothing where what was kept makes no sense", async () => {
    await db.settings.put({ key: "beside a", value: [{ kind: "spoon", id: 3 }] });
    expect(await comparisonOf("a")).toEqual([]);
    const x = await knife();
    await changeComparison("a", (now) => [...now, x]);
    expect(await comparisonOf("a")).toEqual([x]);
  });
});
