import { useRef } from "react";
import { ROUNDING } from "@/core/tolerances";

/**
 * A figure of a field that has been handed over and has not come back as `value` yet: keys can be quicker than what keeps
 * it. Without it, typing the old figure again in that moment would pass for no change, and the one before would stand.
 */
export function useHandedOver(value: number) {
  const under = useRef<number | null>(null);
  if (under.current === value) under.current = null;
  const differs = (from: number | null, next: number) => from !== null && Math.abs(next - from) > ROUNDING;
  return {
    /** What it is, or will be once it has come back. */
    now: () => under.current ?? value,
    /** Hands a figure over, where that changes anything. */
    hand: (next: number, onChange: (next: number) => void) => {
      if (!differs(value, next) && !differs(under.current, next)) return;
      under.current = next;
      onChange(next);
    },
  };
}
