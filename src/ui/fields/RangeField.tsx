"use client";

interface RangeFieldProps {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (to: number) => void;
}

/** A number that is slid to, by pointer or by arrow keys. */
export function RangeField({ label, onChange, ...number }: RangeFieldProps) {
  return (
    <input
      type="range"
      className="range"
      aria-label={label}
      {...number}
      onChange={(e) => onChange(e.target.valueAsNumber)}
    />
  );
}
