"use client";
import { ChakraProvider } from "@chakra-ui/react";
import { ThemeProvider } from "next-themes";
import type { ReactNode } from "react";
import { EmotionRegistry } from "./EmotionRegistry";
import { Notices } from "./shell/Notices";
import { system } from "./theme";

/** Theme, light and dark, and notices for everything below. */
export function Providers({ children }: { children: ReactNode }) {
  return (
    <EmotionRegistry>
      <ChakraProvider value={system}>
        <ThemeProvider attribute="class" disableTransitionOnChange>
          {children}
          <Notices />
        </ThemeProvider>
      </ChakraProvider>
    </EmotionRegistry>
  );
}
