import "fake-indexeddb/auto";
import Dexie from "dexie";
import { expect, it } from "vitest";
import { newDesign } from "@/core/knife/design/create";
import { sealed } from "./reading";
import { TABLES } from "./tables/list";

it("a database of the layout before workshops gets their table, and keeps what it has", async () => {
  const old = new Dexie("euaxis");
  const before = TABLES.filter((t) => t.since <= 6).map((t) => [t.name, t.indexes]);
  old.version(6).stores({
    ...Object.fromEntries(before),
    figures: "id",
    pictures: "id",
    staging: "[run+n], run",
  });
  await old.open();
  const row = {
    id: "k",
    ...sealed(newDesign("Sedge")),
    revision: 3,
    createdAt: 1,
    updatedAt: 2,
    saved: null,
  };
  await old.table("knives").put(row);
  old.close();
  const { db } = await import("./db");
  await db.open();
  expect(db.verno).toBe(Math.max(...TABLES.map((t) => t.since)));
  expect([...db.backendDB().objectStoreNames]).toContain("workshops");
  expect(await db.knives.get("k")).toEqual(row);
  db.close();
});
