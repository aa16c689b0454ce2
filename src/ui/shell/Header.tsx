"use client";
import { Box, Flex, HStack, IconButton, Link } from "@chakra-ui/react";
import { Moon, Sun } from "lucide-react";
import { usePathname } from "next/navigation";
import { useTheme } from "next-themes";
import { type ReactNode, useEffect, useState } from "react";
import { NearLink } from "../kit/NearLink";
import { StorageBar } from "./StorageBar";
import { UnitsSwitch } from "./UnitsSwitch";

/** Views of a knife need the room on a narrow screen: what is spared there they lead to themselves. */
const PLACES: readonly { readonly href: string; readonly name: string; readonly spared?: true }[] = [
  { href: "/", name: "Rack" },
  { href: "/shelf", name: "Shelf", spared: true },
  { href: "/schedule", name: "Schedule", spared: true },
  { href: "/lines", name: "Lines", spared: true },
  { href: "/stock", name: "Materials", spared: true },
  { href: "/workshop", name: "Workshop", spared: true },
  { href: "/settings", name: "Settings" },
];

/** The strip along the top of every screen: where one is, and what the screen itself puts beside that. */
export function Header({ children }: { children?: ReactNode }) {
  const path = usePathname();
  return (
    <>
      <Flex
        as="header"
        minH="52px"
        h={{ lg: "52px" }}
        px={{ base: "2", sm: "4" }}
        py={{ base: "1", lg: "0" }}
        columnGap={{ base: "2", xl: "4" }}
        rowGap="1"
        wrap={{ base: "wrap", lg: "nowrap" }}
        align="center"
        bg="sheet"
        borderBottomWidth="1px"
        flexShrink="0"
      >
        <Link
          asChild
          fontWeight="600"
          fontSize="lg"
          letterSpacing="0.02em"
          color="ink"
          _hover={{ textDecoration: "none" }}
        >
          <NearLink href="/">Euaxis</NearLink>
        </Link>
        <HStack
          as="nav"
          aria-label="Places"
          gap={{ base: "0", sm: "1" }}
          wrap={{ base: "wrap", md: "nowrap" }}
          flex={children ? undefined : { base: "1 0 100%", md: "0 0 auto" }}
          order={children ? undefined : { base: "2", md: "0" }}
        >
          {PLACES.map(({ href, name, spared }) => {
            const here = path === href;
            return (
              <Link
                key={href}
                asChild
                px={{ base: "1.5", sm: "2" }}
                py="1"
                hideBelow={spared && children ? "2xl" : undefined}
                color={here ? "ink" : "graphite"}
                fontWeight={here ? "600" : "500"}
                borderBottomWidth="2px"
                borderColor={here ? "ink" : "transparent"}
                borderRadius="0"
              >
                <NearLink href={href} aria-current={here ? "page" : undefined}>
                  {name}
                </NearLink>
              </Link>
            );
          })}
        </HStack>
        {/* What the screen puts here has a row of its own where the window is narrow. */}
        <Box
          flex={children ? { base: "1 0 100%", lg: "1" } : "1"}
          order={children ? { base: "1", lg: "0" } : undefined}
          minW="0"
        >
          {children}
        </Box>
        <HStack gap={{ base: "1", xl: "4" }} ms="auto">
          <UnitsSwitch />
          <LightSwitch />
        </HStack>
      </Flex>
      <StorageBar />
    </>
  );
}

function LightSwitch() {
  const { resolvedTheme, setTheme } = useTheme();
  const [shown, setShown] = useState(false);
  useEffect(() => setShown(true), []);
  const dark = shown && resolvedTheme === "dark";
  return (
    <IconButton
      aria-label={dark ? "Light colours" : "Dark colours"}
      title={dark ? "Light colours" : "Dark colours"}
      variant="ghost"
      size="sm"
      onClick={() => setTheme(dark ? "light" : "dark")}
    >
      {dark ? <Sun /> : <Moon />}
    </IconButton>
  );
}
