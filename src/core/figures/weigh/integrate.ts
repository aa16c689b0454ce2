import type { Assembly, Part } from "../../knife/parts/types";
import { commonRange } from "./commonRange";
import { Cut } from "./cut";
import { addCut, addMoments, type Moments, noMoments, noSums } from "./moments";
import type { PanelMemory } from "./panelMemory";
import { forPoints, type Panel, xPanels } from "./panels";
import type { RayFineness } from "./raySums";

/** How finely to integrate. Points of a panel grow with its length, up to a ceiling. */
export interface Fineness extends RayFineness {
  readonly xPointsPerMm: number;
  /** Least and most points of a panel in x. */
  readonly xPoints: readonly [number, number];
}

/** Reaches 1e-5 in volume and 0.005 mm in balance against closed forms; docs/method.md has the measurements. */
export const DEFAULT_FINENESS: Fineness = {
  xPointsPerMm: 0.1,
  xPoints: [3, 12],
  yPointsPerMm: 0.3,
  yPoints: [3, 7],
  zonePoints: [3, 7],
  split: 1,
};

/**
 * Volume, centroid and second moments of every part, by the order of `assembly.parts`.
 *
 * A ray along z at each (x, y) meets every region in one stretch; parts take theirs by precedence. Rays stand at
 * Gauss–Legendre points of panels whose ends are the breakpoints that the regions declare, with substitutions where a
 * surface closes like a root. Parts outside all regions come out as zero, and so do those that are not `wanted`: where
 * none of the others is, nothing is worked out. With a `memory`, where all are wanted, only panels that it does not know
 * are integrated; the answer is the same to the last digit.
 */
export function integrate(
  assembly: Assembly,
  fineness: Fineness = DEFAULT_FINENESS,
  wanted: (part: Part) => boolean = () => true,
  given: PanelMemory | null = null,
): Moments[] {
  const { regions, parts } = assembly;
  const asked = parts.map(wanted);
  const memory = asked.every((a) => a) ? given : null;
  const ranges = parts.map((p) => commonRange(p.regions.map((r) => regions[r].xRange)));
  const origins = ranges.map(([a, b]) => (a < b ? (a + b) / 2 : 0));
  const moments = origins.map(noMoments);
  const sums = parts.map(noSums);
  // Parts that are not asked for take their space all the same.
  const cut = new Cut(assembly, fineness);
  /** So many more changes of structure are looked for in the panel at hand. */
  let changesLeft = 0;

  memory?.begin(assembly, origins, fineness);
  for (const panel of xPanels(assembly)) {
    // Every region begins and ends at the end of a panel: only these can be met in this one.
    const active: number[] = [];
    const present: number[] = [];
    for (let r = 0; r < regions.length; r++)
      if (regions[r].xRange[0] < panel.b && regions[r].xRange[1] > panel.a) active.push(r);
    for (let i = 0; i < ranges.length; i++)
      if (asked[i] && ranges[i][0] < panel.b && ranges[i][1] > panel.a) present.push(i);
    if (present.length === 0) continue;
    const known = memory?.recall(panel, active, present);
    const within = known ?? present.map((i) => noMoments(origins[i]));
    // Where very many regions lie, panels are short and structures change all the time.
    changesLeft = active.length > MOST_SEARCHED ? 0 : MOST_CHANGES;
    if (!known) overStations(panel, active, present, within);
    if (!known) memory?.keep(panel, active, present, within);
    for (let k = 0; k < present.length; k++) addMoments(moments[present[k]], within[k]);
  }
  memory?.end();
  return moments;

  /**
   * Adds what of each present part lies in one panel to its moments. Where the structure of the cuts changes within the
   * panel, it is parted there. `ends` are the structures at its ends, where they are known.
   */
  function overStations(
    panel: Panel,
    active: readonly number[],
    present: readonly number[],
    within: readonly Moments[],
    ends: readonly [number, number] | null = null,
    depth = 0,
  ): void {
    const { a, b } = panel;
    const searched = depth < MOST_DEPTH && changesLeft > 0 && b - a > SHORTEST_MM;
    const inset = Math.min(READ_INSIDE_MM, (b - a) * READ_INSIDE_MM);
    const first: Place = { x: a + inset, w: 0, key: 0 };
    const last: Place = { x: b - inset, w: 0, key: 0 };
    if (searched) {
      first.key = ends ? ends[0] : cut.turnTo(first.x, active);
      last.key = ends ? ends[1] : cut.turnTo(last.x, active);
    }
    const places: Place[] = [];
    forPoints(panel, xPointsOf(panel, fineness, active.length), fineness.split, (x, w) =>
      places.push({ x, w, key: 0 }),
    );
    places.sort((p, q) => p.x - q.x);
    // Of a panel that is to be parted nothing is summed: only its structures are read.
    let alike = !searched || first.key === last.key;
    const trial = present.map((i) => noMoments(origins[i]));
    for (const place of places) {
      place.key = cut.turnTo(place.x, active);
      if (searched && place.key !== first.key) alike = false;
      if (!alike) continue;
      cut.addTo(sums);
      for (let k = 0; k < present.length; k++) addCut(trial[k], sums[present[k]], place.x, place.w);
    }
    const found = alike ? [] : changes([first, ...places, last], active);
    const inside = found.filter(({ x }) => x - a > NEAR_END_MM && b - x > NEAR_END_MM);
    if (alike) {
      for (let k = 0; k < present.length; k++) addMoments(within[k], trial[k]);
      return;
    }
    // What changes at such a station may grow from it like a root. With none inside, what was read is summed as it is.
    [...inside, null].forEach((to, i) => {
      const from = i === 0 ? null : inside[i - 1];
      overStations(
        {
          a: from?.x ?? a,
          b: to?.x ?? b,
          rootLow: from ? from.x : panel.rootLow,
          rootHigh: to ? to.x : panel.rootHigh,
        },
        active,
        present,
        within,
        [from?.after ?? first.key, to?.before ?? last.key],
        inside.length === 0 ? MOST_DEPTH : depth + 1,
      );
    });
  }

  /** Stations at which the structure of the cuts changes between places where it was read. */
  function changes(places: readonly Place[], active: readonly number[]): Change[] {
    const found: Change[] = [];
    for (let i = 1; i < places.length; i++) {
      const before = places[i - 1].key;
      let after = places[i].key;
      if (after === before || changesLeft <= 0) continue;
      changesLeft--;
      let [left, right] = [places[i - 1].x, places[i].x];
      while (right - left > FOUND_TO_MM) {
        const middle = (left + right) / 2;
        const key = cut.turnTo(middle, active);
        if (key === before) left = middle;
        else {
          right = middle;
          after = key;
        }
      }
      found.push({ x: (left + right) / 2, before, after });
    }
    return found;
  }
}

/** A station at which the structure of the cuts changes, and what it is on both sides. */
interface Change {
  readonly x: number;
  readonly before: number;
  readonly after: number;
}

/** A station of a panel, its weight, and the structure of the cut there. */
interface Place {
  readonly x: number;
  readonly w: number;
  key: number;
}

/** How far inside its ends a panel's structure is read, mm, or as a share of a panel under 1 mm. */
const READ_INSIDE_MM = 1e-3;
/** A change so near an end is that end. */
const NEAR_END_MM = 2e-3;
/** Shorter panels are not parted. */
const SHORTEST_MM = 0.01;
/** Stations of changes are found to this. */
const FOUND_TO_MM = 1e-5;
/** Panels are parted in parts of parts no deeper than this, and at no more stations. */
const MOST_DEPTH = 5;
const MOST_CHANGES = 96;
/** Panels with more regions than this are not parted. */
const MOST_SEARCHED = 60;

/** Points of a panel in x, where so many regions lie: beside roots more, where many crowd together fewer. */
export function xPointsOf(panel: Panel, fineness: Fineness, regionCount: number): number {
  const { a, b, rootLow, rootHigh } = panel;
  const [least, most] = fineness.xPoints;
  const crowded = regionCount > MOST_SEARCHED;
  const [one, both, less] = crowded ? [1, 4, 1] : [2, 8, 0];
  const roots =
    rootLow !== null && rootHigh !== null ? both : rootLow !== null || rootHigh !== null ? one : 0;
  return Math.min(most, Math.ceil(least - less + roots + (b - a) * fineness.xPointsPerMm));
}
