import type { Design } from "@/core/design/schema";
import { bladeHeights } from "@/core/layout/bladeOutline";
import { type BenchPoint, held } from "./types";

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
        d.blade.lengthMm = held(to.x, 10, 1200);
        d.blade.tip.heightShare = held((to.y - edge) / blade.heelHeightMm, 0, 1.5);
      },
      fields: [{ label: "Length of the blade", path: "blade.lengthMm", min: 10, max: 1200 }],
    },
    {
      id: "heel",
      title: "Heel",
      at: { x: blade.ricassoMm, y: edge },
      corner: true,
      move: (d, to) => {
        d.blade.ricassoMm = held(to.x, 0, 400);
        d.blade.heelHeightMm = held(spine - to.y, 3, 200);
      },
      fields: [
        { label: "Ricasso length", path: "blade.ricassoMm", min: 0, max: 400 },
        { label: "Heel height", path: "blade.heelHeightMm", min: 3, max: 200 },
      ],
    },
    {
      id: "ricasso",
      title: "Ricasso",
      at: { x: blade.ricassoMm / 2, y: ricassoBottom },
      move: (d, to) => {
        d.blade.ricassoHeightMm = held(spine - to.y, 2, 200);
      },
      fields: [{ label: "Ricasso height", path: "blade.ricassoHeightMm", min: 2, max: 200 }],
    },
    {
      id: "drop",
      title: "Spine runs out from here",
      at: { x: blade.lengthMm - dropMm, y: spine },
      move: (d, to) => {
        d.blade.tip.dropMm = held(blade.lengthMm - to.x, 0, blade.lengthMm);
        d.blade.spineOverAxisMm = held(to.y, -300, 300);
      },
      fields: [
        { label: "Spine runs out over", path: "blade.tip.dropMm", min: 0, max: 1000 },
        { label: "Spine above the axis", path: "blade.spineOverAxisMm", min: -300, max: 300 },
      ],
    },
    {
      id: "belly",
      title: "Belly begins here",
      at: { x: blade.lengthMm - bellyMm, y: edge },
      move: (d, to) => {
        d.blade.tip.bellyMm = held(blade.lengthMm - to.x, 0, blade.lengthMm);
      },
      fields: [{ label: "Belly over", path: "blade.tip.bellyMm", min: 0, max: 1000 }],
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
        d.blade.spineMm = held(2 * to.y, 0.3, 25);
        d.blade.taperFromMm = held(to.x, 0, blade.lengthMm);
      },
      fields: [
        { label: "Spine", path: "blade.spineMm", min: 0.3, max: 25 },
        { label: "Distal taper from", path: "blade.taperFromMm", min: 0, max: 1200 },
      ],
    },
    {
      id: "spine-tip",
      title: "Spine at the tip",
      at: { x: blade.lengthMm, y: half(blade.tipThicknessMm) },
      move: (d, to) => {
        d.blade.tipThicknessMm = held(2 * to.y, 0.1, 25);
      },
      fields: [{ label: "Spine at the tip", path: "blade.tipThicknessMm", min: 0.1, max: 25 }],
    },
  ];
}
