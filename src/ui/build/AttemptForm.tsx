"use client";
import { Button, Flex, Input, SimpleGrid, Stack, Text } from "@chakra-ui/react";
import { useState } from "react";
import {
  type Attempt,
  HARDNESS_TESTS,
  HEAT_FAULTS,
  JUDGED_BY,
  MEDIA,
  STEEL_PARTS,
} from "@/core/plan/attempts";
import type { Recipe } from "@/core/plan/recipes";
import { HEAT_FAULT_WORDS, JUDGED_WORDS, STEEL_PART_WORDS, TEST_WORDS } from "@/words/heat";
import { mediumWords } from "@/words/taskFigures";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { KeepOrCancel } from "../fields/KeepOrCancel";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";

type Draft = Omit<Attempt, "id" | "at">;

/** An attempt as the recipe has it, to be changed to what really happened. */
function byRecipe(recipe: Recipe | null): Draft {
  const temper = recipe?.temper[Math.min(1, recipe.temper.length - 1)];
  const cycle = { atC: temper?.atC ?? 200, hours: recipe?.temperHours ?? 2, cooledBetween: true };
  return {
    part: "blade",
    source: "",
    judgedBy: "thermometer",
    hardenC: recipe ? (recipe.hardenC.low + recipe.hardenC.high) / 2 : null,
    offC: 10,
    soakMin: recipe?.soakMin ?? null,
    medium: recipe?.medium ?? "warm-oil",
    quenchS: null,
    coldC: recipe?.coldC ?? null,
    temper: Array.from({ length: recipe?.temperCycles ?? 2 }, () => cycle),
    colourSeen: "",
    test: { by: "file", hrc: null, skates: true },
    bentBeforeMm: null,
    bentAfterMm: null,
    fault: "none",
    note: "",
  };
}

const choices = <T extends string>(of: readonly T[], words: (value: T) => string) =>
  of.map((value) => ({ value, name: words(value) }));

const NO_TEST = "none";
const UNIT = { unit: "°C", min: -200, max: 1400 } as const;

/** Everything of an attempt, as the recipe has it to begin from. */
export function AttemptForm({
  recipe,
  onDone,
}: {
  recipe: Recipe | null;
  onDone: (made: Draft | null) => void;
}) {
  const [of, setOf] = useState<Draft>(() => byRecipe(recipe));
  const put = (to: Partial<Draft>) => setOf((d) => ({ ...d, ...to }));
  return (
    <Stack gap="3" borderWidth="1px" borderRadius="md" p="3" role="group" aria-label="An attempt">
      <SimpleGrid columns={{ base: 1, md: 2 }} gap="4">
        <HeatFields of={of} put={put} />
        <OutcomeFields of={of} put={put} />
      </SimpleGrid>
      <KeepOrCancel onKeep={() => onDone(of)} onCancel={() => onDone(null)} />
    </Stack>
  );
}

interface Fields {
  readonly of: Draft;
  readonly put: (to: Partial<Draft>) => void;
}

function HeatFields({ of, put }: Fields) {
  const cycle = (i: number, to: Partial<Draft["temper"][number]>) =>
    put({ temper: of.temper.map((t, k) => (k === i ? { ...t, ...to } : t)) });
  return (
    <Stack gap="1">
      <ChoiceField
        label="Of"
        value={of.part}
        choices={choices(STEEL_PARTS, (p) => STEEL_PART_WORDS[p])}
        onChange={(part) => put({ part })}
      />
      <FieldRow label="Heated in">
        <Input
          size="sm"
          bg="ground"
          maxLength={60}
          placeholder="oven, forge, torch"
          value={of.source}
          onChange={(e) => put({ source: e.target.value })}
        />
      </FieldRow>
      <ChoiceField
        label="Judged by"
        value={of.judgedBy}
        choices={choices(JUDGED_BY, (j) => JUDGED_WORDS[j])}
        onChange={(judgedBy) => put({ judgedBy })}
      />
      <ShareField
        label="Heat"
        value={of.hardenC}
        {...UNIT}
        onChange={(hardenC) => put({ hardenC })}
        onClear={() => put({ hardenC: null })}
      />
      <ShareField
        label="Thermometer may be off"
        value={of.offC}
        min={0}
        max={200}
        unit="°C"
        onChange={(offC) => put({ offC })}
        onClear={() => put({ offC: null })}
      />
      <ShareField
        label="Soak"
        value={of.soakMin}
        min={0}
        max={600}
        unit="min"
        onChange={(soakMin) => put({ soakMin })}
        onClear={() => put({ soakMin: null })}
      />
      <ChoiceField
        label="Quenched"
        value={of.medium}
        choices={choices(MEDIA, mediumWords)}
        onChange={(medium) => put({ medium })}
      />
      <ShareField
        label="Seconds in it"
        value={of.quenchS}
        min={0}
        max={3600}
        unit="s"
        onChange={(quenchS) => put({ quenchS })}
        onClear={() => put({ quenchS: null })}
      />
      <ShareField
        label="Cold"
        value={of.coldC}
        {...UNIT}
        onChange={(coldC) => put({ coldC })}
        onClear={() => put({ coldC: null })}
      />
      {of.temper.map((t, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cycle is its place among them
        <Stack key={i} gap="1" role="group" aria-label={`Temper ${i + 1}`}>
          <ShareField
            label={`Temper ${i + 1}`}
            value={t.atC}
            {...UNIT}
            onChange={(atC) => cycle(i, { atC })}
          />
          <ShareField
            label={`Hours, temper ${i + 1}`}
            value={t.hours}
            min={0.05}
            max={48}
            unit="h"
            onChange={(hours) => cycle(i, { hours })}
          />
          <Tick
            label={`Cooled fully after temper ${i + 1}`}
            checked={t.cooledBetween}
            onChange={(cooledBetween) => cycle(i, { cooledBetween })}
          />
        </Stack>
      ))}
      <Flex gap="2">
        <Button
          size="2xs"
          variant="outline"
          disabled={of.temper.length >= 8}
          onClick={() =>
            put({ temper: [...of.temper, of.temper.at(-1) ?? { atC: 200, hours: 2, cooledBetween: true }] })
          }
        >
          One temper more
        </Button>
        <Button
          size="2xs"
          variant="outline"
          disabled={of.temper.length === 0}
          onClick={() => put({ temper: of.temper.slice(0, -1) })}
        >
          One less
        </Button>
      </Flex>
      {of.temper.length === 0 && <Text color="warn">Hardened steel that is not tempered breaks.</Text>}
    </Stack>
  );
}

function OutcomeFields({ of, put }: Fields) {
  const { test } = of;
  return (
    <Stack gap="1">
      <FieldRow label="Colour seen">
        <Input
          size="sm"
          bg="ground"
          maxLength={60}
          placeholder="straw"
          value={of.colourSeen}
          onChange={(e) => put({ colourSeen: e.target.value })}
        />
      </FieldRow>
      <ChoiceField
        wide
        label="Hardness tried by"
        value={test?.by ?? NO_TEST}
        choices={[{ value: NO_TEST, name: "Not tried" }, ...choices(HARDNESS_TESTS, (t) => TEST_WORDS[t])]}
        onChange={(by) =>
          put({
            test:
              by === NO_TEST
                ? null
                : {
                    by: by as (typeof HARDNESS_TESTS)[number],
                    hrc: by === "file" ? null : 60,
                    skates: by === "file" ? true : null,
                  },
          })
        }
      />
      {test?.by === "file" && (
        <Tick
          label="It skates"
          checked={test.skates === true}
          onChange={(skates) => put({ test: { ...test, skates } })}
        />
      )}
      {test && test.by !== "file" && (
        <ShareField
          label="Hardness, HRC"
          value={test.hrc}
          min={0}
          max={75}
          unit=""
          digits={1}
          onChange={(hrc) => put({ test: { ...test, hrc } })}
        />
      )}
      <BentField
        label="Bent before"
        mm={of.bentBeforeMm}
        onChange={(bentBeforeMm) => put({ bentBeforeMm })}
      />
      <BentField label="Bent after" mm={of.bentAfterMm} onChange={(bentAfterMm) => put({ bentAfterMm })} />
      <ChoiceField
        wide
        label="What went wrong"
        value={of.fault}
        choices={choices(HEAT_FAULTS, (f) => HEAT_FAULT_WORDS[f])}
        onChange={(fault) => put({ fault })}
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

const BentField = (props: { label: string; mm: number | null; onChange: (mm: number | null) => void }) => (
  <LengthField
    label={props.label}
    mm={props.mm}
    min={0}
    max={100}
    onChange={props.onChange}
    onClear={() => props.onChange(null)}
  />
);
