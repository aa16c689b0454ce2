"use client";
import { Box, Button, Flex, Stack, Table, Text } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import type { Drawing } from "@/core/contours/drawing";
import { type Cuttable, cuttables, drawingOf, type LaidSheet, laidOnStock } from "@/core/cutting/cutJob";
import { AS_DRAWN, type CutSettings } from "@/core/cutting/pieceLayers";
import { layerBox } from "@/core/cutting/place";
import { pathData, writeSvg } from "@/core/files/svg/write";
import { printLengthPlain } from "@/core/units/print";
import type { SheetSource } from "@/sheets/sheet";
import { readableKnives } from "@/store/knives";
import type { KnifeRecord } from "@/store/rows";
import { useBench } from "../bench/BenchContext";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { Tick } from "../fields/Tick";
import { download, fileStem } from "../files";
import { useMaterialOf } from "../materials";
import { attempt } from "../shell/notice";

type Format = "dxf" | "svg";
const STOCK = { widthMm: 300, heightMm: 200, gapMm: 3, rimMm: 5 };

async function save(drawing: Drawing, format: Format, stem: string): Promise<void> {
  // The writer of DXF is loaded when it is asked for.
  const text =
    format === "svg" ? writeSvg(drawing) : (await import("@/core/files/dxf/write")).writeDxf(drawing);
  download(
    new Blob([text], { type: format === "svg" ? "image/svg+xml" : "application/dxf" }),
    `${stem}.${format}`,
  );
}

/** Every part as a drawing for who cuts it, by itself or laid out on stock, of this knife and of others beside it. */
export function CuttersSection({ source }: { source: SheetSource }) {
  const { design, units } = source;
  const { knifeId } = useBench();
  const materialOf = useMaterialOf();
  const [settings, setSettings] = useState<CutSettings>(AS_DRAWN);
  const [format, setFormat] = useState<Format>("dxf");
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [stock, setStock] = useState(STOCK);
  const [others, setOthers] = useState<readonly KnifeRecord[]>([]);
  const [beside, setBeside] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    void readableKnives().then(
      (all) => setOthers(all.filter((k) => k.id !== knifeId)),
      () => undefined,
    );
  }, [knifeId]);
  const own = useMemo(() => cuttables(design, settings), [design, settings]);
  const wanted = own.filter((c) => !left.has(c.name));
  const nesting = useMemo(
    () =>
      laidOnStock(
        [wanted, ...others.filter((k) => beside.has(k.id)).map((k) => cuttables(k.design, settings))],
        stock,
      ),
    [wanted, others, beside, settings, stock],
  );
  const stem = fileStem(design.name);
  const size = (mm: number) => printLengthPlain(mm, units);
  const toggle = (set: ReadonlySet<string>, name: string) => {
    const next = new Set(set);
    if (!next.delete(name)) next.add(name);
    return next;
  };
  const write = (drawing: Drawing, name: string) =>
    void attempt("The file was not written", () => save(drawing, format, name));
  return (
    <>
      <Box flex="1" minW="0" minH="0" overflowY="auto" px="6" py="4" data-testid="cutters">
        <Stack gap="0" mb="3">
          <Text fontWeight="600" fontSize="lg">
            Cutter's files
          </Text>
          <Text color="graphite" fontSize="sm">
            Closed contours in millimetres, a layer a part, holes at drill size. Seen from the right side, or
            from the front; a left part is the mirror image.
          </Text>
        </Stack>
        <Table.Root size="sm" aria-label="Parts to cut">
          <Table.Header>
            <Table.Row>
              {["Cut", "Material", "Thick", "Size", "Count", ""].map((h) => (
                <Table.ColumnHeader key={h}>{h}</Table.ColumnHeader>
              ))}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {own.map((c) => (
              <Row
                key={c.name}
                piece={c}
                material={materialOf(c.material)?.name ?? c.material}
                size={size}
                on={!left.has(c.name)}
                onToggle={() => setLeft(toggle(left, c.name))}
                onSave={() => write(drawingOf(c), `${stem}-${c.name}`)}
                format={format}
              />
            ))}
          </Table.Body>
        </Table.Root>
        <Text fontWeight="600" mt="6" mb="2">
          On stock: {nesting.sheets.length} {nesting.sheets.length === 1 ? "sheet" : "sheets"} of{" "}
          {size(stock.widthMm)} × {size(stock.heightMm)}, each of one material and thickness
        </Text>
        {nesting.tooLarge.length > 0 && (
          <Text color="fault" role="alert">
            Larger than the sheet, and not laid out: {nesting.tooLarge.join(", ")}.
          </Text>
        )}
        <Flex gap="4" wrap="wrap">
          {[...nesting.sheets.entries()].map(([i, sheet]) => (
            <StockView
              key={i}
              sheet={sheet}
              of={`${materialOf(sheet.material)?.name ?? sheet.material}, ${size(sheet.thicknessMm)}`}
              widthMm={stock.widthMm}
              heightMm={stock.heightMm}
              format={format}
              number={nesting.sheets.length > 1 ? i + 1 : null}
              onSave={() =>
                write(sheet.drawing, nesting.sheets.length > 1 ? `${stem}-stock-${i + 1}` : `${stem}-stock`)
              }
            />
          ))}
        </Flex>
      </Box>
      <Stack
        as="aside"
        aria-label="How it is cut"
        w="300px"
        flexShrink="0"
        p="4"
        gap="2"
        bg="sheet"
        borderLeftWidth="1px"
        overflowY="auto"
      >
        <ChoiceField
          label="Format"
          value={format}
          choices={[
            { value: "dxf", name: "DXF" },
            { value: "svg", name: "SVG" },
          ]}
          onChange={setFormat}
        />
        <LengthField
          label="Kerf"
          mm={settings.kerfMm}
          min={0}
          max={10}
          onChange={(kerfMm) => setSettings({ ...settings, kerfMm })}
          help="Most cutters take care of it themselves: leave it at 0 then."
        />
        <LengthField
          label="Left to grind"
          mm={settings.allowanceMm}
          min={0}
          max={20}
          onChange={(allowanceMm) => setSettings({ ...settings, allowanceMm })}
          help="All round outer outlines, and in an arc round their corners."
        />
        <LengthField
          label="Only mark holes under"
          mm={settings.leastHoleMm}
          min={0}
          max={60}
          onChange={(leastHoleMm) => setSettings({ ...settings, leastHoleMm })}
          help="Plasma cannot hold a hole smaller than the plate is thick: mark its centre, and drill it."
        />
        <Text fontWeight="600" mt="3">
          Sheet of stock
        </Text>
        <LengthField
          label="Width"
          mm={stock.widthMm}
          min={20}
          max={5000}
          onChange={(widthMm) => setStock({ ...stock, widthMm })}
        />
        <LengthField
          label="Height"
          mm={stock.heightMm}
          min={20}
          max={5000}
          onChange={(heightMm) => setStock({ ...stock, heightMm })}
        />
        <LengthField
          label="Between pieces"
          mm={stock.gapMm}
          min={0}
          max={50}
          onChange={(gapMm) => setStock({ ...stock, gapMm })}
        />
        <LengthField
          label="Rim"
          mm={stock.rimMm}
          min={0}
          max={100}
          onChange={(rimMm) => setStock({ ...stock, rimMm })}
        />
        {others.length > 0 && (
          <>
            <Text fontWeight="600" mt="3">
              Beside it, all of
            </Text>
            {others.map((k) => (
              <Tick
                key={k.id}
                label={k.design.name}
                checked={beside.has(k.id)}
                onChange={() => setBeside(toggle(beside, k.id))}
              />
            ))}
          </>
        )}
      </Stack>
    </>
  );
}

function Row({
  piece,
  material,
  size,
  on,
  onToggle,
  onSave,
  format,
}: {
  piece: Cuttable;
  material: string;
  size: (mm: number) => string;
  on: boolean;
  onToggle: () => void;
  onSave: () => void;
  format: Format;
}) {
  const box = layerBox(piece.layer);
  return (
    <Table.Row>
      <Table.Cell>
        <Tick label={piece.name} checked={on} onChange={onToggle} />
      </Table.Cell>
      <Table.Cell>{material}</Table.Cell>
      <Table.Cell>{size(piece.thicknessMm)}</Table.Cell>
      <Table.Cell>{box ? `${size(box.x1 - box.x0)} × ${size(box.y1 - box.y0)}` : "–"}</Table.Cell>
      <Table.Cell>{piece.count}</Table.Cell>
      <Table.Cell textAlign="end">
        <Button
          size="2xs"
          variant="outline"
          aria-label={`Save ${piece.name} as ${format.toUpperCase()}`}
          onClick={onSave}
        >
          <Download /> {format.toUpperCase()}
        </Button>
      </Table.Cell>
    </Table.Row>
  );
}

/** A sheet of stock with what is cut out of it, to see how it lies. */
function StockView({
  sheet: { drawing, usedShare },
  of,
  widthMm,
  heightMm,
  format,
  number,
  onSave,
}: {
  sheet: LaidSheet;
  /** Its material and thickness. */
  of: string;
  widthMm: number;
  heightMm: number;
  format: Format;
  /** Which of several it is. */
  number: number | null;
  onSave: () => void;
}) {
  const count = drawing.layers.length;
  const pieces = count === 1 ? "1 piece" : `${count} pieces`;
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
      </Text>
      <Button
        size="xs"
        alignSelf="start"
        aria-label={`Save ${number === null ? "the sheet" : `sheet ${number}`}, ${of}, as ${format.toUpperCase()}`}
        onClick={onSave}
      >
        <Download /> {number === null ? "Sheet" : `Sheet ${number}`} as {format.toUpperCase()}
      </Button>
    </Stack>
  );
}
