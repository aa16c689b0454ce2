/** What a recipe changes: the same shape, free to be written to. */
export type Draft<T> = { -readonly [K in keyof T]: T[K] extends object ? Draft<T[K]> : T[K] };
