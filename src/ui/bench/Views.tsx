"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { changeUnderlay, useUnderlay } from "@/store/underlays";
import { useBench, useViews } from "../session/BenchContext";

const SolidView = dynamic(() => import("../solid/SolidView").then((m) => m.SolidView), {
  ssr: false,
  loading: () => (
    <Text p="6" color="graphite">
      Loading the solid view …
    </Text>
  ),
});

/** The shop drawing, or the same as solids. */
export function Views() {
  const [solid, setSolid] = useState(false);
  const { knifeId } = useBench();
  const { Board } = useViews();
  const underlay = useUnderlay(knifeId);
  // In the column beside the drawing, where it covers nothing.
  const other = (
    <Stack gap="1" w="full">
      <Button
        size="2xs"
        variant="outline"
        bg="sheet"
        w="full"
        data-focus="solid-view"
        onClick={() => setSolid(!solid)}
      >
        {solid ? "Drawing" : "Solid view"}
      </Button>
      {underlay && !solid && (
        <Button
          size="2xs"
          variant="outline"
          bg="sheet"
          w="full"
          aria-pressed={underlay.shown}
          onClick={() => void changeUnderlay(knifeId, { shown: !underlay.shown })}
        >
          {underlay.shown ? "Hide the photo" : "Show the photo"}
        </Button>
      )}
    </Stack>
  );
  return (
    <Flex flex={{ base: "0 0 auto", lg: "1" }} minW="0" minH="0">
      {solid ? <SolidView other={other} /> : <Board other={other} />}
    </Flex>
  );
}
