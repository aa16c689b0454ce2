"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { printLength } from "@/core/base/units/print";
import { useUnits } from "@/store/settings";
import { photoWarningWords } from "@/words/photos";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { useDesign } from "../session/BenchContext";
import type { PhotoState } from "./usePhoto";

type Lies = "unsaid" | "drawn" | "piece";

/** Whether it is drawn on the paper or lies on it, how thick it is then, and how high the camera was. */
function PieceFields({ state }: { state: PhotoState }) {
  const { seeing, found } = state;
  const units = useUnits();
  const spineMm = useDesign((d) => d.blade.spineMm);
  const { thicknessMm, cameraMm } = seeing;
  const lies: Lies = thicknessMm === null ? "unsaid" : thicknessMm === 0 ? "drawn" : "piece";
  const thickness: Readonly<Record<Lies, number | null>> = { unsaid: null, drawn: 0, piece: spineMm };
  return (
    <>
      <ChoiceField
        label="It is"
        value={lies}
        choices={[
          { value: "unsaid", name: "Choose …" },
          { value: "drawn", name: "Drawn on the paper" },
          { value: "piece", name: "A piece on the paper" },
        ]}
        onChange={(to) => void state.setSeeing({ ...seeing, thicknessMm: thickness[to] })}
      />
      {lies === "piece" && thicknessMm !== null && (
        <LengthField
          label="Its thickness"
          mm={thicknessMm}
          min={0.1}
          max={100}
          onChange={(mm) => void state.setSeeing({ ...seeing, thicknessMm: mm })}
        />
      )}
      {lies === "piece" && (
        <Tick
          label="The camera's height is known"
          checked={cameraMm !== null}
          onChange={(known) => void state.setSeeing({ ...seeing, cameraMm: known ? USUAL_CAMERA_MM : null })}
        />
      )}
      {lies === "piece" && cameraMm !== null && (
        <LengthField
          label="Camera over the paper"
          mm={cameraMm}
          min={50}
          max={10_000}
          digits={0}
          onChange={(mm) => void state.setSeeing({ ...seeing, cameraMm: mm })}
        />
      )}
      {lies === "piece" && found?.camera && cameraMm === null && (
        <Text color="graphite" fontSize="sm">
          Allowed for: the camera was {printLength(found.camera.heightMm, units, 0)} over the paper, aslant by{" "}
          {found.camera.tiltDeg.toFixed(0)}°.
        </Text>
      )}
      {found && found.lensBowMm > 0 && (
        <Text color="graphite" fontSize="sm">
          Taken out: the lens bows the sheet's edges by {printLength(found.lensBowMm, units, 1)}.
        </Text>
      )}
      {[...new Set(found?.warnings.map((w) => photoWarningWords(w, units)))].map((says) => (
        <Text key={says} color="warn" fontSize="sm" role="status">
          {says}
        </Text>
      ))}
    </>
  );
}

/** A camera in the hand over a sheet of paper, to begin from, mm. */
const USUAL_CAMERA_MM = 500;

/** How shapes are separated from their background; each change is seen at once. */
export function SeeingFields({ state }: { state: PhotoState }) {
  const { seeing, found } = state;
  const at = seeing.threshold ?? found?.threshold ?? 128;
  return (
    <Stack gap="2">
      <PieceFields state={state} />
      <ChoiceField
        label="The pattern is"
        value={seeing.shape}
        choices={[
          { value: "dark", name: "Dark on light" },
          { value: "light", name: "Light on dark" },
        ]}
        onChange={(shape) => void state.setSeeing({ ...seeing, shape })}
      />
      <ShareField
        label="Threshold"
        value={Math.round(at)}
        min={1}
        max={254}
        factor={1}
        unit=""
        digits={0}
        onChange={(threshold) => void state.setSeeing({ ...seeing, threshold })}
        help={
          seeing.threshold === null ? "Found by itself: 0 is black, 255 white." : "0 is black, 255 white."
        }
      />
      <LengthField
        label="Smooth over"
        mm={seeing.smoothMm}
        min={0}
        max={3}
        onChange={(smoothMm) => void state.setSeeing({ ...seeing, smoothMm })}
      />
      <Stack direction="row">
        <Button
          size="xs"
          variant="outline"
          disabled={seeing.threshold === null}
          onClick={() => void state.setSeeing({ ...seeing, threshold: null })}
        >
          Find the threshold
        </Button>
        <Button size="xs" variant="outline" onClick={state.backToScale}>
          Back to the true size
        </Button>
      </Stack>
      {found && found.shapes.length === 0 && (
        <Text color="fault" fontSize="sm" role="alert">
          No shape is found: change the threshold, or lay points by hand.
        </Text>
      )}
    </Stack>
  );
}
