"use client";
import { createContext, type ReactNode, useContext, useMemo } from "react";
import { MATERIALS, shippedMaterial } from "@/core/materials/materials";
import { asMaterial, materialsWith } from "@/core/materials/own/known";
import type { OwnMaterial } from "@/core/materials/own/types";
import type { Material, MaterialOf } from "@/core/materials/types";
import { useOwnList } from "@/store/ownMaterials";

interface Known {
  readonly materialOf: MaterialOf;
  /** Own materials as ones to choose, then those that ship. */
  readonly all: readonly Material[];
}

const Context = createContext<Known>({ materialOf: shippedMaterial, all: MATERIALS });

const NONE: readonly OwnMaterial[] = [];

/**
 * Makes own materials known to what is inside: those that a knife carries, as it has them whatever the maker's list says,
 * and the others of the list.
 */
export function KnownMaterials({
  carried = NONE,
  children,
}: {
  carried?: readonly OwnMaterial[];
  children: ReactNode;
}) {
  const { materials } = useOwnList();
  const known = useMemo((): Known => {
    const own = [...carried, ...materials.filter((m) => !carried.some((c) => c.id === m.id))];
    return {
      materialOf: materialsWith(own),
      all: [...own.flatMap((m) => asMaterial(m) ?? []), ...MATERIALS],
    };
  }, [carried, materials]);
  return <Context.Provider value={known}>{children}</Context.Provider>;
}

/** Finds a material by its id, own ones too. */
export const useMaterialOf = (): MaterialOf => useContext(Context).materialOf;

/** Everything that a knife can be made of here. */
export const useMaterials = (): readonly Material[] => useContext(Context).all;
