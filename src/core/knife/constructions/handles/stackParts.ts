import { jointSide } from "../../../geometry/solids/halfSpace";
import { layerRegion } from "../../../geometry/solids/layer";
import type { Region } from "../../../geometry/solids/region";
import { whole } from "../../../kinds/fasteners/kind";
import type { Piece, StackHandle } from "../../design/schema";
import type { AssemblyBuilder, Stretches } from "../../parts/builder";
import type { PartKey } from "../../parts/partKey";
import type { MadeOtherwise, PartGroup } from "../../parts/types";
import { pieceNaming } from "../../shapes/itemNames";
import { lengthwiseParts } from "../../shapes/lengthwise";
import { jointTilt } from "../../shapes/pieces";
import { workedAs } from "../../shapes/textures";

/** The pieces along the tang: those of shapes of their own, then what they leave of the handle's body to the others. */
export function addPieces(
  b: AssemblyBuilder,
  handle: StackHandle,
  body: number,
  shaped: readonly { piece: Piece; stretches: Stretches }[],
): void {
  const { pieces: stations, frontX } = b.layout;
  const keyOf = (piece: Piece): PartKey => ({
    kind: "piece",
    sort: piece.role,
    id: piece.id,
    ...pieceNaming(b.layout.design, handle.pieces.indexOf(piece)),
  });
  const add = (piece: Piece, of: readonly number[]) =>
    b.addMade(otherwise(piece), groupOf(piece), keyOf(piece), materialsOf(piece), ...of);
  for (const { piece, stretches } of shaped) for (const stretch of stretches) add(piece, stretch);
  const room: [number, number] = [Math.min(...stations.flat()), frontX];
  const along = lengthwiseParts(handle.lengthwise, b.layout);
  handle.pieces.forEach((piece, i) => {
    if (piece.shape) return;
    const [to, from] = stations[i];
    const before = i > 0 ? jointTilt(handle, i - 1) : 0;
    const after = jointTilt(handle, i);
    const cuts: Region[] = [];
    if (before === 0 && after === 0) cuts.push(layerRegion(null, null, stations[i]));
    else {
      const side = (which: "ahead" | "behind", at: number, tilt: number) =>
        cuts.push(jointSide(which, at, tilt, room));
      // An upright end is a limit in x; a leaning one is a plane.
      const low = after === 0 ? to : room[0];
      const high = before === 0 ? from : room[1];
      cuts.push(layerRegion(null, null, [low, high]));
      if (before !== 0) side("behind", from, before);
      if (after !== 0) side("ahead", to, after);
    }
    const of = [body, ...cuts.map((r) => b.put(r))];
    if (piece.role === "block")
      for (const { kind, material, region } of along)
        b.add("handle", { kind, side: null }, whole(material), ...of, b.put(region));
    add(piece, of);
  });
}

/** What stands at the butt pulls by itself. */
function groupOf({ role }: Piece): PartGroup {
  return role === "pommel" || role === "butt-plate" ? "pommel" : "handle";
}

/** Printed, or with a face all round that is not smooth: of a piece of the handle's outline. */
const otherwise = ({ printed, face, shape }: Piece): MadeOtherwise => ({
  printed,
  worked: shape ? null : workedAs(face, "both"),
});

/** Pressing together makes a material denser. */
function materialsOf({ material, pressedShare }: Piece) {
  return [{ materialId: material, share: 1 / (1 - pressedShare) }];
}
