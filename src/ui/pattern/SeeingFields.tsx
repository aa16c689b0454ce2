"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import type { PhotoState } from "./usePhoto";

/** How shapes are separated from their background; each change is seen at once. */
export function SeeingFields({ state }: { state: PhotoState }) {
  const { seeing, found } = state;
  const at = seeing.threshold ?? found?.threshold ?? 128;
  return (
    <Stack gap="2">
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
