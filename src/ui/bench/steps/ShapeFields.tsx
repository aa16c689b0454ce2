"use client";
import { Text } from "@chakra-ui/react";
import { newShape } from "@/core/design/constructions";
import type { FacetCount, Piece, PieceShape } from "@/core/design/schema";
import { FACET_WORDS, SHAPE_WORDS } from "@/words/constructions";
import { LengthAt, ShareAt } from "../../fields/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../BenchContext";
import { ImportShape, MeshPlaceFields } from "./MeshFields";

type Kind = PieceShape["kind"] | "outline";

/** A piece's own outline, or the handle's. */
export function ShapeFields({ piece, index }: { piece: Piece; index: number }) {
  const { edit, session } = useBench();
  const meshes = useDesign((d) => d.meshes);
  const at = `handle.pieces.${index}.shape`;
  const { shape } = piece;
  const put = (to: PieceShape | null) =>
    edit("Change the piece's shape", (d) => {
      if (d.handle.kind === "stack") d.handle.pieces[index].shape = to;
    });
  const choose = (kind: Kind) => {
    if (kind === "outline") put(null);
    else if (kind !== "mesh") put(newShape(kind, session.getState().design));
    else if (meshes.length > 0)
      put({ kind, place: { meshId: meshes[0].id, forward: "x", rollDeg: 0, yMm: 0 } });
  };
  const kinds = (Object.keys(SHAPE_WORDS) as Kind[]).filter(
    (k) => k !== "mesh" || meshes.length > 0 || shape?.kind === "mesh",
  );
  return (
    <>
      <ChoiceField
        label="Shape"
        value={shape?.kind ?? "outline"}
        choices={kinds.map((value) => ({ value, name: SHAPE_WORDS[value] }))}
        onChange={choose}
      />
      {shape && "aboveMm" in shape && (
        <>
          <LengthAt at={`${at}.aboveMm`} label="Above the axis" />
          <LengthAt at={`${at}.belowMm`} label="Below the axis" />
          <LengthAt at={`${at}.widthMm`} label="Width" />
        </>
      )}
      {shape && "roundness" in shape && <ShareAt at={`${at}.roundness`} label="Roundness from the end" />}
      {shape?.kind === "plate" && <LengthAt at={`${at}.domeMm`} label="Dome of the rear face" />}
      {shape?.kind === "beak" && <LengthAt at={`${at}.beakMm`} label="Beak reaches below" />}
      {shape && "diameterMm" in shape && (
        <>
          <LengthAt at={`${at}.diameterMm`} label="Diameter" />
          <LengthAt at={`${at}.yMm`} label="Middle above the axis" />
        </>
      )}
      {shape?.kind === "disc" && <LengthAt at={`${at}.widthMm`} label="Width" />}
      {shape?.kind === "faceted" && (
        <ChoiceField
          label="Facets all round"
          value={String(shape.facets)}
          choices={Object.entries(FACET_WORDS)
            .filter(([value]) => value !== "none")
            .map(([value, name]) => ({ value, name }))}
          onChange={(to) => put({ ...shape, facets: Number(to) as FacetCount })}
        />
      )}
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
