import { MATERIAL_CLASSES, type MaterialClass } from "@/core/materials/types";
import { color } from "../kit/theme";

/** Our own hatching: one pattern a class of material, drawn over the material's tint. */
const STROKES: Record<MaterialClass, { size: number; d: string }> = {
  steel: { size: 7, d: "M0 7L7 0" },
  metal: { size: 7, d: "M0 7L7 0M2.5 7L7 2.5" },
  wood: { size: 9, d: "M0 2Q4.5 0 9 2M0 6.5Q4.5 4.5 9 6.5" },
  "stabilised-wood": { size: 9, d: "M0 2Q4.5 0 9 2M0 6.5Q4.5 4.5 9 6.5M4.5 8v1" },
  laminate: { size: 6, d: "M0 1.5H6M0 4.5H6" },
  "horn-bone": { size: 8, d: "M2 2h.8M6 5h.8M3 7h.8" },
  leather: { size: 6, d: "M1 1l2 2M3 1L1 3" },
  cord: { size: 6, d: "M0 6Q3 4 3 3T6 0M0 3L3 0" },
  plastic: { size: 8, d: "M0 0L8 8M0 8L8 0" },
  adhesive: { size: 5, d: "M2 2h.6" },
};

export function hatchId(cls: MaterialClass): string {
  return `hatch-${cls}`;
}

/** Pattern definitions; once for each drawing. */
export function Hatches() {
  return (
    <defs>
      {MATERIAL_CLASSES.map((cls) => {
        const { size, d } = STROKES[cls];
        return (
          <pattern key={cls} id={hatchId(cls)} width={size} height={size} patternUnits="userSpaceOnUse">
            <path d={d} stroke={color("ink")} strokeOpacity="0.3" strokeWidth="0.7" fill="none" />
          </pattern>
        );
      })}
    </defs>
  );
}
