"use client";
import { HStack, IconButton } from "@chakra-ui/react";
import { Copy, Pencil, Trash2 } from "lucide-react";
import type { OwnMaterial } from "@/core/materials/own/types";
import type { Material } from "@/core/materials/types";
import { putBack } from "@/store/bin";
import { deleteMaterial } from "@/store/materialUses";
import { usedByWords } from "@/words/ownMaterials";
import { attempt, notices } from "../kit/notice";
import type { OwnDialogOpeners } from "../ownMaterials/useOwnDialog";

/** What can be done with a material of the list: one that ships can be copied, an own one changed and deleted. */
export function OwnActions({
  material,
  own,
  ask,
}: {
  material: Material;
  own: OwnMaterial | undefined;
  ask: OwnDialogOpeners;
}) {
  const remove = (gone: OwnMaterial) =>
    attempt(`${gone.name} was not deleted`, async () => {
      const { uses, removed } = await deleteMaterial(gone);
      if (uses.length > 0)
        notices.error({ title: `${gone.name} is still used`, description: usedByWords(uses) });
      else if (!removed?.ok)
        notices.error({ title: `${gone.name} was not deleted`, description: "The browser did not take it." });
      else
        notices.success({
          title: `${gone.name} is deleted`,
          description: "It lies in the bin for 30 days.",
          action: {
            label: "Undo",
            onClick: () => void attempt("It could not be put back", () => putBack(removed.binId ?? "")),
          },
        });
    });
  const button = { size: "2xs", variant: "ghost", color: "graphite" } as const;
  return (
    <HStack gap="0">
      {own && (
        <IconButton
          {...button}
          aria-label={`Change ${own.name}`}
          title="Change"
          onClick={() => ask.change(own)}
        >
          <Pencil />
        </IconButton>
      )}
      <IconButton
        {...button}
        aria-label={`Make one like ${material.name}`}
        title="Make one of your own like it"
        onClick={() => ask.copy(material, own)}
      >
        <Copy />
      </IconButton>
      {own && (
        <IconButton
          {...button}
          aria-label={`Delete ${own.name}`}
          title="Delete"
          onClick={() => void remove(own)}
        >
          <Trash2 />
        </IconButton>
      )}
    </HStack>
  );
}
