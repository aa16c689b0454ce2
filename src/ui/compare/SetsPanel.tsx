"use client";
import { Box, Button, Flex, Grid, Text } from "@chakra-ui/react";
import { useState } from "react";
import type { Variant } from "@/core/knife/design/variant";
import {
  inMaterials,
  type MaterialSet,
  proposedSets,
  type SetPart,
  setMaterial,
  setName,
} from "@/core/knife/starts/materialSets";
import type { MaterialClass } from "@/core/materials/types";
import { ownMaterials } from "@/store/ownMaterials";
import { FOR_GUARDS, FOR_LINERS, FOR_PINS, FOR_SCALES, MaterialField } from "../bound/MaterialField";
import { useMaterialOf } from "../kit/materials";
import { Note } from "../report/Section";
import { useDesign } from "../session/BenchContext";

const PARTS: readonly { part: SetPart; name: string; classes: readonly MaterialClass[] }[] = [
  { part: "handle", name: "Handle", classes: FOR_SCALES },
  { part: "fittings", name: "Fittings", classes: FOR_GUARDS },
  { part: "sheets", name: "Liners, spacers", classes: FOR_LINERS },
  { part: "pins", name: "Pins", classes: FOR_PINS },
];

/** Sets of materials, each of which becomes a variant: the same blade, tang and shape. */
export function SetsPanel(props: { onMake: (list: readonly Variant[]) => void; onClose: () => void }) {
  const materialOf = useMaterialOf();
  const design = useDesign();
  const [sets, setSets] = useState<readonly MaterialSet[]>(() => proposedSets(design));
  const parts = PARTS.filter(({ part }) => setMaterial(design, part) !== null);
  const change = (i: number, part: SetPart, id: string | null) =>
    setSets(sets.map((s, k) => (k === i ? { ...s, [part]: id } : s)));
  const chosen = sets.filter((s) => Object.values(s).some((id) => id !== null));
  return (
    <Box bg="sheet" borderWidth="1px" borderRadius="md" p="4" data-testid="sets">
      {parts.length === 0 ? (
        <Text>Nothing of this handle is of a material that can be exchanged by itself.</Text>
      ) : (
        <>
          <Grid templateColumns={`24px repeat(${parts.length}, minmax(0, 1fr))`} gap="2" alignItems="end">
            {sets.map((set, i) => [
              // biome-ignore lint/suspicious/noArrayIndexKey: six places, which stay where they are
              <Text key={`n${i}`} pb="1.5" color="graphite">
                {i + 1}
              </Text>,
              ...parts.map(({ part, name, classes }) => (
                <MaterialField
                  // biome-ignore lint/suspicious/noArrayIndexKey: six places, which stay where they are
                  key={`${part}${i}`}
                  label={`${name} ${i + 1}`}
                  classes={classes}
                  none={`As it is: ${materialOf(setMaterial(design, part) ?? "")?.name ?? ""}`}
                  value={set[part] ?? ""}
                  quiet
                  onChange={(id) => change(i, part, id || null)}
                />
              )),
            ])}
          </Grid>
          <Note>
            Dust of many of these is harmful: each material's cautions stand in the Stock and on the fit-up
            sheet.
          </Note>
        </>
      )}
      <Flex gap="2" mt="3">
        <Button
          size="sm"
          disabled={chosen.length === 0}
          onClick={() =>
            props.onMake(
              chosen.map((set) => ({
                name: setName(set, materialOf),
                design: inMaterials(design, set, ownMaterials()),
              })),
            )
          }
        >
          Make {chosen.length} variants
        </Button>
        <Button size="sm" variant="outline" onClick={props.onClose}>
          Cancel
        </Button>
      </Flex>
    </Box>
  );
}
