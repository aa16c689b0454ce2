import type { Blade, BladeNotch, Fuller } from "@/core/knife/design/schema";

export const LENGTH_CHANGE_WORDS: Record<Blade["lengthChange"], string> = {
  "keeps-tip": "Keeps the tip's shape",
  stretches: "Stretches the whole",
};

export const SIDES_WORDS: Record<Fuller["sides"], string> = {
  both: "Both sides",
  right: "Right side",
  left: "Left side",
};

export const FULLER_FROM_WORDS: Record<Fuller["from"], string> = {
  spine: "Down from the spine",
  middle: "Down from the middle or ridge",
};

export const FULLER_TOOL_WORDS: Record<Fuller["tool"]["kind"], string> = {
  ball: "Ball: runs out on its radius",
  wheel: "Wheel: runs out on its own arc",
};

export const NOTCH_WORDS: Record<BladeNotch["purpose"], string> = {
  sharpening: "Sharpening notch",
  finger: "Finger notch",
};
