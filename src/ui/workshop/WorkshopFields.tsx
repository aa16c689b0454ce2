"use client";
import { Box, Heading, Stack, Text } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { limitsIn } from "@/core/knife/design/limits";
import { type Workshop, workshopRecord } from "@/core/knife/design/record/workshop";
import type { WorkshopFacts } from "@/core/knife/design/schema";
import { changeWorkshop } from "@/store/workshops";
import { LengthListField } from "../bound/LengthList";
import { DrillChoice } from "../fields/DrillChoice";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { attempt } from "../kit/notice";
import { DaysOffFields } from "./DaysOffFields";
import { HeatSourceFields } from "./HeatSourceFields";
import { HoursFields } from "./HoursFields";

/** A workshop with the ways to change it: each change is kept at once. */
function changesOf(workshop: Workshop) {
  const change = (by: (w: Workshop) => Workshop) =>
    void attempt("The workshop was not changed", () => changeWorkshop(workshop.id, by));
  const put = (to: Partial<WorkshopFacts>) => change((w) => ({ ...w, facts: { ...w.facts, ...to } }));
  /** Changes fields of one part. */
  const within =
    <P extends "glue" | "grinders" | "saw">(part: P) =>
    (to: Partial<WorkshopFacts[P]>) =>
      change((w) => ({ ...w, facts: { ...w.facts, [part]: { ...w.facts[part], ...to } } }));
  const limits = (path: string) => {
    const found = limitsIn(workshopRecord, workshop, path);
    if (!found) throw new Error(`${path} is no number of a workshop`);
    return { min: found.low, max: found.high };
  };
  return { workshop, facts: workshop.facts, change, put, within, limits };
}

type Changes = ReturnType<typeof changesOf>;

/** Everything that a workshop says. */
export function WorkshopFields({ workshop }: { workshop: Workshop }) {
  const of = changesOf(workshop);
  const { facts, put, change } = of;
  return (
    <Box columnCount={{ base: 1, md: 2, xl: 3 }} columnGap="5">
      <Card title="Drills">
        <DrillChoice drills={facts.drills} onChange={(drills) => put({ drills })} />
      </Card>
      <Card title="Cutters, wheels and files">
        <CutterFields of={of} />
      </Card>
      <Card title="Glue">
        <GlueFields of={of} />
      </Card>
      <Card title="Shop and hand">
        <ShopFields of={of} />
      </Card>
      <Card title="Heat sources">
        <HeatSourceFields sources={facts.heatSources} onChange={(heatSources) => put({ heatSources })} />
      </Card>
      <Card title="Hours">
        <HoursFields hours={workshop.hours} onChange={(hours) => change((w) => ({ ...w, hours }))} />
      </Card>
      <Card title="Time">
        <TimeFields of={of} />
      </Card>
      <Card title="Printer">
        <PrinterFields of={of} />
      </Card>
    </Box>
  );
}

function CutterFields({ of: { facts, put, within, limits } }: { of: Changes }) {
  const grinders = within("grinders");
  const saw = within("saw");
  return (
    <>
      <LengthListField
        label="End mills"
        values={facts.cuttersMm}
        {...limits("facts.cuttersMm.0")}
        onChange={(cuttersMm) => put({ cuttersMm })}
      />
      <LengthListField
        label="Wheels and drums, diameters"
        values={facts.grinders.wheelsMm}
        {...limits("facts.grinders.wheelsMm.0")}
        mayBeEmpty
        onChange={(wheelsMm) => grinders({ wheelsMm })}
      />
      <LengthListField
        label="Round files, diameters"
        values={facts.grinders.filesMm}
        {...limits("facts.grinders.filesMm.0")}
        mayBeEmpty
        onChange={(filesMm) => grinders({ filesMm })}
      />
      <LengthField
        label="Saw kerf"
        mm={facts.saw.kerfMm}
        {...limits("facts.saw.kerfMm")}
        onChange={(kerfMm) => saw({ kerfMm })}
      />
      <LengthField
        label="To shape, each side"
        mm={facts.saw.allowanceMm}
        {...limits("facts.saw.allowanceMm")}
        onChange={(allowanceMm) => saw({ allowanceMm })}
      />
    </>
  );
}

function GlueFields({ of: { facts, within, limits } }: { of: Changes }) {
  const glue = within("glue");
  const share = (key: keyof WorkshopFacts["glue"], label: string, unit = "") => (
    <ShareField
      label={label}
      value={facts.glue[key]}
      unit={unit}
      {...limits(`facts.glue.${key}`)}
      onChange={(to) => glue({ [key]: to })}
    />
  );
  return (
    <>
      {share("ratio", "A to 1 of B, by volume")}
      {share("densityA", "Density of A, g/cm³")}
      {share("densityB", "Density of B, g/cm³")}
      <LengthField
        label="Thickness of the glue line"
        mm={facts.glue.lineMm}
        {...limits("facts.glue.lineMm")}
        onChange={(lineMm) => glue({ lineMm })}
      />
      {share("wasteShare", "Waste", "%")}
      {share("potLifeMin", "Pot life, min")}
      {share("cureH", "Cure, h")}
      {share("leastCureH", "At least before grinding, h")}
      {share("atC", "Pot life and cure stated at, °C")}
      {share("minutesAPart", "Minutes per part")}
    </>
  );
}

function ShopFields({ of: { workshop, facts, change, put, limits } }: { of: Changes }) {
  return (
    <>
      <ShareField
        label="Temperature of the shop, °C"
        value={facts.shopC}
        unit=""
        {...limits("facts.shopC")}
        onChange={(shopC) => put({ shopC })}
      />
      <LengthField
        label="Breadth of the hand"
        help="Across the knuckles: whose hand most knives are made for."
        mm={facts.handMm}
        {...limits("facts.handMm")}
        onChange={(handMm) => put({ handMm })}
      />
      <ShareField
        label="An hour of work"
        help="In the currency of the prices."
        value={workshop.ratePerHour}
        unit=""
        factor={1}
        {...limits("ratePerHour")}
        onChange={(ratePerHour) => change((w) => ({ ...w, ratePerHour }))}
      />
    </>
  );
}

/** Days on which nobody works, and what the schedule counts on besides hours. */
function TimeFields({ of: { workshop, change, limits } }: { of: Changes }) {
  const number = (key: "clampSets" | "deliveryDays", label: string, help?: string) => (
    <ShareField
      label={label}
      help={help}
      value={workshop[key]}
      unit=""
      factor={1}
      whole
      {...limits(key)}
      onChange={(to) => change((w) => ({ ...w, [key]: to }))}
    />
  );
  return (
    <>
      <DaysOffFields days={workshop.daysOff} onChange={(daysOff) => change((w) => ({ ...w, daysOff }))} />
      {number("clampSets", "Handles clamped at once")}
      {number("deliveryDays", "Days of delivery", "How long what is ordered takes to come.")}
    </>
  );
}

function PrinterFields({ of: { workshop, change, limits } }: { of: Changes }) {
  const printer = (to: Partial<Workshop["printer"]>) =>
    change((w) => ({ ...w, printer: { ...w.printer, ...to } }));
  return (
    <>
      <Text color="graphite" fontSize="sm">
        What it makes of 100 mm. Print a sheet at 100 %, measure its scale, and let Sheets work this out.
      </Text>
      <LengthField
        label="Across"
        mm={workshop.printer.acrossMm}
        {...limits("printer.acrossMm")}
        onChange={(acrossMm) => printer({ acrossMm })}
      />
      <LengthField
        label="Down"
        mm={workshop.printer.downMm}
        {...limits("printer.downMm")}
        onChange={(downMm) => printer({ downMm })}
      />
    </>
  );
}

function Card({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Stack
      as="section"
      aria-label={title}
      bg="sheet"
      borderWidth="1px"
      borderRadius="md"
      p="4"
      gap="2.5"
      mb="5"
      breakInside="avoid"
    >
      <Heading as="h2" size="md" fontWeight="600">
        {title}
      </Heading>
      {children}
    </Stack>
  );
}
