import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { newPlan } from "@/core/plan/newPlan";
import { withDone } from "@/core/plan/progress";
import { putBack } from "./bin";
import { db, tableNamed } from "./db";
import { addKnife, duplicateKnife, getKnife, removeKnife, restoreKnife } from "./knives";
import { addLot, allLots, changeLot, removeLot, takeLots } from "./lots";
import { changePlan, planOfKnife } from "./plans";
import type { Row } from "./tables/spec";

const done = (task: string) => (plan: ReturnType<typeof newPlan>) => withDone(plan, task, { at: 1, cut: [] });

beforeEach(async () => {
  await Promise.all(db.tables.map((t) => t.clear()));
});

async function knife() {
  const { id } = await addKnife(newDesign("Sedge"));
  const reading = await getKnife(id);
  if (!reading?.ok) throw new Error("no knife");
  return reading.record;
}

describe("a plan", () => {
  it("is kept from its first tick on, and two ticks at once are both there", async () => {
    const { id } = await knife();
    expect(await planOfKnife(id)).toBeNull();
    await Promise.all([changePlan(id, done("profile")), changePlan(id, done("harden"))]);
    expect(Object.keys((await planOfKnife(id))!.done).sort()).toEqual(["harden", "profile"]);
  });

  it("goes into the bin with its knife, and comes back with it", async () => {
    const { id } = await knife();
    await changePlan(id, done("profile"));
    await removeKnife(id);
    expect(await planOfKnife(id)).toBeNull();
    await restoreKnife(id);
    expect(Object.keys((await planOfKnife(id))!.done)).toEqual(["profile"]);
  });

  it("of a copy is of a knife that nobody has begun: how its maker works stays", async () => {
    const record = await knife();
    await changePlan(record.id, (p) => ({
      ...done("profile")(p),
      schools: { ...p.schools, grind: "grind-first" },
    }));
    const copy = await duplicateKnife(record);
    expect(await planOfKnife(copy.id)).toMatchObject({ done: {}, schools: { grind: "grind-first" } });
  });

  it("of a copy has nothing of what was measured, noted, held or made of the other", async () => {
    const record = await knife();
    await changePlan(record.id, (p) => ({
      ...done("profile")(p),
      pieces: 3,
      others: [{ profile: { at: 1, tookMin: 4, cut: [] } }],
      sizes: { "handle-length": 110 },
      log: [{ id: "n", at: 1, says: "Warped", picture: null }],
      holds: { harden: { day: "2027-01-05", why: "chosen" } },
      clocks: { harden: { countedMs: 5, sinceMs: null } },
      otherwise: { harden: "hotter" },
    }));
    const copy = await duplicateKnife(record);
    expect(await planOfKnife(copy.id)).toEqual({ ...newPlan(), otherwise: { harden: "hotter" } });
  });

  it("that cannot be read stays as it lies, and is changed by nobody", async () => {
    const { id } = await knife();
    await changePlan(id, done("profile"));
    const table = tableNamed<Row>("plans");
    const row = (await table.get(id))!;
    const damaged = { ...row, plan: { schools: "none" } };
    await table.put(damaged);
    expect(await planOfKnife(id)).toBeNull();
    expect(await changePlan(id, done("harden"))).toMatchObject({ ok: false });
    expect(await table.get(id)).toEqual(damaged);
    // Nor is one of a newer Euaxis.
    await table.put({ ...row, version: 99 });
    expect(await planOfKnife(id)).toBeNull();
  });
});

describe("lots", () => {
  it("are kept, changed, deleted and put back", async () => {
    const lot = await addLot("walnut-black", "Walnut");
    await changeLot(lot.id, (l) => ({ ...l, count: 4 }));
    expect(await allLots()).toEqual([{ ...lot, count: 4 }]);
    const removed = await removeLot(lot.id);
    expect(await allLots()).toEqual([]);
    if (!removed.ok || !removed.binId) throw new Error("not in the bin");
    expect((await putBack(removed.binId)).ok).toBe(true);
    expect(await allLots()).toEqual([{ ...lot, count: 4 }]);
  });

  it("that come in leave those of their ids as they are", async () => {
    const lot = await addLot("walnut-black", "Walnut");
    const other = { ...lot, id: "another-one", name: "Oak" };
    const brought = await takeLots([{ ...lot, name: "Elsewhere" }, other]);
    expect(brought.count).toBe(1);
    expect((await allLots()).map((l) => l.name).sort()).toEqual(["Oak", "Walnut"]);
    // At one click all of it is out again.
    expect(await brought.undo()).toEqual({ kept: 0 });
    expect((await allLots()).map((l) => l.name)).toEqual(["Walnut"]);
  });

  it("that another hand changed so that they make no sense are not shown", async () => {
    const lot = await addLot("walnut-black", "Walnut");
    const table = tableNamed<Row>("lots");
    const row = (await table.get(lot.id))!;
    await table.put({ ...row, lot: { ...lot, count: -3 } });
    expect(await allLots()).toEqual([]);
    // What is sound is read, whoever wrote it.
    await table.put({ ...row, lot: { ...lot, count: 3 }, checksum: undefined });
    expect((await allLots())[0].count).toBe(3);
  });
});
