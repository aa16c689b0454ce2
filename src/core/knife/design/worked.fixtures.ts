import { newFastener } from "../../kinds/fasteners/registry";
import { newJoint } from "../starts/constructions";
import { guardOfForm } from "./guards";
import { newBolster, newPiece } from "./newParts";
import { newScale } from "./newScale";
import type { Design, ScalesHandle, StackHandle, Wrap } from "./schema";
import { newTexture } from "./textures";

/** A strip, and a cord over the middle of it and beyond its rear. */
const UNDER_CORD: Wrap[] = [
  {
    on: "grip",
    kind: "strip",
    material: "leather-veg",
    widthMm: 10,
    thicknessMm: 1.2,
    pitchMm: 10,
    pattern: "single",
    fromMm: -10,
    toMm: -70,
  },
  {
    on: "grip",
    kind: "cord",
    material: "cord-nylon-flat",
    widthMm: 4,
    thicknessMm: 1.8,
    pitchMm: 6,
    pattern: "crossed",
    fromMm: -20,
    toMm: -90,
  },
];

/** Constructions whose scales end ahead of the butt, whose faces are not smooth, and that are wound over each other. */
export function workedConstructions(sound: Design, hidden: Design): Readonly<Record<string, Design>> {
  const scales = (change: Partial<ScalesHandle>): Design => ({
    ...sound,
    handle: { ...sound.handle, ...change } as ScalesHandle,
  });
  const stack = (change: Partial<StackHandle>): Design => ({
    ...hidden,
    handle: { ...hidden.handle, ...change } as StackHandle,
    fasteners: [],
  });
  return {
    "scales that end ahead of the butt": {
      ...scales({
        rearEnd: { bareMm: 22, tiltDeg: 12, wheelRadiusMm: null },
        rearBevel: { lengthMm: 5, angleDeg: 40 },
        liners: [{ material: "g10", thicknessMm: 0.8 }],
        joints: [{ ...newJoint("j-1", sound), xMm: -50 }],
      }),
      fasteners: [
        ...sound.fasteners.slice(0, 1),
        newFastener("lanyard-tube", "tube", { xMm: -101, yMm: -5 }, sound.blade.spineMm),
      ],
    },
    "scales hollowed by a wheel at the rear": {
      ...scales({
        rearEnd: { bareMm: 26, tiltDeg: -8, wheelRadiusMm: 20 },
        bolsters: { front: null, rear: { ...newBolster("brass-260"), lengthMm: 12 } },
      }),
      tang: { ...sound.tang, taper: { frontMm: 4, buttMm: 2.5 } } as Design["tang"],
      fasteners: sound.fasteners.slice(0, 1),
    },
    "scales as they grew, and a jigged side": scales({
      right: { ...newScale("antler-deer", 9.5), face: newTexture("natural") },
      left: { ...newScale("antler-deer", 9), face: newTexture("jigged"), weighed: { massG: 42, offG: 0.1 } },
      plan: sound.handle.plan.map((p, i) => ({ ...p, leftHalfMm: p.halfMm - 0.5 - 0.2 * i })),
    }),
    "hammered flats and bolsters": {
      ...scales({
        bolsters: { front: { ...newBolster("copper"), face: newTexture("hammered") }, rear: null },
        frontBevel: null,
      }),
      blade: { ...sound.blade, face: newTexture("hammered") },
    },
    "block with bark all round": stack({
      pieces: [
        newPiece("p-1", "ferrule", "brass-360", 14),
        { ...newPiece("p-2", "block", "walnut-black", 60), face: newTexture("natural") },
      ],
    }),
    "guard peened at its front": {
      ...hidden,
      guard: { ...guardOfForm("oval", hidden), face: newTexture("peened") },
    },
    "scales in a strip and cord over it": {
      ...sound,
      fasteners: [],
      handle: { ...sound.handle, wraps: UNDER_CORD },
    },
  };
}
