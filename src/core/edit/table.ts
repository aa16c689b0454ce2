/**
 * What each kind of edit makes of a design, by its code, from the fields that say it. One that has no meaning for the design
 * as it is now, because what it refers to is gone, gives back the same design.
 */
export type EditTable<D> = Readonly<Record<string, (design: D, fields: never) => D>>;

type FieldsOf<F> = F extends (design: never, fields: infer Fields) => unknown
  ? unknown extends Fields
    ? unknown
    : Fields
  : never;

/** The edits of a table: plain data, a code with the fields that say it. */
export type EditOf<T> = {
  [C in keyof T & string]: { readonly code: C } & FieldsOf<T[C]>;
}[keyof T & string];

/** Any product's edit. */
export interface AnyEdit {
  readonly code: string;
}

/** Edits of products that have their own, by the product's kind: each product's table adds itself. */
// biome-ignore lint/suspicious/noEmptyInterface: every product's own table declares its line of it
export interface EditsByKind {}
