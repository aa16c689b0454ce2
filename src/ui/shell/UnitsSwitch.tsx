"use client";
import { NativeSelect } from "@chakra-ui/react";
import type { UnitSystem } from "@/core/base/units/print";
import { changeSettings, useSettings } from "@/store/settings";

const SYSTEMS: { value: UnitSystem; name: string }[] = [
  { value: "metric", name: "mm · g" },
  { value: "inch", name: "inch · oz" },
  { value: "inch-fraction", name: "inch 1/64 · oz" },
];

/** Chooses the units that everything is read and typed in. */
export function UnitsSwitch() {
  const { units } = useSettings();
  return (
    <NativeSelect.Root size="sm" width={{ base: "92px", sm: "104px", xl: "auto" }}>
      <NativeSelect.Field
        aria-label="Units"
        value={units}
        onChange={(e) => void changeSettings({ units: e.target.value as UnitSystem })}
      >
        {SYSTEMS.map((s) => (
          <option key={s.value} value={s.value}>
            {s.name}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}
