import Module, { type Manifold, type ManifoldToplevel } from "manifold-3d";

type Call = (...args: unknown[]) => unknown;

/** A mesh kernel that notes every solid that it hands out. */
export interface WatchedKernel {
  readonly kernel: ManifoldToplevel;
  /** What was handed out since it was last asked what is left. */
  readonly made: Set<Manifold>;
  /** Solids that nobody deleted since the last time this was asked. */
  readonly leftOver: () => number;
}

/** A kernel of one's own, each solid noted, by whichever method it is made. */
export async function watchedKernel(): Promise<WatchedKernel> {
  const made = new Set<Manifold>();
  const kernel = await Module();
  kernel.setup();
  const Plain = kernel.Manifold;
  const noted = (value: unknown) => {
    if (value instanceof Plain) made.add(value as Manifold);
    else if (Array.isArray(value)) value.forEach(noted);
    return value;
  };
  const watch = (holder: Record<string, unknown>) => {
    for (const key of Object.getOwnPropertyNames(holder)) {
      if (["constructor", "prototype", "delete"].includes(key)) continue;
      const of = Object.getOwnPropertyDescriptor(holder, key);
      if (typeof of?.value !== "function" || !of.writable) continue;
      const plain = of.value as Call;
      holder[key] = function (this: unknown, ...args: unknown[]) {
        return noted(plain.apply(this, args));
      };
    }
  };
  // The methods lie with the class behind the one that the kernel shows.
  const sample = Plain.cube([1, 1, 1], true);
  watch(Object.getPrototypeOf(sample));
  sample.delete();
  watch(Plain as never);
  kernel.Manifold = new Proxy(Plain, {
    construct: (target, args) => noted(Reflect.construct(target, args)) as object,
  }) as typeof Plain;
  made.clear();
  const leftOver = () => {
    const left = [...made].filter((m) => !(m as unknown as { isDeleted(): boolean }).isDeleted()).length;
    made.clear();
    return left;
  };
  return { kernel, made, leftOver };
}
