"use client";
import { useShownLimits } from "../../../fields/bound";
import { LengthField } from "../../../fields/LengthField";
import { LockAt } from "../../../fields/LockToggle";
import { useBench, useDesign } from "../../BenchContext";

/** A measure of the blade that the rest of it follows. */
export function BladeMeasure(props: {
  at: "lengthMm" | "heelHeightMm";
  label: string;
  help?: string;
  code: "blade-length" | "heel-height";
}) {
  const { edit } = useBench();
  const path = `blade.${props.at}` as const;
  const mm = useDesign((d) => d.blade[props.at]);
  const limits = useShownLimits(path);
  return (
    <LockAt value={path}>
      <LengthField
        label={props.label}
        help={props.help}
        mm={mm}
        {...limits}
        onChange={(to) => edit({ code: props.code, mm: to })}
      />
    </LockAt>
  );
}
