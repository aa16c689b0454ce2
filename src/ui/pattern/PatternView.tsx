"use client";
import { Box, Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { FolderOpen } from "lucide-react";
import { useMemo, useState } from "react";
import { boxOf, straightLoop } from "@/core/contours/loop";
import { refusalOf } from "@/core/design/refusal";
import { OUTLINE_ROLES } from "@/core/pattern/applyOutline";
import { type DrawingUnit, UNITS } from "@/core/pattern/trace";
import { printMass } from "@/core/units/print";
import { weigh } from "@/core/weigh/weigh";
import { useUnits } from "@/store/settings";
import { outlineFailureWords, passedOverWords } from "@/words/drawings";
import { foundWords, ROLE_WORDS, UNIT_WORDS } from "@/words/patterns";
import { useBench, useDesign } from "../bench/BenchContext";
import { ChoiceField } from "../fields/ChoiceField";
import { FileButton } from "../fields/FileButton";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { notices } from "../shell/notice";
import { PatternDrawing } from "./PatternDrawing";
import { type Assigned, type HoleUse, type Role, useAssigned } from "./useAssigned";
import { type PatternState, usePattern } from "./usePattern";

const ROLES: readonly Role[] = [...OUTLINE_ROLES, "guard"];
const ACCEPT = ".dxf,.svg,image/svg+xml,application/dxf";

/** A drawing becomes part of the knife: which outline is what, how it lies, and what it will weigh. */
export function PatternView({ onDone }: { onDone: () => void }) {
  const design = useDesign();
  const pattern = usePattern();
  const assigned = useAssigned(design, pattern.found);
  const [marking, setMarking] = useState(false);
  const { found } = pattern;
  const drop = (files: FileList) => {
    if (files[0]) void pattern.open(files[0]);
  };
  return (
    <Flex
      flex="1"
      minW="0"
      minH="0"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        drop(e.dataTransfer.files);
      }}
    >
      <Flex direction="column" flex="1" minW="0" px="5" py="4" gap="3" data-testid="pattern">
        <HStack gap="3" wrap="wrap">
          <Stack gap="0" flex="1" minW="260px">
            <Text fontWeight="600" fontSize="lg">
              {pattern.pattern ? pattern.pattern.name : "Bring in a pattern"}
            </Text>
            <Text color="graphite" fontSize="sm">
              {pattern.pattern
                ? "Click an outline, say what it is, and put the datum on the shoulder. The dashed line is the knife that it becomes."
                : "A drawing with the outline of a blank, a handle, a scale or a guard."}
            </Text>
          </Stack>
          {pattern.pattern && (
            <Button
              size="sm"
              variant={marking ? "solid" : "outline"}
              aria-pressed={marking}
              onClick={() => setMarking(!marking)}
            >
              Mark the datum
            </Button>
          )}
          <FileButton
            size="sm"
            accept={ACCEPT}
            testId="pattern-file"
            failure="The drawing was not taken in"
            onFiles={async ([file]) => pattern.open(file)}
          >
            <FolderOpen /> {pattern.pattern ? "Another drawing" : "Choose a drawing"}
          </FileButton>
          <Button size="sm" variant="ghost" onClick={onDone}>
            Back to the bench
          </Button>
        </HStack>
        {pattern.wrong && (
          <Text color="fault" role="alert">
            {pattern.wrong}
          </Text>
        )}
        {pattern.reading && (
          <HStack>
            <Text color="graphite">Reading the drawing …</Text>
            <Button size="xs" variant="outline" onClick={pattern.cancel}>
              Cancel
            </Button>
          </HStack>
        )}
        {found ? (
          <PatternDrawing
            shapes={found.shapes}
            picked={assigned.outline?.id ?? null}
            placing={assigned.placing}
            made={assigned.answer?.ok && assigned.role !== "guard" ? assigned.answer.design : null}
            showsDatum={marking}
            onPick={assigned.pick}
            onDatum={(datum) => {
              assigned.setPlacing({ ...assigned.placing, datum });
              setMarking(false);
            }}
          />
        ) : (
          !pattern.reading && <Empty />
        )}
      </Flex>
      {pattern.pattern && (
        <Stack
          as="aside"
          aria-label="What it is"
          w="340px"
          flexShrink="0"
          p="4"
          gap="3"
          bg="sheet"
          borderLeftWidth="1px"
          overflowY="auto"
        >
          <UnitChoice state={pattern} />
          {found && <FoundList state={pattern} assigned={assigned} />}
          {assigned.outline && <Placement assigned={assigned} onDone={onDone} />}
        </Stack>
      )}
    </Flex>
  );
}

function Empty() {
  return (
    <Flex
      flex="1"
      align="center"
      justify="center"
      borderWidth="2px"
      borderStyle="dashed"
      borderRadius="md"
      color="graphite"
      p="6"
    >
      <Stack gap="1" maxW="460px" textAlign="center">
        <Text fontWeight="600">Drop a DXF or SVG drawing here</Text>
        <Text fontSize="sm">
          Lines, arcs, polylines, splines and blocks of a DXF; paths and shapes of an SVG. Nothing in it is
          run or fetched. What is open by a hair is joined, what is drawn twice is taken once, and you are
          told.
        </Text>
      </Stack>
    </Flex>
  );
}

function UnitChoice({ state }: { state: PatternState }) {
  const { pattern, reachMm } = state;
  if (!pattern) return null;
  const told = pattern.drawing.mmPerUnit;
  const units = (Object.keys(UNITS) as DrawingUnit[]).map((u) => ({
    value: u as DrawingUnit | "told",
    name: UNIT_WORDS[u],
  }));
  return (
    <ChoiceField
      label="Drawn in"
      wide
      value={pattern.unit}
      choices={told === null ? units : [{ value: "told", name: "As the file says" }, ...units]}
      onChange={state.setUnit}
      help={`${told === null ? "The file does not say; this is the likely one. " : ""}The drawing is ${reachMm.toFixed(1)} mm (${(reachMm / 25.4).toFixed(2)} in) over all.`}
    />
  );
}

function FoundList({ state, assigned }: { state: PatternState; assigned: Assigned }) {
  const { found, pattern } = state;
  if (!found || !pattern) return null;
  const passed = passedOverWords(pattern.drawing.passedOver);
  const notes = [
    found.joined > 0 ? `${found.joined} open by a hair were joined` : "",
    found.doubled > 0 ? `${found.doubled} drawn twice were left out` : "",
    passed ? `passed over: ${passed}` : "",
  ].filter(Boolean);
  const outlines = found.shapes.filter((s) => s.kind !== "circle");
  return (
    <Stack gap="1">
      <Text fontWeight="600">Found</Text>
      <Stack gap="1" role="group" aria-label="Outlines found" maxH="180px" overflowY="auto">
        {outlines.map((s) => {
          const box = boxOf([straightLoop(s.points)]) ?? { x0: 0, x1: 0, y0: 0, y1: 0 };
          const words = foundWords(s, { widthMm: box.x1 - box.x0, heightMm: box.y1 - box.y0 });
          return (
            <Button
              key={s.id}
              size="xs"
              h="auto"
              py="1"
              whiteSpace="normal"
              textAlign="start"
              justifyContent="start"
              variant={s.id === assigned.outline?.id ? "solid" : "outline"}
              aria-pressed={s.id === assigned.outline?.id}
              disabled={s.kind === "open"}
              onClick={() => assigned.pick(s.id)}
            >
              {words}
              {s.layer && ` · ${s.layer}`}
            </Button>
          );
        })}
        {outlines.length === 0 && <Text color="fault">No closed outline in this drawing.</Text>}
      </Stack>
      {notes.length > 0 && (
        <Text color="graphite" fontSize="sm">
          {notes.join("; ")}.
        </Text>
      )}
    </Stack>
  );
}

const USES: readonly { readonly value: HoleUse; readonly name: string }[] = [
  { value: "auto", name: "As its size says" },
  { value: "pin", name: "Pin" },
  { value: "tang-hole", name: "Hole in the tang" },
  { value: "none", name: "Leave out" },
];

function Placement({ assigned, onDone }: { assigned: Assigned; onDone: () => void }) {
  const { session } = useBench();
  const units = useUnits();
  const { role, placing, answer } = assigned;
  const set = (change: Partial<typeof placing>) => assigned.setPlacing({ ...placing, ...change });
  const weighing = useMemo(() => (answer?.ok ? weigh(answer.design) : null), [answer]);
  const refused = answer?.ok ? refusalOf(answer.design) : null;
  const take = () => {
    if (!answer?.ok || refused) return;
    session.getState().adopt(`Pattern: ${ROLE_WORDS[role].toLowerCase()}`, answer.design);
    notices.success({
      title: `${ROLE_WORDS[role]} taken from the pattern`,
      description: "Undo takes it back.",
      duration: 4000,
    });
    onDone();
  };
  return (
    <>
      <ChoiceField
        label="The picked outline is"
        wide
        value={role}
        choices={ROLES.map((r) => ({ value: r, name: ROLE_WORDS[r] }))}
        onChange={assigned.setRole}
      />
      {role !== "guard" && (
        <>
          <LengthField
            label="Datum, to the right"
            mm={placing.datum.x}
            min={-20000}
            max={20000}
            onChange={(x) => set({ datum: { ...placing.datum, x } })}
          />
          <LengthField
            label="Datum, up"
            mm={placing.datum.y}
            min={-20000}
            max={20000}
            onChange={(y) => set({ datum: { ...placing.datum, y } })}
          />
          <ShareField
            label="Tip toward"
            value={placing.tipDeg}
            min={-360}
            max={360}
            factor={1}
            digits={2}
            unit="°"
            onChange={(tipDeg) => set({ tipDeg })}
            help="0 is to the right, 90 up."
          />
          <HStack wrap="wrap" gap="2">
            <Button
              size="xs"
              variant="outline"
              onClick={() =>
                set({
                  tipDeg: placing.tipDeg + (placing.tipDeg > 0 ? -180 : 180),
                  mirrored: !placing.mirrored,
                })
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
      )}
      {assigned.circles.length > 0 && (
        <Stack gap="1">
          <Text fontWeight="600">Round holes in it</Text>
          {assigned.circles.map((c) => (
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
        {answer && !answer.ok && (
          <Text color="fault" role="alert">
            {answer.code === "no-guard"
              ? "This knife has no guard of plates: add one on the Guard step first."
              : outlineFailureWords(answer)}
          </Text>
        )}
        {refused && (
          <Text color="fault" role="alert">
            {refused.path} {refused.message}
          </Text>
        )}
        {answer?.ok && !refused && (
          <Stack gap="1">
            <Text>
              Largest deviation {answer.largestDeviationMm.toFixed(3)} mm.{" "}
              {weighing?.ok ? (
                <b>It would weigh {printMass(weighing.report.massG, units)}.</b>
              ) : (
                "It cannot be weighed as it is; the bench says what is wrong."
              )}
            </Text>
            <Button size="sm" onClick={take}>
              Use it
            </Button>
          </Stack>
        )}
      </Box>
    </>
  );
}
