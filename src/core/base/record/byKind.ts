import { own } from "../own";

/** What is done for each kind of a record: one entry a kind, none left out. */
export type ByKind<R extends { readonly kind: string }, T> = {
  readonly [K in R["kind"]]: (record: Extract<R, { readonly kind: K }>) => T;
};

/** Does for a record what is done for its kind. A kind that is added and left out here does not compile. */
export function byKind<R extends { readonly kind: string }, T>(record: R, of: ByKind<R, T>): T {
  const make = own(of as unknown as Readonly<Record<string, (record: R) => T>>, record.kind);
  if (!make) throw new Error(`nothing is done for "${record.kind}"`);
  return make(record);
}
