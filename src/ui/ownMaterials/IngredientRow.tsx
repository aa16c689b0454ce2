"use client";
import { Box, Flex, IconButton, NativeSelect } from "@chakra-ui/react";
import { X } from "lucide-react";
import type { ReactNode } from "react";
import type { Ingredient } from "@/core/materials/own/types";
import { MATERIAL_CLASSES } from "@/core/materials/types";
import { small } from "@/words/grammar";
import { FieldRow } from "../fields/FieldRow";
import { MaterialOptions } from "../fields/MaterialOptions";
import { useMaterials } from "../kit/materials";

/** Something that a mixture is made of: picked from the stock by its name, which brings its density. */
export function IngredientRow({
  label,
  ingredient,
  onPick,
  onRemove,
  children,
}: {
  label: string;
  /** Null where only its density is taken over. */
  ingredient: Ingredient | null;
  onPick: (found: Ingredient) => void;
  onRemove: (() => void) | null;
  children?: ReactNode;
}) {
  const materials = useMaterials();
  const now = materials.find(
    (m) => m.name === ingredient?.name && m.densityGcc.typical === ingredient.densityGcc.typical,
  );
  const pick = (id: string) => {
    const found = materials.find((m) => m.id === id);
    if (found) onPick({ name: found.name.slice(0, 60), densityGcc: found.densityGcc });
  };
  return (
    <FieldRow label={label} wide>
      <Flex gap="1" w="full">
        <NativeSelect.Root size="sm" flex="1" minW="0">
          <NativeSelect.Field bg="ground" value={now?.id ?? ""} onChange={(e) => pick(e.target.value)}>
            {!now && (
              <option value="">
                {ingredient ? `${ingredient.name} · ${ingredient.densityGcc.typical.toFixed(2)}` : "Choose …"}
              </option>
            )}
            <MaterialOptions classes={MATERIAL_CLASSES} />
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        {children && <Box w="110px">{children}</Box>}
        {onRemove && (
          <IconButton size="sm" variant="ghost" aria-label={`Remove ${small(label)}`} onClick={onRemove}>
            <X />
          </IconButton>
        )}
      </Flex>
    </FieldRow>
  );
}
