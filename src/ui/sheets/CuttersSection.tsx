"use client";
import { Box, Button, Stack, Table, Text } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { printLengthPlain } from "@/core/base/units/print";
import { cuttables } from "@/core/exchange/cutting/cutJob";
import { type Cuttable, drawingOf } from "@/core/exchange/cutting/cuttable";
import { AS_DRAWN, type CutSettings } from "@/core/exchange/cutting/pieceLayers";
import { layerBox } from "@/core/exchange/cutting/place";
import { DRAWING_FORMAT_IDS, DRAWING_FORMATS, type DrawingFormatId } from "@/core/exchange/files/drawings";
import type { Drawing } from "@/core/geometry/contours/drawing";
import { type Design, onlyFixed } from "@/core/knife/design/schema";
import type { SheetSource } from "@/sheets/sheet";
import { readableKnives } from "@/store/knives";
import type { KnifeRecord } from "@/store/rows";
import { cutFrom } from "@/words/marks";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { Tick } from "../fields/Tick";
import { download, fileStem } from "../files/files";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { useBench } from "../session/BenchContext";
import { StockSheets } from "./StockSheets";

const STOCK = { widthMm: 300, heightMm: 200, gapMm: 3, rimMm: 5 };

async function save(drawing: Drawing, format: DrawingFormatId, stem: string): Promise<void> {
  const { type, write } = DRAWING_FORMATS[format];
  download(new Blob([(await write())(drawing)], { type }), `${stem}.${format}`);
}

/** Every part as a drawing for who cuts it, by itself or laid out on stock, of this knife and of others beside it. */
export function CuttersSection({ source }: { source: SheetSource }) {
  const { design, units } = source;
  const { knifeId } = useBench();
  const materialOf = useMaterialOf();
  const [settings, setSettings] = useState<CutSettings>(AS_DRAWN);
  const [format, setFormat] = useState<DrawingFormatId>(DRAWING_FORMAT_IDS[0]);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [stock, setStock] = useState(STOCK);
  const [others, setOthers] = useState<readonly KnifeRecord<Design>[]>([]);
  const [beside, setBeside] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    void readableKnives().then(
      (all) => setOthers(onlyFixed(all.filter((k) => k.id !== knifeId)) as readonly KnifeRecord<Design>[]),
      () => undefined,
    );
  }, [knifeId]);
  const own = useMemo(() => cuttables(design, settings), [design, settings]);
  const job = useMemo(
    () => ({
      knives: [
        own.filter((c) => !left.has(c.name)),
        ...others.filter((k) => beside.has(k.id)).map((k) => cuttables(k.design, settings)),
      ],
      stock,
    }),
    [own, left, others, beside, settings, stock],
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
                material={cutFrom(c.material, materialOf)}
                size={size}
                on={!left.has(c.name)}
                onToggle={() => setLeft(toggle(left, c.name))}
                onSave={() => write(drawingOf(c), `${stem}-${c.name}`)}
                format={format}
              />
            ))}
          </Table.Body>
        </Table.Root>
        <StockSheets job={job} units={units} format={format} stem={stem} onSave={write} />
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
          choices={DRAWING_FORMAT_IDS.map((value) => ({ value, name: DRAWING_FORMATS[value].name }))}
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
  format: DrawingFormatId;
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
          aria-label={`Save ${piece.name} as ${DRAWING_FORMATS[format].name}`}
          onClick={onSave}
        >
          <Download /> {DRAWING_FORMATS[format].name}
        </Button>
      </Table.Cell>
    </Table.Row>
  );
}
