"use client";
import { HStack, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { freeId } from "@/core/figures/fit/openSpot";
import { halvesOf } from "@/core/knife/design/handleParts";
import type { Half } from "@/core/knife/design/schema";
import { newHalf } from "@/core/knife/layout/handleStarts";
import { layoutOf } from "@/core/knife/layout/layout";
import { AddButton } from "../../bound/AddButton";
import { LengthAt, MaterialAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_GUARDS } from "../../bound/MaterialField";
import { ChoiceField } from "../../fields/ChoiceField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";
import { ImportShape, MeshPlaceFields } from "./MeshFields";
import { PointList } from "./PointList";

const TITLES = { front: "Front halves", rear: "Rear halves" } as const;

/** Pairs of metal halves on a full tang, of an outline of their own or an imported shape. */
export function HalfFields() {
  const { edit, session, setSelected } = useBench();
  const halves = useDesign((d) => halvesOf(d.handle));
  const add = (end: Half["end"]) => {
    const half = newHalf(freeId("half", halves), end, session.getState().design);
    edit({ code: "add", list: "handle.halves", item: half });
    setSelected(half.id);
  };
  return (
    <Group title="Shaped halves">
      <HStack gap="2">
        {(["front", "rear"] as const).map((end) => (
          <AddButton key={end} onClick={() => add(end)} to="handle.halves">
            <Plus /> {TITLES[end]}
          </AddButton>
        ))}
      </HStack>
      {halves.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. A guard or a cap in two halves, one on each side of the tang, with an outline of its own.
        </Text>
      )}
      {halves.map((half, i) => (
        <OneHalf key={half.id} half={half} index={i} />
      ))}
    </Group>
  );
}

function OneHalf({ half, index }: { half: Half; index: number }) {
  const { edit, session } = useBench();
  const at = `handle.halves.${index}` as const;
  const { shape, end, id } = half;
  const put = (to: Half["shape"]) => edit({ code: "set", path: `${at}.shape`, to });
  const place = (meshId: string): Half["shape"] => {
    const { frontX, buttX } = layoutOf(session.getState().design);
    const xMm = end === "front" ? frontX : Math.round(buttX + 12);
    return { kind: "mesh", xMm, place: { meshId, forward: "x", rollDeg: 0, yMm: 0 } };
  };
  const meshes = useDesign((d) => d.meshes);
  const kinds = [
    { value: "outline" as const, name: "Outline of their own" },
    ...(meshes.length > 0 || shape.kind === "mesh"
      ? [{ value: "mesh" as const, name: "Imported shape" }]
      : []),
  ];
  return (
    <ItemCard
      id={id}
      title={`${TITLES[end]}, pair ${index + 1}`}
      onRemove={() => edit({ code: "remove", list: "handle.halves", at: index })}
    >
      <Stack gap="2">
        <MaterialAt at={`${at}.right`} classes={FOR_GUARDS} />
        <MaterialAt at={`${at}.left`} classes={FOR_GUARDS} />
        <ChoiceField
          label="Shape"
          value={shape.kind}
          choices={kinds}
          onChange={(kind) =>
            kind === "mesh"
              ? meshes.length > 0 && put(place(meshes[0].id))
              : put(newHalf(id, end, session.getState().design).shape)
          }
        />
        {shape.kind === "outline" ? (
          <>
            <LengthAt at={`${at}.shape.thicknessMm`} />
            <PointList at={`${at}.shape.points`} prefix={id} closed least={3} most={30} />
          </>
        ) : (
          <>
            <LengthAt at={`${at}.shape.xMm`} behind />
            <MeshPlaceFields at={`${at}.shape.place`} />
          </>
        )}
        <ImportShape onImported={(meshId) => put(place(meshId))} />
        <Text color="graphite" fontSize="sm">
          Fit both to the tang before the scales; pin them with pins of their own metal, or solder them.
        </Text>
      </Stack>
    </ItemCard>
  );
}
