"use client";
import { overlaps, type PartRef } from "@/core/figures/review/partRefs";
import type { Point } from "@/core/geometry/curve/bezier";
import { useBench, useBenchState } from "../session/BenchContext";
import type { HighlightedBy } from "../session/benchState";

/**
 * Handlers for an element that refers to parts of the knife, or of a place on it: pointed at, or come to by the keyboard,
 * these are marked on the drawing that is in sight.
 */
export function useHighlight(partRefs: readonly PartRef[], at: Point | null = null) {
  const { setHighlight } = useBench();
  const on = (by: HighlightedBy) => () =>
    setHighlight(by, partRefs.length > 0 || at ? { partRefs, at, onDrawing: false } : null);
  const off = (by: HighlightedBy) => () => setHighlight(by, null);
  return {
    "data-part-refs": partRefs.join(" ") || undefined,
    onPointerEnter: on("pointer"),
    onPointerLeave: off("pointer"),
    onFocus: on("focus"),
    onBlur: off("focus"),
  };
}

/** Whether any of these is pointed at on the drawing. */
export const usePointedAt = (partRefs: readonly PartRef[]): boolean =>
  useBenchState(
    ({ highlighted }) =>
      (highlighted?.onDrawing && highlighted.partRefs.some((a) => partRefs.some((b) => overlaps(a, b)))) ??
      false,
  );

/** What stood in the sheet for a spot that was picked, and which of them was gone to last. */
let last: { readonly partRef: PartRef; readonly element: HTMLElement } | null = null;

/**
 * Goes to what a sheet says of a part that was picked on the drawing: scrolls to it and puts the focus there; picked once
 * more, to the next. Answers whether there was anything.
 */
export function goToPart(sheet: Element | null, partRef: PartRef): boolean {
  const said = [...(sheet?.querySelectorAll<HTMLElement>("[data-part-refs]") ?? [])].filter((e) =>
    e.dataset.partRefs?.split(" ").some((s) => overlaps(s, partRef)),
  );
  if (said.length === 0) return false;
  const at = last && last.partRef === partRef ? said.indexOf(last.element) : -1;
  const element = said[(at + 1) % said.length];
  last = { partRef, element };
  element.scrollIntoView({ block: "center" });
  element.focus({ preventScroll: true });
  return true;
}
