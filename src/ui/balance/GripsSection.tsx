"use client";
import { Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { memo } from "react";
import { roundTo } from "@/core/base/number";
import { printLength } from "@/core/base/units/print";
import { gripFigure, gripMisses } from "@/core/figures/tune/goals";
import type { MassReport } from "@/core/figures/weigh/report";
import { GRIP_FIGURES, type GripFigure, nextGrip } from "@/core/knife/design/grips";
import type { Grip } from "@/core/knife/design/schema";
import { useUnits } from "@/store/settings";
import { datumWords } from "@/words/balance";
import { fieldName } from "@/words/fields";
import { GRIP_FIGURE_WORDS, goalAmount, missWords, nameForGrip } from "@/words/goals";
import { AddButton } from "../bound/AddButton";
import { LengthAt, MassAt, MeasureAt } from "../bound/bound";
import { ItemCard } from "../bound/ItemCard";
import { TextAt } from "../bound/TextAt";
import { Tick } from "../fields/Tick";
import { type Column, Figures, Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";

/** Where the hand may hold the knife, what it feels there, and the windows that its maker sets on that. */
export const GripsSection = memo(function GripsSection({ report }: { report: MassReport | null }) {
  const { edit, session } = useBench();
  const grips = useDesign((d) => d.use.grips);
  const datum = useDesign(datumWords);
  const add = () => {
    const { design } = session.getState();
    const name = nameForGrip(design.use.grips.map((g) => g.name));
    edit({ code: "add", list: "use.grips", item: nextGrip(design, name) });
  };
  return (
    <Section
      id="grips"
      title="Grips"
      settingsStay
      settings={
        <>
          {grips.map((grip, i) => (
            <GripCard key={grip.id} grip={grip} index={i} report={report} />
          ))}
          <AddButton to="use.grips" alignSelf="start" onClick={add}>
            <Plus /> Add a grip
          </AddButton>
        </>
      }
    >
      {report && <GripFigures grips={grips} report={report} />}
      <Note>
        Choked up on the blade, in the usual place, or at the rear: each grip turns the knife about another
        point. A window that is set on a grip counts for findings and for “Reach the window”, too. Percussion
        is ahead of {datum}; the effective mass is how heavy the knife is there to be pushed across its
        length.
      </Note>
    </Section>
  );
});

/** One row for each grip: what the hand feels there, and what of it lies outside its window. */
function GripFigures({ grips, report }: { grips: readonly Grip[]; report: MassReport }) {
  const units = useUnits();
  const misses = gripMisses(report, grips);
  const figure = (grip: Grip, of: GripFigure) => {
    const value = gripFigure(report, grip, of);
    const isMissed = misses.some(({ ref }) => ref.gripId === grip.id && ref.figure === of);
    return (
      <Text as="span" color={isMissed ? "warn" : undefined} fontWeight={grip[of] ? "600" : undefined}>
        {value === null ? "none" : goalAmount(of, value, units)}
      </Text>
    );
  };
  const columns: Column<Grip>[] = [
    { name: "Grip", of: (g) => g.name },
    { name: "Behind the front", of: (g) => printLength(-g.xMm, units), number: true },
    ...GRIP_FIGURES.map((of) => ({
      name: GRIP_FIGURE_WORDS[of],
      of: (g: Grip) => figure(g, of),
      number: true,
    })),
  ];
  return (
    <>
      <Figures
        rows={grips}
        keyOf={(g) => g.id}
        columns={columns}
        none=""
        label="What the hand feels in each grip"
      />
      {misses.length > 0 && <Text color="warn">{missWords(misses, grips, units)}</Text>}
    </>
  );
}

/** Of a new window: so far to both sides of what the knife has now, as a share of it, and at least so much. */
const WINDOW_SHARE = 0.1;
const WINDOW_LEAST: Readonly<Record<GripFigure, number>> = {
  momentNmm: 10,
  percussionMm: 5,
  effectiveMassG: 5,
};

function GripCard({ grip, index, report }: { grip: Grip; index: number; report: MassReport | null }) {
  const { edit } = useBench();
  const only = useDesign((d) => d.use.grips.length === 1);
  const at = `use.grips.${index}` as const;
  return (
    <ItemCard
      id={grip.id}
      title={`Grip: ${grip.name}`}
      onRemove={only ? undefined : () => edit({ code: "remove", list: "use.grips", at: index })}
    >
      <Stack gap="2">
        <TextAt at={`${at}.name`} name={`Name of grip ${index + 1}`} />
        <LengthAt at={`${at}.xMm`} behind />
        {GRIP_FIGURES.map((figure) => (
          <WindowFields key={figure} at={at} figure={figure} grip={grip} report={report} />
        ))}
      </Stack>
    </ItemCard>
  );
}

/** A window on one figure of a grip, which may be left open. */
function WindowFields(props: {
  at: `use.grips.${number}`;
  figure: GripFigure;
  grip: Grip;
  report: MassReport | null;
}) {
  const { at, figure, grip, report } = props;
  const { edit } = useBench();
  const path = `${at}.${figure}` as const;
  const label = useDesign((d) => fieldName(path, d));
  const window = grip[figure];
  const set = (on: boolean) => {
    if (!on) return edit({ code: "clear", path });
    const now = (report && gripFigure(report, grip, figure)) ?? 0;
    const to = Math.max(WINDOW_LEAST[figure], WINDOW_SHARE * Math.abs(now));
    const low = figure === "effectiveMassG" ? Math.max(0, now - to) : now - to;
    edit({ code: "put", path, item: { low: roundTo(low, 0), high: roundTo(now + to, 0) } });
  };
  return (
    <>
      <Tick label={label} checked={window !== null} onChange={set} />
      {window && figure === "momentNmm" && (
        <>
          <MeasureAt kind="moment" at={`${path}.low`} max={window.high} />
          <MeasureAt kind="moment" at={`${path}.high`} min={window.low} />
        </>
      )}
      {window && figure === "percussionMm" && (
        <>
          <LengthAt at={`${path}.low`} max={window.high} />
          <LengthAt at={`${path}.high`} min={window.low} />
        </>
      )}
      {window && figure === "effectiveMassG" && (
        <>
          <MassAt at={`${path}.low`} max={window.high} />
          <MassAt at={`${path}.high`} min={window.low} />
        </>
      )}
    </>
  );
}
