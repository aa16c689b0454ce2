"use client";
import { Box, Button, Stack, Text } from "@chakra-ui/react";
import { Download, Package } from "lucide-react";
import { useState } from "react";
import { askSheets } from "@/sheets/client";
import { TABLE_KINDS, TABLE_WORDS, type TableKind } from "@/sheets/kinds";
import type { SheetSource } from "@/sheets/pageBuilder";
import { download, fileStem } from "../files/files";
import { ScrolledPart } from "../kit/Columns";
import { useMaterials } from "../kit/materials";
import { attempt } from "../kit/notice";
import { useBench } from "../session/BenchContext";

/** CSV tables, and everything of the knife in one file. */
export function TablesSection({ source }: { source: SheetSource }) {
  const materials = useMaterials();
  const { knifeId } = useBench();
  const [packing, setPacking] = useState<string | null>(null);
  const stem = fileStem(source.design.name);
  const saveTable = (kind: TableKind) =>
    void attempt("The table was not made", async () => {
      const csv = await askSheets((s) => s.table(kind, source, materials));
      download(new Blob([csv], { type: "text/csv" }), `${stem}-${kind}.csv`);
    });
  const pack = async () => {
    setPacking("Packing …");
    await attempt("The file was not made", async () => {
      const { packEverything } = await import("./packEverything");
      const bytes = await packEverything(knifeId, source, materials, setPacking);
      download(new Blob([bytes as BlobPart], { type: "application/zip" }), `${stem}.zip`);
    });
    setPacking(null);
  };
  return (
    <ScrolledPart data-testid="tables">
      <Stack gap="4" maxW="640px">
        <Stack gap="0">
          <Text fontWeight="600" fontSize="lg">
            Tables
          </Text>
          <Text color="graphite" fontSize="sm">
            As CSV, in millimetres and grams, for a spreadsheet.
          </Text>
        </Stack>
        <Stack direction="row" wrap="wrap" gap="2">
          {TABLE_KINDS.map((kind) => (
            <Button key={kind} size="sm" variant="outline" onClick={() => saveTable(kind)}>
              <Download /> {TABLE_WORDS[kind]}
            </Button>
          ))}
        </Stack>
        <Stack gap="0" mt="4">
          <Text fontWeight="600" fontSize="lg">
            Everything of this knife
          </Text>
          <Text color="graphite" fontSize="sm">
            One ZIP with the knife and its variants, every sheet as PDF, every part as DXF and SVG, meshes as
            STL and 3MF, the tables, and its photo if it has one.
          </Text>
        </Stack>
        <Box>
          <Button
            size="sm"
            loading={packing !== null}
            loadingText={packing ?? undefined}
            onClick={() => void pack()}
          >
            <Package /> Save everything as ZIP
          </Button>
        </Box>
      </Stack>
    </ScrolledPart>
  );
}
