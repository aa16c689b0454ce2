"use client";
import { Button, Flex, Input, SimpleGrid, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import { MEDIA } from "@/core/plan/attempts";
import { isUsual, type Recipe } from "@/core/plan/recipes";
import { mediumWords } from "@/words/taskFigures";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { KeepOrCancel } from "../fields/KeepOrCancel";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";

type Draft = Omit<Recipe, "id">;
interface Fields {
  readonly of: Draft;
  readonly put: (to: Partial<Draft>) => void;
}

const begin = (from: Recipe | null, steel: string, name: string): Draft => ({
  name: from && !isUsual(from) ? from.name : `${name}, mine`.slice(0, 80),
  steels: [steel],
  normalise: from?.normalise ?? null,
  hardenC: from?.hardenC ?? { low: 800, high: 820 },
  soakMin: from?.soakMin ?? 10,
  medium: from?.medium ?? "warm-oil",
  coldC: from?.coldC ?? null,
  temper: from?.temper ?? [{ atC: 200, hrc: null }],
  temperHours: from?.temperHours ?? 2,
  temperCycles: from?.temperCycles ?? 2,
  note: from && !isUsual(from) ? from.note : "",
});

const HEAT = { unit: "°C", min: -200, max: 1400 } as const;

/** A recipe of the maker's own for a steel, or a seller's: it goes before the usual one. */
export function RecipeForm(props: {
  from: Recipe | null;
  steel: string;
  name: string;
  onDone: (made: Draft | null) => void;
}) {
  const [of, setOf] = useState(() => begin(props.from, props.steel, props.name));
  const put = (to: Partial<Draft>) => setOf((d) => ({ ...d, ...to }));
  const wrong =
    of.name.trim() === ""
      ? "A recipe needs a name."
      : of.hardenC.low > of.hardenC.high
        ? "The lower temperature must not be above the higher one."
        : of.temper.length === 0
          ? "A recipe has a temper: hardened steel that is not tempered breaks. Add one."
          : null;
  return (
    <Stack gap="3" borderWidth="1px" borderRadius="md" p="3" role="group" aria-label="A recipe of my own">
      <SimpleGrid columns={{ base: 1, md: 2 }} gap="4">
        <HardenFields of={of} put={put} />
        <TemperFields of={of} put={put} />
      </SimpleGrid>
      {wrong && (
        <Text color="fault" role="alert">
          {wrong}
        </Text>
      )}
      <KeepOrCancel
        disabled={wrong !== null}
        onKeep={() => props.onDone(of)}
        onCancel={() => props.onDone(null)}
      />
    </Stack>
  );
}

function HardenFields({ of, put }: Fields) {
  const { normalise, hardenC } = of;
  return (
    <Stack gap="1">
      <FieldRow label="Name" wide>
        <Input
          size="sm"
          bg="ground"
          maxLength={80}
          value={of.name}
          onChange={(e) => put({ name: e.target.value })}
        />
      </FieldRow>
      <Tick
        label="Normalised before"
        checked={normalise !== null}
        onChange={(on) => put({ normalise: on ? { atC: 870, cycles: 3 } : null })}
      />
      {normalise && (
        <>
          <ShareField
            label="Normalise from"
            value={normalise.atC}
            {...HEAT}
            onChange={(atC) => put({ normalise: { ...normalise, atC } })}
          />
          <ShareField
            label="Times"
            value={normalise.cycles}
            min={1}
            max={6}
            unit=""
            whole
            onChange={(cycles) => put({ normalise: { ...normalise, cycles } })}
          />
        </>
      )}
      <ShareField
        label="Harden from"
        value={hardenC.low}
        {...HEAT}
        onChange={(low) => put({ hardenC: { ...hardenC, low } })}
      />
      <ShareField
        label="to"
        value={hardenC.high}
        {...HEAT}
        onChange={(high) => put({ hardenC: { ...hardenC, high } })}
      />
      <ShareField
        label="Soak"
        value={of.soakMin}
        min={0}
        max={300}
        unit="min"
        onChange={(soakMin) => put({ soakMin })}
      />
      <ChoiceField
        label="Quench"
        value={of.medium}
        choices={MEDIA.map((value) => ({ value, name: mediumWords(value) }))}
        onChange={(medium) => put({ medium })}
      />
      <Tick
        label="Into the cold after the quench"
        checked={of.coldC !== null}
        onChange={(on) => put({ coldC: on ? -75 : null })}
      />
      {of.coldC !== null && (
        <ShareField label="Cold" value={of.coldC} {...HEAT} onChange={(coldC) => put({ coldC })} />
      )}
    </Stack>
  );
}

function TemperFields({ of, put }: Fields) {
  const set = (i: number, to: Partial<Draft["temper"][number]>) =>
    put({ temper: of.temper.map((t, k) => (k === i ? { ...t, ...to } : t)) });
  return (
    <Stack gap="1">
      {of.temper.map((t, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a temper is its place among them
        <Flex key={i} gap="2" align="end" wrap="wrap">
          <Stack flex="1" minW="200px" gap="1">
            <ShareField
              label={`Temper ${i + 1}`}
              value={t.atC}
              {...HEAT}
              onChange={(atC) => set(i, { atC })}
            />
            <ShareField
              label={`gives, HRC (${i + 1})`}
              value={t.hrc}
              min={20}
              max={70}
              unit=""
              onChange={(hrc) => set(i, { hrc })}
              onClear={() => set(i, { hrc: null })}
            />
          </Stack>
          <Button
            size="2xs"
            variant="ghost"
            color="fault"
            aria-label={`Take out temper ${i + 1}`}
            onClick={() => put({ temper: of.temper.filter((_, k) => k !== i) })}
          >
            Take out
          </Button>
        </Flex>
      ))}
      <Button
        size="2xs"
        variant="outline"
        alignSelf="start"
        disabled={of.temper.length >= 8}
        onClick={() => put({ temper: [...of.temper, { atC: 200, hrc: null }] })}
      >
        One temper more
      </Button>
      <ShareField
        label="Cycles"
        value={of.temperCycles}
        min={1}
        max={6}
        unit=""
        whole
        onChange={(temperCycles) => put({ temperCycles })}
      />
      <ShareField
        label="Hours a cycle"
        value={of.temperHours}
        min={0.25}
        max={24}
        unit="h"
        onChange={(temperHours) => put({ temperHours })}
      />
      <FieldRow label="Note" wide>
        <Input
          size="sm"
          bg="ground"
          maxLength={500}
          value={of.note}
          onChange={(e) => put({ note: e.target.value })}
        />
      </FieldRow>
    </Stack>
  );
}
