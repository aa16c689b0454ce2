/** Thrown where something that came in asks for more work than it may; the reader answers with a value. */
export class TooMuchWork extends Error {
  constructor() {
    super("it asks for too much work");
  }
}

/** Places, entities, copies, chords, joins and comparisons that one file may ask for: well under a second. */
export const MOST_WORK = 1_100_000;

/**
 * What a file may ask for. Every reader, and whoever goes on with what it read, spends from one budget before the work is
 * done: how long a file takes does not depend on how it is nested.
 */
export class Work {
  private left: number;

  constructor(most = MOST_WORK) {
    this.left = most;
  }

  /** Takes so many steps off the budget. Throws `TooMuchWork` where they are not there. */
  spend(steps = 1): void {
    if (!(steps <= this.left)) throw new TooMuchWork();
    this.left -= steps;
  }
}
