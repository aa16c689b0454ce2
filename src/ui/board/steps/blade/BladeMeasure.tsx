"use client";
import { useShownLimits } from "../../../bound/bound";
import { LockAt } from "../../../bound/LockToggle";
import { LengthField } from "../../../fields/LengthField";
import { useBench, useDesign } from "../../../session/BenchContext";

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
    <LockAt at={path}>
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
