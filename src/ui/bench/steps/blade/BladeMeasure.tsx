"use client";
import type { Blade } from "@/core/design/schema";
import { useShownLimits } from "../../../fields/bound";
import { LengthField } from "../../../fields/LengthField";
import { LockAt } from "../../../fields/LockToggle";
import { useBench, useDesign } from "../../BenchContext";

/** A measure of the blade that the rest of it follows. */
export function BladeMeasure(props: {
  at: "lengthMm" | "heelHeightMm";
  label: string;
  help?: string;
  set: (blade: Blade, mm: number) => Blade;
}) {
  const { edit, session } = useBench();
  const path = `blade.${props.at}`;
  const mm = useDesign((d) => d.blade[props.at]);
  const limits = useShownLimits(path);
  return (
    <LockAt value={path}>
      <LengthField
        label={props.label}
        help={props.help}
        mm={mm}
        {...limits}
        onChange={(to) =>
          edit(`Change ${props.label.toLowerCase()}`, (d) => {
            Object.assign(d.blade, props.set(session.getState().design.blade, to));
          })
        }
      />
    </LockAt>
  );
}
