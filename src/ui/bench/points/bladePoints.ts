import type { Design } from "@/core/design/schema";
import { bladeHeights } from "@/core/layout/bladeOutline";
import { type BenchPoint, setHeld } from "./types";

/** Tip, heel, plunge line, and where spine and edge begin to run to the tip. */
export function bladePoints({ blade }: Design): BenchPoint[] {
  const { spine, edge, ricassoBottom, tip } = bladeHeights(blade);
  const { dropMm, bellyMm } = blade.tip;
  return [
    {
      id: "tip",
      title: "Tip",
      at: { x: blade.lengthMm, y: tip },
      move: (d, to) => {
        setHeld(d, "blade.lengthMm", to.x);
        setHeld(d, "blade.tip.heightShare", (to.y - edge) / blade.heelHeightMm);
      },
      fields: [{ label: "Length of the blade", path: "blade.lengthMm" }],
    },
    {
      id: "heel",
      title: "Heel",
      at: { x: blade.ricassoMm, y: edge },
      corner: true,
      move: (d, to) => {
        setHeld(d, "blade.ricassoMm", to.x);
        setHeld(d, "blade.heelHeightMm", spine - to.y);
      },
      fields: [
        { label: "Ricasso length", path: "blade.ricassoMm" },
        { label: "Heel height", path: "blade.heelHeightMm" },
      ],
    },
    {
      id: "ricasso",
      title: "Ricasso",
      at: { x: blade.ricassoMm / 2, y: ricassoBottom },
      move: (d, to) => {
        setHeld(d, "blade.ricassoHeightMm", spine - to.y);
      },
      fields: [{ label: "Ricasso height", path: "blade.ricassoHeightMm" }],
    },
    {
      id: "drop",
      title: "Spine runs out from here",
      at: { x: blade.lengthMm - dropMm, y: spine },
      move: (d, to) => {
        setHeld(d, "blade.tip.dropMm", Math.min(blade.lengthMm - to.x, blade.lengthMm));
        setHeld(d, "blade.spineOverAxisMm", to.y);
      },
      fields: [
        { label: "Spine runs out over", path: "blade.tip.dropMm" },
        { label: "Spine above the axis", path: "blade.spineOverAxisMm" },
      ],
    },
    {
      id: "belly",
      title: "Belly begins here",
      at: { x: blade.lengthMm - bellyMm, y: edge },
      move: (d, to) => {
        setHeld(d, "blade.tip.bellyMm", Math.min(blade.lengthMm - to.x, blade.lengthMm));
      },
      fields: [{ label: "Belly over", path: "blade.tip.bellyMm" }],
    },
  ];
}

/** Thicknesses of the spine, on the view from above. */
export function bladePlanPoints({ blade }: Design): BenchPoint[] {
  const half = (mm: number) => mm / 2;
  return [
    {
      id: "spine",
      title: "Spine's thickness",
      at: { x: blade.taperFromMm, y: half(blade.spineMm) },
      move: (d, to) => {
        setHeld(d, "blade.spineMm", 2 * to.y);
        setHeld(d, "blade.taperFromMm", Math.min(to.x, blade.lengthMm));
      },
      fields: [
        { label: "Spine", path: "blade.spineMm" },
        { label: "Distal taper from", path: "blade.taperFromMm" },
      ],
    },
    {
      id: "spine-tip",
      title: "Spine at the tip",
      at: { x: blade.lengthMm, y: half(blade.tipThicknessMm) },
      move: (d, to) => {
        setHeld(d, "blade.tipThicknessMm", 2 * to.y);
      },
      fields: [{ label: "Spine at the tip", path: "blade.tipThicknessMm" }],
    },
  ];
}
