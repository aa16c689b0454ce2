import { isRecord } from "../../../base/isRecord";
import { each, type Loose } from "./loose";

const smooth = (of: unknown): unknown => (isRecord(of) ? { ...of, face: null } : of);

/** Until version 16 every face was smooth, scales reached the butt, and one wrap was all. */
function handleToVersion16(handle: unknown): unknown {
  if (!isRecord(handle)) return handle;
  const { wrap, right, left, bolsters, pieces, ...rest } = handle;
  const scale = (of: unknown) => (isRecord(of) ? { ...of, face: null, weighed: null } : of);
  const scales = {
    right: scale(right),
    left: scale(left),
    rearEnd: null,
    rearBevel: null,
    bolsters: isRecord(bolsters)
      ? { ...bolsters, front: smooth(bolsters.front), rear: smooth(bolsters.rear) }
      : bolsters,
  };
  return {
    ...rest,
    wraps: isRecord(wrap) ? [wrap] : [],
    ...(handle.kind === "scales" ? scales : {}),
    ...("pieces" in handle ? { pieces: each(pieces, () => ({ face: null })) } : {}),
  };
}

function guardToVersion16(guard: unknown): unknown {
  if (!isRecord(guard)) return guard;
  return { ...guard, face: null, mesh: isRecord(guard.mesh) ? { ...guard.mesh, xMm: 0 } : guard.mesh };
}

/** The shape of a blade, whole or as it was weighed. */
function shapeToVersion16(blade: unknown): unknown {
  if (!isRecord(blade)) return blade;
  const { measured } = blade;
  if (!isRecord(measured) || !isRecord(measured.of)) return { ...blade, face: null };
  const { asWeighed } = measured.of;
  const then = isRecord(asWeighed) ? partsToVersion16(asWeighed) : asWeighed;
  return { ...blade, face: null, measured: { ...measured, of: { ...measured.of, asWeighed: then } } };
}

function partsToVersion16(parts: Loose): Loose {
  return {
    ...parts,
    ...("blade" in parts ? { blade: shapeToVersion16(parts.blade) } : {}),
    ...("handle" in parts ? { handle: handleToVersion16(parts.handle) } : {}),
    ...("guard" in parts ? { guard: guardToVersion16(parts.guard) } : {}),
  };
}

export const toVersion16 = (record: Loose): Loose => partsToVersion16(record);
