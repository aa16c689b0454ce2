"use client";
import type { Point } from "@/core/curve/bezier";
import { meet, type Spot } from "@/core/review/spots";
import { useBench, useBenchState } from "../bench/BenchContext";
import type { SpokenBy } from "../bench/benchState";

/**
 * Handlers for an element that speaks of parts of the knife, or of a place on it: pointed at, or come to by the keyboard,
 * these are marked on the drawing that is in sight.
 */
export function useSpeaks(spots: readonly Spot[], at: Point | null = null) {
  const { setSpoken } = useBench();
  const on = (by: SpokenBy) => () =>
    setSpoken(by, spots.length > 0 || at ? { spots, at, onDrawing: false } : null);
  const off = (by: SpokenBy) => () => setSpoken(by, null);
  return {
    "data-spots": spots.join(" ") || undefined,
    onPointerEnter: on("pointer"),
    onPointerLeave: off("pointer"),
    onFocus: on("focus"),
    onBlur: off("focus"),
  };
}

/** Whether any of these is pointed at on the drawing. */
export const usePointedAt = (spots: readonly Spot[]): boolean =>
  useBenchState(
    ({ spoken }) => (spoken?.onDrawing && spoken.spots.some((a) => spots.some((b) => meet(a, b)))) ?? false,
  );

/** What stood in the sheet for a spot that was picked, and which of them was gone to last. */
let last: { readonly spot: Spot; readonly element: HTMLElement } | null = null;

/**
 * Goes to what a sheet says of a part that was picked on the drawing: scrolls to it and puts the focus there; picked once
 * more, to the next. Answers whether there was anything.
 */
export function goToSpot(sheet: Element | null, spot: Spot): boolean {
  const said = [...(sheet?.querySelectorAll<HTMLElement>("[data-spots]") ?? [])].filter((e) =>
    e.dataset.spots?.split(" ").some((s) => meet(s, spot)),
  );
  if (said.length === 0) return false;
  const at = last && last.spot === spot ? said.indexOf(last.element) : -1;
  const element = said[(at + 1) % said.length];
  last = { spot, element };
  element.scrollIntoView({ block: "center" });
  element.focus({ preventScroll: true });
  return true;
}
