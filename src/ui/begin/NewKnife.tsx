"use client";
import { Box, Button, Flex, Grid, Heading, Input, NativeSelect, Stack, Text } from "@chakra-ui/react";
import { useRouter } from "next/navigation";
import { useEffect, useId, useMemo, useState } from "react";
import { likeAnother, type ProductDesign } from "@/core/knife/design/product";
import { movedInto } from "@/core/knife/design/workshop";
import { RECORDS } from "@/core/products/records";
import { addKnife, freeName, readableKnives, takenNames } from "@/store/knives";
import { useKept } from "@/store/useKept";
import { firstWorkshop, usePresentWorkshop } from "@/store/workshops";
import { createWeigher } from "@/workers/services";
import { Hatches } from "../drawing/Hatches";
import { LengthField } from "../fields/LengthField";
import { attempt } from "../kit/notice";
import { useWorkerQueries } from "../kit/useWorkerQuery";
import { viewsOf } from "../products/viewsOf";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { FormCard } from "./FormCard";
import { StartFigures } from "./StartFigures";

/** Every form of every product that a design can begin from, each under its name. */
const FORMS = RECORDS.flatMap(({ kind, starts }) =>
  starts.map(({ code, begin }) => {
    const words = viewsOf({ kind }).startWords(code);
    return { id: `${kind} ${code}`, words, begin: () => begin(words.name) };
  }),
);

/** What is begun from: a starting form, or a knife on the rack by its id. */
type Picked = { readonly form: string } | { readonly like: string };

const FIRST: Picked = { form: FORMS[0].id };
const NONE: readonly never[] = [];

/** What is being begun: what is picked, its sizes, its name, its weight, and putting it on the rack. */
function useBeginning() {
  const [picked, setPicked] = useState<Picked>(FIRST);
  const [sizes, setSizes] = useState<Readonly<Record<string, number>>>({});
  const [typed, setTyped] = useState<string | null>(null);
  const router = useRouter();
  const rack = useKept(readableKnives, []) ?? NONE;
  const workshop = usePresentWorkshop();
  const forms = useMemo(() => FORMS.map((form) => form.begin()), []);
  const base = useMemo(() => baseOf(picked, forms, rack), [picked, forms, rack]);
  const spec = base && viewsOf(base).sizes;
  const design = useMemo(() => base && (spec?.resized(base, sizes) ?? base), [base, spec, sizes]);
  const asked = useMemo(() => (design ? [design] : []), [design]);
  const answers = useWorkerQueries(createWeigher, asked, (s, d) => s.weigh(d));
  const name = typed ?? base?.name ?? "";
  return {
    picked,
    pick: (to: Picked) => {
      setPicked(to);
      setSizes({});
      setTyped(null);
    },
    forms,
    rack,
    base,
    design,
    fields: spec?.fields ?? [],
    setSize: (key: string, mm: number) => setSizes((before) => ({ ...before, [key]: mm })),
    name,
    setName: setTyped,
    answer: design ? answers.get(design) : undefined,
    begin: async (view: "" | "?view=pattern") => {
      if (!design) return;
      // One like another keeps what that one says of its shop.
      const record = await addKnife({
        ...(workshop && "form" in picked ? movedInto(design, workshop) : design),
        name: freeName(name.trim() || design.name, await takenNames()),
      });
      router.push(`/knife/${record.id}${view}`);
    },
  };
}
type Beginning = ReturnType<typeof useBeginning>;

/** Begins a knife: a form, or one like another on the rack; four lengths; a name. */
export function NewKnife() {
  const beginning = useBeginning();
  const { picked, pick, forms } = beginning;
  useEffect(() => {
    // Without one a knife begins in a plain shop; Fit-up offers to let it follow the maker's.
    firstWorkshop().catch((e: unknown) => console.error("the workshop could not be opened", e));
  }, []);
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
            {FORMS.map(({ id, words }, i) => (
              <FormCard
                key={id}
                design={forms[i]}
                words={words}
                picked={"form" in picked && picked.form === id}
                onPick={() => pick({ form: id })}
              />
            ))}
          </Grid>
          <SizesPanel beginning={beginning} />
        </Flex>
        <Box h="4" />
      </Stack>
    </Flex>
  );
}

/** What it is like, its name and its sizes, what it weighs so, and how it is begun. */
function SizesPanel({ beginning }: { beginning: Beginning }) {
  const { picked, pick, rack, base, design, fields, setSize, name, setName, answer, begin } = beginning;
  const beginIn = (view: "" | "?view=pattern") => () => void attempt("No knife was begun", () => begin(view));
  return (
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
        rack={rack}
        value={"like" in picked ? picked.like : ""}
        onPick={(id) => pick(id ? { like: id } : FIRST)}
      />
      <NameField value={name} onType={setName} />
      {design &&
        fields.map(({ key, label, low, high, of }) => (
          <LengthField
            key={key}
            label={label}
            mm={of(design)}
            min={low}
            max={high}
            onChange={(mm) => setSize(key, mm)}
          />
        ))}
      <StartFigures answer={answer} />
      <Button onClick={beginIn("")} disabled={!design}>
        Begin this knife
      </Button>
      {(!design || viewsOf(design).places.pattern) && (
        <Button variant="outline" disabled={!design} onClick={beginIn("?view=pattern")}>
          Begin it from a pattern
        </Button>
      )}
      <Text color="graphite" fontSize="sm">
        It goes on the rack at once; everything can be changed on the bench.
      </Text>
    </Stack>
  );
}

function baseOf(
  picked: Picked,
  forms: readonly ProductDesign[],
  rack: readonly { readonly id: string; readonly design: ProductDesign }[],
): ProductDesign | null {
  if ("form" in picked) return forms[FORMS.findIndex((form) => form.id === picked.form)];
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
  readonly rack: readonly { readonly id: string; readonly design: ProductDesign }[];
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
