"use client";
import { Button, Flex, Input, Stack, Text } from "@chakra-ui/react";
import { FileUp, Plus } from "lucide-react";
import { type FormEvent, useState } from "react";
import { printLengthPlain, printMass } from "@/core/base/units/print";
import { DRAWING_ENDINGS, DRAWING_NAMES } from "@/core/exchange/files/drawings";
import { freeId } from "@/core/figures/fit/openSpot";
import { newMark } from "@/core/figures/views/markRoom";
import { isFull, mostAt } from "@/core/knife/design/limits";
import type { BladeMark } from "@/core/knife/design/schema";
import { markAreaMm2, sizeOfMark } from "@/core/knife/layout/bladeMarks";
import { useUnits } from "@/store/settings";
import { MARK_SIDE_WORDS, MARK_WAY_WORDS, openWords } from "@/words/marks";
import { ChoiceAt, LengthAt, ShareAt } from "../../../bound/bound";
import { ItemCard } from "../../../bound/ItemCard";
import { FieldRow } from "../../../fields/FieldRow";
import { FileButton } from "../../../fields/FileButton";
import { useMaterialOf } from "../../../kit/materials";
import { notices } from "../../../kit/notice";
import { useBench, useDesign } from "../../../session/BenchContext";
import { Group } from "../Group";
import { markFromFile, markFromText, type ReadMark } from "./readMark";

/** A maker's mark, and what else is stamped or etched into the blade. */
export function MarkFields() {
  const { edit, session, setSelected } = useBench();
  const marks = useDesign((d) => d.blade.marks);
  const [text, setText] = useState("");
  const [wrong, setWrong] = useState<string | null>(null);
  const full = useDesign((d) => isFull(d, "blade.marks"));
  const mostLetters = useMostLetters();
  const put = (read: ReadMark, says: string, madeFrom: BladeMark["madeFrom"]): boolean => {
    setWrong(read.ok ? null : read.reason);
    if (!read.ok) return false;
    const { design } = session.getState();
    if (isFull(design, "blade.marks")) return false;
    const mark = newMark(design, {
      id: freeId("mark", design.blade.marks),
      says,
      madeFrom,
      art: read.art,
      heightMm: read.heightMm,
    });
    edit({ code: "add", list: "blade.marks", item: mark });
    setSelected(mark.id);
    if (read.open > 0) notices.info({ title: says, description: openWords(read.open) });
    return true;
  };
  const addText = async (e: FormEvent) => {
    e.preventDefault();
    const says = text.trim();
    if (!says) return setWrong("Type what the mark says.");
    if (put(await textOrReason(says), says, "text")) setText("");
  };
  return (
    <Group title="Marks on the blade">
      {marks.length === 0 && (
        <Text color="graphite" fontSize="sm">
          None. A maker's mark is checked against grind lines and edges here, and printed as a stencil.
        </Text>
      )}
      {marks.map((m, i) => (
        <MarkCard key={m.id} mark={m} index={i} />
      ))}
      <form onSubmit={(e) => void addText(e)}>
        <Flex gap="2">
          <Input
            size="sm"
            bg="ground"
            aria-label="Text of a new mark"
            placeholder="Text of a new mark"
            value={text}
            maxLength={mostLetters}
            disabled={full}
            onChange={(e) => setText(e.target.value)}
          />
          <Button size="sm" variant="outline" type="submit" disabled={full}>
            <Plus /> Add text
          </Button>
        </Flex>
      </form>
      <FileButton
        accept={DRAWING_ENDINGS}
        testId="mark-file"
        failure="The drawing was not read"
        size="sm"
        alignSelf="start"
        disabled={full}
        onFiles={async ([file]) => {
          const says =
            file.name
              .replace(/\.[^.]*$/, "")
              .trim()
              .slice(0, mostLetters) || "Mark";
          put(await markFromFile(file), says, "drawing");
        }}
      >
        <FileUp /> Add {DRAWING_NAMES} …
      </FileButton>
      {wrong && (
        <Text color="fault" fontSize="sm" role="alert">
          {wrong}
        </Text>
      )}
    </Group>
  );
}

/** Letters that a mark says at most. */
const useMostLetters = () => useDesign((d) => mostAt(d, "blade.marks.0.says")) ?? undefined;

/** The outlines of a text; where its font cannot be loaded, that. */
async function textOrReason(text: string): Promise<ReadMark> {
  try {
    return await markFromText(text);
  } catch (error) {
    return { ok: false, reason: error instanceof Error ? error.message : String(error) };
  }
}

function MarkCard({ mark, index }: { mark: BladeMark; index: number }) {
  const { edit } = useBench();
  const units = useUnits();
  const at = `blade.marks.${index}` as const;
  const { widthMm, heightMm } = sizeOfMark(mark);
  const steel = useMaterialOf()(useDesign((d) => d.blade.steel));
  const takesG =
    mark.way === "stamped" ? 0 : ((steel?.densityGcc.typical ?? 0) * markAreaMm2(mark) * mark.depthMm) / 1000;
  return (
    <ItemCard
      id={mark.id}
      title={`Mark ${index + 1}`}
      onRemove={() => edit({ code: "remove", list: "blade.marks", at: index })}
    >
      <Stack gap="2">
        <SaysField mark={mark} index={index} />
        <ChoiceAt at={`${at}.side`} names={MARK_SIDE_WORDS} />
        <LengthAt at={`${at}.heightMm`} />
        <Text color="graphite" fontSize="sm">
          {printLengthPlain(widthMm, units)} long, {printLengthPlain(heightMm, units)} high
        </Text>
        <LengthAt at={`${at}.xMm`} />
        <LengthAt at={`${at}.downMm`} />
        <ShareAt at={`${at}.turnedDeg`} unit="°" />
        <ChoiceAt at={`${at}.way`} names={MARK_WAY_WORDS} />
        <LengthAt at={`${at}.depthMm`} digits={3} />
        {takesG > 0 && (
          <Text color="graphite" fontSize="sm">
            It takes about {printMass(takesG, units, 3)} off, which is not in the weight.
          </Text>
        )}
      </Stack>
    </ItemCard>
  );
}

/** What a mark says. That of a text is drawn anew; that of a drawing is its name. */
function SaysField({ mark, index }: { mark: BladeMark; index: number }) {
  const { edit } = useBench();
  const mostLetters = useMostLetters();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const isText = mark.madeFrom === "text";
  const leave = async () => {
    const says = typed?.trim() ?? "";
    if (typed === null || says === mark.says) return setTyped(null);
    if (!says) return setWrong("Type what the mark says.");
    const read = isText ? await textOrReason(says) : null;
    if (read && !read.ok) return setWrong(read.reason);
    edit({ code: "mark-says", id: mark.id, says, art: read?.ok ? read.art : null });
    setWrong(null);
    setTyped(null);
  };
  return (
    <FieldRow label={isText ? "Text" : "Shows"} wrong={wrong}>
      <Input
        size="sm"
        bg="ground"
        aria-label={`${isText ? "Text" : "Name"} of mark ${index + 1}`}
        aria-invalid={wrong !== null}
        value={typed ?? mark.says}
        maxLength={mostLetters}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={() => void leave()}
        onKeyDown={(e) => {
          if (e.key === "Enter") void leave();
          if (e.key === "Escape") {
            setTyped(null);
            setWrong(null);
          }
        }}
      />
    </FieldRow>
  );
}
