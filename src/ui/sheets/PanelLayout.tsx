"use client";
import { Box, Button, Flex, Stack, Text } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { printLengthPlain, type UnitSystem } from "@/core/base/units/print";
import type { LaidPanel } from "@/core/exchange/cutting/cutJob";
import type { Cuttable } from "@/core/exchange/cutting/cuttable";
import type { Panel } from "@/core/exchange/cutting/panel";
import { DRAWING_FORMATS, type DrawingFormatId } from "@/core/exchange/files/drawings";
import { pathData } from "@/core/exchange/files/svg/write";
import type { Drawing } from "@/core/geometry/contours/drawing";
import { counted } from "@/words/grammar";
import { cutFrom } from "@/words/marks";
import { useMaterialOf } from "../kit/materials";
import { UnderWay } from "../kit/UnderWay";
import { useWorkerQuery } from "../kit/useWorkerQuery";

/** What is cut of one knife or several, and the sheets that it is cut from. */
export interface StockJob {
  readonly knives: readonly (readonly Cuttable[])[];
  readonly stock: Panel;
}

/** The pieces laid out on sheets of stock, worked out in a worker. */
export function PanelLayout({
  job,
  isOld,
  units,
  format,
  stem,
  onSave,
}: {
  /** Null while what is cut is worked out. */
  job: StockJob | null;
  /** Whether what is cut is worked out anew: what lies there is of the state before. */
  isOld: boolean;
  units: UnitSystem;
  format: DrawingFormatId;
  /** Begins the names of files. */
  stem: string;
  onSave: (drawing: Drawing, name: string) => void;
}) {
  const materialOf = useMaterialOf();
  const { answer, of, failed, isLoading } = useWorkerQuery(job, (s, { knives, stock }) =>
    s.layOut(knives, stock),
  );
  const size = (mm: number) => printLengthPlain(mm, units);
  if (!answer || !of)
    return failed ? <Failed /> : <UnderWay on={isLoading} says="Laying the pieces out on stock …" />;
  const { sheets, tooLarge } = answer;
  const { widthMm, heightMm } = of.stock;
  return (
    <>
      <Text fontWeight="600" mt="6" mb="2">
        On stock: {counted(sheets.length, "sheet")} of {size(widthMm)} × {size(heightMm)}, each of one
        material and thickness
      </Text>
      {failed && <Failed />}
      <UnderWay on={isLoading} says="Laying the pieces out anew …" />
      {tooLarge.length > 0 && (
        <Text color="fault" role="alert">
          Larger than the sheet, and not laid out: {tooLarge.join(", ")}.
        </Text>
      )}
      <Flex gap="4" wrap="wrap">
        {[...sheets.entries()].map(([i, sheet]) => (
          <StockView
            key={i}
            sheet={sheet}
            of={`${cutFrom(sheet.material, materialOf)}, ${size(sheet.thicknessMm)}`}
            widthMm={widthMm}
            heightMm={heightMm}
            format={format}
            number={sheets.length > 1 ? i + 1 : null}
            onSave={
              isOld || isLoading || failed || of !== job
                ? null
                : () => onSave(sheet.drawing, sheets.length > 1 ? `${stem}-stock-${i + 1}` : `${stem}-stock`)
            }
          />
        ))}
      </Flex>
    </>
  );
}

const Failed = () => (
  <Text color="fault" role="alert">
    The pieces could not be laid out. Change the sheet of stock, to try once more.
  </Text>
);

/** A sheet of stock with what is cut out of it, to see how it lies. */
function StockView({
  sheet: { drawing, usedShare, by },
  of,
  widthMm,
  heightMm,
  format,
  number,
  onSave,
}: {
  sheet: LaidPanel;
  /** Its material and thickness. */
  of: string;
  widthMm: number;
  heightMm: number;
  format: DrawingFormatId;
  /** Which of several it is. */
  number: number | null;
  /** Null while another layout is worked out. */
  onSave: (() => void) | null;
}) {
  const count = drawing.layers.length;
  const pieces = counted(count, "piece");
  return (
    <Stack gap="1" maxW="342px">
      <Box borderWidth="1px" bg="sheet" color="ink">
        <svg
          viewBox={`0 ${-heightMm} ${widthMm} ${heightMm}`}
          width={Math.min(340, widthMm * 1.4)}
          role="img"
          aria-label={`Sheet of ${of} with ${pieces}`}
        >
          {drawing.layers.map((l) => (
            <g key={l.name} fill="none" stroke="currentColor" strokeWidth={widthMm / 500}>
              {[...l.loops.entries()].map(([i, loop]) => (
                <path key={i} d={pathData(loop)} />
              ))}
              {l.circles.map((c) => (
                <circle key={`${c.x} ${c.y}`} cx={c.x} cy={-c.y} r={c.radiusMm} />
              ))}
            </g>
          ))}
        </svg>
      </Box>
      <Text color="graphite" fontSize="sm">
        {of}: {pieces}, {Math.round(usedShare * 100)} % of the sheet used
        {count > 1 ? `, laid by their ${by}` : ""}
      </Text>
      <Button
        size="xs"
        alignSelf="start"
        aria-label={`Save ${number === null ? "the sheet" : `sheet ${number}`}, ${of}, as ${DRAWING_FORMATS[format].name}`}
        disabled={!onSave}
        onClick={onSave ?? undefined}
      >
        <Download /> {number === null ? "Sheet" : `Sheet ${number}`} as {DRAWING_FORMATS[format].name}
      </Button>
    </Stack>
  );
}
