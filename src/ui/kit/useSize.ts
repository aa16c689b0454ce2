"use client";
import { type RefObject, useEffect, useRef, useState } from "react";

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element, px, as it is now; `first` until it is laid out. */
export function useSize<E extends Element>(first: Size): readonly [RefObject<E | null>, Size] {
  const element = useRef<E>(null);
  const [size, setSize] = useState(first);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) =>
      setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (element.current) watch.observe(element.current);
    return () => watch.disconnect();
  }, []);
  return [element, size];
}

/** The same of its width alone: what grows under it draws nothing again. */
export function useWidth<E extends Element>(first: number): readonly [RefObject<E | null>, number] {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => setWidth(entry.contentRect.width));
    if (element.current) watch.observe(element.current);
    return () => watch.disconnect();
  }, []);
  return [element, width];
}
