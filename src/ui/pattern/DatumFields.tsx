"use client";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";

export interface Lying {
  readonly xMm: number;
  readonly yMm: number;
  readonly tipDeg: number;
}

/** Where the datum lies in a pattern or a photo, and which way the tip points in it. */
export function DatumFields({
  lying,
  onChange,
  help,
}: {
  lying: Lying;
  onChange: (to: Lying) => void;
  /** What the places are counted from. */
  help?: string;
}) {
  return (
    <>
      <LengthField
        label="Datum, to the right"
        mm={lying.xMm}
        min={-20000}
        max={20000}
        onChange={(xMm) => onChange({ ...lying, xMm })}
        help={help}
      />
      <LengthField
        label="Datum, up"
        mm={lying.yMm}
        min={-20000}
        max={20000}
        onChange={(yMm) => onChange({ ...lying, yMm })}
      />
      <ShareField
        label="Tip toward"
        value={lying.tipDeg}
        min={-720}
        max={720}
        factor={1}
        digits={2}
        unit="°"
        onChange={(tipDeg) => onChange({ ...lying, tipDeg })}
        help="0 is to the right, 90 up."
      />
    </>
  );
}
