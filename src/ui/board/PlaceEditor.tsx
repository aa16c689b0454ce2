"use client";
import { Box, IconButton, Stack, Text } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useEffect, useRef } from "react";
import { LengthField } from "../fields/LengthField";

export interface PlaceTarget {
  readonly title: string;
  /** px on the drawing that the editor stands beside. */
  readonly px: readonly [number, number];
  readonly fields: readonly {
    readonly label: string;
    readonly mm: number;
    readonly min: number;
    readonly max: number;
    readonly onChange: (mm: number) => void;
  }[];
}

/** The numbers of one point, editable beside it on the drawing. Escape puts it away. */
export function PlaceEditor({ target, onClose }: { target: PlaceTarget; onClose: () => void }) {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    box.current?.querySelector("input")?.focus();
  }, []);
  const [x, y] = target.px;
  return (
    <Box
      ref={box}
      role="dialog"
      aria-label={target.title}
      position="absolute"
      left={`${Math.max(4, x + 18)}px`}
      top={`${Math.max(4, y - 60)}px`}
      w="230px"
      bg="sheet"
      borderWidth="1px"
      borderColor="line"
      borderRadius="md"
      boxShadow="md"
      p="3"
      zIndex="5"
      onKeyDown={(e) => {
        if (e.key === "Escape") onClose();
      }}
    >
      <IconButton
        aria-label="Close"
        size="2xs"
        variant="ghost"
        position="absolute"
        right="1"
        top="1"
        onClick={onClose}
      >
        <X />
      </IconButton>
      <Text fontWeight="600" mb="2" pe="6">
        {target.title}
      </Text>
      <Stack gap="2">
        {target.fields.map((f, i) => (
          <Box key={f.label}>
            <Text fontSize="sm" color="graphite">
              {f.label}
            </Text>
            <LengthField
              bare
              label={`${target.title}: ${f.label}`}
              mm={f.mm}
              min={f.min}
              max={f.max}
              onChange={f.onChange}
              autoFocus={i === 0}
            />
          </Box>
        ))}
      </Stack>
    </Box>
  );
}
