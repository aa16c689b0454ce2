"use client";
import { Button, Flex, List, Stack, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { Plus } from "lucide-react";
import { nanoid } from "nanoid";
import { useState } from "react";
import { printLength } from "@/core/base/units/print";
import type { Attempt } from "@/core/plan/attempts";
import { isUsual, type Recipe, recipeFor } from "@/core/plan/recipes";
import { addRecipe, removeRecipe, useRecipes } from "@/store/recipes";
import { useUnits } from "@/store/settings";
import { HEAT_FAULT_WORDS, JUDGED_WORDS, STEEL_PART_WORDS, TEST_WORDS } from "@/words/heat";
import { heatWords } from "@/words/heatWords";
import { mediumWords, recipeWords } from "@/words/taskFigures";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { offerBack, offerPutBack } from "../kit/offerBack";
import { Note, Section } from "../report/Section";
import { useDesign } from "../session/BenchContext";
import { AttemptForm } from "./AttemptForm";
import { useBuild } from "./BuildContext";
import { RecipeForm } from "./RecipeForm";

/** How the steel is heated, by the maker's own recipe or the usual one, and every attempt as it went. */
export function HeatSection() {
  const { plan, change } = useBuild();
  const steel = useDesign((d) => d.blade.steel);
  const materialOf = useMaterialOf();
  const recipes = useRecipes() ?? [];
  const [adding, setAdding] = useState(false);
  const recipe = recipeFor(materialOf(steel), recipes);
  return (
    <Section id="heat" title="Heat treatment">
      <RecipeShown recipe={recipe} steel={steel} />
      <Note>Temperatures are from memory where they are not yours. The mill's sheet of the bar decides.</Note>
      <Stack gap="2" data-testid="attempts">
        {plan.heats.map((a) => (
          <OneAttempt key={a.id} attempt={a} />
        ))}
      </Stack>
      {adding ? (
        <AttemptForm
          recipe={recipe}
          onDone={(made) => {
            setAdding(false);
            if (made)
              change((p) => ({ ...p, heats: [...p.heats, { ...made, id: nanoid(10), at: Date.now() }] }));
          }}
        />
      ) : (
        <Button size="sm" variant="outline" alignSelf="start" onClick={() => setAdding(true)}>
          <Plus /> Note an attempt
        </Button>
      )}
    </Section>
  );
}

function RecipeShown({ recipe, steel }: { recipe: Recipe | null; steel: string }) {
  const materialOf = useMaterialOf();
  const [editing, setEditing] = useState(false);
  const name = materialOf(steel)?.name ?? steel;
  const own = recipe !== null && !isUsual(recipe);
  if (editing)
    return (
      <RecipeForm
        from={recipe}
        steel={steel}
        name={name}
        onDone={(made) => {
          setEditing(false);
          if (!made) return;
          void attempt("The recipe was not kept", async () => {
            // A recipe of the maker's own gives way to its new state, and lies in the bin.
            if (own) await removeRecipe(recipe.id);
            await addRecipe(made);
          });
        }}
      />
    );
  return (
    <Stack gap="1">
      {recipe ? (
        <List.Root ps="5">
          {recipe.normalise && <List.Item>Normalise: {recipeWords(recipe, "normalise")}</List.Item>}
          <List.Item>Harden: {recipeWords(recipe, "harden")}</List.Item>
          {recipe.coldC !== null && <List.Item>Cold: {recipeWords(recipe, "cold")}</List.Item>}
          <List.Item>Temper: {recipeWords(recipe, "temper")}</List.Item>
        </List.Root>
      ) : (
        <Text>No recipe for {name} is known here: put in what its mill says.</Text>
      )}
      <Flex gap="2">
        <Button size="xs" variant="outline" onClick={() => setEditing(true)}>
          {own ? "Change my recipe" : "Use a recipe of my own"}
        </Button>
        {own && (
          <Button
            size="xs"
            variant="ghost"
            color="fault"
            onClick={() => void offerBack(`The recipe ${recipe.name}`, () => removeRecipe(recipe.id))}
          >
            Delete my recipe
          </Button>
        )}
      </Flex>
    </Stack>
  );
}

/** An attempt in one sentence or two. */
function useAttemptWords(): (a: Attempt) => string {
  const units = useUnits();
  return (a) => {
    const bent = (mm: number | null, when: string) =>
      mm === null ? [] : [`bent ${printLength(mm, units, 1)} ${when}`];
    const test = a.test;
    const hardness =
      test === null
        ? []
        : [
            `${TEST_WORDS[test.by]}: ${test.hrc === null ? (test.skates ? "skates" : "bites") : `${test.hrc} HRC`}`,
          ];
    return [
      ...(a.hardenC === null ? [] : [`${heatWords(a.hardenC)}${a.offC ? ` ± ${a.offC} °C` : ""}`]),
      `judged by ${JUDGED_WORDS[a.judgedBy].toLowerCase()}${a.source ? ` in ${a.source}` : ""}`,
      ...(a.soakMin === null ? [] : [`soak ${a.soakMin} min`]),
      `${mediumWords(a.medium)}${a.quenchS === null ? "" : ` ${a.quenchS} s`}`,
      ...(a.coldC === null ? [] : [`cold ${heatWords(a.coldC)}`]),
      ...a.temper.map(
        (t) => `temper ${heatWords(t.atC)} ${t.hours} h${t.cooledBetween ? ", cooled fully" : ""}`,
      ),
      ...(a.colourSeen ? [`colour ${a.colourSeen}`] : []),
      ...hardness,
      ...bent(a.bentBeforeMm, "before"),
      ...bent(a.bentAfterMm, "after"),
    ].join("; ");
  };
}

function OneAttempt({ attempt: a }: { attempt: Attempt }) {
  const { change } = useBuild();
  const words = useAttemptWords();
  const what = `${STEEL_PART_WORDS[a.part]}, ${format(a.at, "d MMM yyyy")}`;
  return (
    <Flex
      gap="3"
      align="center"
      borderLeftWidth="3px"
      borderColor={a.fault === "none" ? "rule" : "warn"}
      ps="2"
      wrap="wrap"
    >
      <Text flex="1" minW="200px" fontSize="sm">
        <b>{what}</b>
        {a.fault === "none" ? "" : `, ${HEAT_FAULT_WORDS[a.fault].toLowerCase()}`}: {words(a)}. {a.note}
      </Text>
      <Button
        size="xs"
        variant="ghost"
        color="fault"
        aria-label={`Take out the attempt: ${what}`}
        onClick={() => {
          change((p) => ({ ...p, heats: p.heats.filter((h) => h.id !== a.id) }));
          offerPutBack(`The attempt is taken out: ${what}`, () =>
            change((p) => ({ ...p, heats: [...p.heats, a].sort((x, y) => x.at - y.at) })),
          );
        }}
      >
        Take out
      </Button>
    </Flex>
  );
}
