"use client";
import { type RefObject, useEffect, useEffectEvent, useRef, useState } from "react";

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** What is measured of an element, px, whenever it is another size; `first` until it is laid out. */
function useMeasured<E extends Element, M>(
  first: M,
  measure: (box: DOMRectReadOnly) => M,
): readonly [RefObject<E | null>, M] {
  const element = useRef<E>(null);
  const [measured, setMeasured] = useState(first);
  const take = useEffectEvent((box: DOMRectReadOnly) => setMeasured(measure(box)));
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => take(entry.contentRect));
    if (element.current) watch.observe(element.current);
    return () => watch.disconnect();
  }, []);
  return [element, measured];
}

/** The size of an element, px, as it is now; `first` until it is laid out. */
export const useSize = <E extends Element>(first: Size) =>
  useMeasured<E, Size>(first, ({ width, height }) => ({ width, height }));

/** The same of its width alone: what grows under it draws nothing again. */
export const useWidth = <E extends Element>(first: number) =>
  useMeasured<E, number>(first, ({ width }) => width);
