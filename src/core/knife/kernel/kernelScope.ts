import type { Manifold } from "manifold-3d";

/**
 * Owner of kernel objects, which no garbage collector takes away: what is held is deleted when the scope ends, whether
 * the work was done or threw; what is handed over is then the receiver's.
 */
export interface KernelScope {
  hold<M extends Manifold | null>(made: M): M;
  handOver<M extends Manifold | null>(made: M): M;
}

export function inKernelScope<T>(work: (scope: KernelScope) => T): T {
  const held = new Set<Manifold>();
  const scope: KernelScope = {
    hold: (made) => {
      if (made) held.add(made);
      return made;
    },
    handOver: (made) => {
      if (made) held.delete(made);
      return made;
    },
  };
  try {
    return work(scope);
  } finally {
    for (const made of held) made.delete();
  }
}
