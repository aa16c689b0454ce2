import { Alert, Button, HStack } from "@chakra-ui/react";
import type { StoredMaterial } from "@/store/rows";

/** What another tab did to the material that is changed here. */
export type OwnConflict =
  | { readonly code: "deleted" }
  | { readonly code: "changed"; readonly theirs: StoredMaterial };

/** Asks which of two states stands. Neither is lost. */
export function ConflictChoice(props: {
  readonly conflict: OwnConflict;
  readonly onTakeTheirs: () => void;
  readonly onKeepBoth: () => void;
}) {
  const deleted = props.conflict.code === "deleted";
  return (
    <Alert.Root status="warning" role="alert" alignItems="center" flexWrap="wrap">
      <Alert.Indicator />
      <Alert.Content minW="220px">
        <Alert.Title>
          {deleted
            ? "This material was deleted in another tab."
            : "This material was changed in another tab too."}
        </Alert.Title>
        <Alert.Description>
          {deleted ? "The bin has it as it was." : "Nothing is lost: choose which stands."}
        </Alert.Description>
      </Alert.Content>
      <HStack>
        <Button size="sm" variant="outline" onClick={props.onTakeTheirs}>
          {deleted ? "Leave it deleted" : "Take the other tab's"}
        </Button>
        <Button size="sm" onClick={props.onKeepBoth}>
          {deleted ? "Keep mine" : "Keep mine, and theirs as another"}
        </Button>
      </HStack>
    </Alert.Root>
  );
}
