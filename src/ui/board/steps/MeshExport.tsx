"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { useState } from "react";
import { partName } from "@/words/parts";
import { solids } from "@/workers/services";
import type { MeshFormat } from "@/workers/solid.messages";
import { ChoiceField } from "../../fields/ChoiceField";
import { download, fileStem } from "../../files/files";
import { useDesign, useWeighing } from "../../session/BenchContext";
import { Group } from "./Group";

const WHOLE = "whole";

/** The whole knife or one part as a mesh file, in millimetres. */
export function MeshExport() {
  const design = useDesign();
  const weighing = useWeighing();
  const parts = weighing?.ok ? weighing.report.parts : [];
  const [wanted, setWanted] = useState(WHOLE);
  const [busy, setBusy] = useState<MeshFormat | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const part = parts.find((p) => p.id === wanted) ?? null;
  const names = Object.fromEntries(parts.map((p) => [p.id, partName(p.key)]));
  const save = async (format: MeshFormat) => {
    setBusy(format);
    setSaid(null);
    const answer = await solids().ask((s) => s.exportFile(design, part?.id ?? null, format, names));
    setBusy(null);
    if (!answer.ok) setSaid(`The file could not be made: ${answer.message}`);
    else if (!answer.value) setSaid("That part has no volume: there is nothing to write.");
    else {
      const stem = fileStem(part ? `${design.name} ${partName(part.key)}` : design.name);
      download(new Blob([answer.value as BlobPart], { type: `model/${format}` }), `${stem}.${format}`);
    }
  };
  return (
    <Group title="Mesh files">
      <ChoiceField
        label="What to write"
        wide
        value={part ? wanted : WHOLE}
        choices={[
          { value: WHOLE, name: "The whole knife" },
          ...parts.map((p) => ({ value: p.id, name: partName(p.key) })),
        ]}
        onChange={setWanted}
      />
      <Stack direction="row" gap="2">
        {(["stl", "3mf"] as const).map((format) => (
          <Button
            key={format}
            size="xs"
            variant="outline"
            loading={busy === format}
            disabled={busy !== null || parts.length === 0}
            onClick={() => void save(format)}
          >
            <Download /> {format.toUpperCase()}
          </Button>
        ))}
      </Stack>
      <Text color="graphite" fontSize="sm">
        In millimetres. 3MF keeps the parts apart and states its unit; STL does not.
      </Text>
      {said && <Text color="fault">{said}</Text>}
    </Group>
  );
}
