"use client";
import { Button, Stack, Table, Text } from "@chakra-ui/react";
import { useState } from "react";
import type { PartAgreement } from "@/core/figures/weigh/agreement";
import type { ProductDesign } from "@/core/knife/design/product";
import { partName } from "@/words/parts";
import { solids } from "@/workers/services";
import { useProduct, useWeighing } from "../../session/BenchContext";
import { Group } from "./Group";

interface Reading {
  readonly design: ProductDesign;
  readonly parts: readonly PartAgreement[];
}

/** How far the mesh kernel's reading of every part agrees with the integrator's. */
export function SecondReading() {
  const design = useProduct((d) => d);
  const weighing = useWeighing();
  const [reading, setReading] = useState<Reading | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const compare = async () => {
    setBusy(true);
    const answer = await solids().ask((s) => s.agreement(design));
    setBusy(false);
    if (answer.ok) setReading({ design, parts: answer.value });
    setSaid(answer.ok ? null : `The second reading failed: ${answer.message}`);
  };
  const names = new Map(weighing?.ok ? weighing.report.parts.map((p) => [p.id, partName(p.key)]) : []);
  return (
    <Group title="Cross-check">
      <Text color="graphite" fontSize="sm">
        The same parts measured by another method, solids of triangles at two finenesses. Takes a few seconds.
      </Text>
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        loading={busy}
        disabled={!weighing?.ok}
        onClick={() => void compare()}
      >
        Compare both methods
      </Button>
      {said && <Text color="fault">{said}</Text>}
      {reading && (
        <Stack gap="1" data-testid="second-reading">
          {reading.design !== design && (
            <Text color="warn" fontSize="sm">
              The design has changed since.
            </Text>
          )}
          <Text>{summary(reading.parts)}</Text>
          <Table.Root size="sm" css={{ "& th, & td": { bg: "sheet", color: "ink", px: "1" } }}>
            <Table.Header>
              <Table.Row>
                <Table.ColumnHeader>Part</Table.ColumnHeader>
                <Table.ColumnHeader textAlign="end">Volume, mm³</Table.ColumnHeader>
                <Table.ColumnHeader textAlign="end">Mesh</Table.ColumnHeader>
              </Table.Row>
            </Table.Header>
            <Table.Body>
              {reading.parts.map((p) => (
                <Table.Row key={p.id}>
                  <Table.Cell>{names.get(p.id) ?? p.id}</Table.Cell>
                  <Table.Cell textAlign="end">{p.volumeMm3.toFixed(1)}</Table.Cell>
                  <Table.Cell textAlign="end">{percent(p)}</Table.Cell>
                </Table.Row>
              ))}
            </Table.Body>
          </Table.Root>
        </Stack>
      )}
    </Group>
  );
}

/** The mesh's difference from the integrator, in per cent; in mm³ for parts too small for that to mean much. */
function percent({ volumeMm3, meshVolumeMm3 }: PartAgreement): string {
  const off = meshVolumeMm3 - volumeMm3;
  if (!(volumeMm3 > 20)) return `${signed(off, 2)} mm³`;
  return `${signed((100 * off) / volumeMm3, 3)} %`;
}

function signed(value: number, digits: number): string {
  const text = Math.abs(value).toFixed(digits);
  return Number(text) === 0 ? text : `${value < 0 ? "−" : "+"}${text}`;
}

function summary(parts: readonly PartAgreement[]): string {
  const [ours, mesh] = [
    parts.reduce((s, p) => s + p.volumeMm3, 0),
    parts.reduce((s, p) => s + p.meshVolumeMm3, 0),
  ];
  const worst = parts
    .filter((p) => p.volumeMm3 > 200)
    .reduce((most, p) => Math.max(most, Math.abs(p.meshVolumeMm3 / p.volumeMm3 - 1)), 0);
  return `Volumes of the whole agree within ${(100 * Math.abs(mesh / ours - 1)).toFixed(3)} %, of every part over 200 mm³ within ${(100 * worst).toFixed(3)} %.`;
}
