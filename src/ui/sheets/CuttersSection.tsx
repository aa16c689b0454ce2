"use client";
import { Button, Stack, Table, Text } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { useEffect, useMemo, useReducer, useState } from "react";
import { printLengthPlain, type UnitSystem } from "@/core/base/units/print";
import { AS_DRAWN, type CutSettings } from "@/core/exchange/cutting/cutSettings";
import type { Cuttable } from "@/core/exchange/cutting/cuttable";
import { layerBox } from "@/core/exchange/cutting/place";
import { DRAWING_FORMAT_IDS, DRAWING_FORMATS, type DrawingFormatId } from "@/core/exchange/files/drawings";
import type { Drawing } from "@/core/geometry/contours/drawing";
import { type Design, onlyFixed } from "@/core/knife/design/schema";
import { createSheetsWorker } from "@/sheets/client";
import type { SheetSource } from "@/sheets/pageBuilder";
import { readableKnives } from "@/store/knives";
import type { KnifeRecord } from "@/store/rows";
import { cutFrom } from "@/words/marks";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { Tick } from "../fields/Tick";
import { download, fileStem } from "../files/files";
import { ScrolledPart, SettingsColumn } from "../kit/Columns";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { UnderWay } from "../kit/UnderWay";
import { useServiceQuery } from "../kit/useWorkerQuery";
import { useBench } from "../session/BenchContext";
import { PanelLayout } from "./PanelLayout";

const NONE: readonly Cuttable[] = [];

const STOCK = { widthMm: 300, heightMm: 200, gapMm: 3, rimMm: 5 };

async function save(drawing: Drawing, format: DrawingFormatId, stem: string): Promise<void> {
  const { type, write } = DRAWING_FORMATS[format];
  download(new Blob([(await write())(drawing)], { type }), `${stem}.${format}`);
}

/** How parts are cut, in which format, on which stock, which are left out, and which knives lie beside this one. */
interface CutChoices {
  readonly settings: CutSettings;
  readonly format: DrawingFormatId;
  readonly leftOut: ReadonlySet<string>;
  readonly stock: typeof STOCK;
  readonly alsoCut: ReadonlySet<string>;
}

type CutChange =
  | { readonly what: "settings"; readonly to: Partial<CutSettings> }
  | { readonly what: "stock"; readonly to: Partial<typeof STOCK> }
  | { readonly what: "format"; readonly to: DrawingFormatId }
  | { readonly what: "part" | "knife"; readonly toggles: string };

function toggled(set: ReadonlySet<string>, name: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(name)) next.add(name);
  return next;
}

function changed(choices: CutChoices, change: CutChange): CutChoices {
  switch (change.what) {
    case "settings":
      return { ...choices, settings: { ...choices.settings, ...change.to } };
    case "stock":
      return { ...choices, stock: { ...choices.stock, ...change.to } };
    case "format":
      return { ...choices, format: change.to };
    case "part":
      return { ...choices, leftOut: toggled(choices.leftOut, change.toggles) };
    case "knife":
      return { ...choices, alsoCut: toggled(choices.alsoCut, change.toggles) };
  }
}

const AT_FIRST: CutChoices = {
  settings: AS_DRAWN,
  format: DRAWING_FORMAT_IDS[0],
  leftOut: new Set(),
  stock: STOCK,
  alsoCut: new Set(),
};

/** The other knives on the rack, which may be cut together with this one. */
function useOtherKnives(): readonly KnifeRecord<Design>[] {
  const { knifeId } = useBench();
  const [others, setOthers] = useState<readonly KnifeRecord<Design>[]>([]);
  useEffect(() => {
    void readableKnives().then(
      (all) => setOthers(onlyFixed(all.filter((k) => k.id !== knifeId)) as readonly KnifeRecord<Design>[]),
      () => undefined,
    );
  }, [knifeId]);
  return others;
}

/** Every part as a drawing for who cuts it, by itself or laid out on stock, of this knife and of others beside it. */
export function CuttersSection({ source }: { source: SheetSource }) {
  const { design, units } = source;
  const [choices, change] = useReducer(changed, AT_FIRST);
  const { settings, format, leftOut, stock, alsoCut } = choices;
  const others = useOtherKnives();
  const asked = useMemo(
    () => ({
      designs: [design, ...others.filter((k) => alsoCut.has(k.id)).map((k) => k.design)],
      settings,
    }),
    [design, others, alsoCut, settings],
  );
  const cut = useServiceQuery(createSheetsWorker, asked, (s, of) => s.cut(of.designs, of.settings));
  const own = cut.answer?.[0] ?? NONE;
  /** What stands there is cut of the state before: it can be looked at, and not be saved. */
  const isOld = cut.of !== asked;
  const job = useMemo(() => {
    if (!cut.answer) return null;
    const [mine, ...theirs] = cut.answer;
    return { knives: [mine.filter((c) => !leftOut.has(c.name)), ...theirs], stock };
  }, [cut.answer, leftOut, stock]);
  const stem = fileStem(design.name);
  const write = (drawing: Drawing, name: string) =>
    void attempt("The file was not written", () => save(drawing, format, name));
  return (
    <>
      <ScrolledPart data-testid="cutters">
        <Stack gap="0" mb="3">
          <Text fontWeight="600" fontSize="lg">
            Cutter's files
          </Text>
          <Text color="graphite" fontSize="sm">
            Closed contours in millimetres, a layer a part, holes at drill size. Seen from the right side, or
            from the front; a left part is the mirror image.
          </Text>
        </Stack>
        <PartsTable
          parts={own}
          units={units}
          choices={choices}
          onToggle={(name) => change({ what: "part", toggles: name })}
          onSave={isOld ? null : (part) => write({ layers: [part.layer] }, `${stem}-${part.name}`)}
        />
        <UnderWay on={cut.isLoading} says="Working out what is cut …" />
        {cut.failed && (
          <Text color="fault" role="alert">
            What is cut could not be worked out: {cut.reason}
          </Text>
        )}
        <PanelLayout job={job} isOld={isOld} units={units} format={format} stem={stem} onSave={write} />
      </ScrolledPart>
      <CutSettingsPanel choices={choices} others={others} onChange={change} />
    </>
  );
}

function PartsTable(props: {
  parts: readonly Cuttable[];
  units: UnitSystem;
  choices: CutChoices;
  onToggle: (name: string) => void;
  /** Null while what is cut is worked out anew. */
  onSave: ((part: Cuttable) => void) | null;
}) {
  const { parts, units, choices, onToggle, onSave } = props;
  const materialOf = useMaterialOf();
  return (
    <Table.Root size="sm" aria-label="Parts to cut">
      <Table.Header>
        <Table.Row>
          {["Cut", "Material", "Thick", "Size", "Count", "File"].map((h) => (
            <Table.ColumnHeader key={h}>{h}</Table.ColumnHeader>
          ))}
        </Table.Row>
      </Table.Header>
      <Table.Body>
        {parts.map((c) => (
          <Row
            key={c.name}
            piece={c}
            material={cutFrom(c.material, materialOf)}
            size={(mm) => printLengthPlain(mm, units)}
            on={!choices.leftOut.has(c.name)}
            onToggle={() => onToggle(c.name)}
            onSave={onSave && (() => onSave(c))}
            format={choices.format}
          />
        ))}
      </Table.Body>
    </Table.Root>
  );
}

/** Lengths of the settings and of the stock, in the order that they stand in the panel. */
const CUT_LENGTHS = [
  {
    key: "kerfMm",
    label: "Kerf",
    max: 10,
    help: "Most cutters take care of it themselves: leave it at 0 then.",
  },
  {
    key: "allowanceMm",
    label: "Left to grind",
    max: 20,
    help: "All round outer outlines, and in an arc round their corners.",
  },
  {
    key: "leastHoleMm",
    label: "Only mark holes under",
    max: 60,
    help: "Plasma cannot hold a hole smaller than the plate is thick: mark its centre, and drill it.",
  },
] as const;
const STOCK_LENGTHS = [
  { key: "widthMm", label: "Width", min: 20, max: 5000 },
  { key: "heightMm", label: "Height", min: 20, max: 5000 },
  { key: "gapMm", label: "Between pieces", min: 0, max: 50 },
  { key: "rimMm", label: "Rim", min: 0, max: 100 },
] as const;

function CutSettingsPanel(props: {
  choices: CutChoices;
  others: readonly KnifeRecord<Design>[];
  onChange: (change: CutChange) => void;
}) {
  const { choices, others, onChange } = props;
  const { settings, stock, format, alsoCut } = choices;
  return (
    <SettingsColumn aria-label="How it is cut" width="300px" gap="2">
      <ChoiceField
        label="Format"
        value={format}
        choices={DRAWING_FORMAT_IDS.map((value) => ({ value, name: DRAWING_FORMATS[value].name }))}
        onChange={(to) => onChange({ what: "format", to })}
      />
      {CUT_LENGTHS.map(({ key, ...field }) => (
        <LengthField
          key={key}
          {...field}
          min={0}
          mm={settings[key]}
          onChange={(mm) => onChange({ what: "settings", to: { [key]: mm } })}
        />
      ))}
      <Text fontWeight="600" mt="3">
        Sheet of stock
      </Text>
      {STOCK_LENGTHS.map(({ key, ...field }) => (
        <LengthField
          key={key}
          {...field}
          mm={stock[key]}
          onChange={(mm) => onChange({ what: "stock", to: { [key]: mm } })}
        />
      ))}
      {others.length > 0 && (
        <>
          <Text fontWeight="600" mt="3">
            Beside it, all of
          </Text>
          {others.map((k) => (
            <Tick
              key={k.id}
              label={k.design.name}
              checked={alsoCut.has(k.id)}
              onChange={() => onChange({ what: "knife", toggles: k.id })}
            />
          ))}
        </>
      )}
    </SettingsColumn>
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
  onSave: (() => void) | null;
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
          disabled={!onSave}
          onClick={onSave ?? undefined}
        >
          <Download /> {DRAWING_FORMATS[format].name}
        </Button>
      </Table.Cell>
    </Table.Row>
  );
}
