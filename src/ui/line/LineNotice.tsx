"use client";
import { Alert, Button, HStack } from "@chakra-ui/react";
import { useMemo } from "react";
import type { ProductDesign } from "@/core/knife/design/product";
import type { Line } from "@/core/line/version";
import { readableKnives } from "@/store/knives";
import { useLines } from "@/store/lines";
import { useLots } from "@/store/lots";
import { usePlans } from "@/store/plans";
import { useUnits } from "@/store/settings";
import { useKept } from "@/store/useKept";
import { blankListWords, pieceWords } from "@/words/line";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { useWorkerQuery } from "../kit/useWorkerQuery";
import { useBench, useProduct, useWeighing } from "../session/BenchContext";
import { giveBlank } from "./giveBlank";

/** Of a knife that is a grade of a line: where its blank is no longer that of the others, or of what is cut already. */
export function LineNotice() {
  const { knifeId } = useBench();
  const lines = useLines();
  const line = lines?.find((l) => l.grades.some((g) => g.knife === knifeId));
  return line && line.grades.length > 1 ? <OfLine line={line} /> : null;
}

/** How the knife on the bench agrees with the other grades of its line; null while that is not known. */
function useShared(line: Line) {
  const { knifeId } = useBench();
  const design: ProductDesign = useProduct((d) => d);
  const sound = useWeighing()?.ok ?? false;
  const knives = useKept(readableKnives, []);
  const plans = usePlans();
  const lots = useLots();
  const about = useMemo(() => {
    if (!sound || !knives || !plans || !lots) return null;
    const grades = line.grades.flatMap(({ knife }) => {
      const there = knife === knifeId ? design : knives.find((k) => k.id === knife)?.design;
      return there ? [{ id: knife, design: there, plan: plans.get(knife) ?? null }] : [];
    });
    return { grades, of: grades.findIndex((g) => g.id === knifeId), lots };
  }, [line, knifeId, design, sound, knives, plans, lots]);
  const { answer, of } = useWorkerQuery(about, (s, a) =>
    s.gradeShared(
      a.grades.map(({ design: d, plan }) => ({ design: d, plan })),
      a.of,
      a.lots,
    ),
  );
  return answer && of ? { ...answer, ...of, mine: of.grades[of.of] } : null;
}

function OfLine({ line }: { line: Line }) {
  const { edit } = useBench();
  const units = useUnits();
  const materialOf = useMaterialOf();
  const shared = useShared(line);
  if (!shared || shared.differs.length === 0) return null;
  const { differs, cut, cutOfOthers, blanks, grades, lots, mine } = shared;
  const materialName = (id: string) => materialOf(id)?.name ?? id;
  const pieces = mine.plan?.pieces ?? 1;
  const stock = [
    ...cut.flatMap(({ piece, what }) => (what.length > 0 ? [pieceWords(piece, pieces)] : [])),
    ...cutOfOthers.map(
      ({ grade, piece }) =>
        `${pieceWords(piece, grades[grade].plan?.pieces ?? 1)} of ${grades[grade].design.name}`,
    ),
    ...blanks.flatMap(({ lot, serves }) =>
      serves ? [] : [lots.find((l) => l.id === lot)?.name ?? "a blank on the shelf"],
    ),
  ];
  const others = differs.map(({ grade }) => grades[grade]);
  return (
    <Alert.Root status="warning" role="status" borderRadius="0" alignItems="center" data-testid="line-notice">
      <Alert.Indicator />
      <Alert.Content>
        <Alert.Title>
          Another blank than {others.map((g) => g.design.name).join(", ")}, of the line {line.name}
        </Alert.Title>
        <Alert.Description>
          Against {others[0].design.name}: {blankListWords(differs[0].what, units, materialName)}.
          {stock.length > 0 && ` Cut already, and no longer right: ${stock.join(", ")}.`}
        </Alert.Description>
      </Alert.Content>
      <HStack wrap="wrap" colorPalette="gray">
        <Button
          colorPalette="gray"
          size="sm"
          variant="outline"
          onClick={() =>
            edit({ code: "take-blank", of: others[0].design as never, grade: others[0].design.name })
          }
        >
          Take that of {others[0].design.name}
        </Button>
        <Button
          colorPalette="gray"
          size="sm"
          onClick={() =>
            void attempt("The blank was not given", () =>
              giveBlank(
                mine.design,
                others.map((g) => g.id),
              ),
            )
          }
        >
          Give this one to {others.length > 1 ? `all ${others.length}` : others[0].design.name}
        </Button>
      </HStack>
    </Alert.Root>
  );
}
