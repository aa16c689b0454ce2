import type { Fields, RecordOf } from "../../base/record/fields";
import type { Thread } from "../../base/units/threads";
import type { Contour } from "../../geometry/curve/contour";
import type { Region } from "../../geometry/solids/region";

/** What every fastener's record has besides its own fields: its id, and its place on the side view, mm. */
export interface Placed {
  id: string;
  xMm: number;
  yMm: number;
}

export type FastenerRecord<K extends string, F extends Fields> = { kind: K } & Placed & RecordOf<F>;

/** A share of a part's volume that one material takes. */
export interface Share {
  readonly materialId: string;
  readonly share: number;
}

/**
 * Where a fastener is built. Regions are referred to by their numbers; what is added first takes its space from what comes
 * later.
 */
export interface FastenerSite {
  /** The handle's finished body. */
  readonly body: number;
  /** A hole or rod along z about the fastener's place. */
  round(diameterMm: number): number;
  /** All space over and under an outline. */
  prism(outline: Contour): number;
  /** The space between two heights z; null leaves that side open. */
  between(low: number | null, high: number | null): number;
  /** The same on both sides of the centre plane: heights over it, the farther one null where it is open. */
  bothSides(low: number, high: number | null): readonly number[];
  put(region: Region): number;
  /** Height of the finished surface over the centre plane at its place. */
  surface(side: "right" | "left"): number;
  /** Adds what the regions have in common to a component, or to the fastener itself; of no material it is a void. */
  add(component: string | null, materials: readonly Share[], ...regions: readonly number[]): void;
}

/** What a hole is drilled for. */
export type BoreUse =
  | "pin"
  | "barrel"
  | "insert"
  | "rod"
  | "tap"
  | "clearance"
  | "counterbore"
  | "tang"
  | "dowel";

/** A size to drill: that wanted of the hole, or null where the fit of a pin decides; tapped by the thread of its size. */
export interface BoreNeed {
  readonly use: BoreUse;
  readonly nominalMm: number;
  readonly wantedMm: number | null;
  /** Of a tapped hole; left out, its size has one usual pitch. */
  readonly pitchMm?: number;
}

/** A hole across the knife, alike on both sides. */
export interface CrossBore extends BoreNeed {
  /**
   * From where to where over the centre plane it reaches, the farther null where it is open to the outside; left out, it
   * goes right through. A tapped hole in an insert that is bought so is in no piece: "bought".
   */
  readonly heights?: readonly [number, number | null] | "bought";
  /** Let in by so much from the finished surface, instead. */
  readonly letInMm?: number;
}

/** A hole along the knife, from a station to one farther forward, so high over the axis. */
export interface LengthBore extends BoreNeed {
  readonly yMm: number;
  readonly rearMm: number;
  readonly frontMm: number;
  /** Whether it is in the end of the tang, and not in what stands round or behind it. */
  readonly inTang?: boolean;
}

/** What a fastener is made from: cut off a rod or tube, or bought finished. */
export type FastenerStock =
  | { readonly kind: "rod" | "tube" | "patterned-rod"; readonly material: string }
  | { readonly kind: "hardware" };

/** A head or nut in a counterbore. Lengths in mm. */
export interface SeatNeed {
  /** From the centre plane. */
  readonly seatMm: number;
  readonly counterboreMm: number;
  /** How far the head or nut stands over its seat. */
  readonly headMm: number;
  readonly threadMm: number;
  /** Length of thread that holds. */
  readonly engagedMm: number;
  /** The material that the thread is cut into, which decides how much of it is wanted; null asks for one diameter. */
  readonly threadIn: string | null;
  /** Whether it is held by a nut of standard height, which is as strong as its bolt. */
  readonly nut?: boolean;
  readonly screwLengthMm: number;
  /** Whether it is driven by a hexagonal key. */
  readonly keyed: boolean;
}

/** What shows of a fastener from the right side, outermost first, about its place; of no material it is open. */
export type FaceMark =
  | {
      readonly shape: "disc";
      readonly radiusMm: number;
      readonly material: string | null;
      readonly line?: number;
      readonly offset?: readonly [number, number];
    }
  | { readonly shape: "hexagon"; readonly acrossMm: number; readonly material: string | null }
  /** A slot for a screwdriver. */
  | { readonly shape: "slot"; readonly lengthMm: number }
  | { readonly shape: "circle"; readonly radiusMm: number; readonly hidden: boolean };

/** A fault of a fastener's own sizes. */
export interface OwnFault {
  readonly rule: "bore-not-inside-tube" | "pattern-overfull";
  readonly measured: number;
  readonly limit: number;
}

/**
 * All that is known of one kind of fastener. Another kind is another such module and a line in the registry; its words
 * stand in words/fasteners. Methods are given the record.
 */
export interface FastenerKindOf<K extends string, F extends Fields, R = FastenerRecord<K, F>> {
  readonly kind: K;
  /** How ids of it begin. */
  readonly stem: string;
  /** Its record, the diameter first. */
  readonly fields: F;
  /** Common sizes to begin from, on a tang of that thickness. Common practice, no source. */
  start(tangMm: number): RecordOf<F>;
  build(f: R, site: FastenerSite): void;
  /** Widest bore that it takes in the handle. */
  widestMm(f: R): number;
  /** Diameter of the hole that it wants through a tang. */
  tangBoreMm(f: R): number;
  bores(f: R): readonly CrossBore[];
  readonly stock: (f: R) => FastenerStock;
  /** Its own length, where it does not reach from surface to surface; else null. */
  lengthMm(f: R): number | null;
  /** Whether glue goes round it. */
  readonly glued: boolean;
  /** Whether any rod of its diameter will do in its place. */
  readonly plainRod: boolean;
  /** Whether its ends are hammered over, which asks for something hard under them. */
  readonly peened: boolean;
  /** Which of its sizes has to be smaller than which other: pairs of the smaller and the larger. */
  sizes(f: R): readonly (readonly [number, number])[];
  /** A screw and the length that there is for it, mm: what is longer ends there. Null where nothing limits it. */
  screwRoom(f: R): { readonly lengthMm: number; readonly roomMm: number } | null;
  /** Its own sizes that belong to a thread, by their fields, mm; null where it has no thread to choose. */
  threadSizes(f: R, thread: Thread): Readonly<Record<string, number>> | null;
  fault(f: R): OwnFault | null;
  seat(f: R): SeatNeed | null;
  /** What gives its thread so much more hold, up to `wantedMm` in all: new values of its own fields; null for nothing. */
  moreThread(f: R, missingMm: number, wantedMm: number): Readonly<Partial<Record<string, number>>> | null;
  /** Length of an insert that stands in the tang, and the field that has it; null where there is none. */
  insert(f: R): { readonly lengthMm: number; readonly field: string } | null;
  face(f: R): readonly FaceMark[];
}

type Optional =
  | "tangBoreMm"
  | "lengthMm"
  | "glued"
  | "plainRod"
  | "peened"
  | "sizes"
  | "screwRoom"
  | "threadSizes"
  | "fault"
  | "seat"
  | "moreThread"
  | "insert";

/** Completes a kind: what it does not tell is as of a plain pin. */
export function fastenerKind<const K extends string, const F extends Fields>(
  spec: Omit<FastenerKindOf<K, F>, Optional> & Partial<Pick<FastenerKindOf<K, F>, Optional>>,
): FastenerKindOf<K, F> {
  return {
    tangBoreMm: (f) => (f as unknown as { diameterMm: number }).diameterMm,
    lengthMm: () => null,
    glued: true,
    plainRod: false,
    peened: false,
    sizes: () => [],
    screwRoom: () => null,
    threadSizes: () => null,
    fault: () => null,
    seat: () => null,
    moreThread: () => null,
    insert: () => null,
    ...spec,
  };
}

/** The whole of one material. */
export const whole = (materialId: string): Share[] => [{ materialId, share: 1 }];
/** The whole of one material, or nothing. */
export const filled = (materialId: string | null): Share[] => (materialId ? whole(materialId) : []);
