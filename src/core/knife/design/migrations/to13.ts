import { isRecord } from "../../../base/isRecord";
import { each, fitUpOfVersion4, type Loose, withBladeAsWeighed, withHandleThen } from "./loose";

export function toVersion9(record: Loose): Loose {
  const { blade, handle } = record;
  const measured = isRecord(blade) ? withHandleThen(blade.measured, handleToVersion9) : null;
  return {
    ...record,
    materials: [],
    blade: isRecord(blade) ? { ...blade, measured } : blade,
    handle: handleToVersion9(handle),
  };
}

/** Caps are rounded at both ends, joints have several dividers, and may run along; a wrap may be on the pommel. */
function handleToVersion9(handle: unknown): unknown {
  if (!isRecord(handle)) return handle;
  const { kind, pieces, joints, wrap } = handle;
  const piecesNow = each(pieces, ({ shape }) =>
    isRecord(shape) && shape.kind === "plate" ? { shape: { ...shape, frontDomeMm: 0 } } : {},
  );
  return {
    ...handle,
    ...("pieces" in handle ? { pieces: piecesNow } : {}),
    ...("joints" in handle ? { joints: jointsToVersion9(joints) } : {}),
    ...(kind === "scales" ? { lengthwise: null, halves: [] } : {}),
    ...(kind === "stack" ? { lengthwise: null } : {}),
    ...(isRecord(wrap) ? { wrap: { on: "grip", ...wrap } } : {}),
  };
}

function jointsToVersion9(joints: unknown): unknown {
  if (!Array.isArray(joints)) return joints;
  return joints.map((joint) => {
    if (!isRecord(joint) || !("divider" in joint)) return joint;
    const { divider, ...rest } = joint;
    return { ...rest, dividers: divider === null ? [] : [divider] };
  });
}

export function toVersion10({ blade, fitUp, ...record }: Loose): Loose {
  return {
    ...record,
    blade: isRecord(blade)
      ? { ...grindsToVersion10(blade), measured: measuredToVersion10(blade.measured) }
      : blade,
    fitUp: isRecord(fitUp) ? { grinding: fitUpOfVersion4().grinding, ...fitUp } : fitUp,
  };
}

function grindsToVersion10(blade: Loose): Loose {
  const by = (grind: unknown) =>
    isRecord(grind) && "heightMm" in grind ? { angleDeg: null, ...grind } : grind;
  return { ...blade, grind: by(blade.grind), leftGrind: by(blade.leftGrind) };
}

const measuredToVersion10 = (measured: unknown): unknown =>
  isRecord(measured) ? withBladeAsWeighed({ onDay: null, ...measured }, grindsToVersion10) : measured;

const withMarks = (blade: Loose): Loose => ({ marks: [], ...blade });

export function toVersion11({ blade, ...record }: Loose): Loose {
  if (!isRecord(blade)) return { ...record, blade };
  const { measured } = blade;
  return {
    ...record,
    blade: {
      ...withMarks(blade),
      measured: isRecord(measured) ? withBladeAsWeighed(measured, withMarks) : measured,
    },
  };
}

/** Where version 13 has what stood under other paths until then: what begins so, and what it begins with now. */
const MOVED_IN_13: readonly (readonly [string, string])[] = [
  ["fitUp.drills", "workshop.drills"],
  ["fitUp.cuttersMm", "workshop.cuttersMm"],
  ["fitUp.grinding.wheelsMm", "workshop.grinders.wheelsMm"],
  ["fitUp.grinding.filesMm", "workshop.grinders.filesMm"],
  ["fitUp.glue.shopC", "workshop.shopC"],
  ["fitUp.glue.screwedToo", "fitUp.screwedToo"],
  ["fitUp.glue", "workshop.glue"],
  ["fitUp.stock.kerfMm", "workshop.saw.kerfMm"],
  ["fitUp.stock.allowanceMm", "workshop.saw.allowanceMm"],
  ["fitUp.hand.breadthMm", "workshop.handMm"],
  ["fitUp.hand.thrust", "fitUp.thrust"],
];

/** Fittings that a guard could have until version 12, each under its own name. */
const FITTINGS_OF_12 = ["notch", "dowels", "collar", "knuckleBow"] as const;

/** A guard's fittings are a list. */
function guardToVersion13({ notch, dowels, collar, knuckleBow, ...guard }: Loose): Loose {
  const had: Loose = { notch, dowels, collar, knuckleBow };
  return {
    ...guard,
    fittings: FITTINGS_OF_12.flatMap((kind) => {
      const fitting = had[kind];
      return fitting === null || fitting === undefined
        ? []
        : [isRecord(fitting) ? { kind, ...fitting } : fitting];
    }),
  };
}

function lockOfVersion13(lock: unknown): unknown {
  if (typeof lock !== "string") return lock;
  const fitting = FITTINGS_OF_12.find((kind) => lock.startsWith(`guard.${kind}.`));
  if (fitting) return `guard.fittings.#${lock.slice("guard.".length)}`;
  const moved = MOVED_IN_13.find(([from]) => lock.startsWith(from));
  return moved ? moved[1] + lock.slice(moved[0].length) : lock;
}

/** A knife's shop says what the knife said of it; it follows none of the maker's yet. */
export function toVersion13({ fitUp, locked, guard, ...others }: Loose): Loose {
  const record = {
    ...others,
    guard: isRecord(guard) ? guardToVersion13(guard) : guard,
    locked: Array.isArray(locked) ? locked.map((lock) => lockOfVersion13(lock)) : locked,
  };
  if (!isRecord(fitUp)) return { ...record, fitUp };
  const { drills, cuttersMm, grinding, glue, stock, hand, ...rest } = fitUp;
  const part = (of: unknown): Loose => (isRecord(of) ? of : {});
  const { wheelsMm, filesMm, ...ground } = part(grinding);
  const { shopC, screwedToo, ...mixed } = part(glue);
  const { kerfMm, allowanceMm, ...kept } = part(stock);
  const { breadthMm, thrust } = part(hand);
  return {
    ...record,
    workshop: {
      id: null,
      own: [],
      drills,
      cuttersMm,
      grinders: { wheelsMm, filesMm },
      glue: mixed,
      shopC,
      saw: { kerfMm, allowanceMm },
      handMm: breadthMm,
    },
    fitUp: { ...rest, grinding: ground, screwedToo, stock: kept, thrust },
  };
}
