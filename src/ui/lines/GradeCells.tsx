"use client";
import { Box, IconButton, Link, Text } from "@chakra-ui/react";
import { X } from "lucide-react";
import { printMass } from "@/core/base/units/print";
import { PRICE_LIMITS } from "@/core/line/limits";
import type { Grade, Line } from "@/core/line/version";
import { MOST_PIECES, USUAL_SCHOOLS } from "@/core/plan/types";
import { changeLine } from "@/store/lines";
import { changePlan } from "@/store/plans";
import { useUnits } from "@/store/settings";
import { smallFirst } from "@/words/grammar";
import { SCHOOL_WORDS } from "@/words/schools";
import { ShareField } from "../fields/ShareField";
import { useMaterialOf } from "../kit/materials";
import { NearLink } from "../kit/NearLink";
import { attempt } from "../kit/notice";
import { offerPutBack } from "../kit/offerBack";
import type { ShownGrade } from "./useLineFigures";

const nameOf = ({ design }: ShownGrade): string => design?.name ?? "A knife that is gone";

/** So many of its materials are told, the heaviest. */
const MOST_MATERIALS = 3;

/** A grade's name, what it is made of, and how its blade is finished. */
export function NameCell({ grade: of }: { grade: ShownGrade }) {
  const materialOf = useMaterialOf();
  const { grade, design, figures, plan } = of;
  if (!design) return <Text color="fault">{nameOf(of)}: put it back from the bin, or take it out here.</Text>;
  const materials = (figures?.materials ?? [])
    .slice(0, MOST_MATERIALS)
    .map((id) => materialOf(id)?.name ?? id);
  const finish = SCHOOL_WORDS.surface.of[plan?.schools.surface ?? USUAL_SCHOOLS.surface];
  return (
    <>
      <Link asChild color="ink" fontWeight="600">
        <NearLink href={`/knife/${grade.knife}`}>{design.name}</NearLink>
      </Link>
      <Text fontSize="sm" color="graphite" minW="120px">
        {figures && [...materials, smallFirst(finish)].join(", ")}
      </Text>
    </>
  );
}

export function WeightCell({ grade: { figures, broken } }: { grade: ShownGrade }) {
  const units = useUnits();
  if (!figures) return broken ? <Text color="fault">cannot be built</Text> : "–";
  const [low, high] = figures.massIntervalG;
  return (
    <>
      {printMass(figures.massG, units)}
      <Text fontSize="sm" color="graphite">
        {printMass(low, units)} to {printMass(high, units)}
      </Text>
    </>
  );
}

/** How many are made of it: the number that its plan has. */
export function MadeCell({ grade: of }: { grade: ShownGrade }) {
  if (!of.design) return null;
  return (
    <Box minW="64px" maxW="72px">
      <ShareField
        bare
        label={`How many are made: ${nameOf(of)}`}
        value={of.plan?.pieces ?? 1}
        unit=""
        factor={1}
        whole
        min={1}
        max={MOST_PIECES}
        onChange={(pieces) =>
          void attempt("The number was not kept", () => changePlan(of.grade.knife, (p) => ({ ...p, pieces })))
        }
      />
    </Box>
  );
}

interface OfLine {
  readonly line: Line;
  readonly grade: ShownGrade;
}

const withGrades = (id: string, by: (grades: readonly Grade[]) => Grade[]) =>
  changeLine(id, (l) => ({ ...l, grades: by(l.grades) }));

export function PriceCell({ line, grade: of }: OfLine) {
  const put = (price: number | null) =>
    void attempt("The price was not kept", () =>
      withGrades(line.id, (all) => all.map((g) => (g.knife === of.grade.knife ? { ...g, price } : g))),
    );
  return (
    <Box minW="84px" maxW="110px">
      <ShareField
        bare
        label={`Price: ${nameOf(of)}`}
        value={of.grade.price}
        unit=""
        factor={1}
        {...PRICE_LIMITS}
        onChange={put}
        onClear={() => put(null)}
      />
    </Box>
  );
}

/** Takes a grade out of its line; its knife stays. */
export function TakeOutCell({ line, grade: of }: OfLine) {
  const { grade } = of;
  const take = async () => {
    await withGrades(line.id, (all) => all.filter((g) => g.knife !== grade.knife));
    offerPutBack(
      `${nameOf(of)} is no grade of ${line.name} any more`,
      () =>
        void withGrades(line.id, (all) =>
          all.some((g) => g.knife === grade.knife) ? [...all] : [...all, grade],
        ),
      "The knife stays on the rack.",
    );
  };
  return (
    <IconButton
      size="xs"
      variant="ghost"
      aria-label={`Take out of the line: ${nameOf(of)}`}
      onClick={() => void attempt("The grade is still there", take)}
    >
      <X />
    </IconButton>
  );
}
