import { useInsertionEffect, useRef } from "react";

/** The latest of a value, for what happens later than the drawing that it was given to: never read while drawing. */
export function useLatest<T>(value: T): { readonly current: T } {
  const latest = useRef(value);
  useInsertionEffect(() => {
    latest.current = value;
  });
  return latest;
}
