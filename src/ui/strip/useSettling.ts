import { useLayoutEffect, useRef } from "react";
import { useLatest } from "../kit/useLatest";
import { type Resting, settle, settled } from "./settle";

/**
 * Calls `show` with where the beam rests, frame by frame until it has settled under the balance point, and with the
 * balance point at once at the first showing, while it `follows` a drag (smooth by itself), and for those who asked for
 * reduced motion. `show` paints by itself: nothing is drawn again by React meanwhile.
 */
export function useSettling(balanceMm: number, follows: boolean, show: (resting: Resting) => void): void {
  const resting = useRef<Resting | null>(null);
  const showing = useLatest(show);
  useLayoutEffect(() => {
    const still = follows || window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    if (resting.current === null || still) resting.current = { atMm: balanceMm, speedMmS: 0 };
    showing.current(resting.current);
    let frame = 0;
    let last = performance.now();
    const next = (now: number) => {
      resting.current = settle(resting.current as Resting, balanceMm, (now - last) / 1000);
      last = now;
      showing.current(resting.current);
      if (!settled(resting.current, balanceMm)) frame = requestAnimationFrame(next);
    };
    if (!settled(resting.current, balanceMm)) frame = requestAnimationFrame(next);
    return () => cancelAnimationFrame(frame);
  }, [balanceMm, follows, showing]);
  // Bars are drawn again with every scale: what stands on the beam is put in its place again.
  useLayoutEffect(() => {
    if (resting.current) showing.current(resting.current);
  });
}
