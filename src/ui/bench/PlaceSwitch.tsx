"use client";
import { Button, HStack } from "@chakra-ui/react";

const PLACES = [
  { id: "bench", name: "Bench" },
  { id: "balance", name: "Balance" },
  { id: "fit", name: "Fit-up" },
  { id: "compare", name: "Compare" },
  { id: "sheets", name: "Sheets" },
] as const;
/** Views that something on the bench leads to, not the switch. */
const BESIDE = ["pattern"] as const;
export type Place = (typeof PLACES)[number]["id"] | (typeof BESIDE)[number];

const VIEW = "view";

/** The view that the address names; the bench where it names none. */
export function placeInAddress(): Place {
  const named = new URLSearchParams(window.location.search).get(VIEW);
  return PLACES.find((p) => p.id === named)?.id ?? BESIDE.find((id) => id === named) ?? "bench";
}

/** Puts the view into the address, so that a reload comes back to it. */
export function putInAddress(place: Place): void {
  const url = new URL(window.location.href);
  url.hash = "";
  if (place === "bench") url.searchParams.delete(VIEW);
  else url.searchParams.set(VIEW, place);
  window.history.replaceState(window.history.state, "", url);
}

/** Which view of the knife is open. */
export function PlaceSwitch({ place, onChange }: { place: Place; onChange: (to: Place) => void }) {
  return (
    <HStack gap="1" role="group" aria-label="Views of this knife">
      {PLACES.map((p) => (
        <Button
          key={p.id}
          size="sm"
          px={{ base: "1", xl: "2.5" }}
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
