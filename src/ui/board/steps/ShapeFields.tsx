"use client";
import { Text } from "@chakra-ui/react";
import { own } from "@/core/base/own";
import { SHAPE_KINDS, type SizedShapeKind, shapeKindOf } from "@/core/kinds/pieceShapes/registry";
import { newShape } from "@/core/knife/design/newParts";
import type { Piece, PieceShape } from "@/core/knife/design/schema";
import { FACET_WORDS } from "@/words/constructions";
import { OTHER_SHAPE_WORDS, PIECE_SHAPE_WORDS } from "@/words/pieceShapes";
import { RecordFields } from "../../bound/RecordFields";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../../session/BenchContext";
import { ImportShape, MeshPlaceFields } from "./MeshFields";

type Kind = PieceShape["kind"] | "outline";

const NAMES: Record<Kind, string> = {
  outline: OTHER_SHAPE_WORDS.outline,
  ...(Object.fromEntries(SHAPE_KINDS.map((k) => [k, PIECE_SHAPE_WORDS[k].name])) as Record<
    SizedShapeKind,
    string
  >),
  mesh: OTHER_SHAPE_WORDS.mesh,
};

/** A piece's own outline, or the handle's. */
export function ShapeFields({ piece, index }: { piece: Piece; index: number }) {
  const { edit, session } = useBench();
  const meshes = useDesign((d) => d.meshes);
  const at = `handle.pieces.${index}.shape` as const;
  const { shape } = piece;
  const put = (to: PieceShape | null) => edit({ code: "set", path: at, to });
  const choose = (kind: Kind) => {
    if (kind === "outline") put(null);
    else if (kind !== "mesh") put(newShape(kind, session.getState().design));
    else if (meshes.length > 0)
      put({ kind, place: { meshId: meshes[0].id, forward: "x", rollDeg: 0, yMm: 0 } });
  };
  const kinds = (Object.keys(NAMES) as Kind[]).filter(
    (k) => k !== "mesh" || meshes.length > 0 || shape?.kind === "mesh",
  );
  return (
    <>
      <ChoiceField
        label="Shape"
        value={shape?.kind ?? "outline"}
        choices={kinds.map((value) => ({ value, name: NAMES[value] }))}
        onChange={choose}
      />
      {shape && shape.kind !== "mesh" && <SizeFields at={at} kind={shape.kind} />}
      {shape?.kind === "mesh" && <MeshPlaceFields at={`${at}.place`} />}
      {shape?.kind === "mesh" && (
        <Text color="graphite" fontSize="sm">
          Its length along the handle is the length below; the shape itself is not scaled.
        </Text>
      )}
      <ImportShape
        onImported={(meshId) => put({ kind: "mesh", place: { meshId, forward: "x", rollDeg: 0, yMm: 0 } })}
      />
    </>
  );
}

function SizeFields({ at, kind }: { at: string; kind: SizedShapeKind }) {
  const words = {
    of: (path: string) => ({ label: own(PIECE_SHAPE_WORDS[kind].fields, path) ?? path }),
    choices: { facets: FACET_WORDS },
  };
  return <RecordFields at={at} fields={shapeKindOf({ kind }).fields} which="all" words={words} />;
}
