import { Box, Grid, Heading, Stack, Table, Text } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A titled part of the fit-up sheet, what it follows from beside it. */
export function Section(props: { id: string; title: string; settings?: ReactNode; children: ReactNode }) {
  return (
    <Box as="section" id={props.id} aria-label={props.title} scrollMarginTop="4">
      <Heading as="h2" size="md" fontWeight="600" borderBottomWidth="2px" borderColor="ink" pb="1" mb="3">
        {props.title}
      </Heading>
      <Grid templateColumns={props.settings ? "minmax(0, 1fr) 300px" : "minmax(0, 1fr)"} gap="6">
        <Stack gap="3" minW="0">
          {props.children}
        </Stack>
        {props.settings && (
          <Stack gap="2" borderLeftWidth="1px" pl="4">
            {props.settings}
          </Stack>
        )}
      </Grid>
    </Box>
  );
}

export interface Column<R> {
  readonly name: string;
  readonly of: (row: R) => ReactNode;
  readonly number?: boolean;
}

/** Rows of figures; numbers to the right. Says so when there are none. */
export function Figures<R>(props: {
  rows: readonly R[];
  keyOf: (row: R, i: number) => string;
  columns: readonly Column<R>[];
  none: string;
  label: string;
}) {
  if (props.rows.length === 0) return <Text color="graphite">{props.none}</Text>;
  return (
    <Box overflowX="auto">
      <Table.Root
        size="sm"
        aria-label={props.label}
        css={{
          "& th, & td": { bg: "transparent", color: "ink", px: "2", fontSize: "md" },
          "& tr": { bg: "transparent" },
        }}
      >
        <Table.Header>
          <Table.Row>
            {props.columns.map((c) => (
              <Table.ColumnHeader key={c.name} textAlign={c.number ? "end" : "start"} fontWeight="600">
                {c.name}
              </Table.ColumnHeader>
            ))}
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {props.rows.map((row, i) => (
            <Table.Row key={props.keyOf(row, i)}>
              {props.columns.map((c) => (
                <Table.Cell
                  key={c.name}
                  textAlign={c.number ? "end" : "start"}
                  whiteSpace={c.number ? "nowrap" : undefined}
                >
                  {c.of(row)}
                </Table.Cell>
              ))}
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
    </Box>
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
