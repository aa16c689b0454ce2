import { newScale } from "../../design/newScale";
import type { ScalesHandle } from "../../design/schema";
import type { MaterialPlace } from "../../parts/materialPlace";
import { handleKind, movedPoints } from "./kind";
import { checkScales } from "./scalesFaults";
import { scalesLoft } from "./scalesLoft";
import { addScales } from "./scalesParts";
import { addScaleFaces, scaleCells, scalePieces } from "./scalesPieces";

const bolstersOf = ({ bolsters: { front, rear } }: ScalesHandle) =>
  [front, rear].filter((bolster) => bolster !== null);

/** A scale on each side of the tang, over liners, with bolsters, joints and shaped halves. */
export const scales = handleKind<ScalesHandle>({
  kind: "scales",
  tangs: ["full", "framed"],
  apart: "tang-and-handle-apart",
  begin: (shape, material) => {
    const scale = newScale(material, 9.5);
    return {
      kind: "scales",
      ...shape,
      right: scale,
      left: scale,
      liners: [],
      frontBevel: null,
      rearEnd: null,
      rearBevel: null,
      bolsters: { front: null, rear: null },
      joints: [],
      lengthwise: null,
      halves: [],
    };
  },
  mainMaterial: ({ right }) => right.material,
  gripMaterials: ({ right, left, joints }) => [
    right.material,
    left.material,
    ...joints.flatMap((j) => [j.right, j.left]),
  ],
  materialAt: (handle, place) => {
    if (place === "scales") return handle.right.material;
    if (place === "liners") return handle.liners[0]?.material ?? null;
    return place === "bolsters" ? (bolstersOf(handle)[0]?.right ?? null) : null;
  },
  withMaterial: scalesWith,
  moved: (handle, along) => ({
    ...handle,
    lengthwise: movedPoints(handle.lengthwise, along),
    halves: handle.halves.map((half) => ({
      ...half,
      shape:
        half.shape.kind === "outline"
          ? { ...half.shape, points: along(half.shape.points) }
          : along([half.shape])[0],
    })),
  }),
  loft: scalesLoft,
  faults: (handle, layout, _, report) => checkScales(layout, handle, report),
  build: (handle, b, { body }) => addScales(b, handle, body),
  cells: scaleCells,
  pieces: scalePieces,
  glue: addScaleFaces,
  gluedParts: (handle) => {
    const { liners, joints, halves } = handle;
    const dividers = joints.reduce((sum, j) => sum + j.dividers.length, 0);
    const onEachSide =
      1 + liners.length + joints.length + dividers + halves.length + bolstersOf(handle).length;
    return 2 * onEachSide;
  },
  minutes: (handle) => ({
    scales: 30,
    liners: 10 * handle.liners.length,
    bolsters: 40 * bolstersOf(handle).length,
    joints: 25 * (handle.joints.length + (handle.lengthwise ? 2 : 0)),
    halves: 45 * handle.halves.length,
  }),
  partRefs: () => ["scale"],
});

/** Segments of scales follow where they were of the scale's own material on their side. */
function scalesWith(handle: ScalesHandle, place: MaterialPlace, material: string): ScalesHandle {
  const { right, left, liners, joints } = handle;
  if (place === "liners") return { ...handle, liners: liners.map((l) => ({ ...l, material })) };
  if (place === "bolsters") {
    const { front, rear } = handle.bolsters;
    const all = { right: material, left: material };
    return {
      ...handle,
      bolsters: { front: front && { ...front, ...all }, rear: rear && { ...rear, ...all } },
    };
  }
  return {
    ...handle,
    right: { ...right, material },
    left: { ...left, material },
    joints: joints.map((j) => ({
      ...j,
      right: j.right === right.material ? material : j.right,
      left: j.left === left.material ? material : j.left,
    })),
  };
}
