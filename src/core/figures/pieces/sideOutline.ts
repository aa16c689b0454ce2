import { joined } from "../../geometry/contours/clip";
import type { Point } from "../../geometry/curve/bezier";
import type { Region } from "../../geometry/solids/region";
import { throughSlice } from "../../geometry/solids/slice";
import type { Assembly } from "../../knife/parts/types";
import { Cut } from "../weigh/cut";
import { DEFAULT_FINENESS } from "../weigh/integrate";
import { activeAt, xPanels } from "../weigh/panels";
import { type Ends, swept } from "./swept";

/** Stretches of one part that are nearer than this are one, mm. */
const TOUCHING_MM = 1e-4;
/** What a stretch has in common with another is something from here on, mm. */
const SOMETHING_MM = 1e-5;

/** Parts that together are one piece; what of them is thinner than so much is no part of it. */
export interface Group {
  readonly parts: readonly string[];
  readonly leastMm: number;
}

/**
 * What groups of an assembly's parts cover, seen from the side: of each group closed chord lines within 0.002 mm, outer
 * ones counter-clockwise and openings the other way. Parts are those that are weighed, by precedence. Where a part is
 * limited by the contoured `body`, it is drawn out to that body's own outline, flush with the tang: rounding comes later.
 */
export function sideOutlines(assembly: Assembly, groups: readonly Group[], body: Region | null): Point[][][] {
  const { parts, regions } = assembly;
  const groupsOf = parts.map((p) => groups.flatMap((g, k) => (g.parts.includes(p.id) ? [k] : [])));
  const wanted = groupsOf.flatMap((of, i) => (of.length > 0 ? [i] : []));
  if (wanted.length === 0) return groups.map(() => []);
  const within = (p: number, end: 0 | 1) => parts[p].regions.map((r) => regions[r].xRange[end]);
  const from = Math.min(...wanted.map((p) => Math.max(...within(p, 0))));
  const to = Math.max(...wanted.map((p) => Math.min(...within(p, 1))));
  const panels = xPanels(assembly);
  const breaks = [...panels.map((p) => p.a), ...panels.map((p) => p.b)];
  const places = [...new Set([from, ...breaks.filter((x) => x > from && x < to), to])];
  const least = groups.map((g) => g.leastMm);
  const weighed = new Reader(assembly, groupsOf, least);
  const flush =
    body && regions.includes(body) ? new Reader(unrounded(assembly, body), groupsOf, least) : null;
  const strips = swept(places, groups.length, (x) => {
    const ends = weighed.endsAt(x);
    if (!flush) return ends;
    const wide = flush.endsAt(x);
    return wide.map((of, k) => meeting(of, ends[k]));
  });
  return strips.map((of) => joined(of));
}

/** An assembly whose body reaches over its whole outline without end to both sides. */
function unrounded(assembly: Assembly, body: Region): Assembly {
  const flat: Region = {
    kind: "prism",
    xRange: body.xRange,
    breaks: body.breaks,
    sliceAt: (x) => {
      const slice = body.sliceAt(x);
      return slice && throughSlice(slice.ys);
    },
  };
  return { ...assembly, regions: assembly.regions.map((r) => (r === body ? flat : r)) };
}

/** Stretches of one list that have something in common with one of another. */
function meeting(of: readonly number[], others: readonly number[]): number[] {
  const found: number[] = [];
  for (let i = 0; i + 1 < of.length; i += 2)
    for (let k = 0; k + 1 < others.length; k += 2)
      if (Math.min(of[i + 1], others[k + 1]) - Math.max(of[i], others[k]) > SOMETHING_MM) {
        found.push(of[i], of[i + 1]);
        break;
      }
  return found;
}

/** Reads where groups of parts lie across a cut. */
class Reader {
  private readonly cut: Cut;

  constructor(
    private readonly assembly: Assembly,
    private readonly groupsOf: readonly (readonly number[])[],
    private readonly least: readonly number[],
  ) {
    this.cut = new Cut(assembly, DEFAULT_FINENESS);
  }

  endsAt(x: number): Ends {
    this.cut.turnTo(x, activeAt(this.assembly.regions, x));
    const ends: number[][] = this.least.map(() => []);
    this.cut.forEachFilled((part, y0, y1, z0, z1) => {
      for (const k of this.groupsOf[part]) {
        if (z1 - z0 < this.least[k]) continue;
        const of = ends[k];
        // Panels come from the lowest to the highest.
        if (of.length > 0 && y0 <= of[of.length - 1] + TOUCHING_MM)
          of[of.length - 1] = Math.max(of[of.length - 1], y1);
        else of.push(y0, y1);
      }
    });
    return ends;
  }
}
