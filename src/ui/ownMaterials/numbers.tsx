"use client";
import { Button } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { GRAMS_PER_OUNCE } from "@/core/base/units/print";
import { BASIS_LIMITS, DENSITY_LIMITS } from "@/core/materials/own/types";
import type { Density } from "@/core/materials/types";
import { useUnits } from "@/store/settings";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";

type Limited = keyof typeof BASIS_LIMITS;

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly of: Limited;
  readonly onChange: (value: number) => void;
  readonly help?: string;
  readonly bare?: boolean;
}

/** A weight in the maker's unit. */
export function Mass({ of, ...props }: NumberProps) {
  const metric = useUnits() === "metric";
  const [min, max] = BASIS_LIMITS[of];
  return (
    <ShareField
      {...props}
      min={min}
      max={max}
      digits={metric ? 2 : 3}
      unit={metric ? "g" : "oz"}
      factor={metric ? 1 : 1 / GRAMS_PER_OUNCE}
    />
  );
}

export function Side({ of, value, ...props }: NumberProps) {
  const [min, max] = BASIS_LIMITS[of];
  return <LengthField {...props} mm={value} min={min} max={max} />;
}

export function Plain({ of, unit, ...props }: NumberProps & { unit: string }) {
  const [min, max] = BASIS_LIMITS[of];
  // What is typed in per cent is kept so.
  return <ShareField {...props} min={min} max={max} unit={unit} factor={1} digits={3} />;
}

function Gcc({ label, value, onChange, bare }: Omit<NumberProps, "of">) {
  return (
    <ShareField
      label={label}
      value={value}
      min={DENSITY_LIMITS[0]}
      max={DENSITY_LIMITS[1]}
      unit="g/cm³"
      digits={3}
      bare={bare}
      onChange={onChange}
    />
  );
}

/** A density with both ends of its range. */
export function DensityRange({ value, onChange }: { value: Density; onChange: (value: Density) => void }) {
  const words = { typical: "Density", low: "Lightest piece", high: "Heaviest piece" };
  return (["typical", "low", "high"] as const).map((end) => (
    <Gcc
      key={end}
      label={words[end]}
      value={value[end]}
      onChange={(to) => onChange({ ...value, [end]: to })}
    />
  ));
}

/** A share in per cent. */
export function Percent({ of, ...props }: NumberProps) {
  const [min, max] = BASIS_LIMITS[of];
  return <ShareField {...props} min={min} max={max} unit="%" digits={1} />;
}

/** Adds one more of a list. */
export function AddButton({ says, full, onAdd }: { says: string; full: boolean; onAdd: () => void }) {
  return (
    <Button size="xs" variant="outline" alignSelf="start" disabled={full} onClick={onAdd}>
      <Plus /> {says}
    </Button>
  );
}
