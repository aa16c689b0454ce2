"use client";
import { Text } from "@chakra-ui/react";
import { type DensityBasis, MIX_PARTS, SHARE_KINDS } from "@/core/materials/own/types";
import { SHARE_KIND_WORDS } from "@/words/ownMaterials";
import { ChoiceField } from "../fields/ChoiceField";
import { IngredientRow } from "./IngredientRow";
import { AddButton, Plain } from "./numbers";

type Basis = Extract<DensityBasis, { kind: "mix" }>;

/** What a mixture is made of, and the share of each. */
export function MixFields({ basis: b, put }: { basis: Basis; put: (by: Partial<Basis>) => void }) {
  const replace = (i: number, by: Partial<(typeof b.parts)[number]>) =>
    put({ parts: b.parts.map((p, k) => (k === i ? { ...p, ...by } : p)) });
  return (
    <>
      <ChoiceField
        label="Shares"
        value={b.by}
        choices={SHARE_KINDS.map((value) => ({ value, name: SHARE_KIND_WORDS[value] }))}
        onChange={(by) => put({ by })}
      />
      {b.parts.map((p, i) => (
        <IngredientRow
          // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
          key={i}
          label={`Part ${i + 1}`}
          ingredient={p}
          onPick={(found) => replace(i, found)}
          onRemove={
            b.parts.length > MIX_PARTS[0] ? () => put({ parts: b.parts.filter((_, k) => k !== i) }) : null
          }
        >
          <Plain
            bare
            label={`Share of part ${i + 1}`}
            unit=""
            value={p.share}
            of="share"
            onChange={(share) => replace(i, { share })}
          />
        </IngredientRow>
      ))}
      <AddButton
        says="Add a part"
        full={b.parts.length >= MIX_PARTS[1]}
        onAdd={() => put({ parts: [...b.parts, { ...b.parts[b.parts.length - 1], share: 10 }] })}
      />
      <Text color="graphite" fontSize="sm">
        Shares need not add up to 100: layers 12 : 1 are as good.
      </Text>
    </>
  );
}
