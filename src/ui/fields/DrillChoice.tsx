"use client";
import { Button, Flex, Stack } from "@chakra-ui/react";
import { useState } from "react";
import { printLength } from "@/core/base/units/print";
import { drillsIn, ownedDrills } from "@/core/figures/fit/drillSets";
import type { WorkshopFacts } from "@/core/knife/design/record/workshop";
import { DRILL_SETS, type DrillSet } from "@/core/knife/design/workshopParts";
import { DRILL_SET_WORDS } from "@/words/fit";
import { Tick } from "./Tick";

type Drills = WorkshopFacts["drills"];

/** Which sets of drills are there, and which drills of them. */
export function DrillChoice({ drills, onChange }: { drills: Drills; onChange: (to: Drills) => void }) {
  const { sets, own } = drills;
  const [open, setOpen] = useState(false);
  const offered = drillsIn(sets);
  const have = new Set(ownedDrills(drills).map((d) => d.name));
  const toggleSet = (set: DrillSet, on: boolean) => {
    const next = DRILL_SETS.filter((s) => (s === set ? on : sets.includes(s)));
    if (next.length > 0) onChange({ ...drills, sets: next });
  };
  const toggleDrill = (name: string, on: boolean) => {
    const now = new Set(own.length > 0 ? own : offered.map((o) => o.name));
    if (on) now.add(name);
    else now.delete(name);
    const next = offered.filter((o) => now.has(o.name)).map((o) => o.name);
    onChange({ ...drills, own: next.length === offered.length ? [] : next });
  };
  return (
    <>
      {DRILL_SETS.map((s) => (
        <Tick
          key={s}
          label={DRILL_SET_WORDS[s]}
          checked={sets.includes(s)}
          onChange={(on) => toggleSet(s, on)}
        />
      ))}
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        Drills in the shop: {own.length === 0 ? "all" : `${own.length} of ${offered.length}`}
      </Button>
      {open && (
        <Stack maxH="260px" overflowY="auto" gap="1" role="group" aria-label="Drills in the shop">
          <Flex gap="2">
            <Button size="2xs" variant="outline" onClick={() => onChange({ ...drills, own: [] })}>
              All
            </Button>
          </Flex>
          {offered.map((d) => (
            <Tick
              key={d.name}
              label={`${d.name} · ${printLength(d.mm, "metric", 2)}`}
              checked={have.has(d.name)}
              onChange={(on) => toggleDrill(d.name, on)}
            />
          ))}
        </Stack>
      )}
    </>
  );
}
