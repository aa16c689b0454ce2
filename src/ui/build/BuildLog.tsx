"use client";
import { Box, Flex, IconButton, Image, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { Camera, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import { withLogged, withoutLogged } from "@/core/plan/progress";
import type { PlanRecord } from "@/core/plan/version";
import { putLoggedPhoto } from "@/store/plans";
import { usePicture } from "@/store/usePicture";
import { FileButton } from "../fields/FileButton";
import { KeptNote } from "../fields/KeptNote";
import { offerPutBack } from "../kit/offerBack";
import { Note } from "../report/Section";
import { useBuild } from "./BuildContext";

type Logged = PlanRecord["log"][number];

/** Notes and photos of the work, each with its day. */
export function BuildLog() {
  const { plan, change, knifeId } = useBuild();
  const [key, setKey] = useState(0);
  return (
    <Stack gap="2" role="group" aria-label="Notes of the work">
      {plan.log.map((l) => (
        <OneNote key={l.id} logged={l} />
      ))}
      <KeptNote
        key={key}
        aria-label="A note of today"
        placeholder="A note of today"
        maxLength={2000}
        text=""
        onKeep={(says) => {
          if (says.trim() === "") return;
          change((p) => withLogged(p, { id: nanoid(10), at: Date.now(), says: says.trim(), picture: null }));
          setKey(key + 1);
        }}
      />
      <FileButton
        size="sm"
        alignSelf="start"
        accept="image/jpeg,image/png,image/webp"
        testId="log-photo"
        failure="The photo was not taken in"
        onFiles={([file]) => putLoggedPhoto(knifeId, file)}
      >
        <Camera /> A photo of today
      </FileButton>
      <Note>A note is kept with its day when its field is left.</Note>
    </Stack>
  );
}

function OneNote({ logged }: { logged: Logged }) {
  const { change } = useBuild();
  const url = usePicture(logged.picture);
  const day = format(logged.at, "d MMM yyyy");
  const what = logged.picture === null ? "note" : "photo";
  return (
    <Flex gap="2" align="start" data-testid="logged">
      <Box flex="1">
        <Text fontSize="sm" whiteSpace="pre-wrap">
          <b>{day}</b> {logged.picture === null && logged.says}
        </Text>
        {logged.picture !== null && (
          <Flex gap="3" align="start" wrap="wrap">
            {url && <Image src={url} alt={logged.says || `Photo of ${day}`} maxH="160px" borderRadius="sm" />}
            <Box flex="1" minW="200px">
              <KeptNote
                aria-label={`A word on the photo of ${day}`}
                placeholder="A word on it"
                maxLength={2000}
                text={logged.says}
                onKeep={(says) => change((p) => withLogged(p, { ...logged, says: says.trim() }))}
              />
            </Box>
          </Flex>
        )}
      </Box>
      <IconButton
        size="2xs"
        variant="ghost"
        color="fault"
        aria-label={`Delete the ${what} of ${day}${logged.says ? `: ${logged.says.slice(0, 30)}` : ""}`}
        onClick={() => {
          change((p) => withoutLogged(p, logged.id));
          offerPutBack(what === "note" ? "Note deleted" : "Photo deleted", () =>
            change((p) => withLogged(p, logged)),
          );
        }}
      >
        <Trash2 />
      </IconButton>
    </Flex>
  );
}
