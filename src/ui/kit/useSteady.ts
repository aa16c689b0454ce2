import { useCallback } from "react";
import { useLatest } from "./useLatest";

/**
 * A function that stays the same, and calls the latest that was given: what is drawn with it is not drawn again for a
 * function that is only made anew.
 */
export function useSteady<A extends unknown[], R>(latest: (...args: A) => R): (...args: A) => R {
  const called = useLatest(latest);
  return useCallback((...args: A) => called.current(...args), [called]);
}
