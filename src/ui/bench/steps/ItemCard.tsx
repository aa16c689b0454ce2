"use client";
import { Box, Flex, IconButton, Text } from "@chakra-ui/react";
import { Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { useBench, useSelected } from "../BenchContext";

/** One pin, hole or liner in the panel; marked when it is picked out on the drawing. */
export function ItemCard(props: {
  id: string;
  title: string;
  onRemove?: () => void;
  aside?: ReactNode;
  children: ReactNode;
}) {
  const { setSelected } = useBench();
  const selected = useSelected();
  const picked = selected === props.id;
  return (
    <Box
      borderWidth="1px"
      borderLeftWidth="3px"
      borderLeftColor={picked ? "ink" : "rule"}
      borderRadius="sm"
      p="2.5"
      onFocusCapture={() => setSelected(props.id)}
      data-item={props.id}
    >
      <Flex justify="space-between" align="center" mb="2">
        <Text fontWeight="600">{props.title}</Text>
        <Flex align="center">
          {props.aside}
          {props.onRemove && (
            <IconButton
              size="xs"
              variant="ghost"
              aria-label={`Remove ${props.title}`}
              onClick={props.onRemove}
            >
              <Trash2 />
            </IconButton>
          )}
        </Flex>
      </Flex>
      {props.children}
    </Box>
  );
}
