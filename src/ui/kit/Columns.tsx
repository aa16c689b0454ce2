"use client";
import { Box, type BoxProps, Flex, type FlexProps, Stack, type StackProps } from "@chakra-ui/react";
import type { Ref } from "react";

/**
 * A view's parts side by side in a wide window, each scrolled by itself; in a narrow one under each other, where the page
 * scrolls as a whole. What is laid out by these fits every width.
 */
export const Columns = (props: FlexProps) => (
  <Flex flex="1" minW="0" minH={{ lg: "0" }} direction={{ base: "column", lg: "row" }} {...props} />
);

/** The part that a view is about: it takes the room that is left, and scrolls. */
export const ScrolledPart = (props: BoxProps & { readonly ref?: Ref<HTMLDivElement> }) => (
  <Box flex="1" minW="0" minH="0" overflowY={{ lg: "auto" }} px={{ base: "3", sm: "6" }} py="4" {...props} />
);

/** A column with what leads through the view, at its beginning: a row of it where the window is narrow. */
export const LeadingColumn = ({ width, ...props }: StackProps & { readonly width: string }) => (
  <Stack
    as="nav"
    direction={{ base: "row", lg: "column" }}
    wrap={{ base: "wrap", lg: "nowrap" }}
    w={{ base: "full", lg: width }}
    flexShrink="0"
    bg="sheet"
    borderRightWidth={{ lg: "1px" }}
    borderBottomWidth={{ base: "1px", lg: "0" }}
    overflowY={{ lg: "auto" }}
    {...props}
  />
);

/** A column with what the view follows from, at its end: under it where the window is narrow. */
export const SettingsColumn = ({ width, ...props }: StackProps & { readonly width: string }) => (
  <Stack
    as="aside"
    w={{ base: "full", lg: width }}
    flexShrink="0"
    p="4"
    bg="sheet"
    borderLeftWidth={{ lg: "1px" }}
    borderTopWidth={{ base: "1px", lg: "0" }}
    overflowY={{ lg: "auto" }}
    {...props}
  />
);
