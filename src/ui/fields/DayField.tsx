"use client";
import { Input } from "@chakra-ui/react";
import { useState } from "react";

/** A day: taken once its year is whole, for typing "2026" passes through the years 2, 20 and 202. */
export function DayField({
  label,
  value,
  onChange,
}: {
  /** Where nothing beside it says what it is. */
  label?: string;
  value: string | null;
  onChange: (day: string | null) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Input
      size="sm"
      bg="ground"
      type="date"
      aria-label={label}
      min="1900-01-01"
      max="2999-12-31"
      value={typed ?? value ?? ""}
      onChange={(e) => {
        const day = e.target.value;
        const whole = day === "" || (day >= "1900" && day < "3");
        setTyped(whole ? null : day);
        if (whole) onChange(day || null);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}
