"use client";
import { Button, HStack, Stack, Text } from "@chakra-ui/react";
import { X } from "lucide-react";
import { LengthField } from "../fields/LengthField";
import type { HandPoints } from "./useHandPoints";

/** The points that were laid, to type and to take away; Shift and a click lays a corner. */
export function HandList({ hand }: { hand: HandPoints }) {
  return (
    <Stack gap="1" role="group" aria-label="Points laid by hand">
      <Text color="graphite" fontSize="sm">
        Click round the outline; with Shift a point is a corner. Three at least.
      </Text>
      {[...hand.points.entries()].map(([i, p]) => (
        <HStack key={i} gap="1">
          <LengthField
            bare
            label={`Point ${i + 1}, to the right`}
            mm={p.x}
            min={-20000}
            max={20000}
            onChange={(x) => hand.change(i, { x })}
          />
          <LengthField
            bare
            label={`Point ${i + 1}, up`}
            mm={p.y}
            min={-20000}
            max={20000}
            onChange={(y) => hand.change(i, { y })}
          />
          <Button
            size="2xs"
            variant="ghost"
            aria-label={`Remove point ${i + 1}`}
            onClick={() => hand.remove(i)}
          >
            <X />
          </Button>
        </HStack>
      ))}
      <Button
        size="xs"
        variant="outline"
        alignSelf="start"
        onClick={() => hand.add(hand.points[hand.points.length - 1] ?? { x: 0, y: 0 }, false)}
      >
        Add a point to type
      </Button>
    </Stack>
  );
}
