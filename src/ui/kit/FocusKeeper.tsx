"use client";
import { useEffect } from "react";

const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';
/** So many that can be reached before and after the one with the focus are remembered. */
const NEIGHBOURS = 40;
/** After so long nobody else gives the focus back, ms. */
const SETTLED_MS = 120;
/** What is drawn anew elsewhere is there after so long, ms. */
const FETCHED_MS = 5000;

/** Where one is on the page. */
interface Place {
  readonly focused: HTMLElement;
  /** What is round it, from the inside outward. */
  readonly around: readonly Element[];
  /** What is reached after it, and before it, the nearest first. */
  readonly after: readonly HTMLElement[];
  readonly before: readonly HTMLElement[];
}

function placeOf(focused: HTMLElement): Place {
  const around: Element[] = [];
  for (let e = focused.parentElement; e; e = e.parentElement) around.push(e);
  const all = [...document.querySelectorAll<HTMLElement>(FOCUSABLE)];
  const at = all.indexOf(focused);
  return {
    focused,
    around,
    after: all.slice(at + 1, at + 1 + NEIGHBOURS),
    before: all.slice(Math.max(0, at - NEIGHBOURS), Math.max(0, at)).reverse(),
  };
}

const takesFocus = (e: HTMLElement) =>
  e.isConnected && e.getClientRects().length > 0 && getComputedStyle(e).visibility !== "hidden";

/** What stands in the place of what is gone: in what is left round it the next that can be reached, else the one before. */
function insteadOf({ around, after, before }: Place): HTMLElement | null {
  for (const element of around) {
    if (!element.isConnected) continue;
    const within = (e: HTMLElement) => element.contains(e) && takesFocus(e);
    const found = after.find(within) ?? before.find(within);
    if (found) return found;
    // All that was there has been drawn anew.
    const anew = [...element.querySelectorAll<HTMLElement>(FOCUSABLE)].find(takesFocus);
    if (anew) return anew;
  }
  return null;
}

/**
 * Keeps the focus on the page. When what had it is taken away (removed, renamed, undone, closed), it goes to the same control
 * drawn anew (`data-focus`), else to what stands in its place.
 */
export function FocusKeeper() {
  useEffect(() => {
    let place: Place | null = null;
    let waiting = 0;
    let lostAt = 0;
    const remember = (e: FocusEvent) => {
      if (e.target instanceof HTMLElement || e.target instanceof SVGElement)
        place = placeOf(e.target as HTMLElement);
    };
    const isLost = () =>
      place !== null && !place.focused.isConnected && document.activeElement === document.body;
    const goOn = () => {
      waiting = 0;
      if (!place || !isLost()) return;
      const name = place.focused.dataset.focus;
      const again = name ? document.querySelector<HTMLElement>(`[data-focus="${CSS.escape(name)}"]`) : null;
      if (again) return again.focus();
      // What comes back elsewhere may have to be fetched first.
      if (name && performance.now() - lostAt < FETCHED_MS) {
        waiting = window.setTimeout(goOn, SETTLED_MS);
        return;
      }
      insteadOf(place)?.focus({ preventScroll: true });
    };
    // What closes gives its focus back by itself, a little later: only what nobody takes is taken here.
    const watch = new MutationObserver(() => {
      if (waiting !== 0 || !isLost()) return;
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
