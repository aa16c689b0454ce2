"use client";
import { Box, Button, Flex, Grid, Heading, Stack, Table, Text, VisuallyHidden } from "@chakra-ui/react";
import { SlidersHorizontal } from "lucide-react";
import { type KeyboardEvent, type ReactNode, useState } from "react";
import { createStore, useStore } from "zustand";
import type { PartRef } from "@/core/figures/review/partRefs";
import type { Point } from "@/core/geometry/curve/bezier";
import { useHighlight, usePointedAt } from "../sight/useHighlight";

/** Sections whose settings are unfolded, until the tab is closed. */
const unfolded = createStore<Readonly<Record<string, boolean>>>(() => ({}));

interface SectionProps {
  readonly id: string;
  readonly title: string;
  /** What it follows from; folded away until it is wanted. */
  readonly settings?: ReactNode;
  /** Its settings are what it is about: they stand beside it always. */
  readonly settingsStay?: boolean;
  readonly children: ReactNode;
}

/** A titled part of a sheet; what it follows from can be unfolded beside it. */
export function Section({ id, title, settings, settingsStay = false, children }: SectionProps) {
  const open = useStore(unfolded, (s) => s[id] ?? false);
  const shown = settings && (settingsStay || open);
  return (
    <Box as="section" id={id} aria-label={title} scrollMarginTop="4">
      <Flex align="center" borderBottomWidth="2px" borderColor="ink" pb="1" mb="3">
        <Heading as="h2" size="md" fontWeight="600" flex="1">
          {title}
        </Heading>
        {settings && !settingsStay && (
          <Button
            size="xs"
            variant={open ? "solid" : "ghost"}
            aria-expanded={open}
            aria-label={`Settings: ${title}`}
            onClick={() => unfolded.setState({ [id]: !open })}
          >
            <SlidersHorizontal /> Settings
          </Button>
        )}
      </Flex>
      <Grid
        templateColumns={{ base: "minmax(0, 1fr)", md: shown ? "minmax(0, 1fr) 300px" : "minmax(0, 1fr)" }}
        gap="6"
      >
        <Stack gap="3" minW="0">
          {children}
        </Stack>
        {shown && (
          <Stack gap="2" borderLeftWidth={{ md: "1px" }} pl={{ md: "4" }}>
            {settings}
          </Stack>
        )}
      </Grid>
    </Box>
  );
}

export interface Column<R> {
  readonly name: string;
  /** Its name is for those who hear the table: what stands in it says itself what it is. */
  readonly unseen?: true;
  readonly of: (row: R) => ReactNode;
  readonly number?: boolean;
  /** What it is, when its name is pointed at. */
  readonly help?: string;
}

interface FiguresProps<R> {
  readonly rows: readonly R[];
  readonly keyOf: (row: R, i: number) => string;
  readonly columns: readonly Column<R>[];
  readonly none: string;
  readonly label: string;
  /** Which parts of the knife a row refers to, and where on it: they are marked on the drawing in sight. */
  readonly partRefsOf?: (row: R) => readonly PartRef[];
  readonly place?: (row: R) => Point | null;
}

/**
 * Rows of figures; numbers to the right. Says so when there are none. Rows that refer to parts are one stop for the Tab key;
 * the arrow keys go from row to row.
 */
export function Figures<R>({ rows, keyOf, columns, none, label, partRefsOf, place }: FiguresProps<R>) {
  const [stop, setStop] = useState(0);
  if (rows.length === 0) return <Text color="graphite">{none}</Text>;
  // Several columns may have one name.
  const named = columns.map((c, i) => ({ ...c, key: `${i} ${c.name}` }));
  const cells = (row: R) =>
    named.map((c) => (
      <Table.Cell
        key={c.key}
        textAlign={c.number ? "end" : "start"}
        whiteSpace={c.number ? "nowrap" : undefined}
      >
        {c.of(row)}
      </Table.Cell>
    ));
  const keys = (e: KeyboardEvent<HTMLElement>) => {
    const at = (e.target as HTMLElement).dataset.row;
    const to = { ArrowDown: Number(at) + 1, ArrowUp: Number(at) - 1, Home: 0, End: rows.length - 1 }[e.key];
    if (at === undefined || to === undefined) return;
    e.currentTarget.querySelector<HTMLElement>(`[data-row="${to}"]`)?.focus();
    e.preventDefault();
  };
  return (
    <Box overflowX="auto">
      <Table.Root
        size="sm"
        aria-label={label}
        css={{
          "& th, & td": { bg: "transparent", color: "ink", px: "2", fontSize: "md" },
          "& tr": { bg: "transparent" },
          "& tr[data-lit], & tbody tr[data-row]:hover": { bg: "rule" },
        }}
      >
        <Table.Header>
          <Table.Row>
            {named.map((c) => (
              <Table.ColumnHeader
                key={c.key}
                textAlign={c.number ? "end" : "start"}
                position="relative"
                fontWeight="600"
                title={c.help}
                textDecoration={c.help ? "underline dotted" : undefined}
                textUnderlineOffset="3px"
              >
                {c.unseen ? <VisuallyHidden>{c.name}</VisuallyHidden> : c.name}
              </Table.ColumnHeader>
            ))}
          </Table.Row>
        </Table.Header>
        <Table.Body onKeyDown={keys}>
          {rows.map((row, i) =>
            partRefsOf || place ? (
              <HighlightingRow
                key={keyOf(row, i)}
                index={i}
                stop={i === Math.min(stop, rows.length - 1)}
                partRefs={partRefsOf?.(row) ?? []}
                at={place?.(row) ?? null}
                onStop={setStop}
              >
                {cells(row)}
              </HighlightingRow>
            ) : (
              <Table.Row key={keyOf(row, i)}>{cells(row)}</Table.Row>
            ),
          )}
        </Table.Body>
      </Table.Root>
    </Box>
  );
}

interface HighlightingRowProps {
  readonly index: number;
  /** Whether the Tab key stops here. */
  readonly stop: boolean;
  readonly partRefs: readonly PartRef[];
  readonly at: Point | null;
  readonly onStop: (index: number) => void;
  readonly children: ReactNode;
}

/** A row that marks what it refers to on the drawing in sight, and is marked when that is pointed at there. */
function HighlightingRow({ index, stop, partRefs, at, onStop, children }: HighlightingRowProps) {
  const { onFocus, ...highlight } = useHighlight(partRefs, at);
  const lit = usePointedAt(partRefs);
  return (
    <Table.Row
      {...highlight}
      onFocus={() => {
        onStop(index);
        onFocus();
      }}
      tabIndex={stop ? 0 : -1}
      data-row={index}
      data-lit={lit || undefined}
    >
      {children}
    </Table.Row>
  );
}

/** One figure with its name. */
export function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Text>
      <Text as="span" color="graphite">
        {name}:{" "}
      </Text>
      <Text as="span" fontWeight="600">
        {children}
      </Text>
    </Text>
  );
}

export function Note({ children }: { children: ReactNode }) {
  return (
    <Text color="graphite" fontSize="sm">
      {children}
    </Text>
  );
}
