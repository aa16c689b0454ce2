const last = new Map<string, Promise<unknown>>();

/** Does one thing of a key after the other, in the order in which they were asked for. */
export function inTurn<T>(key: string, work: () => Promise<T>): Promise<T> {
  const before = last.get(key) ?? Promise.resolve();
  const mine = before.then(work, work);
  last.set(key, mine);
  const done = () => {
    if (last.get(key) === mine) last.delete(key);
  };
  mine.then(done, done);
  return mine;
}
