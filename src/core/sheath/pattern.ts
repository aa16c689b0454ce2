import { common, grown, joined } from "../geometry/contours/clip";
import type { Point } from "../geometry/curve/bezier";
import { enclosedArea } from "../geometry/curve/crossing";
import type { Design } from "../knife/design/schema";
import { type Cavity, cavityOf, edgesOf, FAR_MM } from "./cavity";
import { notesOf, type SheathNote } from "./notes";
import { type Box, stretchInside } from "./seam";
import { type Station, stationAt } from "./sections";
import { SHEATH_LIMITS, type SheathSettings } from "./settings";
import { type Stitches, stitchesOn, threadMm } from "./stitches";
import { goesIn, mostDepthMm, proposedDepthMm, throatAt, tipOf } from "./throat";

export type { SheathNote } from "./notes";

/** One piece of leather, flat; points in the knife's frame, mm, as it lies on the knife in the finished sheath. */
export interface Panel {
  readonly name: "front" | "back" | "welt" | "belt-loop";
  readonly outline: readonly Point[];
  /** Of the whole piece: of a fold-over, whose front half the outline is, of both halves. */
  readonly areaMm2: number;
  readonly thickMm: number;
}

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
const LOOP_ROOM_MM = 6;
const LOOP_SEAM_MM = 12;

const areaOf = (outline: readonly Point[]): number => Math.abs(enclosedArea(outline));
const largest = (loops: readonly (readonly Point[])[]): readonly Point[] =>
  [...loops].sort((a, b) => areaOf(b) - areaOf(a))[0] ?? [];

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

/** The flat pattern of a sheath round a knife that can be built, or what keeps it from being made. */
export function sheathPattern(design: Design, settings: SheathSettings): SheathResult {
  const fault = faultIn(settings);
  if (fault) return { ok: false, ...fault };
  const depthMm = settings.depthMm ?? proposedDepthMm(design);
  const most = mostDepthMm(design);
  if (depthMm > most) return { ok: false, code: "depth", most };
  const [throatMm, tipMm] = [throatAt(design, depthMm), tipOf(design)];
  const assembly = goesIn(design, throatMm);
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
  const { weltMm, clearanceMm, leatherMm, weltThickMm } = settings;
  const edges = edgesOf(stations, settings);
  const { foldY, over, under } = edges;
  const cavity = cavityOf(stations, edges, throatMm, tipMm + clearanceMm);
  const edge = grown(cavity.outlines, weltMm);
  const box: Box = {
    x0: throatMm,
    x1: tipMm + FAR_MM,
    y0: Math.min(...under) - FAR_MM,
    y1: foldY ?? Math.max(...over) + FAR_MM,
  };
  const front = largest(common(edge, [cornersOf(box)]));
  const stitches = seamOf(edge, cavity, box, settings, foldY !== null);
  return {
    settings,
    throatMm,
    tipMm,
    foldY,
    panels: panelsOf(settings, front, cavity),
    stitches,
    threadMm: threadMm(
      { stitches: stitches.holes.length - 1, pitchMm: stitches.pitchMm, seamMm: stitches.seamMm },
      2 * leatherMm + weltThickMm,
    ),
    notes: notesOf(design, stations, edges, settings, throatMm),
  };
}

const cornersOf = ({ x0, x1, y0, y1 }: Box): Point[] => [
  { x: x0, y: y0 },
  { x: x1, y: y0 },
  { x: x1, y: y1 },
  { x: x0, y: y1 },
];

/**
 * Stitches parallel to the finished edge, not to the welt's inner one: round a hollow these are not the same. A hole on the
 * throat's edge, or on the fold, would tear out: the seam ends the margin before either.
 */
function seamOf(
  edge: readonly (readonly Point[])[],
  { tip }: Cavity,
  box: Box,
  { marginMm, pitchMm }: SheathSettings,
  folded: boolean,
): Stitches {
  const sewn = { ...box, x0: box.x0 + marginMm, y1: folded ? box.y1 - marginMm : box.y1 };
  const seam = stretchInside(largest(grown(edge, -marginMm)), sewn) ?? [];
  const off = (p: Point) => Math.hypot(p.x - tip.x, p.y - tip.y);
  const at = seam.reduce((best, p, i) => (off(p) < off(seam[best]) ? i : best), 0);
  return stitchesOn(seam, at, pitchMm);
}

function panelsOf(
  settings: SheathSettings,
  front: readonly Point[],
  { outlines: room }: Cavity,
): readonly Panel[] {
  const { style, leatherMm, weltThickMm } = settings;
  const area = areaOf(front);
  const loop = loopOf(settings, front);
  return [
    { name: "front", outline: front, areaMm2: style === "fold-over" ? 2 * area : area, thickMm: leatherMm },
    ...(style === "two-panel"
      ? [{ name: "back", outline: front, areaMm2: area, thickMm: leatherMm } as const]
      : []),
    {
      name: "welt",
      outline: largest(joined([front], room)),
      areaMm2: area - common([front], room).reduce((sum, l) => sum + areaOf(l), 0),
      thickMm: weltThickMm,
    },
    ...(loop
      ? [{ name: "belt-loop", outline: loop, areaMm2: areaOf(loop), thickMm: leatherMm } as const]
      : []),
  ];
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

/** What it weighs, g, by the leather's density in g/cm³: leather alone, without thread and fittings. */
export const sheathMassG = ({ panels }: Pick<SheathPattern, "panels">, densityGcc: number): number =>
  panels.reduce((sum, p) => sum + (p.areaMm2 * p.thickMm * densityGcc) / 1000, 0);
