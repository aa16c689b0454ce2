import { Box, Flex, Heading, HStack, Text } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A page's title with a word on what it is for, and what can be done with the whole of it at its end. */
export function PageHead(props: { title: string; note: string; children: ReactNode }) {
  return (
    <Flex align="end" justify="space-between" gap="4" wrap="wrap">
      <Box>
        <Heading as="h1" size="2xl" fontWeight="600">
          {props.title}
        </Heading>
        <Text color="graphite" maxW="620px">
          {props.note}
        </Text>
      </Box>
      <HStack wrap="wrap">{props.children}</HStack>
    </Flex>
  );
}
