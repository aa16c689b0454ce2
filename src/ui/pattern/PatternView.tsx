"use client";
import { Button, Flex, HStack, Stack, Text } from "@chakra-ui/react";
import { FolderOpen } from "lucide-react";
import { useMemo, useState } from "react";
import { DRAWING_ENDINGS, DRAWING_NAMES } from "@/core/exchange/files/drawings";
import { DRAWN_FIT, TRACED_FIT } from "@/core/exchange/pattern/applyOutline";
import { putUnderlay, useUnderlay } from "@/store/underlays";
import { FileButton } from "../fields/FileButton";
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

/** A drawing or a photo becomes part of the knife: which outline is what, how it lies, and what it will weigh. */
export function PatternView({ onDone }: { onDone: () => void }) {
  const design = useDesign();
  const { knifeId } = useBench();
  const underlay = useUnderlay(knifeId);
  const pattern = usePattern();
  const photo = usePhoto();
  const hand = useHandPoints();
  const [datum, setDatum] = useState(false);
  const seen = photo.flat ? photo.found : pattern.found;
  const found = useMemo(() => {
    // While it is still looked through there is nothing to say of what is not there.
    const looked = photo.flat !== null && photo.busy === null;
    const base = seen ?? (looked ? { shapes: [], doubled: 0, joined: 0 } : null);
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
  /** The photo stays under the drawing, where it lies now. */
  const taken = async () => {
    const { datum: at, tipDeg, mirrored } = assigned.placing;
    const picture = assigned.role === "guard" ? null : photo.picture();
    const { flat } = photo;
    if (picture && flat)
      await attempt("The photo is not kept under the drawing", () =>
        putUnderlay(
          knifeId,
          {
            picture,
            widthMm: flat.width,
            heightMm: flat.height,
            datumX: at.x,
            datumY: at.y,
            tipDeg,
            mirrored,
            opacity: 0.4,
            shown: true,
          },
          underlay,
        ),
      );
    onDone();
  };
  const name = photo.name ?? pattern.pattern?.name ?? null;
  const wrong = photo.wrong ?? pattern.wrong;
  const scaling = photo.photo !== null && photo.flat === null;
  const drawing = pattern.working && DRAWING_WORDS[pattern.working];
  const working = drawing ? { says: drawing, done: null } : photo.busy;
  return (
    <Flex
      flex="1"
      minW="0"
      minH="0"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        if (e.dataTransfer.files[0]) void open(e.dataTransfer.files[0]);
      }}
    >
      <Flex direction="column" flex="1" minW="0" px="5" py="4" gap="3" data-testid="pattern">
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
          {found && (
            <>
              <Button
                size="sm"
                variant={datum ? "solid" : "outline"}
                aria-pressed={datum}
                onClick={() => {
                  setDatum(!datum);
                  hand.setLaying(false);
                }}
              >
                Mark the datum
              </Button>
              <Button
                size="sm"
                variant={hand.laying ? "solid" : "outline"}
                aria-pressed={hand.laying}
                onClick={() => {
                  hand.setLaying(!hand.laying);
                  setDatum(false);
                }}
              >
                Lay points by hand
              </Button>
            </>
          )}
          <FileButton
            size="sm"
            accept={ACCEPT}
            testId="pattern-file"
            failure="Import failed"
            onFiles={([file]) => open(file)}
          >
            <FolderOpen /> {name ? "Another" : "Choose a file"}
          </FileButton>
          <Button size="sm" variant="ghost" onClick={onDone}>
            Back to the bench
          </Button>
        </HStack>
        {wrong && (
          <Text color="fault" role="alert">
            {wrong}
          </Text>
        )}
        {working && (
          <ProgressLine
            says={
              working.done === null ? working.says : `${working.says} ${Math.round(100 * working.done)} %`
            }
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
            marking={datum || hand.laying}
            onPick={assigned.pick}
            onMark={(at, shift) => {
              if (hand.laying) {
                hand.add(at, shift);
                assigned.pick("by-hand");
                return;
              }
              assigned.setPlacing({ ...assigned.placing, datum: at });
              setDatum(false);
            }}
          />
        )}
        {!scaling && !found && !working && <Empty />}
      </Flex>
      {underlay && !name && (
        <Stack
          as="aside"
          aria-label="Photo"
          w="340px"
          flexShrink="0"
          p="4"
          bg="sheet"
          borderLeftWidth="1px"
          overflowY="auto"
        >
          <UnderlayFields knifeId={knifeId} underlay={underlay} />
        </Stack>
      )}
      {!scaling && (pattern.pattern || found) && (
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
          {photo.flat ? <SeeingFields state={photo} /> : <UnitChoice state={pattern} />}
          {hand.laying && <HandList hand={hand} />}
          {found && (
            <FoundList
              found={found}
              passedOver={pattern.pattern?.drawing.passedOver ?? {}}
              assigned={assigned}
            />
          )}
          {assigned.outline && <Placement assigned={assigned} onTaken={() => void taken()} />}
        </Stack>
      )}
    </Flex>
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
