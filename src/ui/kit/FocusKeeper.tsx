"use client";
import { useEffect } from "react";

const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';
/** So many elements round the one with the focus are remembered, from the inside outward. */
const TRAIL = 14;

/** An element round the one that had the focus, and which of those that can be reached in it that one was. */
interface Around {
  readonly element: Element;
  readonly index: number;
}

const canTake = (e: HTMLElement) =>
  e.getClientRects().length > 0 && getComputedStyle(e).visibility !== "hidden";
const reachable = (within: Element) => [...within.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(canTake);

/** Where one is: the elements round it, and what it is the same as when it comes back elsewhere. */
function trailOf(focused: Element): Around[] {
  const trail: Around[] = [];
  for (let e = focused.parentElement; e && e !== document.body && trail.length < TRAIL; e = e.parentElement)
    trail.push({
      element: e,
      index: [...e.querySelectorAll(FOCUSABLE)].filter((x) => canTake(x as HTMLElement)).indexOf(focused),
    });
  return trail;
}

/**
 * Keeps the focus on the page. When what had it is taken away (removed, renamed, undone, closed), it goes to what stands in
 * its place: the same control drawn anew (`data-focus`), else the one at its place in what is left round it.
 */
export function FocusKeeper() {
  useEffect(() => {
    let last: HTMLElement | null = null;
    let trail: readonly Around[] = [];
    let waiting = 0;
    let lostAt = 0;
    const remember = (e: FocusEvent) => {
      if (!(e.target instanceof HTMLElement || e.target instanceof SVGElement)) return;
      last = e.target as HTMLElement;
      trail = trailOf(last);
    };
    const lost = () => last && !last.isConnected && document.activeElement === document.body;
    const goOn = () => {
      waiting = 0;
      if (!lost() || !last) return;
      const name = last.dataset.focus;
      const again = name ? document.querySelector<HTMLElement>(`[data-focus="${CSS.escape(name)}"]`) : null;
      if (again) return again.focus();
      // What comes back elsewhere may have to be fetched first.
      if (name && performance.now() - lostAt < FETCHED_MS) {
        waiting = window.setTimeout(goOn, SETTLED_MS);
        return;
      }
      for (const { element, index } of trail) {
        if (!element.isConnected) continue;
        const left = reachable(element);
        if (left.length === 0) continue;
        return left[Math.max(0, Math.min(index, left.length - 1))].focus({ preventScroll: true });
      }
    };
    // What closes gives its focus back by itself, a little later: only what nobody takes is taken here.
    const watch = new MutationObserver(() => {
      if (!lost() || waiting !== 0) return;
      lostAt = performance.now();
      waiting = window.setTimeout(goOn, SETTLED_MS);
    });
    watch.observe(document.body, { childList: true, subtree: true });
    document.addEventListener("focusin", remember);
    return () => {
      watch.disconnect();
      window.clearTimeout(waiting);
      document.removeEventListener("focusin", remember);
    };
  }, []);
  return null;
}

/** After so long nobody else gives the focus back, ms. */
const SETTLED_MS = 120;
/** What is drawn anew elsewhere is there after so long, ms. */
const FETCHED_MS = 5000;
