"use client";
import { Box, Button, Table, Text, VisuallyHidden } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";
import { ROUNDING } from "@/core/base/tolerances";
import {
  measureOf,
  printLength,
  printMass,
  printMeasureBare,
  type UnitSystem,
} from "@/core/base/units/print";
import { differingInputs } from "@/core/figures/compare/inputs";
import { differingTraits, traitOf } from "@/core/figures/compare/traits";
import { dynamics } from "@/core/figures/weigh/dynamics";
import { workingGrip } from "@/core/knife/design/grips";
import { materialsIn } from "@/core/knife/design/materials";
import { outside } from "@/core/knife/design/uses";
import { useUnits } from "@/store/settings";
import { useShop } from "@/store/shop";
import { inputValueWords, inputWords } from "@/words/inputs";
import { printMinutes, printMoney } from "@/words/money";
import { TRAIT_WORDS, traitValueWords } from "@/words/traits";
import type { Column } from "../cost/column";
import { Section } from "../report/Section";

interface Row {
  readonly name: string;
  readonly of: (c: Column) => number | null;
  readonly print: (value: number) => string;
  /** What a weighed knife without it shows. */
  readonly none?: string;
  /** What is to be said beside the value. */
  readonly note?: (c: Column) => string | null;
}

/** Figures that are set side by side; each but the first column's with its difference from the first. */
function rowsIn(units: UnitSystem, currency: string): Row[] {
  const move = (c: Column) => (c.report ? dynamics(c.report, workingGrip(c.design).xMm) : null);
  const length = (v: number) => printLength(v, units);
  const money = (v: number) => printMoney(v, { currency });
  return [
    { name: "Weight", of: (c) => c.report?.massG ?? null, print: (v) => printMass(v, units) },
    { name: "Balance", of: (c) => c.report?.balanceMm ?? null, print: length },
    {
      name: "Outside its balance window by",
      of: (c) => (c.report ? outside(c.report.balanceMm, c.design.use.balanceMm) : null),
      print: length,
    },
    {
      name: `Moment at the grip, ${measureOf("moment", units).name}`,
      of: (c) => move(c)?.momentNmm ?? null,
      print: (v) => printMeasureBare("moment", v, units),
    },
    {
      name: `Inertia about the grip, ${measureOf("inertia", units).name}`,
      of: (c) => move(c)?.inertiaGripGmm2 ?? null,
      print: (v) => printMeasureBare("inertia", v, units),
    },
    {
      name: "Centre of percussion",
      of: (c) => onBlade(move(c)?.percussionMm, c.design.blade.lengthMm),
      print: length,
      none: "not on the blade",
    },
    {
      name: "Materials",
      of: (c) => priced(c, (b) => b.materials),
      print: money,
      note: incomplete,
      none: "no price",
    },
    { name: "Time", of: (c) => c.bill?.minutes ?? null, print: printMinutes },
    {
      name: "Total cost",
      of: (c) => priced(c, (b) => b.total),
      print: money,
      note: incomplete,
      none: "no price",
    },
  ];
}

/** A sum of the bill; nothing where nothing of it is priced. */
const priced = (c: Column, of: (bill: NonNullable<Column["bill"]>) => number) =>
  c.bill && (of(c.bill) > 0 || c.bill.unpriced.length === 0) ? of(c.bill) : null;

/** What of the bill is not in its sum. */
const incomplete = (c: Column) =>
  c.bill && c.bill.unpriced.length > 0 ? `incomplete: ${c.bill.unpriced.length} without a price` : null;

const onBlade = (mm: number | null | undefined, lengthMm: number) =>
  mm !== null && mm !== undefined && mm > 0 && mm < lengthMm ? mm : null;

/** So many inputs are shown at once; the rest when they are asked for. */
const FEW = 12;

/** The table with differences: figures first, then what is made differently. */
export function CompareTable({ columns }: { columns: readonly Column[] }) {
  const traits = differingTraits(columns.map((c) => c.design));
  const inputs = differingInputs(columns.map((c) => c.design));
  const [all, setAll] = useState(false);
  const [, ...others] = columns;
  return (
    <Section id="figures" title="In figures">
      <Box overflowX="auto">
        <Table.Root
          size="sm"
          aria-label="Figures side by side"
          css={{ "& th, & td": { bg: "transparent", color: "ink", px: "2", fontSize: "md" } }}
        >
          <Table.Header>
            <Table.Row bg="transparent">
              <Table.ColumnHeader w="240px" position="relative">
                <VisuallyHidden>Figure</VisuallyHidden>
              </Table.ColumnHeader>
              {columns.map((c) => (
                <Table.ColumnHeader key={c.key} textAlign="end" fontWeight="600">
                  {c.name}
                </Table.ColumnHeader>
              ))}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            <FigureRows columns={columns} />
            <MadeRows columns={columns} traits={traits} inputs={all ? inputs : inputs.slice(0, FEW)} />
          </Table.Body>
        </Table.Root>
      </Box>
      {others.length > 0 && traits.length === 0 && inputs.length === 0 && (
        <Text color="graphite">They are made of the same.</Text>
      )}
      {inputs.length > FEW && (
        <Button
          size="xs"
          variant="outline"
          alignSelf="start"
          aria-expanded={all}
          onClick={() => setAll(!all)}
        >
          {all ? "Fewer inputs" : `All ${inputs.length} inputs that differ`}
        </Button>
      )}
    </Section>
  );
}

function NamedRow({ name, testId, children }: { name: string; testId?: string; children: ReactNode }) {
  return (
    <Table.Row bg="transparent" data-testid={testId}>
      <Table.Cell as="th" fontWeight="400" color="graphite">
        {name}
      </Table.Cell>
      {children}
    </Table.Row>
  );
}

function FigureRows({ columns }: { columns: readonly Column[] }) {
  const units = useUnits();
  const { currency } = useShop();
  const [first] = columns;
  return rowsIn(units, currency).map((row) => {
    const base = row.of(first);
    return (
      <NamedRow key={row.name} name={row.name}>
        {columns.map((c) => (
          <Figure
            key={c.key}
            value={row.of(c)}
            base={c === first ? null : base}
            print={row.print}
            none={c.report ? (row.none ?? "–") : "–"}
            note={row.note?.(c) ?? null}
          />
        ))}
      </NamedRow>
    );
  });
}

/** What is made differently: by what a maker would name, then by every other input. */
function MadeRows(props: {
  columns: readonly Column[];
  traits: ReturnType<typeof differingTraits>;
  inputs: ReturnType<typeof differingInputs>;
}) {
  const { columns, traits, inputs } = props;
  const units = useUnits();
  return (
    <>
      {traits.map((t) => (
        <NamedRow key={t} name={TRAIT_WORDS[t]} testId="trait">
          {columns.map((c) => (
            <Table.Cell key={c.key} textAlign="end">
              {traitValueWords(traitOf(c.design, t), units, materialsIn(c.design))}
            </Table.Cell>
          ))}
        </NamedRow>
      ))}
      {inputs.map(({ path, values }) => (
        <NamedRow key={path} name={inputWords(path)} testId="input">
          {columns.map((c, i) => (
            <Table.Cell key={c.key} textAlign="end">
              {inputValueWords(path, values[i], units, materialsIn(c.design))}
            </Table.Cell>
          ))}
        </NamedRow>
      ))}
    </>
  );
}

function Figure(props: {
  value: number | null;
  base: number | null;
  print: (v: number) => string;
  none: string;
  note: string | null;
}) {
  const { value, base, print } = props;
  const known = value !== null && Number.isFinite(value);
  const by = known && base !== null && Number.isFinite(base) ? value - base : null;
  return (
    <Table.Cell textAlign="end" whiteSpace="nowrap">
      {known ? print(value) : props.none}
      {by !== null && (
        <Text as="span" display="block" fontSize="sm" color="graphite" lineHeight="1.1">
          {Math.abs(by) < ROUNDING ? "the same" : `${by > 0 ? "+" : "−"}${print(Math.abs(by))}`}
        </Text>
      )}
      {props.note && (
        <Text as="span" display="block" fontSize="sm" color="warn" lineHeight="1.1">
          {props.note}
        </Text>
      )}
    </Table.Cell>
  );
}
