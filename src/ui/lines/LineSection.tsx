"use client";
import { Box, Button, Flex, Stack, Text } from "@chakra-ui/react";
import { Trash2 } from "lucide-react";
import type { Line } from "@/core/line/version";
import { changeLine, removeLine } from "@/store/lines";
import { counted } from "@/words/grammar";
import { printMinutes, printMoney } from "@/words/money";
import { savedWords } from "@/words/schedule";
import { KeptNote } from "../fields/KeptNote";
import { NameField } from "../fields/NameField";
import { attempt } from "../kit/notice";
import { offerBack } from "../kit/offerBack";
import { UnderWay } from "../kit/UnderWay";
import { Note } from "../report/Section";
import { AddGrade } from "./AddGrade";
import { GradesTable } from "./GradesTable";
import { SharedBlank } from "./SharedBlank";
import { type LineOnPage, useLineFigures } from "./useLineFigures";

/** One line: its grades, whether they share their blank, and what all of them take. */
export function LineSection({ line, isNew }: { line: Line; isNew: boolean }) {
  const on = useLineFigures(line);
  return (
    <Stack
      as="section"
      aria-label={line.name}
      gap="4"
      bg="sheet"
      borderWidth="1px"
      borderRadius="md"
      p={{ base: "3", sm: "4" }}
      data-testid="line"
    >
      <Flex gap="3" align="center" wrap="wrap">
        <Box flex="1" minW="180px">
          <NameField
            size="sm"
            maxW="280px"
            bg="ground"
            aria-label="Name of the line"
            maxLength={60}
            autoFocus={isNew}
            name={line.name}
            onKeep={(name) =>
              void attempt("The name was not kept", () => changeLine(line.id, (l) => ({ ...l, name })))
            }
          />
        </Box>
        <AddGrade line={line} on={on} />
        <Button
          size="sm"
          variant="ghost"
          color="fault"
          aria-label={`Delete the line ${line.name}`}
          onClick={() =>
            void offerBack(`The line ${line.name}`, () => removeLine(line.id), "Its knives stay on the rack.")
          }
        >
          <Trash2 /> Delete
        </Button>
      </Flex>
      {line.grades.length === 0 ? (
        <Text color="graphite">No grade yet. Put in a knife whose blank the others are going to share.</Text>
      ) : (
        <>
          <GradesTable line={line} on={on} />
          {on.failed && (
            <Text color="fault" role="alert">
              The figures could not be worked out. Change anything, or open this page again.
            </Text>
          )}
          <UnderWay on={on.isLoading && !on.found} says="Weighing the grades …" />
          <SharedBlank on={on} />
          <Together on={on} line={line} />
        </>
      )}
      <Box maxW="720px">
        <KeptNote
          aria-label={`Note on the line ${line.name}`}
          placeholder="A note on this line"
          maxLength={1000}
          text={line.note}
          onKeep={(note) =>
            void attempt("The note was not kept", () => changeLine(line.id, (l) => ({ ...l, note })))
          }
        />
      </Box>
    </Stack>
  );
}

/** What all pieces take when they are made together, and what they bring. */
function Together({ on: { found, shop }, line }: { on: LineOnPage; line: Line }) {
  if (!found) return null;
  const { figures, ids } = found;
  const money = (sum: number) => printMoney(sum, shop);
  const priced = line.grades.flatMap(({ knife, price }) => {
    const at = ids.indexOf(knife);
    const pieces = at < 0 ? 0 : (figures.grades[at]?.pieces ?? 0);
    return price === null || pieces === 0 ? [] : [{ pieces, price }];
  });
  const brings = priced.reduce((sum, p) => sum + p.pieces * p.price, 0);
  const unpriced = figures.pieces - priced.reduce((sum, p) => sum + p.pieces, 0);
  const missing = figures.grades.some((g) => g?.bill && g.bill.unpriced.length > 0);
  return (
    <Stack gap="1" data-testid="line-together">
      <Text fontSize="lg" fontWeight="600">
        {counted(figures.pieces, "piece")} together: {missing && "at least "}
        {money(figures.total)}, {printMinutes(Math.max(0, figures.minutes - figures.savedMin))} of work
      </Text>
      <Text>
        Materials {money(figures.materials)}, work {money(figures.labour)}
        {figures.others > 0 && `, besides ${money(figures.others)}`}
        {figures.pieces > 1 && `; ${money(figures.total / figures.pieces)} a piece`}.
        {figures.savedMin > 0 && ` ${printMinutes(figures.savedMin)} less than one by one.`}
      </Text>
      {figures.saved.length > 0 && <Text>Done together: {figures.saved.map(savedWords).join("; ")}.</Text>}
      {figures.glueG > 0 && (
        <Text>
          Glue: {figures.glueG.toFixed(1)} g mixed in {counted(figures.cups, "cup")}, each within its pot
          life.
        </Text>
      )}
      {priced.length > 0 && (
        <Text>
          At their prices they bring {money(brings)}
          {unpriced > 0
            ? `, without ${counted(unpriced, "piece that has", "pieces that have")} no price yet.`
            : brings < figures.total
              ? `: ${missing ? "at least " : ""}${money(figures.total - brings)} less than they cost.`
              : `: ${missing ? "at most " : ""}${money(brings - figures.total)} is left over.`}
        </Text>
      )}
      {missing && (
        <Note>
          Some materials have no price yet: put them in under Compare, Cost, of any of these knives.
        </Note>
      )}
    </Stack>
  );
}
