import { Alert, CloseButton, Stack } from "@chakra-ui/react";
import { byCount } from "@/words/grammar";

export interface RefusedFile {
  readonly name: string;
  readonly reason: string;
}

/** Files that could not be taken in, each with why; stays until it is put away. */
export function RefusedFiles({ files, onClose }: { files: readonly RefusedFile[]; onClose: () => void }) {
  if (files.length === 0) return null;
  return (
    <Alert.Root status="error" role="alert">
      <Alert.Indicator />
      <Stack gap="1" flex="1" minW="0">
        <Alert.Title>
          Not imported: {byCount(files.length, "a file", `${files.length} files`)} could not be read
        </Alert.Title>
        {files.map((f) => (
          <Alert.Description key={f.name} overflowWrap="anywhere">
            <b>{f.name}</b>: {f.reason}
          </Alert.Description>
        ))}
      </Stack>
      <CloseButton size="sm" aria-label="Close this message" onClick={onClose} />
    </Alert.Root>
  );
}
