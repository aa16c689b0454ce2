import { handleReach } from "../../knife/design/handleParts";
import { newRecess } from "../../knife/design/newParts";
import type { Design, Grind, SideGrind } from "../../knife/design/schema";
import { withBladeLength, withHeelHeight } from "../../knife/layout/bladeLengths";
import { openSpot } from "../fit/openSpot";
import { type Lever, lengthLever, rounded } from "./lever";

/** A lever of steel, and which way it takes steel off: a blade in the hand can only be moved that way. */
interface SteelLever {
  readonly lever: Lever;
  readonly off: "down" | "up";
}

/**
 * Levers of the blade and of the tang's steel. Of what is in the hand only those that take steel off, and none where its
 * drawing describes what was weighed: there they would move nothing but the drawing.
 */
export function steelLevers(design: Design): Lever[] {
  const { measured } = design.blade;
  const all = [...tangLevers(design), ...bladeLevers(design)];
  if (!measured) return all.map((l) => l.lever);
  if (!measured.of.asWeighed) return [];
  return all.flatMap(({ lever, off }) => {
    const taken = off === "down" ? { ...lever, high: 0 } : { ...lever, low: 0 };
    return taken.high > taken.low ? [taken] : [];
  });
}

const withBlade = (d: Design, part: Partial<Design["blade"]>): Design => ({
  ...d,
  blade: { ...d.blade, ...part },
});

const spine: Lever["apply"] = (d, by) => {
  const spineMm = rounded(d.blade.spineMm + by);
  if (spineMm <= 0.5) return null;
  return withBlade(d, { spineMm, tipThicknessMm: Math.min(d.blade.tipThicknessMm, spineMm) });
};

const distalTaper: Lever["apply"] = (d, by) => {
  const tipThicknessMm = rounded(d.blade.tipThicknessMm + by);
  return tipThicknessMm >= 0.1 && tipThicknessMm <= d.blade.spineMm ? withBlade(d, { tipThicknessMm }) : null;
};

const bladeLength: Lever["apply"] = (d, by) => ({
  ...d,
  blade: withBladeLength(d.blade, rounded(d.blade.lengthMm + by)),
});

const heel: Lever["apply"] = (d, by) => ({
  ...d,
  blade: withHeelHeight(d.blade, rounded(d.blade.heelHeightMm + by)),
});

const grindHeight: Lever["apply"] = (d, by) =>
  withBlade(d, {
    grind: raised(d.blade.grind, by),
    leftGrind: d.blade.leftGrind && raised(d.blade.leftGrind, by),
  });

const fullerDepth: Lever["apply"] = (d, by) =>
  withBlade(d, {
    fullers: d.blade.fullers.map((f) => ({ ...f, depthMm: Math.max(0.05, rounded(f.depthMm + by)) })),
  });

function bladeLevers({ blade }: Design): SteelLever[] {
  const { grind, spineMm, tipThicknessMm, lengthMm, heelHeightMm } = blade;
  const far = 0.15 * lengthMm;
  const fifth = 0.2 * heelHeightMm;
  const levers: SteelLever[] = [
    {
      off: "down",
      lever: lengthLever("spine", 0.5, [-Math.min(2, spineMm - 1), 2], "metal", spine),
    },
    {
      off: "down",
      lever: lengthLever(
        "distal-taper",
        0.5,
        [-(tipThicknessMm - 0.6), spineMm - tipThicknessMm],
        "metal",
        distalTaper,
      ),
    },
    { off: "down", lever: lengthLever("blade-length", 3, [-far, far], "look", bladeLength) },
    { off: "down", lever: lengthLever("heel", 1, [-fifth, fifth], "look", heel) },
  ];
  if ("heightMm" in grind && grind.angleDeg === null) {
    const highest = highestFace(grind);
    const range = [-0.5 * highest, heelHeightMm - highest] as const;
    levers.push({ off: "up", lever: lengthLever("grind-height", 1, range, "metal", grindHeight) });
  }
  const deepest = Math.max(0, ...blade.fullers.map((f) => f.depthMm));
  if (deepest > 0) {
    const range = [-0.9 * deepest, Math.max(0.1, spineMm / 2 - 0.5 - deepest)] as const;
    levers.push({ off: "up", lever: lengthLever("fuller-depth", 0.2, range, "metal", fullerDepth) });
  }
  return levers;
}

/** The highest that a face reaches. */
function highestFace({ heightMm, along }: Extract<Grind, { along: unknown }>): number {
  return along.length > 0 ? Math.max(...along.map((p) => p.heightMm)) : heightMm;
}

/** A grind whose face is higher by so much all along; one without a height of its own as it was. */
function raised<G extends Grind | SideGrind>(grind: G, by: number): G {
  if (!("heightMm" in grind)) return grind;
  const along = grind.along.map((p) => ({ ...p, heightMm: rounded(p.heightMm + by) }));
  return { ...grind, heightMm: rounded(grind.heightMm + by), along };
}

/** Places for holes that lighten: clear of edges and each other, behind the front fifth. */
function withHoles(design: Design, count: number): Design | null {
  let next = design;
  for (let i = 0; i < Math.round(count); i++) {
    const { tang } = next;
    if (tang.kind !== "full" || tang.holes.length >= 60) return null;
    const place = openSpot(next, 8, { rimMm: 3, fromMm: 0.2 * handleReach(next) + 4 });
    if (!place) return null;
    const taken = new Set([...tang.holes, ...next.fasteners].map((h) => h.id));
    let n = 1;
    while (taken.has(`light-${n}`)) n++;
    const hole = { id: `light-${n}`, ...place, diameterMm: 8, fill: null, purpose: "lighten" as const };
    next = { ...next, tang: { ...tang, holes: [...tang.holes, hole] } };
  }
  return next;
}

function tangLevers(design: Design): SteelLever[] {
  const { tang, blade } = design;
  if (tang.kind !== "full") return [barLength(tang.lengthMm)];
  const butt = tang.taper?.buttMm ?? blade.spineMm;
  const front = tang.taper?.frontMm ?? blade.spineMm;
  const levers: SteelLever[] = [
    {
      off: "down",
      lever: lengthLever("tang-taper", 0.5, [-(butt - 0.8), front - butt], "metal", (d, by) => {
        if (d.tang.kind !== "full") return null;
        const from = d.tang.taper ?? { frontMm: d.blade.spineMm, buttMm: d.blade.spineMm };
        const buttMm = rounded(from.buttMm + by);
        return buttMm >= 0.3 ? { ...d, tang: { ...d.tang, taper: { ...from, buttMm } } } : null;
      }),
    },
    {
      off: "up",
      lever: {
        id: "holes",
        unit: "holes",
        step: 1,
        low: 0,
        high: 6,
        nature: "metal",
        material: null,
        apply: (d, amount) => withHoles(d, amount),
      },
    },
    {
      off: "up",
      lever: lengthLever("recess", 0.3, [0, front / 2 - 0.8], "metal", (d, by) => {
        if (d.tang.kind !== "full" || !(by >= 0)) return null;
        if (by === 0) return d;
        const recess = d.tang.recess ?? { ...newRecess(d), depthMm: 0 };
        return { ...d, tang: { ...d.tang, recess: { ...recess, depthMm: rounded(recess.depthMm + by) } } };
      }),
    },
  ];
  return levers;
}

/** Length of a tang's bar, from the front to its end. */
function barLength(lengthMm: number): SteelLever {
  return {
    off: "down",
    lever: lengthLever("tang-length", 3, [-0.3 * lengthMm, 0.3 * lengthMm], "metal", (d, by) =>
      d.tang.kind === "full" ? null : { ...d, tang: { ...d.tang, lengthMm: rounded(d.tang.lengthMm + by) } },
    ),
  };
}
