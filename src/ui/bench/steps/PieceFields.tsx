"use client";
import { Button, IconButton, Stack, Text } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, Plus } from "lucide-react";
import { newPiece } from "@/core/design/constructions";
import type { Piece, StackHandle } from "@/core/design/schema";
import { freeId } from "@/core/fit/openSpot";
import { layoutOf } from "@/core/layout/layout";
import { jointTilt, pressedLength, slackPiece } from "@/core/layout/pieces";
import { printLength } from "@/core/units/print";
import type { Draft } from "@/store/session";
import { PIECE_WORDS } from "@/words/parts";
import { ChoiceAt, LengthAt, MaterialAt, ShareAt } from "../../fields/bound";
import { FOR_PIECES } from "../../fields/MaterialField";
import { useBench } from "../BenchContext";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";
import { PrintedFields } from "./PrintedFields";
import { RingFields } from "./RingFields";
import { ShapeFields } from "./ShapeFields";

const PRESSED = ["leather", "wood"];

function usePiecesEdit() {
  const { edit } = useBench();
  return (label: string, recipe: (pieces: Draft<StackHandle>["pieces"]) => void) =>
    edit(label, (d) => {
      if (d.handle.kind === "stack") recipe(d.handle.pieces);
    });
}

/** The pieces of a handle along the tang, front first; one of them takes the length that is left. */
export function PieceFields({ handle }: { handle: StackHandle }) {
  const { setSelected } = useBench();
  const { pieces } = handle;
  const edit = usePiecesEdit();
  const add = () => {
    const id = freeId("piece", pieces);
    edit("Add piece", (all) => {
      all.splice(all.length - 1, 0, newPiece(id, "spacer", "vulcanised-fibre", 2));
    });
    setSelected(id);
  };
  return (
    <>
      <Group
        title="Pieces, front first"
        aside={
          <Button size="xs" variant="outline" disabled={pieces.length >= 40} onClick={add}>
            <Plus /> Add piece
          </Button>
        }
      >
        {pieces.map((p, i) => (
          <PieceCard key={p.id} handle={handle} piece={p} index={i} />
        ))}
      </Group>
      <RingFields handle={handle} />
    </>
  );
}

function PieceCard({ handle, piece: p, index: i }: { handle: StackHandle; piece: Piece; index: number }) {
  const { design, units } = useBench();
  const edit = usePiecesEdit();
  const { pieces } = handle;
  const [to, from] = layoutOf(design).pieces[i];
  const at = `handle.pieces.${i}`;
  const move = (by: 1 | -1) =>
    edit("Move piece", (all) => {
      all.splice(i + by, 0, ...all.splice(i, 1));
    });
  const leans = jointTilt({ ...handle, pieces: pieces.map((q) => ({ ...q, tiltDeg: 1 })) }, i) !== 0;
  return (
    <ItemCard
      id={p.id}
      title={`${i + 1}. ${PIECE_WORDS[p.role]}`}
      onRemove={
        pieces.length > 1
          ? () =>
              edit("Remove piece", (all) => {
                all.splice(i, 1);
              })
          : undefined
      }
      aside={
        <>
          <IconButton
            size="xs"
            variant="ghost"
            aria-label={`Move piece ${i + 1} toward the front`}
            disabled={i === 0}
            onClick={() => move(-1)}
          >
            <ArrowUp />
          </IconButton>
          <IconButton
            size="xs"
            variant="ghost"
            aria-label={`Move piece ${i + 1} toward the butt`}
            disabled={i === pieces.length - 1}
            onClick={() => move(1)}
          >
            <ArrowDown />
          </IconButton>
        </>
      }
    >
      <Stack gap="2">
        <ChoiceAt at={`${at}.role`} label="What it is" names={PIECE_WORDS} />
        <MaterialAt at={`${at}.material`} label="Material" classes={FOR_PIECES} />
        <ShapeFields piece={p} index={i} />
        {i === slackPiece(handle) ? (
          <Text color="graphite" fontSize="sm">
            {printLength(from - to, units)} long: it takes what the others leave
            {i === pieces.length - 1 ? ", and reaches to the butt." : "."}
          </Text>
        ) : (
          <LengthAt at={`${at}.lengthMm`} label="Length" />
        )}
        {(p.role === "washer" || p.pressedShare > 0 || PRESSED.includes(p.material.split("-")[0])) && (
          <ShareAt
            at={`${at}.pressedShare`}
            label="Pressed by"
            help={
              p.pressedShare > 0
                ? `${printLength(pressedLength(p), units)} once pulled up; leather and cork give 10 to 15 %.`
                : "Leather, cork and bark are stacked 10 to 15 % over length and pulled up."
            }
          />
        )}
        {leans && <ShareAt at={`${at}.tiltDeg`} label="Rear joint leans by" unit="°" />}
        <PrintedFields at={`${at}.printed`} />
      </Stack>
    </ItemCard>
  );
}
