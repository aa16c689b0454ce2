/**
 * A number for the structure of a cut: what its panels say of themselves, from the lowest to the highest. A border counts
 * where two of them are unlike, by the regions that begin or end there.
 */
export class StructureKey {
  private key = 1;
  private last = 0;

  clear(): void {
    this.key = 1;
    this.last = 0;
  }

  /** Takes the next panel in; 0 stands for one that holds nothing. */
  add(mark: number, border: number): void {
    if (mark === this.last) return;
    this.key = mixed(mixed(this.key, mark), border);
    this.last = mark;
  }

  /** The number of all that was taken in, closed at its upper end. */
  get value(): number {
    return this.last === 0 ? this.key : mixed(this.key, 0);
  }
}

/** One number for a number and one more behind it, in 32 bits. */
export function mixed(h: number, v: number): number {
  const m = Math.imul(h ^ (v + 0x7f4a7c15), 0x9e3779b1);
  return m ^ (m >>> 15);
}

/** How many creases of a cut lie below a height, and one more. */
export function below(creases: readonly number[], y: number): number {
  let n = 1;
  for (let i = 0; i < creases.length; i++) if (creases[i] < y) n++;
  return n;
}
