"use client";
import { Alert, Stack } from "@chakra-ui/react";
import { Upload } from "lucide-react";
import { useState } from "react";
import { printLengthShort } from "@/core/base/units/print";
import { LARGEST_MESH_BYTES, type MeshUnit, MM_PER } from "@/core/exchange/files/mesh/soup";
import { freeId } from "@/core/figures/fit/openSpot";
import { isFull } from "@/core/knife/design/limits";
import { encodeMesh } from "@/core/knife/design/storedMesh";
import { useUnits } from "@/store/settings";
import { MESH_UNIT_WORDS, repairWords, shapeFailureWords } from "@/words/shapes";
import { solids } from "@/workers/services";
import { LengthAt, ShareAt, useAt } from "../../bound/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { FileButton } from "../../fields/FileButton";
import { useBench, useDesign } from "../../session/BenchContext";

type Said = { readonly status: "success" | "error"; readonly lines: readonly string[] };

/** Takes a shape from a file, says what was done to it, and keeps it in the knife. */
export function ImportShape({ onImported }: { onImported: (meshId: string) => void }) {
  const { edit, session } = useBench();
  const full = useDesign((d) => isFull(d, "meshes"));
  const units = useUnits();
  const [unit, setUnit] = useState<MeshUnit | "guess">("guess");
  const [said, setSaid] = useState<Said | null>(null);
  const [busy, setBusy] = useState(false);

  const read = async (file: File) => {
    if (file.size > LARGEST_MESH_BYTES) {
      const failure = { ok: false, code: "too-large", bytes: file.size, limit: LARGEST_MESH_BYTES } as const;
      const words = shapeFailureWords(failure, units);
      setSaid({ status: "error", lines: [`${file.name}: ${words}`] });
      return;
    }
    setBusy(true);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const answer = await solids().ask((s) => s.importShape(bytes, unit === "guess" ? null : unit));
    setBusy(false);
    if (!answer.ok) {
      setSaid({ status: "error", lines: [`${file.name}: ${answer.message}`] });
      return;
    }
    const shape = answer.value;
    if (!shape.ok) {
      setSaid({ status: "error", lines: [`${file.name}: ${shapeFailureWords(shape, units)}`] });
      return;
    }
    const id = freeId("shape", session.getState().design.meshes);
    const item = { id, name: file.name.slice(0, 120), ...encodeMesh(shape.mesh) };
    const refused = edit({ code: "add", list: "meshes", item });
    if (refused) return;
    onImported(id);
    const size = shape.sizeMm.map((mm) => printLengthShort(mm, units, 1)).join(" × ");
    setSaid({
      status: "success",
      lines: [
        `${file.name}: ${size} ${units === "metric" ? "mm" : "in"}, closed.`,
        ...shape.repairs.map(repairWords),
      ],
    });
  };

  return (
    <Stack gap="2">
      <ChoiceField
        label="A file's unit"
        value={unit}
        choices={[
          { value: "guess", name: "As it says, or by its size" },
          ...(Object.keys(MM_PER) as MeshUnit[]).map((value) => ({ value, name: MESH_UNIT_WORDS[value] })),
        ]}
        onChange={(to) => setUnit(to as MeshUnit | "guess")}
      />
      <FileButton
        size="xs"
        alignSelf="start"
        loading={busy}
        disabled={full}
        accept=".stl,.3mf"
        testId="shape-file"
        failure="The file could not be read"
        onFiles={([file]) => read(file)}
      >
        <Upload /> Import a shape (STL, 3MF)
      </FileButton>
      {said && (
        <Alert.Root status={said.status} size="sm" data-testid="shape-said">
          <Alert.Indicator />
          <Alert.Content>
            {said.lines.map((line) => (
              <Alert.Description key={line}>{line}</Alert.Description>
            ))}
          </Alert.Content>
        </Alert.Root>
      )}
    </Stack>
  );
}

const FORWARD = ["x", "-x", "y", "-y", "z", "-z"] as const;

type MeshPlacePath = "guard.mesh" | `handle.${"pieces" | "halves"}.${number}.shape.place`;

/** Which shape stands there, and how it is turned. */
export function MeshPlaceFields({ at }: { at: MeshPlacePath }) {
  const meshes = useDesign((d) => d.meshes);
  const [meshId, putMesh] = useAt<string>(`${at}.meshId`);
  const [forward, putForward] = useAt<(typeof FORWARD)[number]>(`${at}.forward`);
  return (
    <>
      <ChoiceField
        label="Imported shape"
        value={meshId}
        choices={meshes.map((m) => ({ value: m.id, name: m.name }))}
        onChange={putMesh}
      />
      <ChoiceField
        label="Its axis toward the tip"
        value={forward}
        choices={FORWARD.map((value) => ({ value, name: value.replace("-", "−").toUpperCase() }))}
        onChange={putForward}
      />
      <ShareAt at={`${at}.rollDeg`} unit="°" />
      <LengthAt at={`${at}.yMm`} />
    </>
  );
}
