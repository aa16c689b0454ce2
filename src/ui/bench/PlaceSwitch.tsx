"use client";
import { Button, HStack } from "@chakra-ui/react";

const PLACES = [
  { id: "bench", name: "Bench" },
  { id: "balance", name: "Balance" },
  { id: "fit", name: "Fit-up" },
] as const;
export type Place = (typeof PLACES)[number]["id"];

/** Which view of the knife is open. */
export function PlaceSwitch({ place, onChange }: { place: Place; onChange: (to: Place) => void }) {
  return (
    <HStack gap="1" role="group" aria-label="Views of this knife">
      {PLACES.map((p) => (
        <Button
          key={p.id}
          size="sm"
          px="2.5"
          variant={p.id === place ? "solid" : "ghost"}
          aria-pressed={p.id === place}
          onClick={() => onChange(p.id)}
        >
          {p.name}
        </Button>
      ))}
    </HStack>
  );
}
