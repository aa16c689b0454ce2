"use client";
import { useEffect, useState } from "react";

const TICK_MS = 1000;

const two = (n: number) => String(n).padStart(2, "0");

/** "1:59:07", hours only where there are any; of less than nothing "0:00". */
export function clockWords(ms: number): string {
  const s = Math.max(0, Math.ceil(ms / 1000));
  const [h, m] = [Math.floor(s / 3600), Math.floor(s / 60) % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s % 60)}` : `${m}:${two(s % 60)}`;
}

/** The moment, ms, anew each second while something runs. */
export function useNow(running: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return;
    setNow(Date.now());
    const ticking = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(ticking);
  }, [running]);
  return now;
}
