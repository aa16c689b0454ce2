"use client";
import { Input } from "@chakra-ui/react";
import { useState } from "react";
import { parseLength } from "@/core/base/units/length";
import { printLengthShort } from "@/core/base/units/print";
import type { FixedPath } from "@/core/edit/fixed/edits";
import { useUnits } from "@/store/settings";
import { fieldName } from "@/words/fields";
import { boundsWords, lengthFailureWords } from "@/words/lengthFailures";
import { FieldRow } from "../fields/FieldRow";
import { useDesign } from "../session/BenchContext";
import { useAt, useShownLimits } from "./bound";

/** The same, bound to a list of the design by its path. */
export function LengthList(props: {
  at: FixedPath<readonly number[]>;
  label?: string;
  mayBeEmpty?: boolean;
}) {
  const { min, max } = useShownLimits(`${props.at}.0`);
  const [values, put] = useAt<readonly number[]>(props.at);
  const label = useDesign((d) => props.label ?? fieldName(props.at, d));
  return (
    <LengthListField
      label={label}
      mayBeEmpty={props.mayBeEmpty}
      values={values}
      min={min}
      max={max}
      onChange={put}
    />
  );
}

interface LengthListFieldProps {
  readonly label: string;
  readonly values: readonly number[];
  readonly min: number;
  readonly max: number;
  readonly mayBeEmpty?: boolean;
  readonly onChange: (mm: number[]) => void;
}

/** Several lengths in one field, parted by semicolons or commas and spaces. */
export function LengthListField({ values, min, max, onChange: put, ...props }: LengthListFieldProps) {
  const units = useUnits();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = () => {
    if (typed === null) return;
    const words = typed.split(/[;,]\s+|;/).filter((w) => w.trim() !== "");
    const read = words.map((w) => parseLength(w, units === "metric" ? "mm" : "in"));
    const failed = read.find((r) => !r.ok);
    if (failed && !failed.ok) return setWrong(lengthFailureWords(failed));
    const mm = read.flatMap((r) => (r.ok ? [r.mm] : []));
    if ((mm.length === 0 && !props.mayBeEmpty) || mm.some((v) => !(v >= min && v <= max)))
      return setWrong(boundsWords(min, max, units));
    setTyped(null);
    setWrong(null);
    put(mm.sort((a, b) => a - b));
  };
  return (
    <FieldRow label={props.label} wide wrong={wrong} help="Separate with semicolons.">
      <Input
        size="sm"
        bg="ground"
        aria-label={props.label}
        value={typed ?? values.map((v) => printLengthShort(v, units)).join("; ")}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={keep}
        onKeyDown={(e) => {
          if (e.key === "Enter") keep();
          if (e.key === "Escape") {
            setTyped(null);
            setWrong(null);
          }
        }}
      />
    </FieldRow>
  );
}
