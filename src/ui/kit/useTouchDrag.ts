"use client";
import { type RefObject, useEffect } from "react";

/**
 * A finger that is put on an element drags it, and does not scroll the page: `touch-action` is not heard of parts of a
 * drawing by every browser. The element takes the focus, as it does from a mouse.
 */
export function useTouchDrag(element: RefObject<SVGElement | null>): void {
  useEffect(() => {
    const taken = element.current;
    if (!taken) return;
    const hold = (e: TouchEvent) => {
      e.preventDefault();
      taken.focus({ preventScroll: true });
    };
    taken.addEventListener("touchstart", hold, { passive: false });
    return () => taken.removeEventListener("touchstart", hold);
  }, [element]);
}
