"use client";
import { Input, Stack } from "@chakra-ui/react";
import { useState } from "react";
import { HARDWARE } from "@/core/figures/cost/shop";
import { MATERIAL_CLASSES } from "@/core/materials/types";
import { SUPPLIES } from "@/core/shelf/supplies";
import { priceKeyWords } from "@/words/cost";
import { SUPPLY_WORDS, stuffWords } from "@/words/shelf";
import { MaterialField } from "../bound/MaterialField";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { KeepOrCancel } from "../fields/KeepOrCancel";
import { useMaterialOf } from "../kit/materials";

const SORTS = [
  { value: "material", name: "A piece or rod of a material" },
  { value: "hardware", name: "Screws, bolts, a ready-made blade" },
  { value: "supply", name: "Something that is used up" },
] as const;
type Sort = (typeof SORTS)[number]["value"];

/** What a new lot is of, and what it is called. */
export function NewLot({ onDone }: { onDone: (lot: { of: string; name: string } | null) => void }) {
  const [sort, setSort] = useState<Sort>("material");
  const [material, setMaterial] = useState("walnut-black");
  const [hardware, setHardware] = useState<string>(HARDWARE[0]);
  const [supply, setSupply] = useState<string>(`supply:${SUPPLIES[0]}`);
  const [name, setName] = useState<string | null>(null);
  const materialOf = useMaterialOf();
  const of = { material, hardware, supply }[sort];
  const called = name ?? stuffWords(of, materialOf).slice(0, 60);
  return (
    <Stack
      gap="3"
      bg="sheet"
      borderWidth="1px"
      borderRadius="md"
      p="4"
      maxW="520px"
      role="group"
      aria-label="New lot"
    >
      <ChoiceField wide label="It is" value={sort} choices={SORTS} onChange={setSort} />
      {sort === "material" && (
        <MaterialField label="Material" value={material} classes={MATERIAL_CLASSES} onChange={setMaterial} />
      )}
      {sort === "hardware" && (
        <ChoiceField
          wide
          label="Which"
          value={hardware}
          choices={HARDWARE.map((value) => ({
            value: value as string,
            name: priceKeyWords(value, materialOf),
          }))}
          onChange={setHardware}
        />
      )}
      {sort === "supply" && (
        <ChoiceField
          wide
          label="Which"
          value={supply}
          choices={SUPPLIES.map((s) => ({ value: `supply:${s}`, name: SUPPLY_WORDS[s] }))}
          onChange={setSupply}
        />
      )}
      <FieldRow label="Name" wide>
        <Input
          size="sm"
          bg="ground"
          maxLength={60}
          value={called}
          onChange={(e) => setName(e.target.value)}
        />
      </FieldRow>
      <KeepOrCancel
        says="Put it on the shelf"
        disabled={called.trim() === ""}
        onKeep={() => onDone({ of, name: called.trim() })}
        onCancel={() => onDone(null)}
      />
    </Stack>
  );
}
