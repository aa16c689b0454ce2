/**
 * One value of a record, as plain data: the schema is made from it, fields and drags read their limits from it. Limits
 * of lengths are mm.
 */
export type Field =
  | { readonly type: "length" | "share" | "angle"; readonly low: number; readonly high: number }
  | { readonly type: "material" }
  /** What fills a hole or a printed part's gaps: a material, or null where it is left empty. */
  | { readonly type: "fill" }
  | { readonly type: "choice"; readonly of: readonly string[] }
  /** One of a few whole numbers. */
  | { readonly type: "count"; readonly of: readonly number[] }
  | { readonly type: "group"; readonly fields: Fields };

export type Fields = Readonly<Record<string, Field>>;

export const length = (low: number, high: number) => ({ type: "length", low, high }) as const;
export const share = (low: number, high: number) => ({ type: "share", low, high }) as const;
export const angle = (low: number, high: number) => ({ type: "angle", low, high }) as const;
export const material = { type: "material" } as const;
export const fill = { type: "fill" } as const;
export const choice = <const T extends readonly string[]>(of: T) => ({ type: "choice", of }) as const;
export const count = <const T extends readonly number[]>(of: T) => ({ type: "count", of }) as const;
export const group = <const F extends Fields>(fields: F) => ({ type: "group", fields }) as const;

type ValueOf<F> = F extends { type: "length" | "share" | "angle" }
  ? number
  : F extends { type: "material" }
    ? string
    : F extends { type: "fill" }
      ? string | null
      : F extends { type: "choice" | "count"; of: readonly (infer C)[] }
        ? C
        : F extends { type: "group"; fields: infer G }
          ? RecordOf<G>
          : never;

/** The record that has these fields. */
export type RecordOf<F> = { -readonly [K in keyof F]: ValueOf<F[K]> };

/** The limits at a dotted path of a record's fields; null where it leads to no number. */
export function limitsIn(
  fields: Fields,
  path: string,
): { readonly low: number; readonly high: number } | null {
  const [key, ...rest] = path.split(".");
  const field = fields[key];
  if (field?.type === "group") return limitsIn(field.fields, rest.join("."));
  return field && "low" in field && rest.length === 0 ? field : null;
}
