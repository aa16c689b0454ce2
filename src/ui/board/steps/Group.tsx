import { Heading, Stack } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** A titled group of fields in the step panel. */
export function Group({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    <Stack as="section" gap="2" pb="4" mb="3" borderBottomWidth="1px" aria-label={title}>
      <Stack direction="row" justify="space-between" align="center">
        <Heading as="h2" size="sm" fontWeight="600">
          {title}
        </Heading>
        {aside}
      </Stack>
      {children}
    </Stack>
  );
}
