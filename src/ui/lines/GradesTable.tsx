"use client";
import { Text } from "@chakra-ui/react";
import { printLength } from "@/core/base/units/print";
import type { Bill } from "@/core/figures/cost/bill";
import type { Line } from "@/core/line/version";
import { useUnits } from "@/store/settings";
import { printMoney } from "@/words/money";
import { Figures } from "../report/Section";
import { MadeCell, NameCell, PriceCell, TakeOutCell, WeightCell } from "./GradeCells";
import type { LineOnPage, ShownGrade } from "./useLineFigures";

/** "at least" or "at most" of a sum in which something has no price yet. */
const bound = ({ unpriced }: Bill, words: string): string => (unpriced.length > 0 ? `${words} ` : "");

/** What of a grade's price is left, in all and for an hour of work; null without a price or a bill. */
function leftOf({ figures, grade: { price } }: ShownGrade) {
  const bill = figures?.bill;
  if (!bill || price === null) return null;
  const left = price - bill.total;
  const hour = bill.minutes > 0 ? (60 * (price - bill.materials - bill.others)) / bill.minutes : null;
  return { bill, left, hour };
}

/** The grades side by side: weight, balance, how many are made, what one costs and is to sell for. */
export function GradesTable({ line, on: { grades, shop } }: { line: Line; on: LineOnPage }) {
  const units = useUnits();
  if (!grades) return null;
  const money = (sum: number) => printMoney(sum, shop);
  const left = (g: ShownGrade) => {
    const of = leftOf(g);
    return of ? (
      <Text as="span" color={of.left < 0 ? "fault" : undefined}>
        {bound(of.bill, "at most")}
        {money(of.left)}
      </Text>
    ) : (
      "–"
    );
  };
  const hour = (g: ShownGrade) => {
    const of = leftOf(g);
    return of && of.hour !== null ? `${bound(of.bill, "at most")}${money(of.hour)}` : "–";
  };
  const cost = ({ figures }: ShownGrade) =>
    figures?.bill ? `${bound(figures.bill, "at least")}${money(figures.bill.total)}` : "–";
  return (
    <Figures
      label={`Grades of ${line.name}`}
      rows={grades}
      keyOf={(g) => g.grade.knife}
      none=""
      columns={[
        { name: "Grade", of: (g) => <NameCell grade={g} /> },
        { name: "Weight", number: true, of: (g) => <WeightCell grade={g} /> },
        {
          name: "Balance",
          number: true,
          help: "From the handle's front; + is toward the tip.",
          of: ({ figures }) => (figures ? printLength(figures.balanceMm, units) : "–"),
        },
        { name: "Made", help: "How many are made of it.", of: (g) => <MadeCell grade={g} /> },
        { name: "One costs", number: true, help: "Made by itself, at your prices and your rate.", of: cost },
        { name: "Price", help: "What it is to sell for.", of: (g) => <PriceCell line={line} grade={g} /> },
        { name: "Left over", number: true, help: "Of the price, after materials and work.", of: left },
        {
          name: "An hour brings",
          number: true,
          help: "The price without materials, by the hours of work.",
          of: hour,
        },
        { name: "Take out", unseen: true, of: (g) => <TakeOutCell line={line} grade={g} /> },
      ]}
    />
  );
}
