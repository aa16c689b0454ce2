"use client";
import { ChakraProvider } from "@chakra-ui/react";
import { ThemeProvider } from "next-themes";
import type { ReactNode } from "react";
import { FocusKeeper } from "../kit/FocusKeeper";
import { KnownMaterials } from "../kit/materials";
import { Notices } from "../kit/Notices";
import { system } from "../kit/theme";
import { ConflictNotices } from "./ConflictNotices";
import { EmotionRegistry } from "./EmotionRegistry";

/** Theme, light and dark, and notices for everything below. */
export function Providers({ nonce, children }: { nonce?: string; children: ReactNode }) {
  return (
    <EmotionRegistry>
      <ChakraProvider value={system}>
        <ThemeProvider attribute="class" disableTransitionOnChange nonce={nonce}>
          <KnownMaterials>{children}</KnownMaterials>
          <Notices />
          <FocusKeeper />
          <ConflictNotices />
        </ThemeProvider>
      </ChakraProvider>
    </EmotionRegistry>
  );
}
