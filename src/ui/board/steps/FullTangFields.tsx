"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { freeId, openSpot } from "@/core/figures/fit/openSpot";
import { newRecess, newShort } from "@/core/knife/design/newParts";
import type { FullTang } from "@/core/knife/design/schema";
import { itemNames } from "@/core/knife/shapes/itemNames";
import { PURPOSE_WORDS, RECESS_WORDS, SHORT_WORDS } from "@/words/constructions";
import { itemWords } from "@/words/fasteners";
import { AddButton } from "../../bound/AddButton";
import { ChoiceAt, FillAt, LengthAt, MaterialAt, PlaceAt, ShareAt, TickAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_BLADES } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

const FOR_SHORT = [...FOR_BLADES, "metal", "laminate", "wood"] as const;

/** A taper to three fifths at the butt. */
function newTaper(spineMm: number) {
  return { frontMm: spineMm, buttMm: Math.max(0.3, Math.round(spineMm * 6) / 10) };
}

/** A slab of the handle's outline: taper, length, openings. */
export function FullTangFields({ tang }: { tang: FullTang }) {
  const { session } = useBench();
  const design = () => session.getState().design;
  return (
    <>
      <Group title="Full tang">
        <Text color="graphite" fontSize="sm">
          A slab of the handle's outline, in the blade's steel.
        </Text>
        <TickAt at="tang.taper" make={() => newTaper(design().blade.spineMm)} />
        {tang.taper && (
          <>
            <LengthAt at="tang.taper.frontMm" />
            <LengthAt at="tang.taper.buttMm" />
          </>
        )}
        <TickAt at="tang.short" make={() => newShort(design())} />
        {tang.short && (
          <>
            <LengthAt at="tang.short.lengthMm" />
            <ChoiceAt at="tang.short.behind" names={SHORT_WORDS} />
            <MaterialAt at="tang.short.material" classes={FOR_SHORT} />
            <Text color="graphite" fontSize="sm">
              A short tang is known to work loose as it ages. Grind a weld flush, and weld before hardening:
              on a blade that is hard already the heat draws its temper.
            </Text>
          </>
        )}
      </Group>
      <Holes tang={tang} />
      <Slots tang={tang} />
      <Group title="Recess">
        <TickAt at="tang.recess" make={() => newRecess(design())} />
        {tang.recess && (
          <>
            <LengthAt at="tang.recess.rimMm" />
            <LengthAt at="tang.recess.fromMm" />
            <LengthAt at="tang.recess.depthMm" />
            <ChoiceAt at="tang.recess.floor" names={RECESS_WORDS} />
            <FillAt at="tang.recess.fill" />
          </>
        )}
      </Group>
      <Text color="graphite" fontSize="sm">
        Drill, lighten and notch the tang before hardening. Clamp the work; never hold a blade by hand under
        the drill.
      </Text>
    </>
  );
}

/** What holes or slots are called. */
function useTitles(items: readonly { readonly id: string }[]): readonly string[] {
  return useDesign((d) =>
    items.map(({ id }) => {
      const name = itemNames(d).get(id);
      return name ? itemWords(name) : "";
    }),
  );
}

function Holes({ tang: { holes } }: { tang: FullTang }) {
  const titles = useTitles(holes);
  const { session, edit, setSelected } = useBench();
  const add = () => {
    const id = freeId("hole", holes);
    const place = openSpot(session.getState().design, 8);
    const item = { id, ...place, diameterMm: 8, fill: null, purpose: "lighten" };
    edit({ code: "add", list: "tang.holes", item });
    setSelected(id);
  };
  return (
    <Group
      title="Lightening holes"
      aside={
        <AddButton onClick={add} to="tang.holes">
          <Plus /> Add hole
        </AddButton>
      }
    >
      {holes.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. Holes take weight from behind the front, which moves the balance forward; epoxy in them keys
          the scales.
        </Text>
      )}
      {holes.map((h, i) => (
        <ItemCard
          key={h.id}
          id={h.id}
          title={titles[i]}
          nameAt={`tang.holes.${i}`}
          onRemove={() => edit({ code: "remove", list: "tang.holes", at: i })}
        >
          <Stack gap="2">
            <LengthAt at={`tang.holes.${i}.diameterMm`} digits={3} />
            <PlaceAt at={`tang.holes.${i}`} />
            <ChoiceAt at={`tang.holes.${i}.purpose`} names={PURPOSE_WORDS} />
            {h.purpose === "old-pin" ? (
              <OldFill at={`tang.holes.${i}.fill`} />
            ) : (
              <FillAt at={`tang.holes.${i}.fill`} />
            )}
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}

/** An old pin's hole is welded or plugged shut. */
function OldFill({ at }: { at: `tang.holes.${number}.fill` }) {
  return <MaterialAt at={at} label="Filled with" classes={["metal", "steel", "adhesive"]} />;
}

function Slots({ tang: { slots } }: { tang: FullTang }) {
  const titles = useTitles(slots);
  const { session, edit, setSelected } = useBench();
  const add = () => {
    const id = freeId("slot", slots);
    const place = openSpot(session.getState().design, 10);
    const item = { id, ...place, lengthMm: 20, widthMm: 6, angleDeg: 0, fill: null };
    edit({ code: "add", list: "tang.slots", item });
    setSelected(id);
  };
  return (
    <Group
      title="Slots"
      aside={
        <AddButton onClick={add} to="tang.slots">
          <Plus /> Add slot
        </AddButton>
      }
    >
      {slots.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. A slot takes more than the holes in its place, and leaves two straight webs.
        </Text>
      )}
      {slots.map((s, i) => (
        <ItemCard
          key={s.id}
          id={s.id}
          title={titles[i]}
          nameAt={`tang.slots.${i}`}
          onRemove={() => edit({ code: "remove", list: "tang.slots", at: i })}
        >
          <Stack gap="2">
            <LengthAt at={`tang.slots.${i}.lengthMm`} />
            <LengthAt at={`tang.slots.${i}.widthMm`} digits={3} />
            <PlaceAt at={`tang.slots.${i}`} />
            <ShareAt at={`tang.slots.${i}.angleDeg`} unit="°" />
            <FillAt at={`tang.slots.${i}.fill`} />
          </Stack>
        </ItemCard>
      ))}
    </Group>
  );
}
