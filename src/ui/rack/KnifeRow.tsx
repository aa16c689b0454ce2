"use client";
import { Box, Button, Flex, HStack, IconButton, Input, Link, Stack, Text } from "@chakra-ui/react";
import { Copy, FileUp, Pencil, Trash2 } from "lucide-react";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { printMass } from "@/core/base/units/print";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Job } from "@/core/knife/design/schema";
import type { PlanRecord } from "@/core/plan/version";
import { changeDesign, duplicateKnife, removeKnife, restoreKnife } from "@/store/knives";
import { usePlan } from "@/store/plans";
import type { FiguresRecord, KnifeRecord } from "@/store/rows";
import { useSettings } from "@/store/settings";
import { balanceShort } from "@/words/balance";
import { dayWords, STATE_WORDS } from "@/words/job";
import { BalanceMark } from "../drawing/BalanceMark";
import { exportKnife } from "../files/files";
import { NearLink } from "../kit/NearLink";
import { attempt, notices } from "../kit/notice";
import { viewsOf } from "../products/viewsOf";
import { drawingHeight, LEAST_PX, RULE_PX, rowHeight } from "./measures";
import type { Reach } from "./useReach";

interface KnifeRowProps {
  readonly knife: KnifeRecord;
  /** What it weighed; `old` of an older state of it. Null before it was weighed. */
  readonly figures:
    | (Pick<FiguresRecord, "massG" | "balanceMm" | "refused"> & { readonly old: boolean })
    | null;
  /** Why it is not weighed, when the weighing itself failed. */
  readonly failure: string | null;
  readonly onAgain: () => void;
  readonly reach: Reach;
}

/** One knife on the rack. */
export function KnifeRow({ knife, figures, failure, onAgain, reach }: KnifeRowProps) {
  const [renaming, setRenaming] = useState(false);
  const { design } = knife;
  return (
    <Flex
      align="center"
      wrap={reach.isStacked ? "wrap" : "nowrap"}
      borderBottomWidth={`${RULE_PX}px`}
      position="relative"
      _hover={{ bg: "ground" }}
      data-testid="rack-row"
    >
      <RowDrawing design={design} balanceMm={figures?.balanceMm ?? null} reach={reach} />
      {/* As high before its figures are there as after: a name does not move away from under the pointer. */}
      <Stack gap="0" flex="1" py="2" ps={reach.isStacked ? "3" : "0"} minW="0" minH={`${LEAST_PX}px`}>
        {renaming ? (
          <RenameField knife={knife} onDone={() => setRenaming(false)} />
        ) : (
          <Link asChild fontWeight="600" fontSize="lg" color="ink">
            {/* The whole row opens the knife; the menu stands above this layer. */}
            <NearLink href={`/knife/${knife.id}`} className="row-link" style={{ overflowWrap: "anywhere" }}>
              {design.name}
            </NearLink>
          </Link>
        )}
        <RowFigures figures={figures} failure={failure} />
        <JobLine id={knife.id} job={design.job} />
        {failure && (
          <HStack gap="2" position="relative" zIndex="1">
            <Text color="fault" truncate title={failure}>
              Not weighed: {failure}
            </Text>
            <Button size="2xs" variant="outline" onClick={onAgain}>
              Try again
            </Button>
          </HStack>
        )}
      </Stack>
      <RowActions knife={knife} onRename={() => setRenaming(true)} />
    </Flex>
  );
}

/** The knife from its right side, with the point that it balances at. */
function RowDrawing(props: { design: ProductDesign; balanceMm: number | null; reach: Reach }) {
  const { design, balanceMm } = props;
  const { pxPerMm, behindMm, drawingPx, isStacked } = props.reach;
  const { Side, extent: extentOf } = viewsOf(design);
  const extent = useMemo(() => extentOf(design), [design, extentOf]);
  const height = isStacked ? drawingHeight(extent, pxPerMm) : rowHeight(extent, props.reach);
  const originY = (height - (extent.yHigh - extent.yLow) * pxPerMm - 18) / 2 + extent.yHigh * pxPerMm;
  const scale = useMemo(
    () => ({ pxPerMm, originX: 12 + behindMm * pxPerMm, originY }),
    [pxPerMm, behindMm, originY],
  );
  return (
    <Box flexShrink="0" w={isStacked ? "full" : undefined} pe={isStacked ? "0" : "3"}>
      <svg width={drawingPx} height={height} role="img" aria-label={`${design.name} from its right side`}>
        <Side design={design} scale={scale} line={0.8} />
        {balanceMm !== null && (
          <BalanceMark
            x={scale.originX + balanceMm * pxPerMm}
            y={originY - extent.yLow * pxPerMm + 2}
            size={10}
          />
        )}
      </svg>
    </Box>
  );
}

/** What it weighs and where it balances, or why that is not said. */
function RowFigures({ figures, failure }: Pick<KnifeRowProps, "figures" | "failure">) {
  const { units } = useSettings();
  const { massG, balanceMm, old } = figures ?? { massG: null, balanceMm: null, old: false };
  const refused = figures?.refused === true && !old;
  if (massG === null || balanceMm === null) {
    if (figures && !old) return <Text color="fault">Cannot be built as drawn: open it to see why</Text>;
    return failure ? null : <Text color="graphite">weighing…</Text>;
  }
  return (
    <>
      <Text fontSize="lg" data-testid="rack-mass" opacity={old || refused ? 0.55 : 1}>
        {printMass(massG, units)}
        {(old || refused) && (
          <Text as="span" fontSize="sm" color="graphite" ms="2">
            {refused ? "when it last could be built" : "before the last change"}
          </Text>
        )}
      </Text>
      {refused ? (
        <Text color="fault" fontSize="sm" fontWeight="500">
          cannot be built as drawn now
        </Text>
      ) : (
        <Text color="bronze" fontSize="sm" fontWeight="500" opacity={old ? 0.55 : 1}>
          balances {balanceShort(balanceMm, units)}
        </Text>
      )}
    </>
  );
}

/** What can be done with a knife on the rack. */
function RowActions({ knife, onRename }: { knife: KnifeRecord; onRename: () => void }) {
  const { id, design } = knife;
  const duplicate = async () => {
    const copy = await duplicateKnife(knife);
    notices.success({ title: `${copy.design.name} is a copy of ${design.name}` });
  };
  const remove = async () => {
    if (!(await removeKnife(id)))
      return notices.error({
        title: `${design.name} is still on the rack`,
        description: "The browser did not take its removal.",
      });
    notices.create({
      title: `${design.name} was taken off the rack`,
      description: "It lies in the bin for 30 days.",
      duration: 15_000,
      action: {
        label: "Put it back",
        onClick: () => void attempt("It could not be put back", () => restoreKnife(id)),
      },
    });
  };
  return (
    <HStack gap="0" zIndex="1" mx="2">
      <RowButton name={`Rename ${design.name}`} onClick={onRename}>
        <Pencil />
      </RowButton>
      <RowButton
        name={`Duplicate ${design.name}`}
        onClick={() => void attempt(`${design.name} could not be copied`, duplicate)}
      >
        <Copy />
      </RowButton>
      <RowButton name={`Export ${design.name}`} onClick={() => void exportKnife(id, design)}>
        <FileUp />
      </RowButton>
      <RowButton
        name={`Delete ${design.name}`}
        onClick={() => void attempt(`${design.name} is still on the rack`, remove)}
        danger
      >
        <Trash2 />
      </RowButton>
    </HStack>
  );
}

/** How far it has come, for whom it is made, and its day. */
function JobLine({ id, job: { state, customer, dueOn, finishedOn } }: { id: string; job: Job }) {
  const plan = usePlan(id);
  const open = state === "planned" || state === "in-work";
  const day = open ? dueOn && `due ${dayWords(dueOn)}` : finishedOn && dayWords(finishedOn);
  return (
    <Text color="graphite" fontSize="sm" truncate title={customer || undefined}>
      {[open ? stateWithTasks(state, plan) : STATE_WORDS[state], day, customer].filter(Boolean).join(" · ")}
    </Text>
  );
}

/** "In work at task 5 of 31": what the plan knows of it; else the state alone. */
function stateWithTasks(state: Job["state"], plan: PlanRecord | undefined): string {
  const done = Object.keys(plan?.done ?? {}).length;
  const count = plan?.count ?? null;
  if (done === 0 || count === null) return STATE_WORDS[state];
  return done >= count ? `All ${count} tasks done` : `In work at task ${done + 1} of ${count}`;
}

/** One thing to do with a knife, by its picture; its name shows when it is pointed at. */
function RowButton(props: { name: string; danger?: boolean; onClick: () => void; children: ReactNode }) {
  return (
    <IconButton
      size="sm"
      variant="ghost"
      color={props.danger ? "fault" : "graphite"}
      aria-label={props.name}
      title={props.name}
      onClick={props.onClick}
    >
      {props.children}
    </IconButton>
  );
}

function RenameField({ knife, onDone }: { knife: KnifeRecord; onDone: () => void }) {
  const [name, setName] = useState(knife.design.name);
  const wrong = name.trim() === "";
  const input = useRef<HTMLInputElement>(null);
  const armed = useRef(false);
  useEffect(() => {
    // The menu that this came from gives its focus back as it closes: take it after that.
    const timer = setTimeout(() => {
      armed.current = true;
      input.current?.select();
    }, 80);
    return () => clearTimeout(timer);
  }, []);
  const keep = async () => {
    if (!wrong)
      await attempt("The new name was not taken", () =>
        changeDesign(knife.id, (d) => ({ ...d, name: name.trim() })),
      );
    onDone();
  };
  return (
    <Box zIndex="1">
      <Input
        size="sm"
        maxW="260px"
        ref={input}
        aria-label="Name of the knife"
        aria-invalid={wrong}
        maxLength={80}
        value={name}
        onChange={(e) => setName(e.target.value)}
        onBlur={() => armed.current && void keep()}
        onKeyDown={(e) => {
          if (e.key === "Enter") void keep();
          if (e.key === "Escape") onDone();
        }}
      />
      {wrong && <Text color="fault">A knife needs a name; this one keeps its old one.</Text>}
    </Box>
  );
}
