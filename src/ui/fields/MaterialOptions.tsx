"use client";
import { memo } from "react";
import type { MaterialClass } from "@/core/materials/types";
import { MATERIAL_CLASS_WORDS } from "@/words/materials";
import { useMaterials } from "../kit/materials";

/** Every material of some classes, a group for each: long, and the same however often its field is drawn. */
export const MaterialOptions = memo(function MaterialOptions({
  classes,
}: {
  classes: readonly MaterialClass[];
}) {
  const materials = useMaterials();
  return classes.map((cls) => (
    <optgroup key={cls} label={MATERIAL_CLASS_WORDS[cls]}>
      {materials
        .filter((m) => m.class === cls)
        .map((m) => (
          <option key={m.id} value={m.id}>
            {m.name} · {m.densityGcc.typical.toFixed(2)}
          </option>
        ))}
    </optgroup>
  ));
});
