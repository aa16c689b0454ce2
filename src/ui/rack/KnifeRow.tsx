"use client";
import { Box, Flex, HStack, IconButton, Input, Link, Stack, Text } from "@chakra-ui/react";
import { Copy, FileUp, Pencil, Trash2 } from "lucide-react";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { printMass } from "@/core/units/print";
import type { Weighing } from "@/core/weigh/weigh";
import type { KnifeRecord } from "@/store/db";
import { addKnife, changeDesign, freeName, removeKnife, restoreKnife } from "@/store/knives";
import { useSettings } from "@/store/settings";
import { addVariants, variantsOf } from "@/store/variants";
import { balanceWords } from "@/words/balance";
import { BalanceMark } from "../drawing/BalanceMark";
import { knifeExtent } from "../drawing/extent";
import { KnifeSide } from "../drawing/KnifeSide";
import { downloadKnife } from "../files";
import { NearLink } from "../shell/NearLink";
import { notices } from "../shell/notice";

/** Width of the drawings on the rack, px. */
export const RACK_DRAWING_PX = 760;

interface KnifeRowProps {
  readonly knife: KnifeRecord;
  readonly weighing: Weighing | null;
  readonly behindMm: number;
  readonly pxPerMm: number;
  readonly takenNames: () => string[];
}

/** One knife on the rack. */
export function KnifeRow({ knife, weighing, behindMm, pxPerMm, takenNames }: KnifeRowProps) {
  const [renaming, setRenaming] = useState(false);
  const { units } = useSettings();
  const { design } = knife;
  const extent = knifeExtent(design);
  const height = Math.max(64, (extent.yHigh - extent.yLow) * pxPerMm + 26);
  const scale = { pxPerMm, originX: 12 + behindMm * pxPerMm, originY: 8 + extent.yHigh * pxPerMm };
  const report = weighing?.ok ? weighing.report : null;

  const duplicate = async () => {
    const copy = await addKnife({ ...design, name: freeName(design.name, takenNames()) });
    await addVariants(copy.id, await variantsOf(knife.id));
    notices.success({ title: `${copy.design.name} is a copy of ${design.name}` });
  };
  const remove = async () => {
    const gone = await removeKnife(knife.id);
    if (!gone) return;
    notices.create({
      title: `${design.name} was taken off the rack`,
      duration: 15_000,
      action: { label: "Put it back", onClick: () => void restoreKnife(gone) },
    });
  };

  return (
    <Flex
      align="center"
      borderBottomWidth="1px"
      position="relative"
      _hover={{ bg: "ground" }}
      data-testid="rack-row"
    >
      <Box px="3" flexShrink="0">
        <svg
          width={RACK_DRAWING_PX}
          height={height}
          role="img"
          aria-label={`${design.name} from its right side`}
        >
          <KnifeSide design={design} scale={scale} line={0.8} />
          {report && (
            <BalanceMark
              x={scale.originX + report.balanceMm * pxPerMm}
              y={8 + (extent.yHigh - extent.yLow) * pxPerMm + 2}
              size={10}
            />
          )}
        </svg>
      </Box>
      <Stack gap="0" flex="1" py="2" minW="0">
        {renaming ? (
          <RenameField knife={knife} onDone={() => setRenaming(false)} />
        ) : (
          <Link asChild fontWeight="600" fontSize="lg" color="ink">
            {/* The whole row opens the knife; the menu stands above this layer. */}
            <NearLink href={`/knife/${knife.id}`} className="row-link">
              {design.name}
            </NearLink>
          </Link>
        )}
        {report ? (
          <>
            <Text fontSize="lg" data-testid="rack-mass">
              {printMass(report.massG, units)}
            </Text>
            <Text color="bronze" fontSize="sm" fontWeight="500">
              balances {balanceWords(report.balanceMm, design, units)}
            </Text>
          </>
        ) : (
          <Text color={weighing ? "fault" : "graphite"}>
            {weighing ? "Cannot be built as drawn: open it to see why" : "weighing…"}
          </Text>
        )}
      </Stack>
      <HStack gap="0" zIndex="1" mx="2">
        <RowButton name={`Rename ${design.name}`} onClick={() => setRenaming(true)}>
          <Pencil />
        </RowButton>
        <RowButton name={`Duplicate ${design.name}`} onClick={() => void duplicate()}>
          <Copy />
        </RowButton>
        <RowButton
          name={`Export ${design.name}`}
          onClick={() => void variantsOf(knife.id).then((v) => downloadKnife(design, v))}
        >
          <FileUp />
        </RowButton>
        <RowButton name={`Delete ${design.name}`} onClick={() => void remove()} danger>
          <Trash2 />
        </RowButton>
      </HStack>
    </Flex>
  );
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
    if (!wrong) await changeDesign(knife.id, (d) => ({ ...d, name: name.trim() }));
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
