"use client";
import { Box, Button, Flex, Text } from "@chakra-ui/react";
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
  return (
    <Flex flex="1" minW="0" minH="0" position="relative">
      {solid ? <SolidView /> : <Board />}
      <Box position="absolute" right={solid ? "222px" : "182px"} top="1.5" zIndex="3">
        <Button size="xs" variant="outline" bg="sheet" onClick={() => setSolid(!solid)}>
          {solid ? "Drawing" : "Solid view"}
        </Button>
      </Box>
    </Flex>
  );
}
