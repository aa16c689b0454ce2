"use client";
import { Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { FolderOpen } from "lucide-react";
import { type ReactNode, useMemo, useState } from "react";
import { DRAWING_ENDINGS, DRAWING_NAMES } from "@/core/exchange/files/drawings";
import { DRAWN_FIT, TRACED_FIT } from "@/core/exchange/pattern/applyOutline";
import { asFound } from "@/core/exchange/pattern/found";
import { putUnderlay, useUnderlay } from "@/store/underlays";
import { FileButton } from "../fields/FileButton";
import { Columns, SettingsColumn } from "../kit/Columns";
import { attempt } from "../kit/notice";
import { ProgressLine } from "../kit/ProgressLine";
import { useBench, useDesign } from "../session/BenchContext";
import { FoundList, UnitChoice } from "./FoundList";
import { HandList } from "./HandList";
import { PatternDrawing } from "./PatternDrawing";
import { PhotoScaleView } from "./PhotoScaleView";
import { Placement } from "./Placement";
import { SeeingFields } from "./SeeingFields";
import { UnderlayFields } from "./UnderlayFields";
import { useAssigned } from "./useAssigned";
import { useHandPoints } from "./useHandPoints";
import { usePattern } from "./usePattern";
import { usePhoto } from "./usePhoto";

const ACCEPT = `${DRAWING_ENDINGS},.jpg,.jpeg,.png,.webp,image/svg+xml,image/jpeg,image/png,image/webp`;
const isPicture = (file: File) =>
  /\.(jpe?g|png|webp)$/i.test(file.name) || /^image\/(jpeg|png|webp)$/.test(file.type);

/** What clicks on the drawing lay down: the datum, points of an outline by hand, or nothing. */
type Laying = "datum" | "points" | null;

/** The source that is open, a drawing or a photo, what is found in it, and what is made of that. */
function useSource() {
  const design = useDesign();
  const pattern = usePattern();
  const photo = usePhoto();
  const hand = useHandPoints();
  const seen = photo.flat ? photo.found : pattern.found;
  const found = useMemo(() => {
    // While it is still looked through there is nothing to say of what is not there.
    const looked = photo.flat !== null && photo.busy === null;
    const base = seen ?? (looked ? asFound([]) : null);
    return base && hand.outline ? { ...base, shapes: [hand.outline, ...base.shapes] } : base;
  }, [seen, photo.flat, photo.busy, hand.outline]);
  const assigned = useAssigned(
    design,
    photo.flat ?? pattern.pattern,
    found,
    photo.flat ? TRACED_FIT : DRAWN_FIT,
  );
  const open = async (file: File) => {
    photo.clearWrong();
    pattern.clearWrong();
    // What is not taken leaves what was there before.
    const picture = isPicture(file);
    if (!(await (picture ? photo : pattern).open(file))) return;
    hand.clear();
    (picture ? pattern : photo).close();
  };
  return {
    pattern,
    photo,
    hand,
    found,
    assigned,
    open,
    name: photo.name ?? pattern.pattern?.name ?? null,
    wrong: photo.wrong ?? pattern.wrong,
    /** A photo whose scale is not known yet. */
    scaling: photo.photo !== null && photo.flat === null,
  };
}

type Source = ReturnType<typeof useSource>;

/** Keeps the photo under the drawing, where it lies now. */
function useKeepPhoto({ photo, assigned }: Source) {
  const { knifeId } = useBench();
  const underlay = useUnderlay(knifeId);
  return async () => {
    const { datum: at, tipDeg, mirrored } = assigned.placing;
    const picture = assigned.role === "guard" ? null : photo.picture();
    const { flat } = photo;
    if (!picture || !flat) return;
    const { width: widthMm, height: heightMm } = flat;
    const lies = { widthMm, heightMm, datumX: at.x, datumY: at.y, tipDeg, mirrored };
    await attempt("The photo is not kept under the drawing", () =>
      putUnderlay(knifeId, { picture, ...lies, opacity: 0.4, shown: true }, underlay),
    );
  };
}

/** A drawing or a photo becomes part of the knife: which outline is what, how it lies, and what it will weigh. */
export function PatternView({ onDone }: { onDone: () => void }) {
  const { knifeId } = useBench();
  const underlay = useUnderlay(knifeId);
  const source = useSource();
  const keepPhoto = useKeepPhoto(source);
  const [laying, setLaying] = useState<Laying>(null);
  const { pattern, found, name, scaling } = source;
  return (
    <Columns
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        if (e.dataTransfer.files[0]) void source.open(e.dataTransfer.files[0]);
      }}
    >
      <Flex
        direction="column"
        flex={{ base: "1 0 auto", lg: "1" }}
        minW="0"
        px={{ base: "3", sm: "5" }}
        py="4"
        gap="3"
        data-testid="pattern"
      >
        <Head source={source} laying={laying} onLaying={setLaying} onDone={onDone} />
        <Shown source={source} laying={laying} onLaid={() => setLaying(null)} />
      </Flex>
      {underlay && !name && (
        <Aside label="Photo">
          <UnderlayFields knifeId={knifeId} underlay={underlay} />
        </Aside>
      )}
      {!scaling && (pattern.pattern || found) && (
        <WhatItIs
          source={source}
          byHand={laying === "points"}
          onTaken={() => void keepPhoto().then(onDone)}
        />
      )}
    </Columns>
  );
}

/** What is open, what to do with it next, and the ways to another. */
function Head(props: {
  source: Source;
  laying: Laying;
  onLaying: (laying: Laying) => void;
  onDone: () => void;
}) {
  const { source, laying, onLaying, onDone } = props;
  const { name, found, scaling } = source;
  const toggle = (what: "datum" | "points", says: string) => (
    <Button
      size="sm"
      variant={laying === what ? "solid" : "outline"}
      aria-pressed={laying === what}
      onClick={() => onLaying(laying === what ? null : what)}
    >
      {says}
    </Button>
  );
  return (
    <HStack gap="3" wrap="wrap">
      <Stack gap="0" flex="1" minW="240px">
        <Text fontWeight="600" fontSize="lg" overflowWrap="anywhere">
          {name ?? "Bring in a pattern"}
        </Text>
        <Text color="graphite" fontSize="sm">
          {scaling
            ? "First say how large it is."
            : found
              ? "Click an outline, say what it is, and put the datum on the shoulder. The dashed line is the knife that it becomes."
              : "A drawing or a photo with the outline of a blank, a handle, a scale or a guard."}
        </Text>
      </Stack>
      {found && toggle("datum", "Mark the datum")}
      {found && toggle("points", "Lay points by hand")}
      <FileButton
        size="sm"
        accept={ACCEPT}
        testId="pattern-file"
        failure="Import failed"
        onFiles={([file]) => source.open(file)}
      >
        <FolderOpen /> {name ? "Another" : "Choose a file"}
      </FileButton>
      <Button size="sm" variant="ghost" onClick={onDone}>
        Back to the bench
      </Button>
    </HStack>
  );
}

/** The drawing or the photo itself; what is under way, and what is wrong with it. */
function Shown({ source, laying, onLaid }: { source: Source; laying: Laying; onLaid: () => void }) {
  const { pattern, photo, hand, found, assigned, wrong, scaling } = source;
  const drawing = pattern.working && DRAWING_WORDS[pattern.working];
  const working = drawing ? { says: drawing, done: null } : photo.busy;
  return (
    <>
      {wrong && (
        <Text color="fault" role="alert">
          {wrong}
        </Text>
      )}
      {working && (
        <ProgressLine
          says={working.done === null ? working.says : `${working.says} ${Math.round(100 * working.done)} %`}
          done={working.done}
          onCancel={drawing ? pattern.close : photo.cancel}
        />
      )}
      {scaling && <PhotoScaleView state={photo} />}
      {!scaling && found && (
        <PatternDrawing
          shapes={found.shapes}
          picked={assigned.outline?.id ?? null}
          placing={assigned.placing}
          made={assigned.answer?.ok && assigned.role !== "guard" ? assigned.answer.design : null}
          under={photo.flat}
          hand={hand.points}
          marking={laying !== null}
          onPick={assigned.pick}
          onMark={(at, shift) => {
            if (laying === "points") {
              hand.add(at, shift);
              assigned.pick("by-hand");
              return;
            }
            assigned.setPlacing({ ...assigned.placing, datum: at });
            onLaid();
          }}
        />
      )}
      {!scaling && !found && !working && <Empty />}
    </>
  );
}

/** What the picked outline is, and how it is seen. */
function WhatItIs({ source, byHand, onTaken }: { source: Source; byHand: boolean; onTaken: () => void }) {
  const { pattern, photo, hand, found, assigned } = source;
  return (
    <Aside label="What it is">
      {photo.flat ? <SeeingFields state={photo} /> : <UnitChoice state={pattern} />}
      {byHand && <HandList hand={hand} />}
      {found && (
        <FoundList
          found={found}
          notes={pattern.pattern ? pattern.warnings : []}
          onClose={pattern.pattern ? pattern.closeGaps : null}
          assigned={assigned}
        />
      )}
      {assigned.outline && <Placement assigned={assigned} onTaken={onTaken} />}
    </Aside>
  );
}

function Aside({ label, children }: { label: string; children: ReactNode }) {
  return (
    <SettingsColumn aria-label={label} width="340px" gap="3">
      {children}
    </SettingsColumn>
  );
}

const DRAWING_WORDS = {
  reading: "Reading the drawing …",
  finding: "Finding outlines and holes in the drawing …",
} as const;

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
      <Stack gap="2" maxW="480px" textAlign="center">
        <Text fontWeight="600">Drop a drawing or a photo here</Text>
        <Text fontSize="sm">
          {DRAWING_NAMES}: lines, arcs, polylines, splines, blocks, paths and shapes. Nothing in it is run or
          fetched; what is open by a hair is joined, what is drawn twice is taken once, and you are told.
        </Text>
        <Text fontSize="sm">
          JPEG, PNG or WebP: lay the pattern on a white sheet of paper and photograph both with all four
          corners of the sheet in the picture, or with a rule beside it, from straight above.
        </Text>
      </Stack>
    </Flex>
  );
}
