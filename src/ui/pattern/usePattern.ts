"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { LARGEST_DRAWING_BYTES, type RawDrawing } from "@/core/contours/raw";
import { type FoundShapes, shapesIn } from "@/core/pattern/found";
import { type DrawingUnit, LONGEST_MM, likelyUnit, reachOf, SHORTEST_MM, UNITS } from "@/core/pattern/trace";
import { drawingFailureWords, reachWords } from "@/words/drawings";
import type { Client } from "@/workers/client";
import type { PatternService } from "@/workers/pattern.messages";
import { createPatternReader } from "@/workers/services";

/** A drawing that was taken in, with the unit that its maker chose, or that the file told. */
export interface Pattern {
  readonly name: string;
  readonly drawing: RawDrawing;
  readonly unit: DrawingUnit | "told";
}

export interface PatternState {
  readonly pattern: Pattern | null;
  /** What is in it at that unit; null where that makes no knife. */
  readonly found: FoundShapes | null;
  readonly reachMm: number;
  /** Why a file was not taken, or what is wrong with the unit. */
  readonly wrong: string | null;
  readonly reading: boolean;
  /** Whether it was taken. */
  readonly open: (file: File) => Promise<boolean>;
  readonly clearWrong: () => void;
  readonly cancel: () => void;
  /** Puts away what was taken in. */
  readonly close: () => void;
  readonly setUnit: (unit: Pattern["unit"]) => void;
}

/** Reads drawings in a worker, one at a time; what cannot be read leaves what was there before. */
export function usePattern(): PatternState {
  const client = useRef<Client<PatternService> | null>(null);
  const [pattern, setPattern] = useState<Pattern | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [reading, setReading] = useState(false);
  useEffect(() => () => client.current?.dispose(), []);
  const cancel = () => {
    client.current?.dispose();
    client.current = null;
    setReading(false);
  };
  const open = async (file: File) => {
    const format = /\.(dxf|svg)$/i.exec(file.name)?.[1].toLowerCase();
    if (format !== "dxf" && format !== "svg") {
      setWrong(`${file.name} is no pattern: DXF and SVG drawings and JPEG, PNG and WebP photos are taken.`);
      return false;
    }
    cancel();
    setWrong(null);
    if (file.size > LARGEST_DRAWING_BYTES) {
      setWrong(drawingFailureWords({ code: "too-large", bytes: file.size, most: LARGEST_DRAWING_BYTES }));
      return false;
    }
    setReading(true);
    const mine = createPatternReader();
    client.current = mine;
    const bytes = new Uint8Array(await file.arrayBuffer());
    const answer = await mine.ask((s) => s.readDrawing(bytes, format));
    // Called off, or another file was opened meanwhile.
    if (client.current !== mine) return false;
    cancel();
    if (!answer.ok) {
      setWrong(`${file.name} could not be read: ${answer.message}`);
      return false;
    }
    if (!answer.value.ok) {
      setWrong(`${file.name}: ${drawingFailureWords(answer.value)}`);
      return false;
    }
    const { drawing } = answer.value;
    setPattern({
      name: file.name,
      drawing,
      unit: drawing.mmPerUnit === null ? likelyUnit(drawing) : "told",
    });
    return true;
  };
  const mmPerUnit = pattern
    ? pattern.unit === "told"
      ? (pattern.drawing.mmPerUnit ?? 1)
      : UNITS[pattern.unit]
    : 1;
  const reachMm = useMemo(() => (pattern ? reachOf(pattern.drawing) * mmPerUnit : 0), [pattern, mmPerUnit]);
  const fits = reachMm >= SHORTEST_MM && reachMm <= LONGEST_MM;
  const found = useMemo(
    () => (pattern && fits ? shapesIn(pattern.drawing, mmPerUnit) : null),
    [pattern, fits, mmPerUnit],
  );
  return {
    pattern,
    found,
    reachMm,
    wrong: wrong ?? (pattern && !fits ? reachWords(reachMm, SHORTEST_MM, LONGEST_MM) : null),
    reading,
    open,
    clearWrong: () => setWrong(null),
    cancel,
    close: () => {
      cancel();
      setPattern(null);
      setWrong(null);
    },
    setUnit: (unit) => {
      setWrong(null);
      setPattern(pattern && { ...pattern, unit });
    },
  };
}
