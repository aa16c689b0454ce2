"use client";
import { Button, Flex, Stack, Text } from "@chakra-ui/react";
import type { UnitSystem } from "@/core/base/units/print";
import { useUnits } from "@/store/settings";
import { blankListWords, pieceWords } from "@/words/line";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { giveBlank } from "../line/giveBlank";
import type { LineOnPage, ShownGrade } from "./useLineFigures";

/** A grade whose knife is there. */
type There = ShownGrade & { readonly design: NonNullable<ShownGrade["design"]> };
const isThere = (g: ShownGrade): g is There => g.design !== null;

type MaterialName = (id: string) => string;

/** Something that is cut already, or lies on the shelf, and whether it serves. */
interface InStock {
  readonly key: string;
  readonly wrong: boolean;
  readonly says: string;
}

function piecesCut(grades: readonly There[], units: UnitSystem, materialName: MaterialName): InStock[] {
  return grades.flatMap(({ design, plan, figures }) =>
    (figures?.cut ?? []).map(({ piece, what }) => {
      const of = `${design.name}, ${pieceWords(piece, plan?.pieces ?? 1)}`;
      const wrong = what.length > 0;
      const says = wrong ? `cut otherwise: ${blankListWords(what, units, materialName)}` : "serves as it is";
      return { key: `${design.name} ${piece}`, wrong, says: `${of}: ${says}` };
    }),
  );
}

/** Blanks on the shelf that serve for one grade at least. */
function blanksOnShelf(grades: readonly There[], lots: NonNullable<LineOnPage["found"]>["lots"]): InStock[] {
  return lots.flatMap(({ id, name }) => {
    const namesOf = (serves: boolean) =>
      grades.flatMap(({ design, figures }) =>
        figures?.blanks.some((b) => b.lot === id && b.serves === serves) ? [design.name] : [],
      );
    const [good, bad] = [namesOf(true), namesOf(false)];
    if (good.length === 0) return [];
    const not = bad.length > 0 ? `; not for ${bad.join(", ")}` : "";
    return [
      { key: id, wrong: bad.length > 0, says: `${name}, on the shelf: serves for ${good.join(", ")}${not}` },
    ];
  });
}

/** Whether the grades share their blank, the first one's; what of it is cut, and whether that serves. */
export function SharedBlank({ on: { grades, found } }: { on: LineOnPage }) {
  const units = useUnits();
  const materialOf = useMaterialOf();
  if (!grades || !found) return null;
  const there = grades.filter(isThere);
  const first = found.figures.blankOf === null ? null : there[found.figures.blankOf];
  if (!first) return <Text color="graphite">None of them can be built yet: there is no blank to share.</Text>;
  const materialName = (id: string) => materialOf(id)?.name ?? id;
  const others = there.flatMap((grade) => {
    const differs = grade.figures?.differs ?? [];
    return differs.length > 0 ? [{ grade, says: blankListWords(differs, units, materialName) }] : [];
  });
  const apart = there.filter((g) => g.broken || g.figures?.differs === null);
  const stock = [...piecesCut(there, units, materialName), ...blanksOnShelf(there, found.lots)];
  return (
    <Stack gap="2" role="group" aria-label="Shared blank" data-testid="shared-blank">
      <Text>
        {there.length < 2
          ? "The blank is that of this grade: the next ones share it."
          : others.length + apart.length === 0
            ? `All of them share the blank of ${first.design.name}: handles interchange.`
            : `The blank is that of ${first.design.name}. Not on it:`}
      </Text>
      {apart.map((g) => (
        <Text key={g.grade.knife} color="fault">
          {g.broken
            ? `${g.design.name} cannot be built: open it to see what keeps it from being.`
            : `${g.design.name} is another kind of product: it has no blank in common.`}
        </Text>
      ))}
      {others.map(({ grade, says }) => (
        <OtherBlank key={grade.grade.knife} first={first} grade={grade} says={says} />
      ))}
      {stock.map(({ key, wrong, says }) => (
        <Text key={key} color={wrong ? "warn" : undefined}>
          {says}.
        </Text>
      ))}
    </Stack>
  );
}

/** A grade that is not on the first one's blank, and the way to put it there. */
function OtherBlank({ first, grade, says }: { first: There; grade: There; says: string }) {
  return (
    <Flex gap="3" align="center" wrap="wrap" borderLeftWidth="3px" borderColor="warn" ps="3">
      <Text flex="1" minW="240px">
        <b>{grade.design.name}</b>: {says}
      </Text>
      <Button
        size="xs"
        variant="outline"
        onClick={() =>
          void attempt("The blank was not given", () => giveBlank(first.design, [grade.grade.knife]))
        }
      >
        Put it on the blank of {first.design.name}
      </Button>
    </Flex>
  );
}
