"use client";
import { type KeyboardEvent, useState } from "react";
import { clamp, roundTo } from "@/core/base/number";
import { ROUNDING } from "@/core/base/tolerances";
import { TypedRow } from "./TypedRow";
import { useHandedOver } from "./useHandedOver";

interface ShareFieldProps {
  readonly label: string;
  /** Null where it has no figure yet. */
  readonly value: number | null;
  readonly min: number;
  readonly max: number;
  /** What the number is shown in. */
  readonly unit?: string;
  /** How much of the unit makes 1: 100 of "%", 1 of anything else. */
  readonly factor?: number;
  /** Decimals that are shown. */
  readonly digits?: number;
  /** Only whole numbers are taken. */
  readonly whole?: boolean;
  readonly onChange: (value: number) => void;
  /** Takes the figure away: an emptied field asks for it. Without it every field has a figure. */
  readonly onClear?: () => void;
  readonly help?: string;
  /** Only the input, named by the label: inside table rows. */
  readonly bare?: boolean;
}

/** Units that may stand behind a figure, the longer ones first. */
const UNITS_TYPED = ["g/cm³", "°C", "min", "lbf", "MPa", "ksi", "oz", "%", "°", "g", "N"];

/** A share in per cent, an angle in degrees, a weight or a count. */
export function ShareField({
  label,
  value,
  min,
  max,
  unit = "%",
  factor = unit === "%" ? 100 : 1,
  digits = 2,
  whole = false,
  onChange,
  onClear,
  help,
  bare,
}: ShareFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const handed = useHandedOver(value);
  const print = (v: number) => String(roundTo(v * factor, digits)).replace("-", "−");

  const keep = (text: string | null) => {
    if (text === null) return;
    if (onClear && text.trim() === "") {
      setTyped(null);
      setWrong(null);
      if (value !== null) onClear();
      return;
    }
    const number = text.trim().replace(",", ".");
    const unitTyped = UNITS_TYPED.find((u) => number.endsWith(u)) ?? "";
    const clean = number
      .slice(0, number.length - unitTyped.length)
      .trim()
      .replace("−", "-");
    const next = /^-?(\d+(\.\d*)?|\.\d+)$/.test(clean) ? Number(clean) / factor : Number.NaN;
    if (whole && !Number.isInteger(next)) {
      setWrong(`Must be a whole number from ${print(min)} to ${print(max)}.`);
      return;
    }
    if (!(next >= min - ROUNDING && next <= max + ROUNDING)) {
      setWrong(`Must be a number from ${print(min)} to ${print(max)}${unit ? ` ${unit}` : ""}.`);
      return;
    }
    setTyped(null);
    setWrong(null);
    handed.hand(next, onChange);
  };

  const press = (e: KeyboardEvent) => {
    if (e.key === "Enter") keep(typed);
    if (e.key === "Escape") {
      setTyped(null);
      setWrong(null);
    }
    if (e.key !== "ArrowUp" && e.key !== "ArrowDown") return;
    e.preventDefault();
    const next = (handed.now() ?? 0) + ((e.key === "ArrowUp" ? 1 : -1) * (e.shiftKey ? 10 : 1)) / factor;
    setTyped(null);
    setWrong(null);
    handed.hand(clamp(roundTo(next, 4), min, max), onChange);
  };
  return (
    <TypedRow
      label={label}
      unit={unit}
      text={typed ?? (value === null ? "" : print(value))}
      wrong={wrong}
      help={help}
      bare={bare}
      inputMode="decimal"
      onType={setTyped}
      onLeave={() => {
        handed.forget();
        keep(typed);
      }}
      onPress={press}
    />
  );
}
