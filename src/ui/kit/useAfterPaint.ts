import { startTransition, useEffect, useRef, useState } from "react";

/** The latest of a value, once the frame that it came in is painted: for what may be drawn a moment later. */
export function useAfterPaint<T>(value: T): T {
  const [later, setLater] = useState(value);
  const latest = useRef(value);
  latest.current = value;
  const due = useRef(false);
  useEffect(() => {
    if (due.current || value === later) return;
    due.current = true;
    requestAnimationFrame(() =>
      setTimeout(() => {
        due.current = false;
        startTransition(() => setLater(latest.current));
      }),
    );
  }, [value, later]);
  return later;
}
