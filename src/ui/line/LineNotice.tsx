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

function OfLine({ line }: { line: Line }) {
  const { knifeId, edit } = useBench();
  const design: ProductDesign = useProduct((d) => d);
  const sound = useWeighing()?.ok ?? false;
  const knives = useKept(readableKnives, []);
  const plans = usePlans();
  const lots = useLots();
  const units = useUnits();
  const materialOf = useMaterialOf();
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
  if (!answer || !of) return null;
  const { differs, cut, blanks } = answer;
  if (differs.length === 0) return null;
  const name = (i: number) => of.grades[i].design.name;
  const materialName = (id: string) => materialOf(id)?.name ?? id;
  const pieces = of.grades[of.of].plan?.pieces ?? 1;
  const stock = [
    ...cut.flatMap(({ piece, what }) => (what.length > 0 ? [pieceWords(piece, pieces)] : [])),
    ...blanks.flatMap(({ lot, serves }) =>
      serves ? [] : [of.lots.find((l) => l.id === lot)?.name ?? "a blank on the shelf"],
    ),
  ];
  const others = differs.map(({ grade }) => of.grades[grade]);
  return (
    <Alert.Root status="warning" role="status" borderRadius="0" alignItems="center" data-testid="line-notice">
      <Alert.Indicator />
      <Alert.Content>
        <Alert.Title>
          Another blank than {others.map((g) => g.design.name).join(", ")}, of the line {line.name}
        </Alert.Title>
        <Alert.Description>
          Against {name(differs[0].grade)}: {blankListWords(differs[0].what, units, materialName)}.
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
                design,
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
