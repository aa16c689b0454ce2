import { isRecord } from "../../../base/isRecord";
import { plainFitUp } from "../fitUp";
import { plainFacts } from "../workshop";

/** A record that was not checked yet. */
export type Loose = Record<string, unknown>;

/** Each of a list's records with more keys; what is not a list of records stays, and is refused by the schema. */
export function each(list: unknown, more: (item: Loose) => Loose): unknown {
  return Array.isArray(list)
    ? list.map((item) => (isRecord(item) ? { ...item, ...more(item) } : item))
    : list;
}

/** What was measured, the blade that it was drawn as changed. */
export function withBladeAsWeighed(measured: Loose, change: (blade: Loose) => Loose): Loose {
  const { of } = measured;
  if (!isRecord(of) || !isRecord(of.asWeighed) || !isRecord(of.asWeighed.blade)) return measured;
  return { ...measured, of: { ...of, asWeighed: { ...of.asWeighed, blade: change(of.asWeighed.blade) } } };
}

/** What was measured, with the handle that it had then in another version's words; as it stands where it had none. */
export function withHandleThen(measured: unknown, by: (handle: unknown) => unknown): unknown {
  if (!isRecord(measured) || !isRecord(measured.of)) return measured;
  const { asWeighed } = measured.of;
  if (!isRecord(asWeighed) || !("handle" in asWeighed)) return measured;
  return { ...measured, of: { ...measured.of, asWeighed: { ...asWeighed, handle: by(asWeighed.handle) } } };
}

/** A window whose ends were the wrong way round, the right way. */
export function upright(window: unknown): unknown {
  if (!isRecord(window)) return window;
  const { low, high } = window;
  return typeof low === "number" && typeof high === "number" && low > high
    ? { ...window, low: high, high: low }
    : window;
}

/** A plain knife's fitting up as it was recorded until version 12, with what its shop has. */
export function fitUpOfVersion4() {
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
