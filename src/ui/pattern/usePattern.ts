"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { DRAWING_NAMES, drawingFormatOf } from "@/core/exchange/files/drawings";
import type { FoundShapes } from "@/core/exchange/pattern/found";
import { LONGEST_MM, SHORTEST_MM } from "@/core/exchange/pattern/sizes";
import { type DrawingUnit, likelyUnit, reachOf, UNITS } from "@/core/exchange/pattern/trace";
import { LARGEST_DRAWING_BYTES, MOST_POINTS, type RawDrawing } from "@/core/geometry/contours/raw";
import { drawingFailureWords, drawingWarnings, reachWords } from "@/words/drawings";
import type { Client } from "@/workers/client";
import type { PatternService } from "@/workers/pattern.messages";
import { createPatternReader } from "@/workers/services";

/** A drawing that was taken in, with the unit that its maker chose, or that the file states. */
export interface Pattern {
  readonly name: string;
  readonly drawing: RawDrawing;
  readonly unit: DrawingUnit | "stated";
  /** Gaps between its lines up to this are closed, mm; null where none is but those of a hair. */
  readonly closeMm: number | null;
}

export interface PatternState {
  readonly pattern: Pattern | null;
  /** What is in it at that unit; null where that makes no knife. */
  readonly found: FoundShapes | null;
  readonly reachMm: number;
  /** What its maker should know of how it was read. */
  readonly warnings: readonly string[];
  /** Why a file was not taken, or what is wrong with the unit. */
  readonly wrong: string | null;
  /** What is done now; null while nothing is. */
  readonly working: "reading" | "finding" | null;
  /** Whether it was taken. */
  readonly open: (file: File) => Promise<boolean>;
  readonly clearWrong: () => void;
  readonly cancel: () => void;
  /** Puts away what was taken in. */
  readonly close: () => void;
  readonly setUnit: (unit: Pattern["unit"]) => void;
  readonly closeGaps: (upToMm: number) => void;
}

const mmPerUnitOf = (drawing: RawDrawing, unit: Pattern["unit"]): number =>
  unit === "stated" ? (drawing.mmPerUnit ?? 1) : UNITS[unit];

/** Reads drawings in a worker, one at a time; what cannot be read leaves what was there before. */
export function usePattern(): PatternState {
  const client = useRef<Client<PatternService> | null>(null);
  const [pattern, setPattern] = useState<Pattern | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [working, setWorking] = useState<PatternState["working"]>(null);
  const [found, setFound] = useState<FoundShapes | null>(null);
  useEffect(() => () => client.current?.dispose(), []);
  const cancel = () => {
    client.current?.dispose();
    client.current = null;
    setWorking(null);
    setFound(null);
  };
  /** The worker keeps the drawing: what is in it is found there, at every unit that is chosen. */
  const find = async ({ drawing, unit, closeMm }: Pattern) => {
    setFound(null);
    const mine = client.current;
    const mmPerUnit = mmPerUnitOf(drawing, unit);
    const reachMm = reachOf(drawing) * mmPerUnit;
    if (!mine || !(reachMm >= SHORTEST_MM && reachMm <= LONGEST_MM)) return setWorking(null);
    setWorking("finding");
    const answer = await mine.ask((s) => s.shapesInDrawing(mmPerUnit, closeMm));
    if (client.current !== mine || (!answer.ok && answer.code === "superseded")) return;
    setWorking(null);
    if (!answer.ok) setWrong(`The outlines could not be found: ${answer.message}`);
    else if (answer.value?.ok) setFound(answer.value.found);
    else setWrong(drawingFailureWords({ code: "too-much", most: MOST_POINTS }));
  };
  const take = (next: Pattern) => {
    setWrong(null);
    setPattern(next);
    void find(next);
  };
  const open = async (file: File) => {
    const format = drawingFormatOf(file.name);
    if (!format) {
      setWrong(
        `${file.name} is no pattern: ${DRAWING_NAMES} drawings and JPEG, PNG and WebP photos are taken.`,
      );
      return false;
    }
    cancel();
    setWrong(null);
    if (file.size > LARGEST_DRAWING_BYTES) {
      setWrong(drawingFailureWords({ code: "too-large", bytes: file.size, most: LARGEST_DRAWING_BYTES }));
      return false;
    }
    setPattern(null);
    setWorking("reading");
    const mine = createPatternReader();
    client.current = mine;
    const bytes = new Uint8Array(await file.arrayBuffer());
    const answer = await mine.ask((s) => s.readDrawing(bytes, format));
    // Called off, or another file was opened meanwhile.
    if (client.current !== mine) return false;
    if (!answer.ok || !answer.value.ok) cancel();
    if (!answer.ok) {
      setWrong(`${file.name} could not be read: ${answer.message}`);
      return false;
    }
    if (!answer.value.ok) {
      setWrong(`${file.name}: ${drawingFailureWords(answer.value)}`);
      return false;
    }
    const { drawing } = answer.value;
    const unit = drawing.mmPerUnit === null ? likelyUnit(drawing) : "stated";
    take({ name: file.name, drawing, unit, closeMm: null });
    return true;
  };
  const reachMm = useMemo(
    () => (pattern ? reachOf(pattern.drawing) * mmPerUnitOf(pattern.drawing, pattern.unit) : 0),
    [pattern],
  );
  const fits = reachMm >= SHORTEST_MM && reachMm <= LONGEST_MM;
  return {
    pattern,
    found,
    reachMm,
    warnings: pattern && found ? drawingWarnings(pattern.drawing, found, null) : [],
    wrong: wrong ?? (pattern && !fits ? reachWords(reachMm, SHORTEST_MM, LONGEST_MM) : null),
    working,
    open,
    clearWrong: () => setWrong(null),
    cancel,
    close: () => {
      cancel();
      setPattern(null);
      setWrong(null);
    },
    // In another unit the gaps are others.
    setUnit: (unit) => pattern && take({ ...pattern, unit, closeMm: null }),
    closeGaps: (upToMm) => pattern && take({ ...pattern, closeMm: upToMm }),
  };
}
