"use client";
import { Box, Button, Flex, Link, Stack, Text } from "@chakra-ui/react";
import { useMemo } from "react";
import { printLength, printLengthBare } from "@/core/base/units/print";
import { lotDensity, lotMaterial } from "@/core/shelf/lotMaterial";
import type { LotForPiece, LotsForPiece } from "@/core/shelf/lotsFor";
import type { Lot } from "@/core/shelf/version";
import { useLots } from "@/store/lots";
import { useUnits } from "@/store/settings";
import { cutName } from "@/words/parts";
import { laidWords, lotSizeWords, missedWords } from "@/words/shelf";
import { createBenchWorker } from "@/workers/services";
import { useMaterialOf } from "../kit/materials";
import { NearLink } from "../kit/NearLink";
import { attempt, notices } from "../kit/notice";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";

/** For every piece what on the shelf it could be made of: whether it is big enough, and what is left. */
export function PartsFromShelf() {
  const design = useDesign();
  const lots = useLots();
  const about = useMemo(() => (lots && lots.length > 0 ? { design, lots } : null), [design, lots]);
  const { answer } = useWorkerQuery(about, (s, a) => s.lotsFor(a.design, a.lots));
  const list = (
    <Link asChild textDecoration="underline" color="ink">
      <NearLink href="/shelf">Shelf</NearLink>
    </Link>
  );
  return (
    <Section id="shelf" title="From the shelf">
      {lots?.length === 0 && (
        <Text>
          Nothing is on the {list} yet: note what you have there, and see here whether it is big enough.
        </Text>
      )}
      {answer && lots && (
        <Stack gap="3">
          {answer.map((p) => (
            <PieceRow key={p.piece.id} of={p} lots={lots} />
          ))}
          <Note>
            A part that is made of a lot has its density, and the lot is reserved for it on the {list}. What
            has to be bought for one knife or several stands there, too.
          </Note>
        </Stack>
      )}
    </Section>
  );
}

function PieceRow({ of: { piece, lots: found }, lots }: { of: LotsForPiece; lots: readonly Lot[] }) {
  const units = useUnits();
  const bare = (mm: number) => printLengthBare(mm, units, 1);
  const { lengthMm, heightMm, thicknessMm } = piece.sawnMm;
  const shown = found.filter((l) => l.ok || l.inUse || l.sameMaterial);
  return (
    <Box>
      <Text fontWeight="600">
        {cutName(piece.key)}{" "}
        <Text as="span" color="graphite" fontWeight="400">
          {piece.count > 1 ? `${piece.count} of ` : ""}
          {bare(lengthMm)} × {bare(heightMm)} × {printLength(thicknessMm, units, 1)}
        </Text>
      </Text>
      {shown.length === 0 && (
        <Text fontSize="sm" color="graphite">
          Nothing on the shelf: to be bought.
        </Text>
      )}
      {shown.map((l) => {
        const lot = lots.find((x) => x.id === l.lot);
        return lot ? (
          <LotRow key={l.lot} of={l} lot={lot} pieceId={piece.id} pieceName={cutName(piece.key)} />
        ) : null;
      })}
    </Box>
  );
}

function LotRow(props: { of: LotForPiece; lot: Lot; pieceId: string; pieceName: string }) {
  const { of, lot, pieceId, pieceName } = props;
  const units = useUnits();
  const design = useDesign();
  const { edit } = useBench();
  const materialOf = useMaterialOf();
  const stuff = materialOf(lot.of);
  const use = () =>
    attempt("The part was not made of it", async () => {
      const worker = createBenchWorker();
      try {
        const answer = await worker.ask((s) => s.pathsOfPiece(design, pieceId));
        const material = stuff && lotDensity(lot, stuff).ok ? lotMaterial(lot, stuff) : null;
        if (!answer.ok || answer.value.length === 0 || !material)
          throw new Error("it has no place of its own in the design");
        edit({ code: "make-of-lot", paths: answer.value, material, lot: lot.name });
        notices.success({ title: `${pieceName} is made of ${lot.name}` });
      } finally {
        worker.dispose();
      }
    });
  return (
    <Flex
      gap="2"
      align="center"
      wrap="wrap"
      borderLeftWidth="3px"
      borderColor={of.ok ? "ink" : "rule"}
      ps="2"
      my="1"
    >
      <Text flex="1" minW="220px" fontSize="sm" data-serves={of.ok}>
        <b>{lot.name}</b>
        {of.sameMaterial ? "" : ` (${stuff?.name ?? lot.of})`}, {lot.count} of {lotSizeWords(lot, units)}:{" "}
        {servesWords(of, units)}
        {lot.guessed && ". What it is is a guess: try coupons of it first."}
      </Text>
      {of.inUse ? (
        <Text fontSize="sm" fontWeight="600">
          made of it
        </Text>
      ) : (
        <Button
          size="xs"
          variant="outline"
          disabled={!of.ok || !stuff}
          aria-label={`Make ${pieceName} of ${lot.name}`}
          onClick={() => void use()}
        >
          Make it of this
        </Button>
      )}
    </Flex>
  );
}

function servesWords({ box, laid, ok }: LotForPiece, units: Parameters<typeof lotSizeWords>[1]): string {
  if (laid) return laidWords(laid, units);
  if (!box) return ok ? "big enough" : "not of this";
  if (!box.ok) return missedWords(box, units);
  const { offcutMm, used } = box;
  const left = offcutMm
    ? `, leaves ${printLengthBare(offcutMm.lengthMm, units, 0)} × ${printLengthBare(offcutMm.heightMm, units, 0)} × ${printLength(offcutMm.thicknessMm, units, 1)}`
    : "";
  return `big enough, takes ${used}${left}`;
}
