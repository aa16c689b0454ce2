import { liveQuery } from "dexie";
import { createStore } from "zustand/vanilla";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Workshop } from "@/core/knife/design/record/workshop";
import { inWorkshop } from "@/core/knife/design/workshop";
import { db } from "./db";
import { settingValue } from "./keptSetting";
import type { Reading } from "./reading";
import type { StoredWorkshop } from "./rows";
import { ready } from "./storage";
import { isReadableWorkshop, WORKSHOPS, workshopOf } from "./tables/workshops";
import { withUnwritten } from "./unwritten";

interface Workshops {
  /** Those that can be read, the oldest first; null before the database was asked. */
  readonly list: readonly Workshop[] | null;
  /** The one that new knives begin in, whose rate and printer hold; null before there is any. */
  readonly present: Workshop | null;
}

/** The maker's workshops as they are known now. */
export const workshops = createStore<Workshops>(() => ({ list: null, present: null }));
/** The setting that names the present one. */
export const PRESENT_WORKSHOP = "workshop";

/** A row that was read before is the same workshop: what follows it is not made anew. */
const known = new Map<string, { readonly of: string; readonly workshop: Workshop }>();

async function read(row: StoredWorkshop): Promise<readonly Workshop[]> {
  if (!(await isReadableWorkshop(row))) return [];
  const workshop = workshopOf(row) as Workshop;
  const of = JSON.stringify(workshop);
  const before = known.get(row.id);
  if (before?.of === of) return [before.workshop];
  known.set(row.id, { of, workshop });
  return [workshop];
}

/** Readings in the order that they began, and the last that is known: one that began before it came too late. */
let begun = 0;
let shown = 0;

/** Reads the workshops as they lie in the database and wait to be written. */
export async function readWorkshops(): Promise<readonly Workshop[]> {
  const turn = ++begun;
  const [stored, chosen] = await Promise.all([db.workshops.toArray(), settingValue(PRESENT_WORKSHOP)]);
  const rows = withUnwritten(WORKSHOPS, stored as never) as unknown as StoredWorkshop[];
  const inOrder = [...rows].sort((a, b) => a.createdAt - b.createdAt);
  const list = (await Promise.all(inOrder.map(read))).flat();
  if (turn < shown) return list;
  shown = turn;
  workshops.setState({ list, present: list.find((w) => w.id === chosen) ?? list[0] ?? null });
  return list;
}

let watching = false;

/** Keeps the list up to date from now on. */
export function watchWorkshops(): void {
  if (watching) return;
  watching = true;
  const failed = (error: unknown) => {
    watching = false;
    console.error("the workshops could not be read", error);
  };
  void ready().then(() => {
    liveQuery(() => Promise.all([db.workshops.toArray(), settingValue(PRESENT_WORKSHOP)])).subscribe({
      next: () => void readWorkshops().catch(failed),
      error: failed,
    });
  }, failed);
}

const made = new WeakMap<ProductDesign, { readonly in: Workshop; readonly design: ProductDesign }>();
/** What each was made of, which stays as long as it: else the same record would be made into another object later. */
const madeOf = new WeakMap<ProductDesign, ProductDesign>();

/** The design as the workshop that it follows is now; as it is where that is not known. The same object as long as both are. */
export function follow<D extends ProductDesign>(design: D): D {
  const workshop = workshops.getState().list?.find((w) => w.id === design.workshop.id);
  if (!workshop) return design;
  const before = made.get(design);
  if (before?.in === workshop) return before.design as D;
  const followed = inWorkshop(design, workshop);
  made.set(design, { in: workshop, design: followed });
  if (followed !== design) madeOf.set(followed, design);
  return followed;
}

/** The same once the workshops have been read; where they cannot be, the design stands as it carries its own. */
export async function followKept<D extends ProductDesign>(design: D): Promise<D> {
  if (workshops.getState().list === null) await readWorkshops().catch(() => undefined);
  return follow(design);
}

/** A record as it was read, its design as the workshop that it follows is now. */
export async function followedReading<R extends { readonly design: ProductDesign }>(
  reading: Reading<R>,
): Promise<Reading<R>> {
  if (!reading.ok) return reading;
  const { record } = reading;
  const design = await followKept(record.design);
  return design === record.design ? reading : { ok: true, record: { ...record, design } };
}
