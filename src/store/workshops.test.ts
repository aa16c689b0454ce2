import "fake-indexeddb/auto";
import { setFlagsFromString } from "node:v8";
import { runInNewContext } from "node:vm";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { asFixed } from "@/core/knife/design/fixed.fixtures";
import type { Workshop } from "@/core/knife/design/record/workshop";
import type { Design } from "@/core/knife/design/schema";
import { RECORD_VERSION } from "@/core/knife/design/version";
import { agreedFacts, plainFacts } from "@/core/knife/design/workshop";
import { backupFile, takeIn } from "./backup.fixtures";
import { binItems, putBack } from "./bin";
import { bringIn } from "./bringIn";
import { checksumOf } from "./checksum";
import { db } from "./db";
import { firstVisit } from "./firstVisit";
import { follow, workshops } from "./followed";
import { incomingKnives } from "./incoming";
import { addKnife, getKnife, readableKnives } from "./knives";
import { createSession } from "./session";
import { changeSettings } from "./settings";
import { changeShop, keptShop } from "./shop";
import { ready } from "./storage";
import { addVariants, variantsOf } from "./variants";
import {
  addWorkshop,
  changeWorkshop,
  firstWorkshop,
  presentWorkshop,
  removeWorkshop,
  workIn,
} from "./workshops";

setFlagsFromString("--expose-gc");
const collectGarbage: () => void = runInNewContext("gc");

beforeEach(async () => {
  await ready();
  for (const table of db.tables) await table.clear();
  workshops.setState({ list: null, present: null });
});

/** A knife that says something of its shop otherwise than a plain one. */
const knifeIn = (name: string, change: Partial<Design["workshop"]>): Design => {
  const plain = newDesign(name);
  return { ...plain, workshop: { ...plain.workshop, ...change } };
};
const read = async (id: string): Promise<Design> => {
  const reading = await getKnife(id);
  if (!reading?.ok) throw new Error("cannot be read");
  return asFixed(reading.record.design);
};
const present = async () => {
  const workshop = await presentWorkshop();
  if (!workshop) throw new Error("no workshop");
  return workshop;
};

describe("the first workshop", () => {
  it("is made of what most knives agree on; what a knife says otherwise stays its own", async () => {
    const ids = [];
    for (const [name, shopC] of [
      ["Sedge", 14],
      ["Rush", 14],
      ["Reed", 25],
    ] as const)
      ids.push((await addKnife(knifeIn(name, { shopC }))).id);
    const before = await Promise.all(ids.map((id) => db.knives.get(id)));
    await addVariants(ids[0], [{ name: "Warm", design: knifeIn("Sedge", { shopC: 25 }) }]);
    await changeShop((s) => ({ ...s, ratePerHour: 45 }));
    await changeSettings({ paper: { paper: "a4", way: "upright", printer: { acrossMm: 99, downMm: 101 } } });
    await firstWorkshop();
    const workshop = await present();
    expect(workshop.facts).toEqual({ ...plainFacts(), shopC: 14 });
    expect(workshop.ratePerHour).toBe(45);
    expect(workshop.printer).toEqual({ acrossMm: 99, downMm: 101 });
    expect((await read(ids[0])).workshop).toMatchObject({ id: workshop.id, own: [], shopC: 14 });
    expect((await read(ids[2])).workshop).toMatchObject({ id: workshop.id, own: ["shopC"], shopC: 25 });
    expect((await variantsOf(ids[0]))[0].design.workshop).toMatchObject({ own: ["shopC"], shopC: 25 });
    // Nothing else of a knife is changed, nor that it was.
    const after = await Promise.all(ids.map((id) => db.knives.get(id)));
    after.forEach((row, i) => {
      expect([row?.revision, row?.updatedAt]).toEqual([before[i]?.revision, before[i]?.updatedAt]);
      const [now, then] = [row?.design, before[i]?.design] as [Design, Design];
      expect({ ...now, workshop: null }).toEqual({ ...then, workshop: null });
    });
    await firstWorkshop();
    expect(await db.workshops.count()).toBe(1);
  });

  it("takes what the older of two knives says, whatever their ids", async () => {
    for (const [id, shopC, createdAt] of [
      ["a", 25, 2],
      ["b", 14, 1],
    ] as const) {
      const { id: made } = await addKnife(knifeIn("Sedge", { shopC }));
      const row = await db.knives.get(made);
      await db.knives.delete(made);
      await db.knives.put({ ...row, id, createdAt } as never);
    }
    await firstWorkshop();
    expect((await present()).facts.shopC).toBe(14);
  });

  it("is there from the first visit, with the demo knives in it", async () => {
    await firstVisit();
    const { id } = await present();
    const knives = await readableKnives();
    expect(knives.length).toBeGreaterThan(10);
    expect(knives.every((k) => k.design.workshop.id === id)).toBe(true);
    await firstVisit();
    expect(await db.workshops.count()).toBe(1);
  });

  it("takes of each part what is said most often, the first of those said as often", () => {
    const said = [30, 10, 10, 30].map((shopC) => knifeIn("Sedge", { shopC }));
    expect(agreedFacts(said).shopC).toBe(30);
    expect(agreedFacts([])).toEqual(plainFacts());
  });
});

describe("a knife that follows a workshop", () => {
  it("is as the workshop is now, but for its own parts, and carries it when it is written", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await addKnife(newDesign("Reed"));
    const own = await addKnife(knifeIn("Rush", { handMm: 100 }));
    await firstWorkshop();
    const workshop = await present();
    await changeWorkshop(workshop.id, (w) => ({ ...w, facts: { ...w.facts, shopC: 9, handMm: 70 } }));
    expect((await read(id)).workshop).toMatchObject({ shopC: 9, handMm: 70, own: [] });
    expect((await read(own.id)).workshop).toMatchObject({ shopC: 9, handMm: 100, own: ["handMm"] });
    // The same object as long as neither changes: what was worked out of it holds.
    const kept = await read(id);
    for (let i = 0; i < 3; i++) {
      await new Promise((resolve) => setTimeout(resolve));
      collectGarbage();
    }
    expect(await read(id)).toBe(kept);
  });

  it("makes a part its own by changing it, goes back to the workshop's, and undo keeps to what the workshop is now", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await firstWorkshop();
    const workshop = await present();
    const session = createSession(await read(id));
    session.getState().edit({ code: "set", path: "workshop.shopC", to: 30 });
    expect(session.getState().design.workshop).toMatchObject({ shopC: 30, own: ["shopC"] });
    session.getState().edit({ code: "share-part", part: "shopC", workshop });
    expect(session.getState().design.workshop).toMatchObject({ shopC: 20, own: [] });
    session.getState().edit({ code: "set", path: "name", to: "Rush" });
    await changeWorkshop(workshop.id, (w) => ({ ...w, facts: { ...w.facts, shopC: 12 } }));
    session.followOn();
    expect(session.getState().design.workshop.shopC).toBe(12);
    session.undo();
    expect(session.getState().design).toMatchObject({ name: "Sedge", workshop: { shopC: 12, own: [] } });
    session.undo();
    expect(session.getState().design.workshop).toMatchObject({ shopC: 30, own: ["shopC"] });
    session.redo();
    session.redo();
    expect(session.getState().design).toMatchObject({ name: "Rush", workshop: { shopC: 12 } });
  });

  it("keeps what it carries when its workshop is gone, and follows it again when it is back", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await firstWorkshop();
    const first = await present();
    const second = await addWorkshop("Barn", first);
    await workIn(second.id);
    expect((await present()).name).toBe("Barn");
    const before = await read(id);
    await removeWorkshop(first.id);
    expect(follow(before)).toBe(before);
    expect((await read(id)).workshop).toEqual(before.workshop);
    expect(await putBack((await binItems())[0].id)).toMatchObject({ ok: true });
    await changeWorkshop(first.id, (w) => ({ ...w, facts: { ...w.facts, shopC: 5 } }));
    expect((await read(id)).workshop.shopC).toBe(5);
  });

  it("that comes in from elsewhere follows the present one, and keeps what it says otherwise", async () => {
    await firstWorkshop();
    const workshop = await present();
    const foreign = knifeIn("Sedge", { id: "another", own: [], shopC: 3 });
    const mine = knifeIn("Rush", { id: workshop.id, own: ["shopC"], shopC: 7 });
    await bringIn(
      incomingKnives(
        [
          { design: foreign, variants: [{ name: "V", design: foreign }] },
          { design: mine, variants: [] },
        ],
        workshop,
      ),
    );
    const [rush, sedge] = (await readableKnives()).sort((a, b) => a.design.name.localeCompare(b.design.name));
    expect(rush.design).toEqual(mine);
    expect(sedge.design.workshop).toMatchObject({ id: workshop.id, own: ["shopC"], shopC: 3 });
    expect((await variantsOf(sedge.id))[0].design.workshop).toMatchObject({ own: ["shopC"] });
  });

  it("comes back from a backup with its workshop", async () => {
    const { id } = await addKnife(newDesign("Sedge"));
    await firstWorkshop();
    const workshop = await present();
    await changeWorkshop(workshop.id, (w) => ({ ...w, name: "Barn", facts: { ...w.facts, shopC: 4 } }));
    const file = await backupFile();
    for (const table of db.tables) await table.clear();
    workshops.setState({ list: null, present: null });
    await takeIn(file, "replace");
    expect(await present()).toMatchObject({ name: "Barn", facts: { shopC: 4 } });
    expect((await read(id)).workshop).toMatchObject({ id: workshop.id, shopC: 4 });
  });
});

describe("the rate", () => {
  it("is the present workshop's, whoever changes it", async () => {
    await firstWorkshop();
    await changeShop((s) => ({ ...s, ratePerHour: 60, currency: "€" }));
    expect(await present()).toMatchObject({ ratePerHour: 60 });
    const barn = await addWorkshop("Barn");
    await workIn(barn.id);
    expect(await keptShop()).toMatchObject({ ratePerHour: 0, currency: "€" });
    await changeWorkshop(barn.id, (w) => ({ ...w, ratePerHour: 20 }));
    expect((await keptShop()).ratePerHour).toBe(20);
  });
});

describe("rows that version 13 wrote", () => {
  /** As it was then: a stretch of work a day, or none, and nothing of days off, clamps and delivery. */
  function asThen({ hours, daysOff: _, clampSets: __, deliveryDays: ___, ...workshop }: Workshop): unknown {
    return { ...workshop, hours: hours.map(([first]) => first ?? null) };
  }

  it("of workshops are read with what has come since, and changed further as such", async () => {
    const made = await addWorkshop("Old shop");
    const row = (await db.workshops.get(made.id))!;
    const { leastCureH: _, ...glue } = made.facts.glue;
    const old = asThen({
      ...made,
      facts: { ...made.facts, glue: { ...glue, cureH: 36 } as typeof glue & { leastCureH: 24 } },
    }) as Workshop;
    await db.workshops.put({ ...row, workshop: old, version: 13, checksum: checksumOf(old) });
    const read = await presentWorkshop();
    expect(read?.facts.glue).toEqual({ ...glue, cureH: 36, leastCureH: 24 });
    expect(read).toMatchObject({ hours: made.hours, daysOff: [], clampSets: 2, deliveryDays: 7 });
    await changeWorkshop(made.id, (w) => ({ ...w, name: "Old shop, painted" }));
    const next = (await db.workshops.get(made.id))!;
    expect(next.version).toBe(RECORD_VERSION);
    expect(next.workshop).toMatchObject({ name: "Old shop, painted", facts: { glue: { leastCureH: 24 } } });
  });

  it("come back out of a backup of that time", async () => {
    const made = await addWorkshop("Old shop");
    const row = (await db.workshops.get(made.id))!;
    const { leastCureH: _, ...glue } = made.facts.glue;
    const old = asThen({
      ...made,
      facts: { ...made.facts, glue: glue as typeof glue & { leastCureH: 24 } },
    }) as Workshop;
    await db.workshops.put({ ...row, workshop: old, version: 13, checksum: checksumOf(old) });
    const backup = await backupFile();
    await db.workshops.clear();
    await takeIn(backup, "merge-newer");
    expect((await presentWorkshop())?.facts.glue.leastCureH).toBe(24);
  });
});
