"use client";
import { Button, Flex, NativeSelect, Stack, Text } from "@chakra-ui/react";
import { Copy, Plus, Trash2 } from "lucide-react";
import { useEffect } from "react";
import type { Workshop } from "@/core/knife/design/record/workshop";
import { MOST_LETTERS } from "@/core/knife/design/workshopParts";
import { freeName } from "@/store/knives";
import {
  addWorkshop,
  changeWorkshop,
  firstWorkshop,
  removeWorkshop,
  usePresentWorkshop,
  useWorkshops,
  workIn,
} from "@/store/workshops";
import { BinLink } from "../bin/BinLink";
import { NameField } from "../fields/NameField";
import { attempt } from "../kit/notice";
import { offerBack } from "../kit/offerBack";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { WorkshopFields } from "./WorkshopFields";

/** What the maker's workshop has and how it works: every knife that follows it is fitted up by it. */
export function WorkshopScreen() {
  const list = useWorkshops();
  const present = usePresentWorkshop();
  useEffect(() => void attempt("The workshop could not be opened", firstWorkshop), []);
  const add = (like?: Workshop) =>
    attempt("No workshop was added", async () => {
      const taken = (list ?? []).map((w) => w.name);
      const made = await addWorkshop(freeName(like?.name ?? "Workshop", taken, MOST_LETTERS), like);
      await workIn(made.id);
    });
  const remove = (workshop: Workshop) =>
    offerBack(
      workshop.name,
      () => removeWorkshop(workshop.id),
      "Knives that followed it keep what they have of it.",
    );
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px="6" py="5" gap="4">
        <PageHead
          title="Workshop"
          note="What is there and how you work. Knives follow it: a change here holds for each of them, but for what a knife says otherwise in Fit-up."
        >
          <BinLink />
          {present && (
            <Button variant="outline" onClick={() => void add(present)}>
              <Copy /> Copy
            </Button>
          )}
          <Button variant="outline" onClick={() => void add()}>
            <Plus /> New workshop
          </Button>
        </PageHead>
        {!list && <Text color="graphite">Opening the workshop …</Text>}
        {list && list.length === 0 && (
          <Text color="graphite">There is no workshop: begin a new one, or put one back from the bin.</Text>
        )}
        {list && present && (
          <>
            <Flex gap="3" align="center" wrap="wrap">
              {list.length > 1 && (
                <NativeSelect.Root w="240px">
                  <NativeSelect.Field
                    bg="sheet"
                    aria-label="Workshop that new knives begin in"
                    value={present.id}
                    onChange={(e) => void attempt("It could not be chosen", () => workIn(e.target.value))}
                  >
                    {list.map((w) => (
                      <option key={w.id} value={w.id}>
                        {w.name}
                      </option>
                    ))}
                  </NativeSelect.Field>
                  <NativeSelect.Indicator />
                </NativeSelect.Root>
              )}
              <NameField
                key={present.id}
                w="240px"
                bg="sheet"
                aria-label="Name of the workshop"
                maxLength={MOST_LETTERS}
                name={present.name}
                onKeep={(name) =>
                  void attempt("The new name was not taken", () =>
                    changeWorkshop(present.id, (w) => ({ ...w, name })),
                  )
                }
              />
              <Text color="graphite" fontSize="sm" flex="1" minW="200px">
                New knives begin here; its rate and printer hold.
              </Text>
              {list.length > 1 && (
                <Button variant="ghost" color="fault" size="sm" onClick={() => void remove(present)}>
                  <Trash2 /> Delete
                </Button>
              )}
            </Flex>
            <WorkshopFields key={present.id} workshop={present} />
          </>
        )}
      </Stack>
    </Flex>
  );
}
