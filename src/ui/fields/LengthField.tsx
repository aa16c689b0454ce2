"use client";
import { type KeyboardEvent, useState } from "react";
import { clamp, roundTo } from "@/core/base/number";
import { ROUNDING } from "@/core/base/tolerances";
import { MM_PER_INCH, parseLength } from "@/core/base/units/length";
import { lengthUnitName, printLengthShort } from "@/core/base/units/print";
import { useSettings } from "@/store/settings";
import { boundsWords, lengthFailureWords } from "@/words/lengthFailures";
import { TypedRow } from "./TypedRow";
import { useHandedOver } from "./useHandedOver";

interface LengthFieldProps {
  readonly label: string;
  /** Null where it has no figure yet. */
  readonly mm: number | null;
  readonly min: number;
  readonly max: number;
  readonly onChange: (mm: number) => void;
  readonly digits?: number;
  /** Takes the figure away: an emptied field asks for it. Without it every field has a figure. */
  readonly onClear?: () => void;
  readonly help?: string;
  /** Only the input, named by the label: inside table rows and on the drawing. */
  readonly bare?: boolean;
  readonly autoFocus?: boolean;
  readonly onDone?: () => void;
}

/**
 * A length, typed as makers write it. Kept on Enter or on leaving; what cannot be read stays in the field with the
 * reason, and the design keeps its old value. Up and down arrows step it.
 */
export function LengthField({
  label,
  mm,
  min,
  max,
  onChange,
  onClear,
  digits = 2,
  help,
  bare,
  autoFocus,
  onDone,
}: LengthFieldProps) {
  const { units } = useSettings();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const handed = useHandedOver(mm);
  const unit = lengthUnitName(units);
  const shown = typed ?? (mm === null ? "" : printLengthShort(mm, units, digits));

  const keep = (text: string | null): boolean => {
    if (text === null) return true;
    if (onClear && text.trim() === "") {
      setTyped(null);
      setWrong(null);
      if (mm !== null) onClear();
      return true;
    }
    const reading = parseLength(text, unit);
    if (!reading.ok) {
      setWrong(lengthFailureWords(reading));
      return false;
    }
    if (reading.mm < min - ROUNDING || reading.mm > max + ROUNDING) {
      setWrong(boundsWords(min, max, units));
      return false;
    }
    setTyped(null);
    setWrong(null);
    handed.hand(reading.mm, onChange);
    return true;
  };

  const press = (e: KeyboardEvent) => {
    if (e.key === "Enter" && keep(typed)) onDone?.();
    if (e.key === "Escape") {
      setTyped(null);
      setWrong(null);
      onDone?.();
    }
    if (e.key !== "ArrowUp" && e.key !== "ArrowDown") return;
    e.preventDefault();
    const step = (units === "metric" ? 0.5 : MM_PER_INCH / 64) * (e.shiftKey ? 10 : 1);
    const next = (handed.now() ?? 0) + (e.key === "ArrowUp" ? step : -step);
    setTyped(null);
    setWrong(null);
    handed.hand(clamp(roundTo(next, 4), min, max), onChange);
  };

  return (
    <TypedRow
      label={label}
      unit={unit}
      text={shown}
      wrong={wrong}
      help={help}
      bare={bare}
      autoFocus={autoFocus}
      onType={setTyped}
      onLeave={() => {
        handed.forget();
        keep(typed);
      }}
      onPress={press}
    />
  );
}
