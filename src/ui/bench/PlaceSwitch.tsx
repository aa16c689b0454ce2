"use client";
import { Button, HStack } from "@chakra-ui/react";
import { useViews } from "../session/BenchContext";
import { MORE_PLACES, type MorePlace } from "../session/product";

export type Place = "bench" | MorePlace;
const NAMES: Readonly<Record<Place, string>> = {
  bench: "Bench",
  balance: "Balance",
  fit: "Fit-up",
  compare: "Compare",
  sheets: "Sheets",
  build: "Build",
  pattern: "Bring in a pattern",
};
/** What a view is called. */
export const placeName = (place: Place): string => NAMES[place];
/** Those that the switch leads to: to the pattern something on the bench does. */
const PLACES: readonly Place[] = ["bench", ...MORE_PLACES.filter((p) => p !== "pattern")];

const VIEW = "view";

/** The view that the address names; the bench where it names none. */
export function placeInAddress(): Place {
  const named = new URLSearchParams(window.location.search).get(VIEW);
  return MORE_PLACES.find((id) => id === named) ?? "bench";
}

/** Puts the view into the address, so that a reload comes back to it. */
export function putInAddress(place: Place): void {
  const url = new URL(window.location.href);
  url.hash = "";
  if (place === "bench") url.searchParams.delete(VIEW);
  else url.searchParams.set(VIEW, place);
  window.history.replaceState(window.history.state, "", url);
}

/** Which view is open, of those that the product offers. */
export function PlaceSwitch({ place, onChange }: { place: Place; onChange: (to: Place) => void }) {
  const { places } = useViews();
  return (
    <HStack gap="1" role="group" aria-label="Views of this knife">
      {PLACES.filter((p) => p === "bench" || places[p]).map((p) => (
        <Button
          key={p}
          size="sm"
          px={{ base: "1", xl: "2.5" }}
          variant={p === place ? "solid" : "ghost"}
          aria-pressed={p === place}
          onClick={() => onChange(p)}
        >
          {NAMES[p]}
        </Button>
      ))}
    </HStack>
  );
}
