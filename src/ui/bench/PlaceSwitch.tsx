"use client";
import { Button, HStack } from "@chakra-ui/react";
import { MORE_PLACES, type MorePlace } from "../products/product";
import { useViews } from "./BenchContext";

const NAMES = { balance: "Balance", fit: "Fit-up", compare: "Compare", sheets: "Sheets" } as const;
/** Views of the switch; what something on the bench leads to stands in none. */
const SWITCHED = [{ id: "bench", name: "Bench" } as const, ...switchedPlaces()];
export type Place = "bench" | MorePlace;

function switchedPlaces() {
  return MORE_PLACES.flatMap((id) => (id in NAMES ? [{ id, name: NAMES[id as keyof typeof NAMES] }] : []));
}

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
      {SWITCHED.filter((p) => p.id === "bench" || places[p.id]).map((p) => (
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
