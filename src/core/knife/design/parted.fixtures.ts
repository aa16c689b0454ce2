import { newHalf, newLengthwise } from "../layout/handleStarts";
import { withEnd } from "../starts/constructions";
import type { Design, Half, HiddenTang, Lengthwise, ScalesHandle, StackHandle, Wrap } from "./schema";

const point = (id: string, xMm: number, yMm: number, corner = false) => ({ id, xMm, yMm, corner });

/** A joint along a handle: curved, with a corner, and a sheet in it. */
const CURVED: Partial<Lengthwise> = {
  points: [point("a", -4, 4), point("b", -34, -3), point("c", -62, 2, true), point("d", -108, -6)],
  divider: { material: "brass-260", thicknessMm: 0.8 },
};

/** A guard's half that hangs below the handle and rises to a point over it. */
const POINTED = [
  point("a", 0, 22),
  point("b", -10, 12, true),
  point("c", -12, -14),
  point("d", -6, -26),
  point("e", 0, -16, true),
];

/** Constructions of a handle that is parted in further ways, and what holds a tang at its end, made of plain knives. */
export function partedConstructions(sound: Design, hidden: Design): Readonly<Record<string, Design>> {
  const scales = (change: Partial<ScalesHandle>): Design => ({
    ...sound,
    handle: { ...sound.handle, ...change } as ScalesHandle,
  });
  const stack = (change: Partial<StackHandle>, of = hidden): Design => ({
    ...of,
    handle: { ...of.handle, ...change } as StackHandle,
  });
  const end = (kind: "stud" | "cap-nut", change: object): Design => {
    const d = withEnd(hidden, kind);
    const tang = d.tang as HiddenTang;
    const bar = { frontHeightMm: 9, endHeightMm: 5, frontThicknessMm: 4, endThicknessMm: 4, yMm: 0 };
    return { ...d, tang: { ...tang, ...bar, end: { ...tang.end, ...change } as HiddenTang["end"] } };
  };
  const sheet = (material: string, thicknessMm: number) => ({ material, thicknessMm });
  const joint = (xMm: number, tiltDeg: number) => ({
    id: `j${xMm}`,
    xMm,
    tiltDeg,
    dividers: [sheet("brass-260", 0.6), sheet("vulcanised-fibre", 1.2), sheet("copper", 0.6)],
    right: "g10",
    left: "walnut-black",
  });
  const outlined = (half: Half, points: readonly ReturnType<typeof point>[]): Half => ({
    ...half,
    shape: { kind: "outline", points: [...points], thicknessMm: 9 },
  });
  const wrap: Wrap = {
    on: "pommel",
    kind: "strip",
    material: "leather-veg",
    widthMm: 5,
    thicknessMm: 1.5,
    pitchMm: 6,
    pattern: "single",
    fromMm: 0,
    toMm: -10,
  };
  const pommelOf = (shape: StackHandle["pieces"][number]["shape"]) => {
    const { pieces } = hidden.handle as StackHandle;
    const last = {
      ...pieces[pieces.length - 1],
      id: "pommel",
      role: "pommel" as const,
      material: "brass-360",
    };
    return [...pieces, { ...last, lengthMm: 24, shape, discMm: null, tiltDeg: 0 }];
  };
  return {
    "several dividers in a joint": scales({ joints: [joint(-40, 20), joint(-78, -10)] }),
    "joint along the scales": scales({ lengthwise: newLengthwise(sound) }),
    "curved joint along the scales, with a sheet": scales({
      lengthwise: { ...newLengthwise(sound), ...CURVED },
      joints: [joint(-60, 0)],
      liners: [sheet("g10", 0.8)],
    }),
    "joint along the blocks": stack({ lengthwise: { ...newLengthwise(hidden), ...CURVED } }),
    "front and rear halves": scales({
      halves: [newHalf("front", "front", sound), newHalf("rear", "rear", sound)],
    }),
    "halves of a smooth outline": scales({
      halves: [outlined({ ...newHalf("front", "front", sound), left: "nickel-silver" }, POINTED)],
    }),
    "wrap on a disc pommel alone": stack({
      pieces: pommelOf({ kind: "disc", diameterMm: 34, widthMm: 16, yMm: -6 }),
      wraps: [wrap],
    }),
    "wrap on a pommel of the handle's outline": stack({ pieces: pommelOf(null), wraps: [wrap] }),
    "cap rounded at both ends": stack({
      pieces: pommelOf({
        kind: "plate",
        aboveMm: 10,
        belowMm: 22,
        widthMm: 26,
        roundness: 0.9,
        domeMm: 9,
        frontDomeMm: 5,
      }),
    }),
    "stud brazed to the tang": end("stud", { lapMm: 18 }),
    "butt cap as the nut": end("cap-nut", {}),
  };
}
