"use client";
import { Button, Flex, IconButton, Stack, Text } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, Plus } from "lucide-react";
import { memo } from "react";
import { roundTo } from "@/core/base/number";
import { printLength } from "@/core/base/units/print";
import { freeId } from "@/core/figures/fit/openSpot";
import { piecesOf } from "@/core/knife/design/handleParts";
import { isFull } from "@/core/knife/design/limits";
import { newPiece, newShape } from "@/core/knife/design/newParts";
import type { Design, Piece } from "@/core/knife/design/schema";
import { layoutOf } from "@/core/knife/layout/layout";
import { join } from "@/core/knife/parts/partKey";
import { pieceNaming } from "@/core/knife/shapes/itemNames";
import { jointTilt, pressedLength, slackPiece } from "@/core/knife/shapes/pieces";
import { useUnits } from "@/store/settings";
import { PIECE_WORDS, pieceWords } from "@/words/parts";
import { ChoiceAt, LengthAt, MaterialAt, ShareAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_PIECES } from "../../bound/MaterialField";
import { ShareField } from "../../fields/ShareField";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign } from "../../session/BenchContext";
import { FaceFields } from "./FaceFields";
import { Group } from "./Group";
import { PrintedFields } from "./PrintedFields";
import { RingFields } from "./RingFields";
import { ShapeFields } from "./ShapeFields";

const PRESSED = ["leather", "wood"];

/** The pieces of a handle along the tang, front first; one of them takes the length that is left. */
export function PieceFields() {
  const { session, edit, setSelected } = useBench();
  const ids = useDesign((d) => piecesOf(d.handle).map((p) => p.id));
  const hasPommel = useDesign(
    ({ handle }) => handle.kind === "stack" && handle.pieces.some((p) => p.role === "pommel"),
  );
  /** Puts a new piece among them: ahead of the last, or behind it. */
  const put = (behind: boolean, make: (id: string) => Piece) => {
    const pieces = piecesOf(session.getState().design.handle);
    const item = make(freeId("piece", pieces));
    edit({ code: "add", list: "handle.pieces", item, at: behind ? pieces.length : pieces.length - 1 });
    setSelected(item.id);
  };
  const add = () => put(false, (id) => newPiece(id, "spacer", "vulcanised-fibre", 2));
  const addDiscs = () =>
    put(false, (id) => ({
      ...newPiece(id, "washer", "leather-veg", 10 * DISC_MM),
      discMm: DISC_MM,
      pressedShare: 0.12,
    }));
  const addPommel = () =>
    put(true, (id) => ({
      ...newPiece(id, "pommel", "brass-360", POMMEL_MM),
      shape: newShape("plate", session.getState().design),
    }));
  const full = useDesign((d) => isFull(d, "handle.pieces"));
  return (
    <>
      <Group title="Pieces, front first">
        <Flex gap="2" wrap="wrap">
          <Button size="xs" variant="outline" disabled={full} onClick={add}>
            <Plus /> Add piece
          </Button>
          <Button size="xs" variant="outline" disabled={full} onClick={addDiscs}>
            <Plus /> Discs
          </Button>
          <Button size="xs" variant="outline" disabled={full || hasPommel} onClick={addPommel}>
            <Plus /> Pommel
          </Button>
        </Flex>
        {ids.map((id, i) => (
          <PieceCard key={id} index={i} last={i === ids.length - 1} />
        ))}
      </Group>
      <RingFields />
    </>
  );
}

/** Leather of about 9 oz, and a pommel as long as most are. Common practice, no source. */
const DISC_MM = 3.6;
const POMMEL_MM = 18;

/** A length filled with discs: their thickness, and how many. */
function DiscFields({ index, piece, slack }: { index: number; piece: Piece; slack: boolean }) {
  const { edit } = useBench();
  const { discMm } = piece;
  const stacked = piece.role === "washer" || piece.role === "spacer" || discMm !== null;
  if (!stacked || slack || piece.shape) return null;
  return (
    <>
      <Tick
        label="Stacked of discs"
        checked={discMm !== null}
        onChange={(on) =>
          edit({
            code: "set",
            path: `handle.pieces.${index}.discMm`,
            to: on ? Math.min(DISC_MM, piece.lengthMm) : null,
          })
        }
      />
      {discMm !== null && (
        <>
          <LengthAt at={`handle.pieces.${index}.discMm`} />
          <DiscCount
            value={Math.max(1, Math.round(piece.lengthMm / discMm))}
            onChange={(count) =>
              edit({
                code: "set",
                path: `handle.pieces.${index}.lengthMm`,
                to: roundTo(count * discMm, 2),
              })
            }
          />
        </>
      )}
    </>
  );
}

/** A whole number of discs. */
function DiscCount({ value, onChange }: { value: number; onChange: (count: number) => void }) {
  return (
    <ShareField label="Discs" value={value} min={1} max={400} unit="" factor={1} whole onChange={onChange} />
  );
}

/** What is said of a piece beside its own record: its length as it lies, and whether it takes what the others leave. */
function pieceAt(design: Design, i: number) {
  const { handle } = design;
  if (handle.kind !== "stack" || !handle.pieces[i]) return null;
  const [to, from] = layoutOf(design).pieces[i];
  const leaning = { ...handle, pieces: handle.pieces.map((q) => ({ ...q, tiltDeg: 1 })) };
  return {
    piece: handle.pieces[i],
    title: pieceWords(handle.pieces[i].role, pieceNaming(design, i)),
    lengthMm: from - to,
    slack: i === slackPiece(handle),
    leans: jointTilt(leaning, i) !== 0,
  };
}

const PieceCard = memo(function PieceCard({ index: i, last }: { index: number; last: boolean }) {
  const placed = useDesign((d) => pieceAt(d, i));
  const units = useUnits();
  const { edit } = useBench();
  if (!placed) return null;
  const { piece: p, title, lengthMm, slack, leans } = placed;
  const at = `handle.pieces.${i}` as const;
  const move = (by: 1 | -1) => edit({ code: "reorder", list: "handle.pieces", from: i, to: i + by });
  return (
    <ItemCard
      id={p.id}
      title={title}
      nameAt={at}
      onRemove={i > 0 || !last ? () => edit({ code: "remove", list: "handle.pieces", at: i }) : undefined}
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
            disabled={last}
            onClick={() => move(1)}
          >
            <ArrowDown />
          </IconButton>
        </>
      }
    >
      <Stack gap="2">
        <ChoiceAt at={`${at}.role`} names={PIECE_WORDS} />
        <MaterialAt at={`${at}.material`} classes={FOR_PIECES} />
        <ShapeFields piece={p} index={i} />
        {slack ? (
          <Text color="graphite" fontSize="sm">
            {printLength(lengthMm, units)} long: it takes what the others leave
            {last ? ", and reaches to the butt." : "."}
          </Text>
        ) : (
          <LengthAt at={`${at}.lengthMm`} />
        )}
        <DiscFields index={i} piece={p} slack={slack} />
        {(p.role === "washer" || p.pressedShare > 0 || PRESSED.includes(p.material.split("-")[0])) && (
          <ShareAt
            at={`${at}.pressedShare`}
            help={
              p.pressedShare > 0
                ? `${printLength(pressedLength(p), units)} once pulled up; leather and cork give 10 to 15 %.`
                : "Leather, cork and bark are stacked 10 to 15 % over length and pulled up."
            }
          />
        )}
        {leans && <ShareAt at={`${at}.tiltDeg`} unit="°" />}
        {!p.shape && (
          <FaceFields
            at={`${at}.face`}
            label={`Face of ${title}`}
            parts={(id) => id === join("piece", p.id)}
            grown
          />
        )}
        <PrintedFields at={`${at}.printed`} />
      </Stack>
    </ItemCard>
  );
});
