import { roundTo } from "../../base/number";
import { MM_PER_INCH } from "../../base/units/length";
import { drillsIn } from "../../figures/fit/drillSets";
import { freeId } from "../../figures/fit/openSpot";
import { drillOf } from "../../figures/fit/pickDrill";
import { newFastener } from "../../kinds/fasteners/registry";
import type { Design, Fastener, TangHole } from "../../knife/design/schema";

/** A round hole in the knife's frame, and what it is for. */
export interface PlacedHole {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
  /** A pin stands in it, it lightens the tang, or the maker did not say. */
  readonly as: "pin" | "tang-hole" | null;
}

/** A hole this near to one that the knife has is that one, mm. */
const SAME_HOLE_MM = 1;
/** Holes over this, of which nobody says what they are for, lighten the tang, mm. Common practice, no source. */
const LARGEST_PIN_MM = 8.6;

/** Rods that pins are cut from, mm: sixteenths of an inch to 3/8, and metric ones. Common practice, no source. */
const RODS_MM = [
  ...[1 / 16, 3 / 32, 1 / 8, 5 / 32, 3 / 16, 7 / 32, 1 / 4, 5 / 16, 3 / 8].map((inch) => inch * MM_PER_INCH),
  ...[1.5, 2, 2.5, 3, 4, 5, 6, 8, 10],
];
/** A hole is drilled for a rod when it differs from that rod's drill by no more, mm. */
const DRILLED_MM = 0.08;

/** The rod that a hole is drilled for: one whose drill it is, else one of its own size. */
function rodFor({ fitUp, workshop }: Design, holeMm: number): number {
  const sold = drillsIn(workshop.drills.sets);
  const rods = RODS_MM.map((mm) => ({
    mm,
    off: Math.abs((drillOf(fitUp, mm, null, sold)?.mm ?? mm) - holeMm),
  }));
  const best = rods.reduce((a, b) => (b.off < a.off ? b : a));
  return roundTo(best.off <= DRILLED_MM ? best.mm : holeMm, 3);
}

const near = (a: { xMm: number; yMm: number }, b: { xMm: number; yMm: number }) =>
  Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);

/** What a pattern tells of holes: those of the handle, the tang's too, and where it shows any. */
export interface HolesShown {
  readonly ofTang: boolean;
  /** Whether a place lies in what the pattern shows: a hole that is not there is not to be drilled. */
  shows(xMm: number, yMm: number): boolean;
}

const ALL_SHOWN: HolesShown = { ofTang: true, shows: () => true };

/**
 * The knife drilled as a pattern is: what it has within a millimetre of a hole stays what it is and is moved there; a new
 * hole becomes a pin, or, if it is larger, one that lightens a full tang. Pins and holes that the pattern would show and
 * has not are gone.
 */
export function withHoles(design: Design, holes: readonly PlacedHole[], shown = ALL_SHOWN): Design {
  const { tang } = design;
  const kept = <T extends { xMm: number; yMm: number }>(items: readonly T[]) =>
    items.filter((i) => !shown.shows(i.xMm, i.yMm));
  const fasteners: Fastener[] = kept(design.fasteners);
  const own = tang.kind === "full" ? tang.holes : [];
  const tangHoles: TangHole[] = shown.ofTang
    ? [...own.filter((h) => h.purpose === "old-pin"), ...kept(own.filter((h) => h.purpose !== "old-pin"))]
    : [...own];
  const like = design.fasteners.find((f) => f.kind === "pin");
  for (const hole of holes) {
    const at = { xMm: roundTo(hole.xMm, 3), yMm: roundTo(hole.yMm, 3) };
    const fastener = design.fasteners.find(
      (f) => near(f, at) <= SAME_HOLE_MM && !fasteners.some((o) => o.id === f.id),
    );
    const drilled = own.find(
      (h) => h.purpose !== "old-pin" && near(h, at) <= SAME_HOLE_MM && !tangHoles.some((o) => o.id === h.id),
    );
    if (fastener && hole.as !== "tang-hole") fasteners.push({ ...fastener, ...at });
    else if (drilled && hole.as !== "pin")
      tangHoles.push({ ...drilled, ...at, diameterMm: roundTo(hole.diameterMm, 3) });
    else if (
      tang.kind === "full" &&
      (hole.as === "tang-hole" || (hole.as === null && hole.diameterMm > LARGEST_PIN_MM))
    )
      tangHoles.push({
        id: freeId("hole", [...own, ...tangHoles]),
        ...at,
        diameterMm: roundTo(hole.diameterMm, 3),
        fill: null,
        purpose: "lighten",
      });
    else {
      const id = freeId("pin", [...design.fasteners, ...fasteners]);
      const pin = newFastener("pin", id, at, 4);
      const material = like?.kind === "pin" ? { material: like.material } : {};
      fasteners.push({ ...pin, ...material, diameterMm: rodFor(design, hole.diameterMm) } as Fastener);
    }
  }
  return { ...design, fasteners, tang: tang.kind === "full" ? { ...tang, holes: tangHoles } : tang };
}
