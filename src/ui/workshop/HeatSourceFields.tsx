"use client";
import { Button, Input, Stack, Text } from "@chakra-ui/react";
import { Plus, Trash2 } from "lucide-react";
import type { WorkshopFacts } from "@/core/knife/design/schema";
import { HEAT_SOURCE_KINDS } from "@/core/knife/design/workshopParts";
import { HEAT_SOURCE_WORDS } from "@/words/workshop";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { WhoseContext } from "../kit/whose";

type Sources = WorkshopFacts["heatSources"];
type Source = Sources[number];

const BEGUN: Readonly<Record<Source["kind"], Omit<Source, "name">>> = {
  torch: { kind: "torch", mostC: 1000, holds: false, longestMm: 150, pieces: 1, offC: null },
  forge: { kind: "forge", mostC: 1250, holds: false, longestMm: 300, pieces: 1, offC: null },
  oven: { kind: "oven", mostC: 1200, holds: true, longestMm: 400, pieces: 2, offC: 10 },
};
const MOST = 12;

/** What steel can be heated in: a steel that none of them can harden is a finding when it is chosen. */
export function HeatSourceFields({
  sources,
  onChange,
}: {
  sources: Sources;
  onChange: (to: Sources) => void;
}) {
  const set = (i: number, to: Partial<Source>) =>
    onChange(sources.map((s, k) => (k === i ? { ...s, ...to } : s)));
  const add = () => {
    const names = new Set(sources.map((s) => s.name));
    let name = HEAT_SOURCE_WORDS.oven;
    for (let n = 2; names.has(name); n++) name = `${HEAT_SOURCE_WORDS.oven} ${n}`;
    onChange([...sources, { name, ...BEGUN.oven }]);
  };
  return (
    <Stack gap="3">
      {sources.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None named: blades are taken to be hardened elsewhere, and no steel is too much.
        </Text>
      )}
      {sources.map((s, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a source is its place among them
        <WhoseContext key={i} value={s.name}>
          <OneSource
            source={s}
            onChange={(to) => set(i, to)}
            onRemove={() => onChange(sources.filter((_, k) => k !== i))}
          />
        </WhoseContext>
      ))}
      <Button size="xs" variant="outline" alignSelf="start" disabled={sources.length >= MOST} onClick={add}>
        <Plus /> Heat source
      </Button>
    </Stack>
  );
}

interface OneSourceProps {
  readonly source: Source;
  readonly onChange: (to: Partial<Source>) => void;
  readonly onRemove: () => void;
}

function OneSource({ source: s, onChange, onRemove }: OneSourceProps) {
  return (
    <Stack gap="1" borderLeftWidth="3px" ps="2" role="group" aria-label={s.name}>
      <FieldRow label="Name">
        <Input
          size="sm"
          bg="ground"
          maxLength={40}
          defaultValue={s.name}
          key={s.name}
          onBlur={(e) => e.target.value.trim() !== "" && onChange({ name: e.target.value.trim() })}
        />
      </FieldRow>
      <ChoiceField
        label="It is"
        value={s.kind}
        choices={HEAT_SOURCE_KINDS.map((value) => ({ value, name: HEAT_SOURCE_WORDS[value] }))}
        onChange={(kind) => onChange(BEGUN[kind])}
      />
      <ShareField
        label="Hottest"
        value={s.mostC}
        min={200}
        max={1400}
        unit="°C"
        onChange={(mostC) => onChange({ mostC })}
      />
      <Tick label="It holds a temperature" checked={s.holds} onChange={(holds) => onChange({ holds })} />
      <LengthField
        label="Longest piece"
        mm={s.longestMm}
        min={20}
        max={3000}
        onChange={(longestMm) => onChange({ longestMm })}
      />
      <ShareField
        label="Pieces at once"
        value={s.pieces}
        min={1}
        max={100}
        unit=""
        whole
        onChange={(pieces) => onChange({ pieces })}
      />
      <ShareField
        label="Thermometer may be off"
        value={s.offC}
        min={0}
        max={200}
        unit="°C"
        onChange={(offC) => onChange({ offC })}
        onClear={() => onChange({ offC: null })}
      />
      <Button
        size="xs"
        variant="ghost"
        color="fault"
        alignSelf="start"
        aria-label={`Take out ${s.name}`}
        onClick={onRemove}
      >
        <Trash2 /> Take out
      </Button>
    </Stack>
  );
}
