import { common, grown, joined } from "../geometry/contours/clip";
import type { Point } from "../geometry/curve/bezier";
import { assemble } from "../knife/assembly/assemble";
import type { Design } from "../knife/design/schema";
import { layoutOf } from "../knife/layout/layout";
import { betweenWelts, fromFold } from "./room";
import { stretchInside } from "./seam";
import { passed, type Station, stationAt } from "./sections";
import { SHEATH_LIMITS, type SheathSettings } from "./settings";
import { type Stitches, stitchesOn, threadMm } from "./stitches";

/** One piece of leather, flat; points in the knife's frame, mm, as it lies on the knife in the finished sheath. */
export interface Panel {
  readonly name: "front" | "back" | "welt" | "belt-loop";
  readonly outline: readonly Point[];
  /** Of the whole piece: of a fold-over, whose front half the outline is, of both halves. */
  readonly areaMm2: number;
  readonly thickMm: number;
}

/** Something about the fit, at its place. */
export type SheathNote =
  /** What has to go past makes it so much wider than the knife is there. */
  | { readonly code: "loose"; readonly xMm: number; readonly byMm: number }
  /** The knife's thickness makes the panel so much longer than its outline: it is stretched wet. */
  | { readonly code: "stretch"; readonly xMm: number; readonly share: number }
  /** The guard stands wider than the throat: it is cut to the guard. */
  | { readonly code: "guard"; readonly xMm: number; readonly widthMm: number };

export interface SheathPattern {
  readonly settings: SheathSettings;
  readonly throatMm: number;
  readonly tipMm: number;
  /** The fold's line, in the flat pattern; null of two panels. */
  readonly foldY: number | null;
  readonly panels: readonly Panel[];
  readonly stitches: Stitches;
  readonly threadMm: { readonly rule: number; readonly geometry: number };
  readonly notes: readonly SheathNote[];
}

export type SheathFailure =
  | { readonly code: "cannot-be-built" }
  | {
      readonly code: "limit";
      readonly field: keyof typeof SHEATH_LIMITS;
      readonly min: number;
      readonly max: number;
    }
  /** The welt leaves no room for stitches. */
  | { readonly code: "margin"; readonly most: number }
  /** It covers the handle so far that nothing of it is left, or of the blade nothing. */
  | { readonly code: "depth"; readonly most: number };

export type SheathResult =
  | { readonly ok: true; readonly pattern: SheathPattern }
  | ({ readonly ok: false } & SheathFailure);

const STATIONS = 160;
/** Room all round that lies outside of every pattern, mm: what is grown is cut off there. */
const FAR_MM = 80;
/** Half the room between the edges at the very end, mm, and so many stations before it say how they run. */
const POINT_MM = 0.5;
const TANGENT_STATIONS = 5;
/** More room than this is told. */
const LOOSE_MM = 5;
/** So much longer than its outline a panel is stretched wet. Handbook, section 12. */
const STRETCH = 0.1;
/** As a share of the knife's height. */
const WIDE_ENOUGH = 0.6;
/** Of the handle's front half the swell is looked for. */
const FRONT_SHARE = 0.5;
/** So much of the handle stays out at least, to be taken hold of, mm. */
const LEFT_OUT_MM = 20;
const LOOP_ROOM_MM = 6;
const LOOP_SEAM_MM = 12;

const areaOf = (outline: readonly Point[]): number =>
  Math.abs(
    outline.reduce((sum, p, i) => {
      const q = outline[(i + 1) % outline.length];
      return sum + p.x * q.y - q.x * p.y;
    }, 0) / 2,
  );

const largest = (loops: readonly (readonly Point[])[]): readonly Point[] =>
  [...loops].sort((a, b) => areaOf(b) - areaOf(a))[0] ?? [];

const totalOf = (loops: readonly (readonly Point[])[]): number =>
  loops.reduce((sum, l) => {
    const signed = l.reduce((s, p, i) => {
      const q = l[(i + 1) % l.length];
      return s + (p.x * q.y - q.x * p.y) / 2;
    }, 0);
    return sum + signed;
  }, 0);

/** Where the handle is highest within its front part: as far as that a sheath that holds by the handle covers it. */
function swellMm(design: Design): number {
  const assembly = assemble(design);
  const { frontX, buttX } = layoutOf(design);
  const lengthMm = frontX - buttX;
  let [best, at] = [0, frontX];
  for (let i = 1; i <= 24; i++) {
    const x = frontX - (FRONT_SHARE * lengthMm * i) / 24;
    const s = stationAt(assembly, x);
    const tall = s ? s.highY - s.lowY : 0;
    if (tall > best) [best, at] = [tall, x];
  }
  return frontX - at;
}

/** How far it covers the handle where its maker does not say: not at all behind a guard, else up to its swell. */
export const proposedDepthMm = (design: Design): number => (design.guard ? 0 : swellMm(design));

function faultIn(settings: SheathSettings): SheathFailure | null {
  const fields = Object.entries(SHEATH_LIMITS) as [
    keyof typeof SHEATH_LIMITS,
    { min: number; max: number },
  ][];
  for (const [field, { min, max }] of fields) {
    const value = settings[field];
    if (value !== null && !(value >= min && value <= max)) return { code: "limit", field, min, max };
  }
  return settings.marginMm > settings.weltMm - 1 ? { code: "margin", most: settings.weltMm - 1 } : null;
}

/** Flat heights of the welt's inner edges over and under the knife, at each station. */
interface Edges {
  readonly foldY: number | null;
  readonly over: readonly number[];
  readonly under: readonly number[];
}

function edgesOf(stations: readonly Station[], settings: SheathSettings): Edges {
  const { style, clearanceMm, weltThickMm, leatherMm, neutral } = settings;
  const room = passed(stations);
  if (style === "two-panel") {
    const found = stations.map((s, i) =>
      betweenWelts(s.points, room[i].highY + clearanceMm, room[i].lowY - clearanceMm, weltThickMm),
    );
    return {
      foldY: null,
      over: found.map((f) => f.atY + f.overMm),
      under: found.map((f) => f.atY - f.underMm),
    };
  }
  // A fold is straight: it runs along the highest point of what it covers.
  const top = Math.max(...room.map((r) => r.highY));
  const spine = stations.find((s) => s.highY > top - 0.5 && s.xMm > 0) ?? stations[0];
  const half = Math.max(...spine.points.filter((p) => p.y > spine.highY - 0.5).map((p) => p.z));
  const quarter = (Math.PI / 2) * neutral * leatherMm;
  const foldY = top + half + quarter;
  // What is ahead goes past: the panel is nowhere narrower than before it.
  let widest = 0;
  const under = [...stations.keys()]
    .reverse()
    .map((i) => {
      widest = Math.max(widest, fromFold(stations[i].points, top, room[i].lowY - clearanceMm, weltThickMm));
      return foldY - quarter - widest;
    })
    .reverse();
  return { foldY, over: stations.map(() => foldY), under };
}

/** The flat pattern of a sheath round a knife that can be built, or what keeps it from being made. */
export function sheathPattern(design: Design, settings: SheathSettings): SheathResult {
  const fault = faultIn(settings);
  if (fault) return { ok: false, ...fault };
  const assembly = assemble(design);
  const { frontX, buttX } = layoutOf(design);
  const mostMm = Math.max(0, frontX - buttX - LEFT_OUT_MM);
  const tipMm = Math.max(
    ...assembly.parts
      .filter((p) => p.key.kind === "blade")
      .flatMap((p) => p.regions.map((r) => assembly.regions[r].xRange[1]))
      .filter(Number.isFinite),
  );
  const guardFront = design.guard ? layoutOf(design).guardPlates.reduce((m, g) => Math.max(m, g.toMm), 0) : 0;
  const depthMm = settings.depthMm ?? proposedDepthMm(design);
  const throatMm = design.guard && depthMm === 0 ? guardFront : frontX - depthMm;
  if (depthMm > mostMm) return { ok: false, code: "depth", most: mostMm };
  const stations = Array.from({ length: STATIONS }, (_, i) => {
    const t = (i + 0.5) / STATIONS;
    return stationAt(assembly, throatMm + t * (tipMm - throatMm));
  }).filter((s) => s !== null);
  if (stations.length < STATIONS / 2) return { ok: false, code: "cannot-be-built" };
  return { ok: true, pattern: patternOf(design, settings, stations, throatMm, tipMm) };
}

function patternOf(
  design: Design,
  settings: SheathSettings,
  stations: readonly Station[],
  throatMm: number,
  tipMm: number,
): SheathPattern {
  const { style, weltMm, marginMm, clearanceMm, leatherMm, weltThickMm, pitchMm } = settings;
  const { foldY, over, under } = edgesOf(stations, settings);
  const endMm = tipMm + clearanceMm;
  const last = stations.length - 1;
  const farUp = Math.max(...over) + FAR_MM;
  const line = (ys: readonly number[]) => stations.map((s, i) => ({ x: s.xMm, y: ys[i] }));
  const middle = foldY === null ? (under[last] + over[last]) / 2 : stations[last].lowY;
  // Past the tip the edges run on as they come, and end a little apart.
  const goesOn = (ys: readonly number[], wall: (a: number, b: number) => number, least: number): number => {
    const before = Math.max(0, last - TANGENT_STATIONS);
    const slope = (ys[last] - ys[before]) / (stations[last].xMm - stations[before].xMm);
    return wall(ys[last] + slope * (endMm - stations[last].xMm), least);
  };
  const lower = [
    { x: throatMm - FAR_MM, y: under[0] },
    ...line(under),
    { x: endMm, y: goesOn(under, Math.min, middle - POINT_MM) },
  ];
  const upper =
    foldY === null
      ? [
          { x: endMm, y: goesOn(over, Math.max, middle + POINT_MM) },
          ...line(over).reverse(),
          { x: throatMm - FAR_MM, y: over[0] },
        ]
      : [
          { x: endMm, y: farUp },
          { x: throatMm - FAR_MM, y: farUp },
        ];
  const cavity = joined([[...lower, ...upper]]);
  const box = { x0: throatMm, x1: endMm + FAR_MM, y0: Math.min(...under) - FAR_MM, y1: foldY ?? farUp };
  const boxLoop = [
    { x: box.x0, y: box.y0 },
    { x: box.x1, y: box.y0 },
    { x: box.x1, y: box.y1 },
    { x: box.x0, y: box.y1 },
  ];
  const edge = grown(cavity, weltMm);
  const front = largest(common(edge, [boxLoop]));
  const welt = joined([front], cavity);
  // Parallel to the finished edge, not to the welt's inner one: round a hollow these are not the same. A hole on the throat's
  // edge, or on the fold, would tear out: the seam ends the margin before either.
  const sewn = { ...box, x0: box.x0 + marginMm, y1: foldY === null ? farUp : foldY - marginMm };
  const seam = stretchInside(largest(grown(edge, -marginMm)), sewn) ?? [];
  const tip = { x: endMm, y: middle };
  const at = seam.reduce(
    (best, p, i) =>
      Math.hypot(p.x - tip.x, p.y - tip.y) < Math.hypot(seam[best].x - tip.x, seam[best].y - tip.y)
        ? i
        : best,
    0,
  );
  const stitches = stitchesOn(seam, at, pitchMm);
  const area = areaOf(front);
  const loop = loopOf(settings, front);
  const panels: Panel[] = [
    { name: "front", outline: front, areaMm2: style === "fold-over" ? 2 * area : area, thickMm: leatherMm },
    ...(style === "two-panel"
      ? [{ name: "back", outline: front, areaMm2: area, thickMm: leatherMm } as const]
      : []),
    { name: "welt", outline: largest(welt), areaMm2: totalOf(welt), thickMm: weltThickMm },
    ...(loop
      ? [{ name: "belt-loop", outline: loop, areaMm2: areaOf(loop), thickMm: leatherMm } as const]
      : []),
  ];
  const throughMm = 2 * leatherMm + weltThickMm;
  return {
    settings,
    throatMm,
    tipMm,
    foldY,
    panels,
    stitches,
    threadMm: threadMm(
      { stitches: stitches.holes.length - 1, pitchMm: stitches.pitchMm, seamMm: stitches.seamMm },
      throughMm,
    ),
    notes: notesOf(design, stations, { foldY, over, under }, settings, throatMm),
  };
}

/** A loop that is folded back: the belt's width and room, twice, and a seam at either end. It lies along the back, at the throat. */
function loopOf({ beltMm, loopMm }: SheathSettings, front: readonly Point[]): readonly Point[] | null {
  if (beltMm === null) return null;
  const lengthMm = 2 * (beltMm + LOOP_ROOM_MM) + 2 * LOOP_SEAM_MM;
  const x0 = Math.min(...front.map((p) => p.x));
  const y1 = Math.max(...front.map((p) => p.y));
  return [
    { x: x0 - lengthMm, y: y1 - loopMm },
    { x: x0, y: y1 - loopMm },
    { x: x0, y: y1 },
    { x: x0 - lengthMm, y: y1 },
  ];
}

function notesOf(
  { guard }: Design,
  stations: readonly Station[],
  { foldY, over, under }: Edges,
  { clearanceMm, style }: SheathSettings,
  throatMm: number,
): SheathNote[] {
  const room = passed(stations);
  const notes: SheathNote[] = [];
  const top = Math.max(...room.map((r) => r.highY));
  const tallest = Math.max(...room.map((r) => r.highY - r.lowY));
  const flat = (i: number) => (foldY ?? over[i]) - under[i];
  let [loose, looseAt, stretch, stretchAt] = [0, 0, 0, 0];
  stations.forEach((s, i) => {
    const more = s.lowY - room[i].lowY + (style === "two-panel" ? room[i].highY - s.highY : 0);
    if (more > loose) [loose, looseAt] = [more, s.xMm];
    const drawn = (foldY === null ? room[i].highY + clearanceMm : top) - room[i].lowY + clearanceMm;
    // Near the tip the panel is as narrow as its clearance: nothing of it is the profile's.
    if (drawn < tallest * WIDE_ENOUGH) return;
    const share = (flat(i) - (foldY === null ? 0 : foldY - top)) / drawn - 1;
    if (share > stretch) [stretch, stretchAt] = [share, s.xMm];
  });
  if (loose > LOOSE_MM) notes.push({ code: "loose", xMm: looseAt, byMm: loose });
  if (stretch > STRETCH) notes.push({ code: "stretch", xMm: stretchAt, share: stretch });
  if (guard && throatMm < 0) notes.push({ code: "guard", xMm: 0, widthMm: guard.aboveMm + guard.belowMm });
  return notes;
}

/** What it weighs, g, by the leather's density in g/cm³: leather alone, without thread and fittings. */
export const sheathMassG = ({ panels }: Pick<SheathPattern, "panels">, densityGcc: number): number =>
  panels.reduce((sum, p) => sum + (p.areaMm2 * p.thickMm * densityGcc) / 1000, 0);
