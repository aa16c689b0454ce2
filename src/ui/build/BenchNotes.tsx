"use client";
import { Box, Flex, Image, Text } from "@chakra-ui/react";
import { Camera } from "lucide-react";
import { own } from "@/core/base/own";
import { withNote } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { putTaskPhoto } from "@/store/plans";
import { usePicture } from "@/store/usePicture";
import { FileButton } from "../fields/FileButton";
import { KeptNote } from "../fields/KeptNote";
import { useBuild } from "./BuildContext";

/** A note and a photo at the task at hand. */
export function BenchNotes({ task, name }: { task: PlannedTask; name: string }) {
  const { plan, change, knifeId } = useBuild();
  const url = usePicture(own(plan.photos, task.id) ?? null);
  return (
    <Flex gap="4" wrap="wrap" align="start">
      <Box flex="1" minW="260px">
        <Text as="label" display="block" fontSize="lg" color="graphite">
          Note
          <KeptNote
            size="lg"
            fontSize="xl"
            bg="sheet"
            color="ink"
            maxLength={2000}
            aria-label={`Note, ${name}`}
            text={own(plan.notes, task.id) ?? ""}
            onKeep={(note) => change((p) => withNote(p, task.id, note))}
          />
        </Text>
      </Box>
      <Box>
        {url && <Image src={url} alt={`Photo, ${name}`} maxH="140px" borderRadius="sm" mb="1" />}
        <FileButton
          size="xl"
          minH="56px"
          accept="image/jpeg,image/png,image/webp"
          testId="task-photo"
          failure="The photo was not taken in"
          onFiles={([file]) => putTaskPhoto(knifeId, task.id, file)}
        >
          <Camera /> {url ? "Another photo" : "Photo"}
        </FileButton>
      </Box>
    </Flex>
  );
}
