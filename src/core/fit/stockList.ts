import { assemble } from "../assembly/assemble";
import { handleFront } from "../assembly/guards";
import { handleOutline } from "../assembly/handleOutline";
import { PIECE_NAMES, pieceStations } from "../assembly/pieces";
import { bolsterJoint } from "../assembly/scales";
import type { Design, PieceRole, StockPiece } from "../design/schema";
import { rangeOf } from "../solids/extent";
import { pinLayout } from "./pinLayout";

/** One piece to cut: its finished box, what to saw for it, and how it is marked. */
export interface CutPiece {
  /** Name by which a maker's stock is matched to it. */
  readonly piece: string;
  readonly material: string;
  readonly count: number;
  readonly finishedMm: Size;
  readonly sawnMm: Size;
  /** A left and a right that must match. */
  readonly pair: boolean;
  readonly grain: "lengthwise" | "any";
  /** The maker's own stock for it, and what is missing of it; null where none was named. */
  readonly have: StockPiece | null;
  readonly shortMm: Size | null;
}

/** Along the knife, across its height, and across its thickness. */
export interface Size {
  readonly lengthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
}

/** Highest and lowest point of the handle's outline between two stations. */
function heights(design: Design, from: number, to: number): [number, number] {
  const outline = handleOutline(design.handle);
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let i = 0; i <= 40; i++) {
    const ys = outline.cut(from + 1e-6 + ((to - from - 2e-6) * i) / 40);
    if (ys.length < 2) continue;
    low = Math.min(low, ys[0]);
    high = Math.max(high, ys[ys.length - 1]);
  }
  return Number.isFinite(high - low) ? [low, high] : [0, 0];
}

/** Pieces that are cut from sheet, its thickness along the knife. */
const SLICES: readonly PieceRole[] = ["spacer", "washer"];

/** Everything to saw, the handle's pieces first. Rods are cut to their blank lengths; screws are bought. */
export function cutList(design: Design): CutPiece[] {
  const { handle, guard, tang, fitUp } = design;
  const outline = handleOutline(handle);
  const [butt, front] = [outline.xRange[0], handleFront(design)];
  const { kerfMm, allowanceMm, have } = fitUp.stock;
  const pieces: CutPiece[] = [];
  const put = (
    piece: string,
    material: string,
    finished: Size,
    more: Partial<Pick<CutPiece, "count" | "pair" | "grain">> & { form?: "slab" | "slice" | "block" } = {},
  ) => {
    // What is contoured is sawn with room all round and a kerf; a slab comes in its thickness, a slice in its length.
    const { form = "block", ...rest } = more;
    const room = 2 * allowanceMm + kerfMm;
    const sawnMm: Size = {
      lengthMm: finished.lengthMm + (form === "slice" ? 0 : room),
      heightMm: finished.heightMm + room,
      thicknessMm: finished.thicknessMm + (form === "slab" ? 0 : room),
    };
    const own = have.find((h) => h.piece === piece) ?? null;
    const short = own && {
      lengthMm: Math.max(0, sawnMm.lengthMm - own.lengthMm),
      heightMm: Math.max(0, sawnMm.heightMm - own.heightMm),
      thicknessMm: Math.max(0, sawnMm.thicknessMm - own.thicknessMm),
    };
    pieces.push({
      piece,
      material,
      count: 1,
      pair: false,
      grain: "any",
      ...rest,
      finishedMm: finished,
      sawnMm,
      have: own,
      shortMm: short,
    });
  };
  const box = (from: number, to: number, thicknessMm: number): Size => {
    const [low, high] = heights(design, to, from);
    return { lengthMm: from - to, heightMm: high - low, thicknessMm };
  };
  if (handle.kind === "scales") {
    const { front: ahead, rear } = handle.bolsters;
    const from = ahead ? bolsterJoint(ahead, "front", [butt, front]) : front;
    const to = rear ? bolsterJoint(rear, "rear", [butt, front]) : butt;
    const joints = [...handle.joints].sort((p, q) => q.xMm - p.xMm);
    let start = from;
    let [right, left] = [handle.right.material, handle.left.material];
    [...joints, null].forEach((joint, i) => {
      const end = joint ? joint.xMm : to;
      // A leaning joint takes its lean's reach more.
      const lean = joint ? Math.abs(Math.tan((joint.tiltDeg * Math.PI) / 180)) : 0;
      const size = box(start, end, 0);
      const whole = { ...size, lengthMm: size.lengthMm + lean * size.heightMm };
      const name = joints.length > 0 ? `Scale ${i + 1}` : "Scale";
      const grain = { grain: "lengthwise" as const };
      if (right === left)
        put(
          `${name}, pair`,
          right,
          { ...whole, thicknessMm: Math.max(handle.right.thicknessMm, handle.left.thicknessMm) },
          { count: 2, pair: true, form: "slab", ...grain },
        );
      else {
        put(
          `${name}, right`,
          right,
          { ...whole, thicknessMm: handle.right.thicknessMm },
          { pair: true, form: "slab", ...grain },
        );
        put(
          `${name}, left`,
          left,
          { ...whole, thicknessMm: handle.left.thicknessMm },
          { pair: true, form: "slab", ...grain },
        );
      }
      if (joint?.divider) {
        const d = joint.divider;
        const across = Math.max(handle.right.thicknessMm, handle.left.thicknessMm);
        put(
          `Divider ${i + 1}`,
          d.material,
          { lengthMm: d.thicknessMm, heightMm: size.heightMm * Math.hypot(1, lean), thicknessMm: across },
          { count: 2, pair: true, form: "slice" },
        );
      }
      if (joint) {
        start = joint.xMm - (joint.divider?.thicknessMm ?? 0);
        [right, left] = [joint.right, joint.left];
      }
    });
    handle.liners.forEach((l, i) => {
      put(`Liner ${i + 1}, pair`, l.material, box(front, butt, l.thicknessMm), {
        count: 2,
        pair: true,
        form: "slab",
      });
    });
    for (const [name, bolster] of [
      ["Front bolster", ahead],
      ["Rear bolster", rear],
    ] as const) {
      if (!bolster) continue;
      const [f, t] = name === "Front bolster" ? [front, from] : [to, butt];
      const lean = Math.abs(Math.tan((bolster.tiltDeg * Math.PI) / 180));
      const size = box(f, t, Math.max(handle.right.thicknessMm, handle.left.thicknessMm));
      const whole = { ...size, lengthMm: size.lengthMm + lean * size.heightMm };
      if (bolster.right === bolster.left)
        put(`${name}s, pair`, bolster.right, whole, { count: 2, pair: true });
      else {
        put(`${name}, right`, bolster.right, whole, { pair: true });
        put(`${name}, left`, bolster.left, whole, { pair: true });
      }
    }
  } else {
    const stations = pieceStations(handle, front, butt);
    const halves = handle.plan.map((p) => p.halfMm + (p.leftHalfMm ?? p.halfMm));
    handle.pieces.forEach((p, i) => {
      const [to, from] = stations[i];
      const lean = Math.abs(Math.tan((p.tiltDeg * Math.PI) / 180));
      const shape = p.shape;
      const name = `${i + 1}. ${PIECE_NAMES[p.role]}`;
      const lengthMm = (from - to) / (1 - p.pressedShare);
      if (shape && "diameterMm" in shape) {
        const across = shape.kind === "disc" ? shape.widthMm : shape.diameterMm;
        put(name, p.material, {
          lengthMm: shape.diameterMm,
          heightMm: shape.diameterMm,
          thicknessMm: across,
        });
      } else if (shape && "aboveMm" in shape) {
        const down = shape.kind === "beak" ? shape.beakMm : 0;
        put(name, p.material, {
          lengthMm,
          heightMm: shape.aboveMm + shape.belowMm + down,
          thicknessMm: shape.widthMm,
        });
      } else if (!shape) {
        const size = box(from, to, Math.max(...halves));
        put(
          name,
          p.material,
          { ...size, lengthMm: lengthMm + lean * size.heightMm },
          {
            grain: p.role === "block" ? "lengthwise" : "any",
            form: SLICES.includes(p.role) ? "slice" : "block",
          },
        );
      } else {
        const parts = assemble(design);
        const own = parts.parts
          .filter((q) => q.id === p.id)
          .map((q) => rangeOf(q.regions.map((r) => parts.regions[r])));
        const [first] = own;
        if (first) {
          const [x, y, z] = first;
          put(name, p.material, { lengthMm: x[1] - x[0], heightMm: y[1] - y[0], thicknessMm: z[1] - z[0] });
        }
      }
    });
  }
  if (tang.kind === "framed")
    put("Frame", tang.frame.material, box(front, butt, tang.frame.thicknessMm), { form: "slab" });
  if (guard && !guard.mesh) {
    const reach =
      Math.max(0, guard.sweepAboveMm, guard.sweepBelowMm) -
      Math.min(0, guard.sweepAboveMm, guard.sweepBelowMm);
    guard.plates.forEach((p, i) => {
      put(
        guard.plates.length > 1 ? `Guard plate ${i + 1}` : "Guard",
        p.material,
        {
          lengthMm: p.thicknessMm + reach,
          heightMm: guard.aboveMm + guard.belowMm,
          thicknessMm: guard.widthMm,
        },
        // A flat plate is cut from sheet; one with swept arms from a block.
        { form: reach > 0 ? "block" : "slice" },
      );
    });
  }
  return pieces;
}

/** Rod to cut for pins and tubes: by material and diameter, the number and their length together. */
export function rodList(
  design: Design,
): { material: string; diameterMm: number; count: number; lengthMm: number }[] {
  const rods = new Map<string, { material: string; diameterMm: number; count: number; lengthMm: number }>();
  const places = new Map(pinLayout(design).map((p) => [p.id, p]));
  for (const f of design.fasteners) {
    if (f.kind !== "pin" && f.kind !== "blind-pin" && f.kind !== "lanyard-tube" && f.kind !== "rivet")
      continue;
    const key = `${f.kind === "lanyard-tube" ? "tube" : "rod"} ${f.material} ${f.diameterMm}`;
    const rod = rods.get(key) ?? { material: f.material, diameterMm: f.diameterMm, count: 0, lengthMm: 0 };
    rods.set(key, {
      ...rod,
      count: rod.count + 1,
      lengthMm: rod.lengthMm + (places.get(f.id)?.blankMm ?? 0) + design.fitUp.stock.kerfMm,
    });
  }
  return [...rods.values()];
}
