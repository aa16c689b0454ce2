/** Modules of one sort, each with all that is known of its kind. */
export interface Registry<M extends { readonly kind: string }> {
  /** In the order that they are offered. */
  readonly kinds: readonly M["kind"][];
  /** The module of a record's kind. */
  readonly of: (record: { readonly kind: M["kind"] }) => M;
}

/** Finds modules by their kind; `what` says in an error what they are. Each takes its own kind's record, and no other's. */
export function registryOf<M extends { readonly kind: string }>(
  modules: readonly { readonly kind: M["kind"] }[],
  what: string,
): Registry<M> {
  const byKind = new Map<string, M>(modules.map((m) => [m.kind, m as M]));
  return {
    kinds: modules.map((m) => m.kind),
    of: ({ kind }) => {
      const known = byKind.get(kind);
      if (!known) throw new Error(`no ${what} is called "${kind}"`);
      return known;
    },
  };
}
