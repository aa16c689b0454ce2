"use client";
import { Box, Button, Flex, Grid, Heading, Input, NativeSelect, Stack, Text } from "@chakra-ui/react";
import { useRouter } from "next/navigation";
import { useId, useMemo, useState } from "react";
import type { Design } from "@/core/design/schema";
import { STARTING_FORMS, type StartingForm, startingForm } from "@/core/design/startingForms";
import {
  KNIFE_SIZES,
  type KnifeSizes,
  likeAnother,
  resized,
  SIZE_LIMITS,
  sizesOf,
} from "@/core/layout/resized";
import { addKnife, freeName, readableKnives, takenNames } from "@/store/knives";
import { useKept } from "@/store/useKept";
import { FORM_WORDS } from "@/words/startingForms";
import { createWeigher } from "@/workers/services";
import { Hatches } from "../drawing/Hatches";
import { LengthField } from "../fields/LengthField";
import { Header } from "../shell/Header";
import { attempt } from "../shell/notice";
import { PageHead } from "../shell/PageHead";
import { useWorkerQueries } from "../useWorkerQuery";
import { FormCard } from "./FormCard";
import { StartFigures } from "./StartFigures";

const SIZE_WORDS: Record<keyof KnifeSizes, string> = {
  bladeMm: "Blade's length",
  heightMm: "Blade's height",
  spineMm: "Spine",
  handleMm: "Handle's length",
};

/** What is begun from: a starting form, or a knife on the rack by its id. */
type Picked = { readonly form: StartingForm } | { readonly like: string };

/** Begins a knife: a form, or one like another on the rack; four lengths; a name. */
export function NewKnife() {
  const [picked, setPicked] = useState<Picked>({ form: "field" });
  const [sizes, setSizes] = useState<Partial<KnifeSizes>>({});
  const [typed, setTyped] = useState<string | null>(null);
  const router = useRouter();
  const rack = useKept(readableKnives, []);
  const forms = useMemo(() => STARTING_FORMS.map((form) => startingForm(form, FORM_WORDS[form].name)), []);
  const base = useMemo(() => baseOf(picked, forms, rack ?? []), [picked, forms, rack]);
  const design = useMemo(() => base && resized(base, { ...sizesOf(base), ...sizes }), [base, sizes]);
  const asked = useMemo(() => (design ? [design] : []), [design]);
  const answers = useWorkerQueries(createWeigher, asked, (s, d) => s.weigh(d));
  const answer = design ? answers.get(design) : undefined;
  const name = typed ?? base?.name ?? "";

  const pick = (to: Picked) => {
    setPicked(to);
    setSizes({});
    setTyped(null);
  };
  const begin = async (view: "" | "?view=pattern") => {
    if (!design) return;
    const record = await addKnife({
      ...design,
      name: freeName(name.trim() || design.name, await takenNames()),
    });
    router.push(`/knife/${record.id}${view}`);
  };
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px="6" py="5" gap="4">
        <PageHead
          title="New knife"
          note="Pick what comes nearest, type its four lengths, and change the rest on the bench."
        >
          {null}
        </PageHead>
        <svg width="0" height="0" aria-hidden="true" style={{ position: "absolute" }}>
          <Hatches />
        </svg>
        <Flex gap="5" align="start" direction={{ base: "column", lg: "row" }}>
          <Grid
            role="radiogroup"
            aria-label="Starting form"
            templateColumns="repeat(auto-fill, minmax(240px, 1fr))"
            gap="3"
            flex="1"
            w="full"
          >
            {STARTING_FORMS.map((form, i) => (
              <FormCard
                key={form}
                design={forms[i]}
                words={FORM_WORDS[form]}
                picked={"form" in picked && picked.form === form}
                onPick={() => pick({ form })}
              />
            ))}
          </Grid>
          <Stack
            as="section"
            aria-label="Its sizes"
            w={{ base: "full", lg: "340px" }}
            bg="sheet"
            borderWidth="1px"
            borderRadius="md"
            p="4"
            gap="3"
          >
            <Heading as="h2" size="md" fontWeight="600">
              {base ? base.name : "…"}
            </Heading>
            <LikeOne
              rack={rack ?? []}
              value={"like" in picked ? picked.like : ""}
              onPick={(id) => pick(id ? { like: id } : { form: "field" })}
            />
            <NameField value={name} onType={setTyped} />
            {design &&
              KNIFE_SIZES.map((key) => (
                <LengthField
                  key={key}
                  label={SIZE_WORDS[key]}
                  mm={sizesOf(design)[key]}
                  min={SIZE_LIMITS[key][0]}
                  max={SIZE_LIMITS[key][1]}
                  onChange={(mm) => setSizes((before) => ({ ...before, [key]: mm }))}
                />
              ))}
            <StartFigures answer={answer} />
            <Button onClick={() => void attempt("No knife was begun", () => begin(""))} disabled={!design}>
              Begin this knife
            </Button>
            <Button
              variant="outline"
              disabled={!design}
              onClick={() => void attempt("No knife was begun", () => begin("?view=pattern"))}
            >
              Begin it from a pattern
            </Button>
            <Text color="graphite" fontSize="sm">
              It goes on the rack at once; everything can be changed on the bench.
            </Text>
          </Stack>
        </Flex>
        <Box h="4" />
      </Stack>
    </Flex>
  );
}

function baseOf(
  picked: Picked,
  forms: readonly Design[],
  rack: readonly { readonly id: string; readonly design: Design }[],
): Design | null {
  if ("form" in picked) return forms[STARTING_FORMS.indexOf(picked.form)];
  const like = rack.find((k) => k.id === picked.like)?.design;
  return like ? likeAnother(like, like.name) : null;
}

function NameField({ value, onType }: { value: string; onType: (to: string) => void }) {
  const id = useId();
  return (
    <Flex align="center" justify="space-between" gap="2">
      <label htmlFor={id}>Name</label>
      <Input
        id={id}
        size="sm"
        maxW="60%"
        maxLength={80}
        value={value}
        onChange={(e) => onType(e.target.value)}
      />
    </Flex>
  );
}

interface LikeOneProps {
  readonly rack: readonly { readonly id: string; readonly design: Design }[];
  readonly value: string;
  readonly onPick: (id: string) => void;
}

/** A knife on the rack to begin from instead of a form. */
function LikeOne({ rack, value, onPick }: LikeOneProps) {
  const id = useId();
  if (rack.length === 0) return null;
  return (
    <Flex align="center" justify="space-between" gap="2">
      <label htmlFor={id}>Like one on the rack</label>
      <NativeSelect.Root size="sm" maxW="60%">
        <NativeSelect.Field id={id} value={value} onChange={(e) => onPick(e.target.value)}>
          <option value="">None: start from a form</option>
          {rack.map((k) => (
            <option key={k.id} value={k.id}>
              {k.design.name}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
    </Flex>
  );
}
