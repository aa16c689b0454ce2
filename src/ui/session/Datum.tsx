"use client";
import { Text } from "@chakra-ui/react";
import { DATUM_HELP, datumWords } from "@/words/balance";
import { useDesign } from "./BenchContext";

/** The front of the guard, or of the handle; what that is when it is pointed at. */
export function Datum() {
  const guard = useDesign((d) => d.guard);
  return (
    <Text as="abbr" title={DATUM_HELP} textDecoration="underline dotted" textUnderlineOffset="3px">
      {datumWords({ guard })}
    </Text>
  );
}
