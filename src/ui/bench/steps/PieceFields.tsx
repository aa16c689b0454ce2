"use client";
import { Button, IconButton, Stack, Text } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, Plus } from "lucide-react";
import { handleFront } from "@/core/assembly/guards";
import { handleOutline } from "@/core/assembly/handleOutline";
import { PIECE_NAMES, pieceStations } from "@/core/assembly/pieces";
import { PIECE_ROLES, type PieceRole, type StackHandle } from "@/core/design/schema";
import { printLength } from "@/core/units/print";
import type { Draft } from "@/store/session";
import { ChoiceField } from "../../fields/ChoiceField";
import { LengthField } from "../../fields/LengthField";
import { FOR_PIECES, MaterialField } from "../../fields/MaterialField";
import { useBench } from "../BenchContext";
import { freeId } from "../openSpot";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";

/** The pieces of a handle along the tang, front first; the last reaches to the butt. */
export function PieceFields({ handle }: { handle: StackHandle }) {
  const { design, edit: editDesign, setSelected, units } = useBench();
  const { pieces } = handle;
  const edit = (label: string, recipe: (pieces: Draft<StackHandle>["pieces"]) => void) =>
    editDesign(label, (d) => {
      if (d.handle.kind === "stack") recipe(d.handle.pieces);
    });
  const stations = pieceStations(handle, handleFront(design), handleOutline(handle).xRange[0]);
  const add = () => {
    const id = freeId("piece", pieces);
    edit("Add piece", (all) => {
      all.splice(all.length - 1, 0, { id, role: "spacer", material: "vulcanised-fibre", lengthMm: 2 });
    });
    setSelected(id);
  };
  return (
    <Group
      title="Pieces, front first"
      aside={
        <Button size="xs" variant="outline" disabled={pieces.length >= 40} onClick={add}>
          <Plus /> Add piece
        </Button>
      }
    >
      {pieces.map((p, i) => {
        const last = i === pieces.length - 1;
        const [to, from] = stations[i];
        return (
          <ItemCard
            key={p.id}
            id={p.id}
            title={`${i + 1}. ${PIECE_NAMES[p.role]}`}
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
                  onClick={() =>
                    edit("Move piece", (all) => {
                      all.splice(i - 1, 0, ...all.splice(i, 1));
                    })
                  }
                >
                  <ArrowUp />
                </IconButton>
                <IconButton
                  size="xs"
                  variant="ghost"
                  aria-label={`Move piece ${i + 1} toward the butt`}
                  disabled={last}
                  onClick={() =>
                    edit("Move piece", (all) => {
                      all.splice(i + 1, 0, ...all.splice(i, 1));
                    })
                  }
                >
                  <ArrowDown />
                </IconButton>
              </>
            }
          >
            <Stack gap="2">
              <ChoiceField
                label="What it is"
                value={p.role}
                choices={PIECE_ROLES.map((value) => ({ value, name: PIECE_NAMES[value] }))}
                onChange={(role: PieceRole) =>
                  edit("Change piece", (all) => {
                    all[i].role = role;
                  })
                }
              />
              <MaterialField
                label="Material"
                value={p.material}
                classes={FOR_PIECES}
                onChange={(id) =>
                  edit("Change piece", (all) => {
                    all[i].material = id;
                  })
                }
              />
              {last ? (
                <Text color="graphite" fontSize="sm">
                  {printLength(from - to, units)} long: it reaches to the butt.
                </Text>
              ) : (
                <LengthField
                  label="Length"
                  mm={p.lengthMm}
                  min={0.1}
                  max={600}
                  onChange={(mm) =>
                    edit("Change piece", (all) => {
                      all[i].lengthMm = mm;
                    })
                  }
                />
              )}
            </Stack>
          </ItemCard>
        );
      })}
    </Group>
  );
}
