import Dexie from "dexie";

/** What stands behind the database: the browser's own, or one in memory that `keepInMemory` puts in its place. */
let factory: IDBFactory | undefined = globalThis.indexedDB;
let keyRange: typeof IDBKeyRange | undefined = globalThis.IDBKeyRange;
let inMemory = false;

function delegating<T extends object>(target: () => T | undefined): T {
  return new Proxy({} as T, {
    get: (_, key) => {
      const now = target();
      // Some private windows have no database at all.
      if (!now) throw new DOMException("this browser keeps no database here", "InvalidStateError");
      const value = Reflect.get(now, key) as unknown;
      return typeof value === "function" ? value.bind(now) : value;
    },
  });
}

export const switchableFactory = delegating<IDBFactory>(() => factory);
export const switchableKeyRange = delegating<typeof IDBKeyRange>(() => keyRange);

/** Whether what is written now is gone with the tab. */
export function isInMemory(): boolean {
  return inMemory;
}

/** Puts a database in memory in the place of the browser's. It is fetched only then. */
export async function keepInMemory(): Promise<void> {
  const { IDBFactory: Factory, IDBKeyRange: Range } = await import("fake-indexeddb");
  factory = new Factory();
  keyRange = Range as typeof IDBKeyRange;
  inMemory = true;
  // Queries are followed only where there is a database at all: now there is.
  Dexie.dependencies.indexedDB ??= factory;
}

/** Goes back to the browser's own. */
export function keepInBrowser(): void {
  factory = globalThis.indexedDB;
  keyRange = globalThis.IDBKeyRange;
  inMemory = false;
}
