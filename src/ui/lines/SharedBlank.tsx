"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import { useUnits } from "@/store/settings";
import { blankListWords, pieceWords } from "@/words/line";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { giveBlank } from "../line/giveBlank";
import type { LineOnPage, ShownGrade } from "./useLineFigures";

/** Whether the grades share their blank, the first one's; what of it is cut, and whether that serves. */
export function SharedBlank({ on: { grades, found } }: { on: LineOnPage }) {
  const units = useUnits();
  const materialOf = useMaterialOf();
  if (!grades || !found) return null;
  const there = grades.filter((g): g is ShownGrade & { design: NonNullable<ShownGrade["design"]> } =>
    Boolean(g.design),
  );
  const [first] = there;
  if (!first) return null;
  const materialName = (id: string) => materialOf(id)?.name ?? id;
  const others = there.filter((g) => g.figures?.differs.some((d) => there[d.grade] === first));
  const kinds = there.filter((g) => g.design.kind !== first.design.kind);
  const stock = there.flatMap(({ design, plan, figures }) =>
    (figures?.cut ?? []).map(({ piece, what }) => ({
      key: `${design.name} ${piece}`,
      wrong: what.length > 0,
      says: `${design.name}, ${pieceWords(piece, plan?.pieces ?? 1)}: ${what.length === 0 ? "serves as it is" : `cut otherwise: ${blankListWords(what, units, materialName)}`}`,
    })),
  );
  const blanks = found.lots.flatMap((lot) => {
    const said = there.flatMap(({ design, figures }) => {
      const blank = figures?.blanks.find((b) => b.lot === lot.id);
      return blank ? [{ name: design.name, serves: blank.serves }] : [];
    });
    if (!said.some((s) => s.serves)) return [];
    const [good, bad] = [true, false].map((serves) =>
      said.filter((s) => s.serves === serves).map((s) => s.name),
    );
    const words = [
      ...(good.length > 0 ? [`serves for ${good.join(", ")}`] : []),
      ...(bad.length > 0 ? [`not for ${bad.join(", ")}`] : []),
    ];
    return [{ key: lot.id, wrong: bad.length > 0, says: `${lot.name}, on the shelf: ${words.join("; ")}` }];
  });
  return (
    <Stack gap="2" role="group" aria-label="Shared blank" data-testid="shared-blank">
      <Text>
        {there.length < 2
          ? "The blank is that of this grade: the next ones share it."
          : others.length === 0
            ? `All of them share the blank of ${first.design.name}: handles interchange.`
            : `The blank is that of ${first.design.name}. Not on it:`}
      </Text>
      {kinds.map((g) => (
        <Text key={g.grade.knife} color="fault">
          {g.design.name} is another kind of product: it has no blank in common.
        </Text>
      ))}
      {others.map((g) => (
        <Flex
          key={g.grade.knife}
          gap="3"
          align="center"
          wrap="wrap"
          borderLeftWidth="3px"
          borderColor="warn"
          ps="3"
        >
          <Text flex="1" minW="240px">
            <b>{g.design.name}</b>:{" "}
            {blankListWords(
              g.figures?.differs.find((d) => there[d.grade] === first)?.what ?? [],
              units,
              materialName,
            )}
          </Text>
          <Button
            size="xs"
            variant="outline"
            onClick={() =>
              void attempt("The blank was not given", () => giveBlank(first.design, [g.grade.knife]))
            }
          >
            Put it on the blank of {first.design.name}
          </Button>
        </Flex>
      ))}
      {[...stock, ...blanks].map(({ key, wrong, says }) => (
        <Text key={key} color={wrong ? "warn" : undefined}>
          {says}.
        </Text>
      ))}
    </Stack>
  );
}
