import { startTransition, useEffect, useState } from "react";

/** Rows beyond those in sight that a list begins with, so that what is in sight stands at once. */
const AT_FIRST = 1;
/** The others follow so long after, ms. */
const MORE_AFTER_MS = 400;

/** How many rows a list draws beyond those in sight: the next ones are there before they are scrolled or tabbed to. */
export function useBeyond(rows: number): number {
  const [beyond, setBeyond] = useState(AT_FIRST);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setBeyond(rows)), MORE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [rows]);
  return beyond;
}
