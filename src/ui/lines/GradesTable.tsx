"use client";
import { Box, IconButton, Link, Text } from "@chakra-ui/react";
import { X } from "lucide-react";
import { printLength, printMass } from "@/core/base/units/print";
import { PRICE_LIMITS } from "@/core/line/limits";
import type { Line } from "@/core/line/version";
import { MOST_PIECES, USUAL_SCHOOLS } from "@/core/plan/types";
import type { GradeFigures } from "@/core/products/lineFigures";
import { changeLine } from "@/store/lines";
import { changePlan } from "@/store/plans";
import { useUnits } from "@/store/settings";
import { smallFirst } from "@/words/grammar";
import { printMoney } from "@/words/money";
import { SCHOOL_WORDS } from "@/words/schools";
import { ShareField } from "../fields/ShareField";
import { useMaterialOf } from "../kit/materials";
import { NearLink } from "../kit/NearLink";
import { attempt } from "../kit/notice";
import { offerPutBack } from "../kit/offerBack";
import { Figures } from "../report/Section";
import type { LineOnPage, ShownGrade } from "./useLineFigures";

const nameOf = ({ design }: ShownGrade): string => design?.name ?? "A knife that is gone";

/** So many of its materials are told, the heaviest. */
const MOST_MATERIALS = 3;

/** Whether everything in its bill has a price. */
const isWhole = ({ bill }: GradeFigures): boolean => bill?.unpriced.length === 0;

/** The grades side by side: weight, balance, how many are made, what one costs and is to sell for. */
export function GradesTable({ line, on: { grades, shop } }: { line: Line; on: LineOnPage }) {
  const units = useUnits();
  const materialOf = useMaterialOf();
  const madeOf = ({ figures, plan }: ShownGrade): string => {
    const of = (figures?.materials ?? []).slice(0, MOST_MATERIALS).map((id) => materialOf(id)?.name ?? id);
    const finish = SCHOOL_WORDS.surface.of[plan?.schools.surface ?? USUAL_SCHOOLS.surface];
    return figures ? [...of, smallFirst(finish)].join(", ") : "";
  };
  if (!grades) return null;
  const put = (knife: string, price: number | null) =>
    void attempt("The price was not kept", () =>
      changeLine(line.id, (l) => ({
        ...l,
        grades: l.grades.map((g) => (g.knife === knife ? { ...g, price } : g)),
      })),
    );
  const take = (g: ShownGrade) =>
    void attempt("The grade is still there", async () => {
      await changeLine(line.id, (l) => ({
        ...l,
        grades: l.grades.filter((o) => o.knife !== g.grade.knife),
      }));
      offerPutBack(
        `${nameOf(g)} is no grade of ${line.name} any more`,
        () =>
          void changeLine(line.id, (l) =>
            l.grades.some((o) => o.knife === g.grade.knife) ? l : { ...l, grades: [...l.grades, g.grade] },
          ),
        "The knife stays on the rack.",
      );
    });
  return (
    <Figures
      label={`Grades of ${line.name}`}
      rows={grades}
      keyOf={(g) => g.grade.knife}
      none=""
      columns={[
        {
          name: "Grade",
          of: (g) =>
            g.design ? (
              <>
                <Link asChild color="ink" fontWeight="600">
                  <NearLink href={`/knife/${g.grade.knife}`}>{g.design.name}</NearLink>
                </Link>
                <Text fontSize="sm" color="graphite" minW="120px">
                  {madeOf(g)}
                </Text>
              </>
            ) : (
              <Text color="fault">{nameOf(g)}: put it back from the bin, or take it out here.</Text>
            ),
        },
        {
          name: "Weight",
          number: true,
          of: ({ figures, broken }) =>
            figures ? (
              <>
                {printMass(figures.massG, units)}
                <Text fontSize="sm" color="graphite">
                  {printMass(figures.massIntervalG[0], units)} to {printMass(figures.massIntervalG[1], units)}
                </Text>
              </>
            ) : broken ? (
              <Text color="fault">cannot be built</Text>
            ) : (
              "–"
            ),
        },
        {
          name: "Balance",
          number: true,
          help: "From the handle's front; + is toward the tip.",
          of: ({ figures }) => (figures ? printLength(figures.balanceMm, units) : "–"),
        },
        {
          name: "Made",
          help: "How many are made of it.",
          of: (g) =>
            g.design && (
              <Box minW="64px" maxW="72px">
                <ShareField
                  bare
                  label={`How many are made: ${nameOf(g)}`}
                  value={g.plan?.pieces ?? 1}
                  unit=""
                  factor={1}
                  whole
                  min={1}
                  max={MOST_PIECES}
                  onChange={(pieces) =>
                    void attempt("The number was not kept", () =>
                      changePlan(g.grade.knife, (p) => ({ ...p, pieces })),
                    )
                  }
                />
              </Box>
            ),
        },
        {
          name: "One costs",
          number: true,
          help: "Made by itself, at your prices and your rate.",
          of: ({ figures }) =>
            figures?.bill
              ? `${isWhole(figures) ? "" : "at least "}${printMoney(figures.bill.total, shop)}`
              : "–",
        },
        {
          name: "Price",
          help: "What it is to sell for.",
          of: (g) => (
            <Box minW="84px" maxW="110px">
              <ShareField
                bare
                label={`Price: ${nameOf(g)}`}
                value={g.grade.price}
                unit=""
                factor={1}
                {...PRICE_LIMITS}
                onChange={(price) => put(g.grade.knife, price)}
                onClear={() => put(g.grade.knife, null)}
              />
            </Box>
          ),
        },
        {
          name: "Left over",
          number: true,
          help: "Of the price, after materials and work.",
          of: ({ figures, grade: { price } }) =>
            figures?.bill && price !== null ? (
              <Text as="span" color={price < figures.bill.total ? "fault" : undefined}>
                {!isWhole(figures) && "at most "}
                {printMoney(price - figures.bill.total, shop)}
              </Text>
            ) : (
              "–"
            ),
        },
        {
          name: "An hour brings",
          number: true,
          help: "The price without materials, by the hours of work.",
          of: ({ figures, grade: { price } }) =>
            figures?.bill && price !== null && figures.bill.minutes > 0
              ? `${isWhole(figures) ? "" : "at most "}${printMoney(
                  (60 * (price - figures.bill.materials - figures.bill.others)) / figures.bill.minutes,
                  shop,
                )}`
              : "–",
        },
        {
          name: "Take out",
          unseen: true,
          of: (g) => (
            <IconButton
              size="xs"
              variant="ghost"
              aria-label={`Take out of the line: ${nameOf(g)}`}
              onClick={() => take(g)}
            >
              <X />
            </IconButton>
          ),
        },
      ]}
    />
  );
}
