import { isRecord } from "../isRecord";
import { own } from "../own";
import { usualPitchMm } from "../units/screws";
import { plainBladeForm } from "./bladeForm";
import { plainFitUp } from "./fitUp";
import { plainHandleForm } from "./handleParts";
import { plainJob } from "./job";
import { plainUse } from "./uses";
import { RECORD_VERSION } from "./version";
import { plainWork } from "./work";
import { plainFacts } from "./workshop";

/** Turns the record of one version into the next one's. Keyed by the version it starts from. */
export type Migrations = Readonly<Record<number, (record: unknown) => unknown>>;

/** One entry for every version before the present one; a test fails when any is missing. */
export const MIGRATIONS: Migrations = {
  // 2: guards, hidden tangs and handles of pieces. What version 1 knew stays as it was.
  1: (record) => (typeof record === "object" && record !== null ? { ...record, guard: null } : record),
  // 3: every construction. What version 2 knew is said in the new record's words.
  2: (record) => (isRecord(record) ? toVersion3(record) : record),
  // 4: how the knife is fitted up and what it is for, as it is before its maker says otherwise.
  3: (record) => (isRecord(record) ? { ...record, fitUp: fitUpOfVersion4(), use: plainUse() } : record),
  // 5: what making it takes.
  4: (record) => (isRecord(record) ? { ...record, work: plainWork() } : record),
  // 6: a knuckle bow on the guard; a maker's stock is matched to a piece by its key, no longer by its English name.
  5: (record) => (isRecord(record) ? toVersion6(record) : record),
  // 7: what is in the hand with its drawing as it was weighed; pitches of screws; windows from low to high; locks,
  // names of parts, and for whom a knife is made.
  6: (record) => (isRecord(record) ? toVersion7(record) : record),
  // 8: blades with an outline, sections and cuts of their own.
  7: (record) => (isRecord(record) ? toVersion8(record) : record),
  // 9: materials of the maker's own.
  8: (record) => (isRecord(record) ? toVersion9(record) : record),
  // 10: a bevel that keeps one angle; how the blade is ground, and with what; the day that it was weighed.
  9: (record) => (isRecord(record) ? toVersion10(record) : record),
  // 11: marks on the blade.
  10: (record) => (isRecord(record) ? toVersion11(record) : record),
  // 12: which product it is.
  11: (record) => (isRecord(record) ? { kind: "fixed", ...record } : record),
  // 13: what the shop has and how it works stands apart from how the knife is fitted up; a guard's fittings are a list.
  12: (record) => (isRecord(record) ? toVersion13(record) : record),
};

type Loose = Record<string, unknown>;

/** A plain knife's fitting up as it was recorded until version 12, with what its shop has. */
function fitUpOfVersion4() {
  const { grinding, screwedToo, stock, thrust, ...rest } = plainFitUp();
  const { drills, cuttersMm, grinders, glue, shopC, saw, handMm } = plainFacts();
  return {
    ...rest,
    drills,
    cuttersMm,
    grinding: { ...grinding, ...grinders },
    glue: { ...glue, shopC, screwedToo },
    stock: { ...saw, ...stock },
    hand: { breadthMm: handMm, thrust },
  };
}

/** Each of a list's records with more keys; what is not a list of records stays, and is refused by the schema. */
function each(list: unknown, more: (item: Loose) => Loose): unknown {
  return Array.isArray(list)
    ? list.map((item) => (isRecord(item) ? { ...item, ...more(item) } : item))
    : list;
}

function toVersion3(record: Loose): Loose {
  const { blade, tang, handle, guard } = record;
  return {
    ...record,
    blade: isRecord(blade) ? { ...blade, measured: null } : blade,
    tang: isRecord(tang) ? tangToVersion3(tang) : tang,
    handle: isRecord(handle) ? handleToVersion3(handle) : handle,
    guard: isRecord(guard) ? guardToVersion3(guard) : guard,
    meshes: [],
  };
}

function tangToVersion3(tang: Loose): Loose {
  if (tang.kind === "full") {
    const holes = each(tang.holes, () => ({ purpose: "lighten" }));
    return { ...tang, holes, slots: [], recess: null, short: null };
  }
  const hole = isRecord(tang.hole) ? { kind: "broached", ...tang.hole } : tang.hole;
  const plain = { frontCornerMm: 0, endCornerMm: 0, shoulderRadiusMm: 0, end: { kind: "plain" } };
  return { ...tang, ...plain, hole };
}

function handleToVersion3({ roundness, ...handle }: Loose): Loose {
  const shape = {
    ...handle,
    plan: each(handle.plan, () => ({ leftHalfMm: null, roundness })),
    facets: null,
    waist: null,
  };
  if (handle.kind === "scales") return { ...shape, bolsters: { front: null, rear: null }, joints: [] };
  const pieces = each(handle.pieces, () => ({ pressedShare: 0, tiltDeg: 0, shape: null, printed: null }));
  return { ...shape, pieces, rings: [] };
}

function guardToVersion3({ material, thicknessMm, ...guard }: Loose): Loose {
  return {
    ...guard,
    plates: [{ material, thicknessMm, printed: null }],
    bossMm: 8,
    armWidthMm: null,
    sweepAboveMm: 0,
    sweepBelowMm: 0,
    endShare: 1,
    domeMm: 0,
    notch: null,
    slot: { clearanceMm: 0, fill: null },
    collar: null,
    dowels: null,
    mesh: null,
  };
}

function toVersion6(record: Loose): Loose {
  const { guard, fitUp, handle } = record;
  const keyOf = (name: unknown) => cutIdOfName(name, isRecord(handle) ? handle : {});
  const stock = isRecord(fitUp) && isRecord(fitUp.stock) ? fitUp.stock : null;
  const accepted = isRecord(fitUp)
    ? each(fitUp.accepted, (a) => (a.rule === "stock-too-small" ? { subject: keyOf(a.subject) } : {}))
    : undefined;
  return {
    ...record,
    guard: isRecord(guard) ? { ...guard, knuckleBow: null } : guard,
    fitUp: isRecord(fitUp)
      ? {
          ...fitUp,
          accepted,
          ...(stock
            ? { stock: { ...stock, have: each(stock.have, (h) => ({ piece: keyOf(h.piece) })) } }
            : {}),
        }
      : fitUp,
  };
}

function toVersion7(record: Loose): Loose {
  const { blade, fasteners, fitUp, use } = record;
  return {
    ...record,
    blade:
      isRecord(blade) && isRecord(blade.measured) ? bladeToVersion7(record, blade, blade.measured) : blade,
    fasteners: each(fasteners, pitchToVersion7),
    fitUp: isRecord(fitUp)
      ? {
          ...fitUp,
          climate: upright(fitUp.climate),
          glue: isRecord(fitUp.glue) ? { ...fitUp.glue, screwedToo: false } : fitUp.glue,
        }
      : fitUp,
    use: isRecord(use) ? { ...use, balanceMm: upright(use.balanceMm), massG: upright(use.massG) } : use,
    job: plainJob(),
    locked: [],
    names: {},
  };
}

/** The blade as it is drawn, and as it was when it was weighed, has nothing yet of what version 8 brings. */
function toVersion8(record: Loose): Loose {
  const { blade, handle } = record;
  if (!isRecord(blade)) return record;
  const { measured } = blade;
  return {
    ...record,
    blade: { ...bladeToVersion8(blade), measured: measuredToVersion8(measured) },
    handle: handleToVersion8(handle),
  };
}

function toVersion9(record: Loose): Loose {
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

/** What was measured, with the handle that it had then in another version's words; as it stands where it had none. */
function withHandleThen(measured: unknown, by: (handle: unknown) => unknown): unknown {
  if (!isRecord(measured) || !isRecord(measured.of)) return measured;
  const { asWeighed } = measured.of;
  if (!isRecord(asWeighed) || !("handle" in asWeighed)) return measured;
  return { ...measured, of: { ...measured.of, asWeighed: { ...asWeighed, handle: by(asWeighed.handle) } } };
}

function handleToVersion8(handle: unknown): unknown {
  if (!isRecord(handle)) return handle;
  const pieces = "pieces" in handle ? { pieces: each(handle.pieces, () => ({ discMm: null })) } : {};
  return { ...handle, ...plainHandleForm(), ...pieces };
}

function measuredToVersion8(measured: unknown): unknown {
  if (!isRecord(measured) || !isRecord(measured.of)) return measured;
  const { asWeighed } = measured.of;
  if (!isRecord(asWeighed) || !isRecord(asWeighed.blade)) return measured;
  const handle = "handle" in asWeighed ? { handle: handleToVersion8(asWeighed.handle) } : {};
  const then = { ...asWeighed, blade: bladeToVersion8(asWeighed.blade), ...handle };
  return { ...measured, of: { ...measured.of, asWeighed: then } };
}

function bladeToVersion8({ grind, ...blade }: Loose): Loose {
  const along = isRecord(grind) && "heightMm" in grind ? { along: [] } : {};
  return { ...blade, grind: isRecord(grind) ? { ...grind, ...along } : grind, ...plainBladeForm() };
}

/** Screws and threaded rods have the pitch that is usual at their diameter. */
function pitchToVersion7({ kind, diameterMm }: Loose): Loose {
  return (kind === "cap-screw" || kind === "nutted-rod") && typeof diameterMm === "number"
    ? { pitchMm: usualPitchMm(diameterMm) }
    : {};
}

/** A blade in the hand is kept as it is drawn, with its holes or without, as it said that it was weighed. */
function bladeToVersion7(record: Loose, blade: Loose, { holesIn, ...measured }: Loose): Loose {
  const { measured: _, ...drawn } = blade;
  const { tang, handle, fasteners } = record;
  const bores = Array.isArray(fasteners) && holesIn === true ? fasteners.filter(isRecord) : [];
  const whole = isRecord(tang) && tang.kind === "full" && holesIn !== true;
  const asWeighed = {
    blade: drawn,
    tang: whole ? { ...tang, holes: [], slots: [], recess: null } : tang,
    outline: isRecord(handle) ? handle.outline : undefined,
    bores: bores.map(({ xMm, yMm, diameterMm }) => ({ xMm, yMm, diameterMm })),
  };
  return { ...blade, measured: { ...measured, of: { kind: "blade", asWeighed } } };
}

function toVersion10({ blade, fitUp, ...record }: Loose): Loose {
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

function toVersion11({ blade, ...record }: Loose): Loose {
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
function toVersion13({ fitUp, locked, guard, ...others }: Loose): Loose {
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

/** What was measured, the blade that it was drawn as changed. */
function withBladeAsWeighed(measured: Loose, change: (blade: Loose) => Loose): Loose {
  const { of } = measured;
  if (!isRecord(of) || !isRecord(of.asWeighed) || !isRecord(of.asWeighed.blade)) return measured;
  return { ...measured, of: { ...of, asWeighed: { ...of.asWeighed, blade: change(of.asWeighed.blade) } } };
}

/** A window whose ends were the wrong way round, the right way. */
function upright(window: unknown): unknown {
  if (!isRecord(window)) return window;
  const { low, high } = window;
  return typeof low === "number" && typeof high === "number" && low > high
    ? { ...window, low: high, high: low }
    : window;
}

/** Versions 4 and 5 called pieces to be sawn by these names. What is none of them stays. */
function cutIdOfName(name: unknown, handle: Loose): unknown {
  if (typeof name !== "string") return name;
  const list = (of: unknown): readonly Loose[] => (Array.isArray(of) ? of.filter(isRecord) : []);
  const plain: Readonly<Record<string, string>> = {
    Frame: "frame",
    Guard: "guard",
    "Tang, welded on": "tang-rest",
    "Filler behind the tang": "tang-rest",
  };
  if (own(plain, name)) return own(plain, name);
  const plate = /^Guard plate (\d+)$/.exec(name);
  if (plate) return `guard:${plate[1]}`;
  const scale = /^Scale(?: (\d+))?, (pair|right|left)$/.exec(name);
  if (scale) return ["scale", scale[1], scale[2]].filter(Boolean).join(":");
  const liner = /^Liner (\d+), (pair|right|left)$/.exec(name);
  if (liner) return list(handle.liners).length > 1 ? `liner:${liner[1]}:${liner[2]}` : `liner:${liner[2]}`;
  const bolster = /^(Front|Rear) bolsters?, (pair|right|left)$/.exec(name);
  if (bolster) return `bolster:${bolster[1].toLowerCase()}:${bolster[2]}`;
  const divider = /^Divider (\d+)$/.exec(name);
  const joints = [...list(handle.joints)].sort((p, q) => Number(q.xMm) - Number(p.xMm));
  const joint = divider && joints[Number(divider[1]) - 1];
  if (joint) return `divider:${joint.id}`;
  const piece = /^(\d+)\. /.exec(name);
  const of = piece && list(handle.pieces)[Number(piece[1]) - 1];
  return of ? `piece:${of.id}` : name;
}

/**
 * Brings a record from its version up to the present one. `from` must be from 1 to the present version. A version that a
 * product's record did not change has no entry.
 */
export function migrate(record: unknown, from: number, migrations: Migrations = MIGRATIONS): unknown {
  let current = record;
  for (let version = from; version < RECORD_VERSION; version++)
    current = (migrations[version] ?? unchanged)(current);
  return current;
}

const unchanged = (record: unknown) => record;

/**
 * The version of a record that does not name it, as browsers kept them up to version 5: each version brought a field of
 * its own. What has none of them is read as version 1, and refused by the schema where it is no design.
 */
export function versionOfUnmarked(record: unknown): number {
  if (!isRecord(record)) return 1;
  if ("work" in record) return 5;
  if ("use" in record || "fitUp" in record) return 4;
  if ("meshes" in record) return 3;
  if ("guard" in record) return 2;
  return 1;
}
