"use client";
import { Box, Button, HStack, Stack, Text } from "@chakra-ui/react";
import { Download, Printer } from "lucide-react";
import { useMemo, useState } from "react";
import {
  DRAWING_FORMAT_IDS,
  DRAWING_FORMATS,
  DRAWING_NAMES,
  type DrawingFormatId,
} from "@/core/exchange/files/drawings";
import { missingIn } from "@/core/exchange/paper/missing";
import type { Page } from "@/core/exchange/paper/page";
import { correction } from "@/core/exchange/paper/paper";
import { askSheets, createSheetsWorker } from "@/sheets/client";
import { sheetKindsOf } from "@/sheets/kinds";
import type { SheetSource } from "@/sheets/pageBuilder";
import { counted } from "@/words/grammar";
import { missingWords, SHEET_KINDS, SHEET_WORDS, type SheetKind } from "@/words/sheets";
import { download, fileStem } from "../files/files";
import { Columns, LeadingColumn, ScrolledPart, SettingsColumn } from "../kit/Columns";
import { attempt } from "../kit/notice";
import { UnderWay } from "../kit/UnderWay";
import { useServiceQuery } from "../kit/useWorkerQuery";
import { CuttersSection } from "./CuttersSection";
import { PageSvg } from "./PageSvg";
import { PaperFields } from "./PaperFields";
import { PrintedPages } from "./PrintedPages";
import { SheathFields } from "./SheathFields";
import { TablesSection } from "./TablesSection";
import { useSheetSource } from "./useSheetSource";

const OTHERS = {
  cutters: { name: "Cutter's files", says: `${DRAWING_NAMES} for laser, water jet and mill.` },
  tables: { name: "Tables and everything", says: "CSV tables, and the whole knife as one file." },
} as const;
type Shown = SheetKind | keyof typeof OTHERS;

/** Paper for the bench, files for who cuts, and tables. */
export function SheetsView() {
  const source = useSheetSource();
  const [shown, setShown] = useState<Shown>("templates");
  const entries = [
    ...(source ? sheetKindsOf(source.design) : SHEET_KINDS).map((kind) => [kind, SHEET_WORDS[kind]] as const),
    ...Object.entries(OTHERS).map(([kind, words]) => [kind as Shown, words] as const),
  ];
  return (
    <Columns>
      <LeadingColumn aria-label="Sheets" width="200px" p={{ base: "2", lg: "3" }} gap="1">
        {entries.map(([kind, words]) => (
          <Button
            key={kind}
            size="sm"
            justifyContent="start"
            variant={kind === shown ? "solid" : "ghost"}
            aria-pressed={kind === shown}
            title={words.says}
            onClick={() => setShown(kind)}
          >
            {words.name}
          </Button>
        ))}
      </LeadingColumn>
      {!source ? (
        <Text p="6" color="graphite">
          There is nothing to print until the design can be built: fix what the findings name first.
        </Text>
      ) : shown === "cutters" ? (
        <CuttersSection source={source} />
      ) : shown === "tables" ? (
        <TablesSection source={source} />
      ) : (
        <Sheet kind={entries.some(([kind]) => kind === shown) ? shown : "templates"} source={source} />
      )}
    </Columns>
  );
}

const NO_PAGES: readonly Page[] = [];

/** The pages of a kind, as they are drawn in the worker. */
function useSheetPages(kind: SheetKind, source: SheetSource) {
  const asked = useMemo(() => ({ kind, source }), [kind, source]);
  const query = useServiceQuery(createSheetsWorker, asked, (s, of) => s.pages(of.kind, of.source));
  // What was drawn of another kind is not shown under this one's name.
  const drawn = query.of?.kind === kind ? query.answer : null;
  return {
    pages: drawn ?? NO_PAGES,
    /** What stands there is of the state before. */
    isOld: query.of !== asked,
    isLoading: query.isLoading,
    failure: query.failed ? query.reason : null,
  };
}

function Sheet({ kind, source }: { kind: SheetKind; source: SheetSource }) {
  const { pages, isOld, isLoading, failure } = useSheetPages(kind, source);
  const missing = useMemo(() => missingIn(pages), [pages]);
  const by = useMemo(() => correction(source.paper.printer), [source]);
  const title = `${source.design.name}: ${SHEET_WORDS[kind].name}`;
  return (
    <>
      <ScrolledPart bg="ground" data-testid="sheet-preview">
        <SheetHead kind={kind} source={source} pages={pages} isOld={isOld} />
        {missing.length > 0 && (
          <Text role="alert" color="fault" fontSize="sm" mb="3" maxW="80ch">
            {missingWords(missing)}
          </Text>
        )}
        <UnderWay on={isLoading} says="Drawing the sheets …" />
        {failure !== null && (
          <Text color="fault" role="alert">
            These sheets could not be made: {failure}
          </Text>
        )}
        <Stack gap="5" align="center">
          {[...pages.entries()].map(([i, page]) => (
            <Box
              key={i}
              w="full"
              maxW={`${Math.round(page.widthMm * 3.6)}px`}
              borderWidth="1px"
              boxShadow="sm"
              css={{ "& > svg": { width: "100%", height: "auto" } }}
            >
              <PageSvg page={page} title={`${title}, sheet ${i + 1} of ${pages.length}`} />
            </Box>
          ))}
        </Stack>
      </ScrolledPart>
      <SettingsColumn aria-label="Paper and printer" width="300px">
        {kind === "sheath" && <SheathFields />}
        <PaperFields />
      </SettingsColumn>
      <PrintedPages pages={pages} title={title} correction={by} />
    </>
  );
}

/** A sheath's panels as one file for a cutter. */
async function savePanels(source: SheetSource, format: DrawingFormatId): Promise<void> {
  const text = await askSheets((s) => s.sheathFile(source, format));
  download(
    new Blob([text], { type: DRAWING_FORMATS[format].type }),
    `${fileStem(source.design.name)}-sheath.${format}`,
  );
}

/** What the sheets are, and printing and saving them. */
function SheetHead(props: { kind: SheetKind; source: SheetSource; pages: readonly Page[]; isOld: boolean }) {
  const { kind, source, pages, isOld } = props;
  const [saving, setSaving] = useState(false);
  const save = async () => {
    setSaving(true);
    await attempt("The PDF was not made", async () => {
      const bytes = await askSheets((s) => s.pdf(kind, source));
      const blob = new Blob([bytes as BlobPart], { type: "application/pdf" });
      download(blob, `${fileStem(source.design.name)}-${kind}.pdf`);
    });
    setSaving(false);
  };
  return (
    <HStack mb="3" gap="2" flexWrap="wrap">
      <Stack gap="0" flex="1" minW="240px">
        <Text fontWeight="600" fontSize="lg">
          {SHEET_WORDS[kind].name}
        </Text>
        <Text color="graphite" fontSize="sm">
          {SHEET_WORDS[kind].says} {pages.length > 0 && `${counted(pages.length, "sheet")}.`}
        </Text>
      </Stack>
      {kind === "sheath" &&
        DRAWING_FORMAT_IDS.map((id) => (
          <Button
            key={id}
            size="sm"
            variant="outline"
            disabled={pages.length === 0}
            onClick={() => void attempt("The file was not made", () => savePanels(source, id))}
          >
            <Download /> {DRAWING_FORMATS[id].name}
          </Button>
        ))}
      <Button
        size="sm"
        variant="outline"
        disabled={pages.length === 0 || isOld}
        onClick={() => window.print()}
      >
        <Printer /> Print
      </Button>
      <Button
        size="sm"
        disabled={pages.length === 0}
        loading={saving}
        loadingText="Drawing the pages …"
        onClick={() => void save()}
      >
        <Download /> Save PDF
      </Button>
    </HStack>
  );
}
