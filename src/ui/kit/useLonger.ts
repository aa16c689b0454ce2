"use client";
import { useEffect, useState } from "react";

/** Whether something has been so for longer than so many ms: what passes sooner draws nothing. */
export function useLonger(so: boolean, ms: number): boolean {
  const [longer, setLonger] = useState(false);
  useEffect(() => {
    if (!so) return setLonger(false);
    const timer = setTimeout(() => setLonger(true), ms);
    return () => clearTimeout(timer);
  }, [so, ms]);
  return so && longer;
}
