"use client";
import { List, Text } from "@chakra-ui/react";
import { assembleDrawn } from "@/core/figures/views/drawn";
import { materialsOf } from "@/core/knife/validity/checkDesign";
import { cautionsFor } from "@/words/cautions";
import { HAZARD_WORDS } from "@/words/materials";
import { useMaterialOf } from "../kit/materials";
import { Section } from "../report/Section";
import { useDesign } from "../session/BenchContext";

/** What can hurt while this knife is made: by operation, then by material. */
export function CautionsSection() {
  const materialOf = useMaterialOf();
  const design = useDesign();
  const materials = materialsOf(assembleDrawn(design)).flatMap((id) => materialOf(id) ?? []);
  return (
    <Section id="cautions" title="Cautions">
      <List.Root ps="5" gap="1">
        {cautionsFor(design).map((c) => (
          <List.Item key={c}>{c}</List.Item>
        ))}
        {materials
          .filter((m) => m.hazards.length > 0)
          .map((m) => (
            <List.Item key={m.id}>
              <b>{m.name}:</b> {m.hazards.map((h) => HAZARD_WORDS[h]).join("; ")}.
            </List.Item>
          ))}
      </List.Root>
      <Text color="graphite" fontSize="sm">
        These are the usual cautions, not all. Follow the maker's sheet of each product, ask qualified people
        where you are unsure, and the law where you live.
      </Text>
    </Section>
  );
}
