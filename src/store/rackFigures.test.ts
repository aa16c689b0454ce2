import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { ENGINE_VERSION } from "@/core/figures/weigh/version";
import { weigh } from "@/core/figures/weigh/weigh";
import { newDesign } from "@/core/knife/design/create";
import { asFixed } from "@/core/knife/design/fixed.fixtures";
import type { ProductDesign } from "@/core/knife/design/product";
import { db } from "./db";
import { addKnife, changeDesign, knifeIds } from "./knives";
import { createRackFigures } from "./rackFigures";
import { ready, writeWaiting } from "./storage";

const extent = { xLow: -100, xHigh: 100, yLow: -10, yHigh: 10 };
let weighed: string[] = [];
const plain = async (design: ProductDesign) => {
  weighed.push(design.name);
  return { ok: true as const, value: weigh(asFixed(design)) };
};

beforeEach(async () => {
  await ready();
  for (const table of [db.knives, db.figures, db.bin]) await table.clear();
  weighed = [];
});

async function rack(...names: string[]): Promise<string[]> {
  for (const [i, name] of names.entries()) await addKnife(newDesign(name), 1000 + i);
  return knifeIds();
}
const done = (count: number) => vi.waitFor(async () => expect(await db.figures.count()).toBe(count));

describe("figures on the rack", () => {
  it("are worked out once, kept, and there at once on the next visit", async () => {
    const ids = await rack("Sedge", "Rush", "Reed");
    const first = createRackFigures(plain, () => extent);
    await first.begin(ids);
    await done(3);
    expect(weighed.sort()).toEqual(["Reed", "Rush", "Sedge"]);

    const second = createRackFigures(plain, () => extent);
    await second.begin(ids);
    const { known, ids: listed } = second.getState();
    expect(listed).toBe(ids);
    expect(ids.map((id) => known.get(id)?.massG)).toEqual(ids.map(() => expect.any(Number)));
    await new Promise((r) => setTimeout(r, 50));
    expect(weighed).toHaveLength(3);
  });

  it("never list a knife before its size is known, even when the rack was empty a moment ago", async () => {
    const figures = createRackFigures(plain, () => extent);
    const unsized: string[] = [];
    const stop = figures.subscribe(({ ids, known }) =>
      unsized.push(...(ids ?? []).filter((id) => !known.get(id)?.extent)),
    );
    const early = figures.begin([]);
    const ids = await rack("Sedge", "Rush", "Reed");
    await Promise.all([early, figures.begin(ids)]);
    expect(figures.getState().ids).toBe(ids);
    await done(3);
    expect(unsized).toEqual([]);
    stop();
  });

  it("are worked out anew for what was changed, and by another engine", async () => {
    const ids = await rack("Sedge", "Rush", "Reed");
    await createRackFigures(plain, () => extent).begin(ids);
    await done(3);
    weighed = [];
    await changeDesign(ids[1], (d) => ({ ...d, blade: { ...asFixed(d).blade, spineMm: 6 } }));
    await db.figures.update(ids[2], { engine: ENGINE_VERSION - 1 });
    const figures = createRackFigures(plain, () => extent);
    await figures.begin(ids);
    await vi.waitFor(() => expect([...weighed].sort()).toEqual(["Reed", "Rush"]));
    await vi.waitFor(() => expect(figures.getState().known.get(ids[1])?.revision).toBe(2));
  });

  it("of a knife that can be built no more are those of when it last could, said as such", async () => {
    const ids = await rack("Sedge");
    await createRackFigures(plain, () => extent).begin(ids);
    await done(1);
    const before = await db.figures.get(ids[0]);
    await changeDesign(ids[0], (d) => ({ ...d, blade: { ...asFixed(d).blade, edgeMm: 9 } }));
    const figures = createRackFigures(plain, () => extent);
    await figures.begin(ids);
    await vi.waitFor(() => expect(figures.getState().known.get(ids[0])?.revision).toBe(2));
    expect(figures.getState().known.get(ids[0])).toMatchObject({ massG: before?.massG, refused: true });
  });

  it("of knives in sight come first", async () => {
    const ids = await rack("A", "B", "C", "D", "E");
    const figures = createRackFigures(plain, () => extent);
    figures.inSight([ids[3], ids[4]]);
    await figures.begin(ids);
    await done(5);
    expect(weighed.slice(0, 2)).toEqual(["D", "E"]);
  });

  it("of a state that waits in memory are not those of the one that is written", async () => {
    const ids = await rack("Sedge");
    await createRackFigures(plain, () => extent).begin(ids);
    await done(1);
    const before = await db.figures.get(ids[0]);
    const put = vi
      .spyOn(db, "transaction")
      .mockImplementation((() => Promise.reject(new Error("full"))) as never);
    vi.spyOn(console, "error").mockImplementation(() => undefined);
    await new Promise((r) => setTimeout(r, 3));
    await changeDesign(ids[0], (d) => ({ ...d, blade: { ...asFixed(d).blade, spineMm: 8 } }));
    const figures = createRackFigures(plain, () => extent);
    await figures.begin(ids);
    await vi.waitFor(() =>
      expect(figures.getState().known.get(ids[0])?.massG).toBeGreaterThan((before?.massG ?? 0) + 20),
    );
    put.mockRestore();
    await writeWaiting();
  });

  it("rest while the page is scrolled, and then go on where they were", async () => {
    const ids = await rack("A", "B", "C", "D");
    const figures = createRackFigures(plain, () => extent);
    figures.rest(true);
    await figures.begin(ids);
    await new Promise((r) => setTimeout(r, 60));
    expect(weighed).toEqual([]);
    expect(figures.getState().ids, "what was kept is shown all the same").toBe(ids);
    figures.rest(false);
    await vi.waitFor(() => expect(weighed.length).toBeGreaterThan(0));
    figures.rest(true);
    await new Promise((r) => setTimeout(r, 60));
    figures.rest(false);
    await done(4);
    expect([...weighed].sort()).toEqual(["A", "B", "C", "D"]);
  });

  it("pass over what cannot be read or built, and say why nothing is weighed; asked again, they are", async () => {
    const ids = await rack("Sedge", "Rush");
    await db.knives.put({ id: "bad", design: {} } as never);
    await changeDesign(ids[0], (d) => ({ ...d, blade: { ...asFixed(d).blade, steel: "no such steel" } }));
    let broken = true;
    const figures = createRackFigures(
      (d) => (broken ? Promise.resolve({ ok: false, code: "failed", message: "gone" }) : plain(d)),
      () => extent,
    );
    await figures.begin([...ids, "bad"]);
    await vi.waitFor(() => expect(figures.getState().failure).toBe("gone"));
    expect(await db.figures.count()).toBe(0);
    broken = false;
    figures.again();
    await done(2);
    expect(figures.getState().failure).toBeNull();
    expect(figures.getState().known.get(ids[0])).toMatchObject({ massG: null, balanceMm: null });
    expect(figures.getState().known.get(ids[1])?.massG).toBeGreaterThan(10);
  });
});
