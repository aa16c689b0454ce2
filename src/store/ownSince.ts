/**
 * What this page itself has made of a state that it was shown, before it is shown anything newer. The next change of the
 * same state begins there: else a value that is set back to what was seen would pass for unchanged.
 */
export function ownSince<Seen extends object, State>(stateOf: (seen: Seen) => State) {
  const made = new WeakMap<Seen, State>();
  return {
    /** The state that a change of what was seen begins from. */
    from: (seen: Seen): State => made.get(seen) ?? stateOf(seen),
    /** Notes what was made of it; to be called once for each change, before it is written. */
    note: (seen: Seen, mine: State): void => {
      made.set(seen, mine);
    },
    /** Nothing was written: the next change begins from what was seen again. */
    forget: (seen: Seen): void => {
      made.delete(seen);
    },
  };
}
