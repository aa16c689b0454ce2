"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { printLength } from "@/core/base/units/print";
import type { Wrap } from "@/core/knife/design/schema";
import { wrapPlan } from "@/core/knife/layout/grips";
import { layoutOf } from "@/core/knife/layout/layout";
import { useUnits } from "@/store/settings";
import { WRAP_KIND_WORDS, WRAP_ON_WORDS, WRAP_PATTERN_WORDS } from "@/words/grips";
import { numbered } from "@/words/parts";
import { AddButton } from "../../bound/AddButton";
import { ChoiceAt, LengthAt, MaterialAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_WRAPS } from "../../bound/MaterialField";
import { useBench, useDesign } from "../../session/BenchContext";
import { Group } from "./Group";

/** A cord wrap to begin from: over the whole grip, turn beside turn. */
function newWrap(frontMm: number, buttMm: number): Wrap {
  return {
    on: "grip",
    kind: "cord",
    material: "cord-nylon-flat",
    widthMm: 4,
    thicknessMm: 1.8,
    pitchMm: 4,
    pattern: "single",
    fromMm: Math.round(frontMm - 4),
    toMm: Math.round(buttMm + 12),
  };
}

/** A strip to begin from under a cord: as far as that goes. */
const newUnderlay = ({ fromMm, toMm }: Wrap): Wrap => ({
  on: "grip",
  kind: "strip",
  material: "leather-veg",
  widthMm: 12,
  thicknessMm: 1,
  pitchMm: 12,
  pattern: "single",
  fromMm,
  toMm,
});

/** Cord or leather wound round the tang or the handle, the innermost first, and how much of it to buy. */
export function WrapFields() {
  const { session, edit } = useBench();
  const count = useDesign((d) => d.handle.wraps.length);
  const add = () => {
    const { design } = session.getState();
    const { frontX, buttX, scaleEnd } = layoutOf(design);
    const [first] = design.handle.wraps;
    const item = first ? newUnderlay(first) : newWrap(frontX, scaleEnd?.xMm ?? buttX);
    // What lies under another is wound first.
    edit({ code: "add", list: "handle.wraps", item, at: 0 });
  };
  return (
    <Group
      title="Wraps, the innermost first"
      aside={
        <AddButton to="handle.wraps" onClick={add}>
          <Plus /> {count === 0 ? "Add wrap" : "Add one under it"}
        </AddButton>
      }
    >
      {count === 0 && (
        <Text color="graphite" fontSize="sm">
          None. Cord or a strip can be wound round it, up to three over each other.
        </Text>
      )}
      {Array.from({ length: count }, (_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a wrap is its place among them
        <WrapCard key={i} index={i} of={count} />
      ))}
    </Group>
  );
}

function WrapCard({ index, of }: { index: number; of: number }) {
  const { edit } = useBench();
  const wrap = useDesign((d) => d.handle.wraps[index] ?? null);
  const stacked = useDesign((d) => d.handle.kind === "stack");
  if (!wrap) return null;
  const at = `handle.wraps.${index}` as const;
  return (
    <ItemCard
      id={`wrap-${index + 1}`}
      title={numbered("Wrap", of > 1 ? index + 1 : null)}
      onRemove={() => edit({ code: "remove", list: "handle.wraps", at: index })}
    >
      <Stack gap="2">
        {(stacked || wrap.on === "pommel") && <ChoiceAt at={`${at}.on`} names={WRAP_ON_WORDS} />}
        <ChoiceAt at={`${at}.kind`} names={WRAP_KIND_WORDS} />
        <MaterialAt at={`${at}.material`} classes={FOR_WRAPS} />
        <LengthAt at={`${at}.widthMm`} />
        <LengthAt at={`${at}.thicknessMm`} />
        <LengthAt at={`${at}.pitchMm`} />
        <ChoiceAt at={`${at}.pattern`} names={WRAP_PATTERN_WORDS} />
        {wrap.on === "grip" && (
          <>
            <LengthAt at={`${at}.fromMm`} behind />
            <LengthAt at={`${at}.toMm`} behind />
          </>
        )}
        <ToBuy index={index} />
      </Stack>
    </ItemCard>
  );
}

/** Turns, and the strand's length. */
function ToBuy({ index }: { index: number }) {
  const units = useUnits();
  const plan = useDesign((d) => (d.handle.wraps[index] ? wrapPlan(layoutOf(d), index) : null));
  if (!plan || !(plan.buyMm > 0)) return null;
  return (
    <Text color="graphite" fontSize="sm" data-testid="wrap-plan">
      {Math.round(plan.turns)} turns, {printLength(plan.lengthMm, units, 0)} on the handle; buy{" "}
      {printLength(Math.ceil(plan.buyMm / 100) * 100, units, 0)}: a tenth more, and 300 mm for both ends.
    </Text>
  );
}
