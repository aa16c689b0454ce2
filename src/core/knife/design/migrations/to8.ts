import { isRecord } from "../../../base/isRecord";
import { own } from "../../../base/own";
import { usualPitchMm } from "../../../base/units/screws";
import { plainBladeForm } from "../bladeForm";
import { plainHandleForm } from "../handleParts";
import { plainJob } from "../job";
import { each, type Loose, upright } from "./loose";

export function toVersion3(record: Loose): Loose {
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

export function toVersion6(record: Loose): Loose {
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

export function toVersion7(record: Loose): Loose {
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

/** The blade as it is drawn, and as it was when it was weighed, has nothing yet of what version 8 brings. */
export function toVersion8(record: Loose): Loose {
  const { blade, handle } = record;
  if (!isRecord(blade)) return record;
  const { measured } = blade;
  return {
    ...record,
    blade: { ...bladeToVersion8(blade), measured: measuredToVersion8(measured) },
    handle: handleToVersion8(handle),
  };
}

function bladeToVersion8({ grind, ...blade }: Loose): Loose {
  const along = isRecord(grind) && "heightMm" in grind ? { along: [] } : {};
  return { ...blade, grind: isRecord(grind) ? { ...grind, ...along } : grind, ...plainBladeForm() };
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
