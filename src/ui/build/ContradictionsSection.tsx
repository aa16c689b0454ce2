"use client";
import { Box, Button, Flex, Stack, Text } from "@chakra-ui/react";
import { nanoid } from "nanoid";
import type { Contradicted, WeighedRemedy } from "@/core/plan/buildSheet";
import { withWayBack } from "@/core/plan/progress";
import { useUnits } from "@/store/settings";
import { byCount, counted, smallFirst } from "@/words/grammar";
import { plannedWords } from "@/words/plan";
import { contradictionWords, remedyCosts, remedyWords } from "@/words/waysBack";
import { useMaterialOf } from "../kit/materials";
import { Section } from "../report/Section";
import { useBench } from "../session/BenchContext";
import { useBuild } from "./BuildContext";

/** Where the design asks for something that what is done contradicts, with what each way out costs. */
export function ContradictionsSection() {
  const { sheet } = useBuild();
  const { contradicted } = sheet;
  if (contradicted.length === 0) return null;
  return (
    <Section id="contradicted" title="Cut otherwise than it is drawn now">
      <Text>
        {counted(contradicted.length, "thing is", "things are")} done otherwise than the design says now.
        Choose for each what gives way.
      </Text>
      <Stack gap="4" data-testid="contradictions">
        {contradicted.map((c, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two may say the same of alike holes
          <One key={i} of={c} />
        ))}
      </Stack>
    </Section>
  );
}

/** What a piece is called, by the id that its stock has. */
function usePieceName(): (id: string) => string {
  const { sheet } = useBuild();
  return (id) => {
    const bare = id.split(" ")[0];
    const task = sheet.tasks.find((t) => t.id === `saw-piece:${bare}`);
    if (task) return plannedWords(task).replace(/^Saw: /, "");
    return bare === "blade" ? "Blade and tang" : bare;
  };
}

const ofPieces = (pieces: readonly number[]): string =>
  `${byCount(pieces.length, "Piece", "Pieces")} ${pieces.map((p) => p + 1).join(", ")}`;

function One({ of }: { of: Contradicted }) {
  const { plan } = useBuild();
  const units = useUnits();
  const materialOf = useMaterialOf();
  const pieceName = usePieceName();
  const materialName = (id: string) => materialOf(id)?.name ?? id;
  return (
    <Box borderLeftWidth="3px" borderColor="warn" ps="3">
      <Text fontWeight="600">
        {plan.pieces > 1 && `${ofPieces(of.pieces)}: `}
        {contradictionWords(of, units, materialName, pieceName)}
      </Text>
      {!of.pieces.includes(0) && (
        <Text fontSize="sm" color="graphite">
          To cut that piece anew, take its tick back at the task.
        </Text>
      )}
      <Stack gap="1.5" mt="1.5">
        {of.remedies.map((r) => (
          <RemedyRow key={r.code} of={of} remedy={r} pieceName={pieceName} />
        ))}
      </Stack>
    </Box>
  );
}

function RemedyRow(props: { of: Contradicted; remedy: WeighedRemedy; pieceName: (id: string) => string }) {
  const { of, remedy, pieceName } = props;
  const units = useUnits();
  const { edit } = useBench();
  const { change, sheet } = useBuild();
  const name = remedyWords(remedy.code);
  const take = () => {
    if (remedy.change) edit({ code: "resolve", change: remedy.change });
    if (remedy.code === "as-cut") return;
    const id = nanoid(12);
    change((p) => withWayBack(p, sheet.tasks, remedy, { id, on: of.what.task, at: Date.now(), note: "" }));
  };
  return (
    <Flex gap="2" align="center" wrap="wrap">
      <Text flex="1" minW="220px" fontSize="sm">
        {name}: <b>{smallFirst(remedyCosts(remedy, units, pieceName))}</b>
      </Text>
      <Button
        size="xs"
        variant="outline"
        disabled={remedy.becomes === null}
        aria-label={`Do this: ${name}`}
        onClick={take}
      >
        Do this
      </Button>
    </Flex>
  );
}
