"use client";
import { Alert, Button, HStack } from "@chakra-ui/react";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { useStore } from "zustand";
import { damageWords } from "@/words/storage";
import { notices } from "../kit/notice";
import { useBench } from "../session/BenchContext";

/** Says when another tab has a hand in this knife, and asks whose work stands when both have changed it. */
export function OtherTab() {
  const { autosave } = useBench();
  const { status, adopted, theirs, damaged } = useStore(autosave);
  const router = useRouter();
  useEffect(() => {
    if (adopted > 0)
      notices.info({
        id: "adopted",
        title: "Taken over from another tab",
        description: "Undo brings back what stood here.",
      });
  }, [adopted]);
  if (status === "conflict" && theirs) {
    return (
      <Alert.Root status="warning" role="alert" borderRadius="0" alignItems="center">
        <Alert.Indicator />
        <Alert.Content>
          <Alert.Title>This knife was changed in another tab too.</Alert.Title>
          <Alert.Description>
            Nothing is lost: choose which stands. The other stays on the rack or in undo.
          </Alert.Description>
        </Alert.Content>
        <HStack>
          <Button size="sm" variant="outline" onClick={() => autosave.takeTheirs()}>
            Take the other tab's
          </Button>
          <Button size="sm" onClick={() => void autosave.keepMine()}>
            Keep mine, put theirs on the rack
          </Button>
        </HStack>
      </Alert.Root>
    );
  }
  if (status === "deleted") {
    return (
      <Alert.Root status="warning" role="alert" borderRadius="0" alignItems="center">
        <Alert.Indicator />
        <Alert.Content>
          <Alert.Title>This knife was taken off the rack in another tab.</Alert.Title>
        </Alert.Content>
        <Button size="sm" onClick={() => void autosave.putBack()}>
          Put it back
        </Button>
      </Alert.Root>
    );
  }
  if (status === "unreadable" && damaged) {
    return (
      <Alert.Root status="warning" role="alert" borderRadius="0" alignItems="center">
        <Alert.Indicator />
        <Alert.Content>
          <Alert.Title>Another tab changed this knife in a way that cannot be read here.</Alert.Title>
          <Alert.Description>{damageWords(damaged.reason)}</Alert.Description>
        </Alert.Content>
        <Button size="sm" onClick={() => void autosave.keepApart().then((id) => router.push(`/knife/${id}`))}>
          Keep mine as a knife of its own
        </Button>
      </Alert.Root>
    );
  }
  return null;
}
