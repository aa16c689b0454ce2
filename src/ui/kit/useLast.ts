import { useState } from "react";

/** A value, or the last that there was while it is not there: what is asked again is shown as it was meanwhile. */
export function useLast<T>(value: T | null | undefined): T | null {
  const [last, setLast] = useState<T | null>(value ?? null);
  if (value !== null && value !== undefined && value !== last) setLast(value);
  return value ?? last;
}
