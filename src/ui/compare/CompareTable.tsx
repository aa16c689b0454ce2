"use client";
import { Box, Table, Text } from "@chakra-ui/react";
import { differingTraits, traitOf } from "@/core/compare/traits";
import { outside } from "@/core/design/uses";
import { ROUNDING } from "@/core/tolerances";
import { printLength, printMass, type UnitSystem } from "@/core/units/print";
import { dynamics } from "@/core/weigh/dynamics";
import { useUnits } from "@/store/settings";
import { useShop } from "@/store/shop";
import { printMinutes, printMoney } from "@/words/money";
import { TRAIT_WORDS, traitValueWords } from "@/words/traits";

import { Section } from "../fit/Section";
import type { Column } from "./useColumns";

interface Row {
  readonly name: string;
  readonly of: (c: Column) => number | null;
  readonly print: (value: number) => string;
  /** What a weighed knife without it shows. */
  readonly none?: string;
}

/** Figures that are set side by side; each but the first column's with its difference from the first. */
function rowsIn(units: UnitSystem, currency: string): Row[] {
  const move = (c: Column) => (c.report ? dynamics(c.report, c.design.use.gripMm) : null);
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
    { name: "At the grip, N·mm", of: (c) => move(c)?.momentNmm ?? null, print: (v) => minus(v.toFixed(0)) },
    {
      name: "Inertia about the grip, kg·mm²",
      of: (c) => (move(c)?.inertiaGripGmm2 ?? Number.NaN) / 1000,
      print: (v) => minus(v.toFixed(0)),
    },
    {
      name: "A blow does not sting at",
      of: (c) => onBlade(move(c)?.percussionMm, c.design.blade.lengthMm),
      print: length,
      none: "not on the blade",
    },
    { name: "Materials", of: (c) => c.bill?.materials ?? null, print: money },
    { name: "Time", of: (c) => c.bill?.minutes ?? null, print: printMinutes },
    { name: "Cost in all", of: (c) => c.bill?.total ?? null, print: money },
  ];
}

const onBlade = (mm: number | null | undefined, lengthMm: number) =>
  mm !== null && mm !== undefined && mm > 0 && mm < lengthMm ? mm : null;

const minus = (text: string) => text.replace(/^-0$/, "0").replace("-", "−");

/** The table with differences: figures first, then what is made differently. */
export function CompareTable({ columns }: { columns: readonly Column[] }) {
  const units = useUnits();
  const { currency } = useShop();
  const rows = rowsIn(units, currency);
  const traits = differingTraits(columns.map((c) => c.design));
  const [first, ...others] = columns;
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
              <Table.ColumnHeader w="240px" />
              {columns.map((c) => (
                <Table.ColumnHeader key={c.key} textAlign="end" fontWeight="600">
                  {c.name}
                </Table.ColumnHeader>
              ))}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {rows.map((row) => {
              const base = row.of(first);
              return (
                <Table.Row key={row.name} bg="transparent">
                  <Table.Cell as="th" fontWeight="400" color="graphite">
                    {row.name}
                  </Table.Cell>
                  {columns.map((c) => (
                    <Figure
                      key={c.key}
                      value={row.of(c)}
                      base={c === first ? null : base}
                      print={row.print}
                      none={c.report ? (row.none ?? "–") : "–"}
                    />
                  ))}
                </Table.Row>
              );
            })}
            {traits.map((t) => (
              <Table.Row key={t} bg="transparent" data-testid="trait">
                <Table.Cell as="th" fontWeight="400" color="graphite">
                  {TRAIT_WORDS[t]}
                </Table.Cell>
                {columns.map((c) => (
                  <Table.Cell key={c.key} textAlign="end">
                    {traitValueWords(traitOf(c.design, t), units)}
                  </Table.Cell>
                ))}
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
      {others.length > 0 && traits.length === 0 && (
        <Text color="graphite">They are made alike as far as these measures and materials tell.</Text>
      )}
    </Section>
  );
}

function Figure(props: {
  value: number | null;
  base: number | null;
  print: (v: number) => string;
  none: string;
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
    </Table.Cell>
  );
}
