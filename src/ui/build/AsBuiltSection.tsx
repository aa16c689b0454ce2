"use client";
import { Button, Flex, IconButton, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { Plus, Trash2 } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import { own } from "@/core/base/own";
import { printLength, printMass } from "@/core/base/units/print";
import { withoutReading, withReading, withSize } from "@/core/plan/progress";
import { STAGES, type Stage } from "@/core/plan/types";
import type { PlanRecord } from "@/core/plan/version";
import { useUnits } from "@/store/settings";
import { offWords, predictedOffWords, SIZE_WORDS, STAGE_NOTES, STAGE_WORDS } from "@/words/asBuilt";
import { ChoiceField } from "../fields/ChoiceField";
import { KeepOrCancel } from "../fields/KeepOrCancel";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { offerPutBack } from "../kit/offerBack";
import { Figures, Section } from "../report/Section";
import { useBuild } from "./BuildContext";
import { BuildLog } from "./BuildLog";

type Reading = PlanRecord["readings"][number];

/** What the knife became: weight and balance at its stages and sizes beside what was drawn, and notes with their days. */
export function AsBuiltSection() {
  return (
    <Section id="as-built" title="As built">
      <Readings />
      <Sizes />
      <BuildLog />
    </Section>
  );
}

function Readings() {
  const { sheet, plan, change } = useBuild();
  const [adding, setAdding] = useState(false);
  return (
    <Stack gap="2" role="group" aria-label="Weight and balance">
      <Stages />
      <Stack gap="1">
        {plan.readings.map((r) => (
          <OneReading key={r.id} reading={r} />
        ))}
      </Stack>
      {adding ? (
        <ReadingForm
          onDone={(made) => {
            setAdding(false);
            if (!made) return;
            // What is predicted now stays with it: later edits do not rewrite what was said before.
            const predicted = sheet.predicted.get(made.stage);
            change((p) =>
              withReading(p, {
                ...made,
                id: nanoid(10),
                at: Date.now(),
                predicted: predicted
                  ? {
                      ...predicted,
                      massIntervalG: [...predicted.massIntervalG],
                      balanceIntervalMm: [...predicted.balanceIntervalMm],
                    }
                  : null,
              }),
            );
          }}
        />
      ) : (
        <Button size="sm" variant="outline" alignSelf="start" onClick={() => setAdding(true)}>
          <Plus /> Note a reading
        </Button>
      )}
    </Stack>
  );
}

/** What each stage should come to, with the last reading of it. */
function Stages() {
  const { sheet, plan } = useBuild();
  const units = useUnits();
  const stages = STAGES.flatMap((stage) => {
    const predicted = sheet.predicted.get(stage);
    return predicted ? [{ stage, predicted, last: plan.readings.findLast((r) => r.stage === stage) }] : [];
  });
  const mass = (g: number) => printMass(g, units);
  const length = (mm: number) => printLength(mm, units);
  return (
    <Figures
      label="Predicted and measured"
      rows={stages}
      keyOf={(s) => s.stage}
      none=""
      columns={[
        { name: "Stage", of: (s) => `${STAGE_WORDS[s.stage]}, ${STAGE_NOTES[s.stage]}` },
        {
          name: "Predicted",
          number: true,
          of: (s) =>
            `${mass(s.predicted.massG)} (${mass(s.predicted.massIntervalG[0])} to ${mass(s.predicted.massIntervalG[1])})`,
        },
        { name: "Weighed", number: true, of: (s) => (s.last?.massG == null ? "–" : mass(s.last.massG)) },
        {
          name: "Balance predicted",
          number: true,
          help: "From the handle's front; + is toward the tip.",
          of: (s) => length(s.predicted.balanceMm),
        },
        {
          name: "Measured",
          number: true,
          of: (s) => (s.last?.balanceMm == null ? "–" : length(s.last.balanceMm)),
        },
      ]}
    />
  );
}

/** One reading as it was, against what was predicted then. */
function OneReading({ reading }: { reading: Reading }) {
  const { plan, change } = useBuild();
  const units = useUnits();
  const { stage, at, massG, balanceMm, predicted } = reading;
  const day = format(at, "d MMM yyyy");
  const mass = (g: number) => printMass(g, units);
  const length = (mm: number) => printLength(mm, units);
  const off = (measured: number, of: "mass" | "balance") =>
    predicted === null
      ? ""
      : of === "mass"
        ? ` (${predictedOffWords(measured, predicted.massG, predicted.massIntervalG, mass)})`
        : ` (${predictedOffWords(measured, predicted.balanceMm, predicted.balanceIntervalMm, length)})`;
  const said = [
    ...(massG === null ? [] : [`${mass(massG)}${off(massG, "mass")}`]),
    ...(balanceMm === null ? [] : [`balance ${length(balanceMm)}${off(balanceMm, "balance")}`]),
  ];
  return (
    <Flex gap="2" align="center" data-testid="reading">
      <Text fontSize="sm">
        {day}, {STAGE_WORDS[stage].toLowerCase()}: {said.join(", ")}
      </Text>
      <IconButton
        size="2xs"
        variant="ghost"
        color="fault"
        aria-label={`Delete the reading of ${day}, ${STAGE_WORDS[stage].toLowerCase()}`}
        onClick={() => {
          change((p) => withoutReading(p, reading.id));
          offerPutBack("Reading deleted", () => change((p) => withReading(p, reading)));
        }}
      >
        <Trash2 />
      </IconButton>
      {plan.readings.filter((r) => r.stage === stage).at(-1)?.id !== reading.id && (
        <Text fontSize="sm" color="graphite">
          an earlier one
        </Text>
      )}
    </Flex>
  );
}

type NewReading = Pick<Reading, "stage" | "massG" | "balanceMm">;

function ReadingForm({ onDone }: { onDone: (made: NewReading | null) => void }) {
  const { sheet, plan } = useBuild();
  const first = STAGES.find((s) => !plan.readings.some((r) => r.stage === s)) ?? "finished";
  const [made, setMade] = useState<NewReading>({ stage: first, massG: null, balanceMm: null });
  const [wrong, setWrong] = useState<string | null>(null);
  const put = (to: Partial<NewReading>) => {
    setWrong(null);
    setMade({ ...made, ...to });
  };
  const predicted = sheet.predicted.get(made.stage);
  // A scale in the wrong unit, or another knife on it.
  const far =
    predicted &&
    made.massG !== null &&
    (made.massG > 2 * predicted.massG || made.massG < predicted.massG / 2);
  return (
    <Stack gap="2" maxW="420px" borderWidth="1px" p="3" role="group" aria-label="A reading">
      <ChoiceField
        label="Stage"
        value={made.stage}
        choices={STAGES.map((value) => ({ value, name: STAGE_WORDS[value] }))}
        onChange={(stage: Stage) => put({ stage })}
      />
      <ShareField
        label="Weight"
        value={made.massG}
        unit="g"
        digits={2}
        min={0}
        max={20_000}
        onChange={(massG) => put({ massG })}
        onClear={() => put({ massG: null })}
      />
      <LengthField
        label="Balance from the handle's front"
        help="Toward the tip is +, toward the butt −."
        mm={made.balanceMm}
        min={-2000}
        max={2000}
        onChange={(balanceMm) => put({ balanceMm })}
        onClear={() => put({ balanceMm: null })}
      />
      {far && (
        <Text color="warn" role="status">
          That is far from what was predicted. Is it this knife, and grams?
        </Text>
      )}
      {wrong && (
        <Text color="fault" role="alert">
          {wrong}
        </Text>
      )}
      <KeepOrCancel
        onKeep={() =>
          made.massG === null && made.balanceMm === null
            ? setWrong("Type a weight, a balance, or both.")
            : onDone(made)
        }
        onCancel={() => onDone(null)}
      />
    </Stack>
  );
}

function Sizes() {
  const { sheet, plan, change } = useBuild();
  const units = useUnits();
  return (
    <Figures
      label="Sizes, drawn and measured"
      rows={[...sheet.drawn]}
      keyOf={([place]) => place}
      none=""
      columns={[
        { name: "Size", of: ([place]) => SIZE_WORDS[place] },
        { name: "Drawn", number: true, of: ([, mm]) => printLength(mm, units) },
        {
          name: "Measured",
          of: ([place]) => (
            <LengthField
              bare
              label={`Measured: ${SIZE_WORDS[place]}`}
              mm={own(plan.sizes, place) ?? null}
              min={0}
              max={3000}
              onChange={(mm) => change((p) => withSize(p, place, mm))}
              onClear={() => change((p) => withSize(p, place, null))}
            />
          ),
        },
        {
          name: "Off",
          number: true,
          of: ([place, drawn]) => {
            const mm = own(plan.sizes, place);
            return mm === undefined ? "" : offWords(mm, drawn, (size) => printLength(size, units));
          },
        },
      ]}
    />
  );
}
