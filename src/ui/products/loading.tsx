import { Text } from "@chakra-ui/react";
import dynamic from "next/dynamic";
import type { ComponentType } from "react";

/** A component that is fetched when it is first shown; `says` stands in its place meanwhile. */
export function later<P>(fetch: () => Promise<ComponentType<P>>, says: string): ComponentType<P> {
  return dynamic(fetch, {
    ssr: false,
    loading: () => (
      <Text p="6" color="graphite">
        {says}
      </Text>
    ),
  });
}
