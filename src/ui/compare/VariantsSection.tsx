"use client";
import { Button, Flex, Input, Text } from "@chakra-ui/react";
import { Layers, Plus } from "lucide-react";
import { useState } from "react";
import type { Variant } from "@/core/knife/design/variant";
import { changeComparison } from "@/store/comparison";
import { addVariants } from "@/store/variants";
import { attempt, notices } from "../kit/notice";
import { Note, Section } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";
import { DamagedNote } from "../shell/DamagedNote";
import { SetsPanel } from "./SetsPanel";
import { useVariants } from "./useColumns";
import { VariantList } from "./VariantList";

/** Other makings of this knife: kept as it is now, or made in one step from sets of materials. */
export function VariantsSection() {
  const { knifeId } = useBench();
  const design = useDesign();
  const { records: variants, damaged } = useVariants();
  const [name, setName] = useState("");
  const [choosing, setChoosing] = useState(false);

  /** Keeps them and lays as many beside the knife as find room. */
  const keep = async (list: readonly Variant[]) => {
    const kept = await addVariants(knifeId, list);
    if (!kept.ok) {
      notices.error({
        title:
          kept.room === 0 ? "There is no room for another variant" : `There is room for ${kept.room} more`,
        description: "Take away some that you no longer need.",
      });
      return false;
    }
    const added = kept.added.map(({ id }) => ({ kind: "variant" as const, id }));
    await changeComparison(knifeId, (now) => [...now, ...added]);
    return true;
  };
  const keepNow = async () => {
    if (await keep([{ name: name.trim() || "As it was", design }])) setName("");
  };
  return (
    <Section id="variants" title="Variants">
      <Flex
        as="form"
        gap="2"
        wrap="wrap"
        onSubmit={(e) => {
          e.preventDefault();
          void attempt("The variant is not kept", keepNow);
        }}
      >
        <Input
          size="sm"
          w="260px"
          bg="sheet"
          aria-label="Name of the variant"
          placeholder="Name of the variant"
          maxLength={80}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Button size="sm" type="submit">
          <Plus /> Keep it as it is now
        </Button>
        <Button
          size="sm"
          variant="outline"
          bg="sheet"
          aria-expanded={choosing}
          onClick={() => setChoosing(!choosing)}
        >
          <Layers /> Same blade, six handles
        </Button>
      </Flex>
      {choosing && (
        <SetsPanel
          onMake={async (list) => {
            if (await keep(list)) setChoosing(false);
          }}
          onClose={() => setChoosing(false)}
        />
      )}
      {damaged.map((d) => (
        <DamagedNote key={d.id} damaged={d} />
      ))}
      {variants.length === 0 ? (
        <Text color="graphite">
          None yet. Keep the knife as it is before you try something, and lay both side by side.
        </Text>
      ) : (
        <VariantList variants={variants} />
      )}
      <Note>Variants go with the knife: into its file, when it is copied, and when it is deleted.</Note>
    </Section>
  );
}
