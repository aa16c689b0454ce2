"use client";
import { Box, Button, HStack, Stack, Text } from "@chakra-ui/react";
import { useMemo } from "react";
import { printMass } from "@/core/base/units/print";
import { OUTLINE_ROLES } from "@/core/exchange/pattern/applyOutline";
import { refusalOf } from "@/core/knife/design/refusal";
import type { Design } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { outlineFailureWords } from "@/words/drawings";
import { ROLE_WORDS } from "@/words/patterns";
import { problemWords } from "@/words/problems";
import { createWeigher } from "@/workers/services";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { Tick } from "../fields/Tick";
import { notices } from "../kit/notice";
import { useWorkerQueries } from "../kit/useWorkerQuery";
import { useBench } from "../session/BenchContext";
import { DatumFields } from "./DatumFields";
import type { Assigned, HoleUse, Role } from "./useAssigned";

const ROLES: readonly Role[] = [...OUTLINE_ROLES, "guard"];
const USES: readonly { readonly value: HoleUse; readonly name: string }[] = [
  { value: "auto", name: "As its size says" },
  { value: "pin", name: "Pin" },
  { value: "tang-hole", name: "Hole in the tang" },
  { value: "none", name: "Leave out" },
];

/** What the picked outline is, how it lies, what its holes are, and what the knife would weigh with it. */
export function Placement({
  assigned,
  onTaken,
}: {
  assigned: Assigned;
  /** The knife has it now. */
  onTaken: () => void;
}) {
  const { role, circles } = assigned;
  return (
    <>
      <ChoiceField
        label="The picked outline is"
        wide
        value={role}
        choices={ROLES.map((r) => ({ value: r, name: ROLE_WORDS[r] }))}
        onChange={assigned.setRole}
      />
      {role !== "guard" && <Lying assigned={assigned} />}
      {circles.length > 0 && (
        <Stack gap="1">
          <Text fontWeight="600">Round holes in it</Text>
          {circles.map((c) => (
            <ChoiceField
              key={c.id}
              label={`${(2 * c.radiusMm).toFixed(2)} mm`}
              value={assigned.purposeOf(c)}
              choices={USES}
              onChange={(to) => assigned.setUse(c, to)}
            />
          ))}
        </Stack>
      )}
      <Box borderTopWidth="1px" pt="3">
        <Outcome assigned={assigned} onTaken={onTaken} />
      </Box>
    </>
  );
}

/** Where the outline lies, which way its tip and its edge are, and how closely it is followed. */
function Lying({ assigned }: { assigned: Assigned }) {
  const { placing } = assigned;
  const set = (change: Partial<typeof placing>) => assigned.setPlacing({ ...placing, ...change });
  return (
    <>
      <DatumFields
        lying={{ xMm: placing.datum.x, yMm: placing.datum.y, tipDeg: placing.tipDeg }}
        onChange={({ xMm, yMm, tipDeg }) => set({ datum: { x: xMm, y: yMm }, tipDeg })}
      />
      <HStack wrap="wrap" gap="2">
        <Button
          size="xs"
          variant="outline"
          onClick={() =>
            set({ tipDeg: placing.tipDeg + (placing.tipDeg > 0 ? -180 : 180), mirrored: !placing.mirrored })
          }
        >
          Tip at the other end
        </Button>
        <Tick
          label="Edge on the other side"
          checked={placing.mirrored}
          onChange={(mirrored) => set({ mirrored })}
        />
      </HStack>
      <LengthField
        label="Stay within"
        mm={assigned.withinMm}
        min={0.005}
        max={2}
        digits={3}
        onChange={assigned.setWithin}
        help="How far the knife's curve may pass the outline."
      />
    </>
  );
}

/** The knife with the outline, or why there is none. */
function Outcome({ assigned, onTaken }: { assigned: Assigned; onTaken: () => void }) {
  const { session } = useBench();
  const units = useUnits();
  const { role, answer } = assigned;
  const made = answer?.ok ? answer.design : null;
  const designs = useMemo(() => (made ? [made] : []), [made]);
  const weighing = useWorkerQueries(createWeigher, designs, (s, d) => s.weigh(d)).get(made as Design);
  if (!answer) return null;
  const wrong = answer.ok
    ? refusalOf(answer.design)
    : answer.code === "no-guard"
      ? "This knife has no guard of plates: add one on the Guard step first."
      : outlineFailureWords(answer);
  if (!answer.ok || wrong)
    return (
      <Text color="fault" role="alert">
        {typeof wrong === "string" ? wrong : wrong && problemWords(wrong, units)}
      </Text>
    );
  const take = () => {
    session.getState().edit({ code: "take-pattern", role, design: answer.design });
    notices.success({
      title: `${ROLE_WORDS[role]} taken from the pattern`,
      description: "Undo takes it back.",
      duration: 4000,
    });
    onTaken();
  };
  return (
    <Stack gap="1">
      <Text>
        Largest deviation {answer.largestDeviationMm.toFixed(3)} mm.{" "}
        {weighing === "failed" || (weighing && !weighing.ok) ? (
          "It cannot be weighed as it is; the bench says what is wrong."
        ) : (
          <b>It would weigh {weighing ? printMass(weighing.report.massG, units) : "…"}.</b>
        )}
      </Text>
      <Button size="sm" onClick={take}>
        Use it
      </Button>
    </Stack>
  );
}
