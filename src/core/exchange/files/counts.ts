/** Counts things by a code while a file is read. */
export class Counts<Code extends string> {
  private readonly byCode = new Map<Code, number>();

  constructor(begun: Iterable<readonly [Code, number]> = []) {
    for (const [code, count] of begun) this.add(code, count);
  }

  add(code: Code, count = 1): void {
    if (count > 0) this.byCode.set(code, (this.byCode.get(code) ?? 0) + count);
  }

  has(code: Code): boolean {
    return this.byCode.has(code);
  }

  /** As plain data; names from outside are its own keys. */
  all(): Readonly<Record<Code, number>> {
    return Object.fromEntries(this.byCode) as Record<Code, number>;
  }
}
