"use client";
import { Box, Table, Text } from "@chakra-ui/react";
import { own } from "@/core/base/own";
import { printLength, printMass } from "@/core/base/units/print";
import { MEASURED_BALANCE, MEASURED_MASS } from "@/core/figures/weigh/report";
import { useUnits } from "@/store/settings";
import { partName } from "@/words/parts";
import { useMaterialOf } from "../../kit/materials";
import { useReport } from "../../session/BenchContext";
import { Group } from "./Group";
import { MeshExport } from "./MeshExport";
import { SecondReading } from "./SecondReading";

/** What stands among the materials for a blade in the hand. */
const MEASURED_WORDS: Readonly<Record<string, string>> = {
  [MEASURED_MASS]: "Weighing of the blade",
  [MEASURED_BALANCE]: "Balancing of the blade",
};

/** The weight of each part, and which material the spread owes most to. */
export function PartsStep() {
  const materialOf = useMaterialOf();
  const units = useUnits();
  const report = useReport();
  if (!report) return <Text color="graphite">There is nothing to weigh until the design can be built.</Text>;
  const nameOf = (ids: string) =>
    ids
      .split("+")
      .map((id) => materialOf(id)?.name ?? own(MEASURED_WORDS, id) ?? id)
      .join(", ");
  return (
    <>
      <Group title="Weight of each part">
        <Box overflowX="auto">
          <Table.Root
            size="sm"
            data-testid="parts-table"
            css={{ "& th, & td": { bg: "sheet", color: "ink", px: "1" } }}
          >
            <Table.Header>
              <Table.Row>
                <Table.ColumnHeader>Part</Table.ColumnHeader>
                <Table.ColumnHeader textAlign="end">Weight</Table.ColumnHeader>
                <Table.ColumnHeader textAlign="end">At</Table.ColumnHeader>
              </Table.Row>
            </Table.Header>
            <Table.Body>
              {report.parts.map((p) => (
                <Table.Row key={p.id}>
                  <Table.Cell>
                    {partName(p.key)}
                    <Text fontSize="sm" color="graphite" lineHeight="1.2">
                      {nameOf(p.material)}
                    </Text>
                  </Table.Cell>
                  <Table.Cell textAlign="end" whiteSpace="nowrap">
                    {printMass(p.massG, units)}
                  </Table.Cell>
                  <Table.Cell textAlign="end" whiteSpace="nowrap">
                    {printLength(p.centreMm[0], units)}
                  </Table.Cell>
                </Table.Row>
              ))}
              <Table.Row fontWeight="600">
                <Table.Cell>Whole knife</Table.Cell>
                <Table.Cell textAlign="end">{printMass(report.massG, units)}</Table.Cell>
                <Table.Cell textAlign="end">{printLength(report.balanceMm, units)}</Table.Cell>
              </Table.Row>
            </Table.Body>
          </Table.Root>
        </Box>
      </Group>
      <Group title="Where the spread comes from">
        <Text color="graphite" fontSize="sm">
          Each material's density from its low to its high, and how far a measured blade may be off.
        </Text>
        {report.densityShares
          .filter((s) => s.massG > 0.05 || s.balanceMm > 0.05)
          .map((s) => (
            <Text key={s.material} display="flex" justifyContent="space-between">
              <span>{nameOf(s.material)}</span>
              <span>
                {printMass(s.massG, units)} · {printLength(s.balanceMm, units)}
              </span>
            </Text>
          ))}
      </Group>
      <SecondReading />
      <MeshExport />
    </>
  );
}
