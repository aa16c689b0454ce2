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
