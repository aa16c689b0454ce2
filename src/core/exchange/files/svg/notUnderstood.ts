/** Thrown where a drawing asks for what would put its lines elsewhere and is not read here; the reader answers with it. */
export class NotUnderstood extends Error {
  /** As it stands in the file, in a few words. */
  constructor(readonly what: string) {
    super(`not understood: ${what}`);
  }
}
