"use client";
import { ChakraProvider } from "@chakra-ui/react";
import { ThemeProvider } from "next-themes";
import type { ReactNode } from "react";
import { EmotionRegistry } from "./EmotionRegistry";
import { KnownMaterials } from "./materials";
import { ConflictNotices } from "./shell/ConflictNotices";
import { Notices } from "./shell/Notices";
import { system } from "./theme";

/** Theme, light and dark, and notices for everything below. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  return (
    <EmotionRegistry>
      <ChakraProvider value={system}>
        <ThemeProvider attribute="class" disableTransitionOnChange nonce={nonce}>
          <KnownMaterials>{children}</KnownMaterials>
          <Notices />
          <ConflictNotices />
        </ThemeProvider>
      </ChakraProvider>
    </EmotionRegistry>
  );
}
