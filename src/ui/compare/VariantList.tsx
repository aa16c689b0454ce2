"use client";
import { Button, Editable, Flex, IconButton, Text } from "@chakra-ui/react";
import { Trash2 } from "lucide-react";
import { useMemo } from "react";
import { printLength, printMass, type UnitSystem } from "@/core/base/units/print";
import { differingInputs } from "@/core/figures/compare/inputs";
import { differingTraits, traitOf } from "@/core/figures/compare/traits";
import { inWindows } from "@/core/figures/tune/goals";
import { materialsIn } from "@/core/knife/design/materials";
import type { Design } from "@/core/knife/design/schema";
import { changeComparison, MOST_COMPARED, useComparison } from "@/store/comparison";
import { addKnife, freeName, takenNames } from "@/store/knives";
import type { VariantRecord } from "@/store/rows";
import { useUnits } from "@/store/settings";
import { removeVariant, renameVariant, replaceVariant, restoreVariants } from "@/store/variants";
import { inputValueWords, inputWords } from "@/words/inputs";
import { TRAIT_WORDS, traitValueWords } from "@/words/traits";
import { createWeigher } from "@/workers/services";
import { attempt, notices } from "../kit/notice";
import { useWorkerQueries } from "../kit/useWorkerQuery";
import { Figures } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";
import { keyOf } from "./useColumns";

type Variant = VariantRecord<Design>;

/** The variants of the knife with what each weighs, how it differs from the knife now, and what can be done with it. */
export function VariantList({ variants }: { variants: readonly Variant[] }) {
  const design = useDesign();
  const units = useUnits();
  const designs = useMemo(() => variants.map((v) => v.design), [variants]);
  const weighings = useWorkerQueries(createWeigher, designs, (s, d) => s.weigh(d));
  const reportOf = (v: Variant) => {
    const weighing = weighings.get(v.design);
    return weighing && weighing !== "failed" && weighing.ok ? weighing.report : null;
  };
  const weightWords = (v: Variant) => {
    const report = reportOf(v);
    if (report) return printMass(report.massG, units);
    if (weighings.get(v.design) === "failed") return "not weighed: reload the page";
    return weighings.has(v.design) ? "cannot be built" : "weighing…";
  };
  const balanceOf = (v: Variant) => {
    const report = reportOf(v);
    return report ? printLength(report.balanceMm, units) : "–";
  };
  const windowWords = (v: Variant) => {
    const report = reportOf(v);
    return report ? (inWindows(v.design, report) ? "yes" : "no") : "";
  };
  return (
    <Figures
      label="Variants"
      rows={variants}
      keyOf={(v) => v.id}
      none=""
      columns={[
        { name: "Name", of: (v) => <Name variant={v} /> },
        { name: "Weight", number: true, of: weightWords },
        { name: "Balance", number: true, of: balanceOf },
        { name: "In its windows", of: windowWords },
        {
          name: "Differs from the knife now",
          of: (v) => <Unlike of={v.design} now={design} units={units} />,
        },
        { name: "What can be done", unseen: true, of: (v) => <VariantActions variant={v} /> },
      ]}
    />
  );
}

/** What can be done with a variant, each with its notice and the way back. */
function useVariantActions(v: Variant) {
  const { session } = useBench();
  const design = useDesign();
  const take = () => {
    session.getState().edit({
      code: "take-variant",
      name: v.name,
      design: { ...v.design, name: design.name },
    });
    notices.success({
      title: `The knife is now ${v.name}`,
      action: { label: "Undo", onClick: () => session.undo() },
    });
  };
  const toRack = async () => {
    const wanted = `${design.name}, ${v.name}`.slice(0, 80);
    const knife = await addKnife({ ...v.design, name: freeName(wanted, await takenNames()) });
    notices.success({ title: `${knife.design.name} is on the rack` });
  };
  const update = async () => {
    await replaceVariant(v.id, design, v);
    notices.success({
      title: `${v.name} is now as the knife is`,
      action: {
        label: "Undo",
        onClick: () => void attempt("It could not be undone", () => replaceVariant(v.id, v.design)),
      },
    });
  };
  const remove = async () => {
    const removed = await removeVariant(v.id);
    if (!removed.ok)
      return notices.error({
        title: `${v.name} is still there`,
        description: "The browser did not take it.",
      });
    const { binId } = removed;
    if (binId === null) return;
    notices.create({
      title: `${v.name} was deleted`,
      duration: 15_000,
      action: {
        label: "Put it back",
        onClick: () => void attempt("It could not be put back", () => restoreVariants([binId])),
      },
    });
  };
  return { take, toRack, update, remove };
}

function VariantActions({ variant: v }: { variant: Variant }) {
  const { take, toRack, update, remove } = useVariantActions(v);
  return (
    <Flex gap="1" justify="end">
      <BesideButton variant={v} />
      <Button size="2xs" variant="outline" aria-label={`Use ${v.name}`} onClick={take}>
        Use
      </Button>
      <Button
        size="2xs"
        variant="outline"
        aria-label={`Update ${v.name} to the knife as it is now`}
        title="Update it to the knife as it is now"
        onClick={() => void attempt(`${v.name} is as it was`, update)}
      >
        Update
      </Button>
      <Button
        size="2xs"
        variant="outline"
        aria-label={`Put ${v.name} on the rack`}
        title="Put it on the rack as a knife of its own"
        onClick={() => void attempt(`${v.name} is not on the rack`, toRack)}
      >
        To rack
      </Button>
      <IconButton
        size="2xs"
        variant="ghost"
        color="fault"
        aria-label={`Delete ${v.name}`}
        onClick={() => void attempt(`${v.name} is still there`, remove)}
      >
        <Trash2 />
      </IconButton>
    </Flex>
  );
}

/** Lays a variant beside the knife, or takes it from there. */
function BesideButton({ variant: v }: { variant: Variant }) {
  const { knifeId } = useBench();
  const comparison = useComparison(knifeId);
  const mine = { kind: "variant" as const, id: v.id };
  const lies = comparison.some((b) => keyOf(b) === keyOf(mine));
  const full = !lies && comparison.length >= MOST_COMPARED - 1;
  return (
    <Button
      size="2xs"
      variant={lies ? "solid" : "outline"}
      aria-pressed={lies}
      aria-label={`Lay ${v.name} beside`}
      disabled={full}
      title={full ? "Four lie side by side already" : undefined}
      onClick={() =>
        void changeComparison(knifeId, (now) =>
          lies ? now.filter((b) => keyOf(b) !== keyOf(mine)) : [...now, mine],
        )
      }
    >
      Beside
    </Button>
  );
}

/** A name that is changed in place. */
function Name({ variant }: { variant: Variant }) {
  return (
    <Editable.Root
      defaultValue={variant.name}
      key={variant.name}
      maxLength={80}
      onValueCommit={({ value }) => {
        if (value.trim())
          void attempt(`${variant.name} keeps its name`, () =>
            renameVariant(variant.id, value.trim(), variant),
          );
      }}
    >
      <Editable.Preview aria-label={`Rename ${variant.name}`} fontWeight="600" minH="6" />
      <Editable.Input aria-label={`Name of ${variant.name}`} />
    </Editable.Root>
  );
}

const MOST_LISTED = 3;

function Unlike(props: { of: Design; now: Design; units: UnitSystem }) {
  const both = [props.now, props.of];
  const all = [
    ...differingTraits(both).map(
      (t) =>
        `${TRAIT_WORDS[t]}: ${traitValueWords(traitOf(props.of, t), props.units, materialsIn(props.of))}`,
    ),
    ...differingInputs(both).map(
      ({ path, values }) =>
        `${inputWords(path)}: ${inputValueWords(path, values[1], props.units, materialsIn(props.of))}`,
    ),
  ];
  if (all.length === 0) return <Text color="graphite">nothing: they are alike</Text>;
  const listed = all.slice(0, MOST_LISTED);
  const more = all.length - listed.length;
  return (
    <Text fontSize="sm">
      {listed.join("; ")}
      {more > 0 && ` and ${more} more`}
    </Text>
  );
}
