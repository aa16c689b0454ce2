"use client";
import { Button, Field, Flex, Heading, HStack, NativeSelect, Stack, Text } from "@chakra-ui/react";
import { useTheme } from "next-themes";
import { useEffect, useState } from "react";
import { addDemoKnives } from "@/store/demo";
import { changeSettings, useSettings } from "@/store/settings";
import { BackupSection } from "../backup/BackupSection";
import { attempt, notices } from "../kit/notice";
import { Header } from "../shell/Header";
import { UnitsSwitch } from "../shell/UnitsSwitch";

const SNAPS = [
  { mm: 0, name: "Free" },
  { mm: 0.1, name: "0.1 mm" },
  { mm: 0.5, name: "0.5 mm" },
  { mm: 1, name: "1 mm" },
  { mm: 25.4 / 64, name: "1/64 in" },
  { mm: 25.4 / 16, name: "1/16 in" },
];

/** Units, light, drag step, demo knives. */
export function SettingsScreen() {
  const settings = useSettings();
  const { theme, setTheme } = useTheme();
  const [shown, setShown] = useState(false);
  useEffect(() => setShown(true), []);
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="640px" mx="auto" px="6" py="5" gap="6">
        <Heading as="h1" size="2xl" fontWeight="600">
          Settings
        </Heading>
        <Stack bg="sheet" borderWidth="1px" borderRadius="md" p="5" gap="5">
          <Field.Root>
            <Field.Label>Units</Field.Label>
            <UnitsSwitch />
            <Field.HelperText>
              Lengths can be typed any way whatever is chosen: 3/16, 1 1/4", 4.76mm, .257, #13, F.
            </Field.HelperText>
          </Field.Root>
          <Field.Root>
            <Field.Label>Step that dragged points fall on</Field.Label>
            <NativeSelect.Root width="220px">
              <NativeSelect.Field
                value={String(settings.snapMm)}
                onChange={(e) => void changeSettings({ snapMm: Number(e.target.value) })}
              >
                {SNAPS.map((s) => (
                  <option key={s.name} value={String(s.mm)}>
                    {s.name}
                  </option>
                ))}
              </NativeSelect.Field>
              <NativeSelect.Indicator />
            </NativeSelect.Root>
            <Field.HelperText>Hold Alt while dragging to place a point freely.</Field.HelperText>
          </Field.Root>
          <Field.Root>
            <Field.Label>Colours</Field.Label>
            <NativeSelect.Root width="220px">
              <NativeSelect.Field
                value={shown ? (theme ?? "system") : "system"}
                onChange={(e) => setTheme(e.target.value)}
              >
                <option value="system">As this device is set</option>
                <option value="light">Light</option>
                <option value="dark">Dark</option>
              </NativeSelect.Field>
              <NativeSelect.Indicator />
            </NativeSelect.Root>
          </Field.Root>
        </Stack>
        <BackupSection />
        <Stack bg="sheet" borderWidth="1px" borderRadius="md" p="5" gap="3">
          <Text fontWeight="600">Demo knives</Text>
          <Text color="graphite">
            Adds the made-up knives of the Tarn Hollow workshop to the rack again. Yours stay as they are.
          </Text>
          <HStack>
            <Button
              variant="outline"
              onClick={() =>
                void attempt("The demo knives were not laid out", async () => {
                  if (await addDemoKnives()) notices.success({ title: "The demo knives are on the rack" });
                })
              }
            >
              Add the demo knives
            </Button>
          </HStack>
        </Stack>
      </Stack>
    </Flex>
  );
}
