"use client";
import { Button, Flex, Text } from "@chakra-ui/react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { Board } from "./Board";

const SolidView = dynamic(() => import("../solid/SolidView").then((m) => m.SolidView), {
  ssr: false,
  loading: () => (
    <Text p="6" color="graphite">
      Loading the solid view …
    </Text>
  ),
});

/** The shop drawing, or the knife as solids. */
export function Views() {
  const [solid, setSolid] = useState(false);
  // In the column beside the drawing, where it covers nothing.
  const other = (
    <Button size="2xs" variant="outline" bg="sheet" w="full" onClick={() => setSolid(!solid)}>
      {solid ? "Drawing" : "Solid view"}
    </Button>
  );
  return (
    <Flex flex="1" minW="0" minH="0">
      {solid ? <SolidView other={other} /> : <Board other={other} />}
    </Flex>
  );
}
