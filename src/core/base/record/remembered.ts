/**
 * A function of a record that works its answer out once for each record, by identity: records are immutable. What
 * nobody holds any more is forgotten with it.
 */
export function remembered<K extends object, V>(work: (of: K) => V): (of: K) => V {
  const known = new WeakMap<K, { readonly value: V }>();
  return (of) => {
    let entry = known.get(of);
    if (!entry) {
      entry = { value: work(of) };
      known.set(of, entry);
    }
    return entry.value;
  };
}

/** A value that is worked out when it is first asked for. */
export function lazily<V>(work: () => V): () => V {
  let entry: { readonly value: V } | null = null;
  return () => {
    entry ??= { value: work() };
    return entry.value;
  };
}
