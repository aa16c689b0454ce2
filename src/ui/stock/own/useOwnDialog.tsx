"use client";
import { nanoid } from "nanoid";
import dynamic from "next/dynamic";
import { type ReactNode, useState } from "react";
import { ownFrom, ownId, plainOwn } from "@/core/stock/own/make";
import type { OwnMaterial } from "@/core/stock/own/types";
import type { Material } from "@/core/stock/types";
import { redefineMaterial, usesOfMaterial } from "@/store/materialUses";
import { keepMaterial } from "@/store/ownMaterials";
import { attempt, notices } from "../../shell/notice";

const OwnMaterialDialog = dynamic(() => import("./OwnMaterialDialog"), { ssr: false });

interface Asked {
  readonly start: OwnMaterial;
  readonly title: string;
  readonly note?: string;
  readonly replaces: boolean;
}

export interface OwnDialog {
  /** The dialog, while it is open. */
  readonly dialog: ReactNode;
  begin(): void;
  /** A copy of a material that ships, or of an own one, to be changed. */
  copy(material: Material, own: OwnMaterial | undefined): void;
  change(own: OwnMaterial): void;
}

/** Makes and changes own materials in a dialog, which is fetched when it is first asked for. */
export function useOwnDialog(onKept?: (own: OwnMaterial) => void): OwnDialog {
  const [asked, setAsked] = useState<Asked | null>(null);
  const save = (own: OwnMaterial) =>
    attempt(`${own.name} was not kept`, async () => {
      await (asked?.replaces ? redefineMaterial(own) : keepMaterial(own));
      setAsked(null);
      notices.success({ id: "own-material", title: `${own.name} is kept in your stock` });
      onKept?.(own);
    });
  return {
    dialog: asked && (
      <OwnMaterialDialog
        key={asked.start.id}
        {...asked}
        onSave={(own) => void save(own)}
        onClose={() => setAsked(null)}
      />
    ),
    begin: () => setAsked({ start: plainOwn(ownId(nanoid(10))), title: "New material", replaces: false }),
    copy: (material, own) => {
      const copy = ownFrom(material, ownId(nanoid(10)), own);
      const name = `${material.name}, mine`.slice(0, 60);
      setAsked({ start: { ...copy, name }, title: `One like ${material.name}`, replaces: false });
    },
    change: (own) =>
      void attempt(`${own.name} cannot be changed now`, async () => {
        const uses = await usesOfMaterial(own.id);
        const count = uses.filter((u) => u.where !== "bin").length;
        const many = count === 1 ? "One knife or variant is" : `${count} knives and variants are`;
        const note = count > 0 ? `${many} made of it, and will weigh with what you save.` : undefined;
        setAsked({ start: own, title: own.name, note, replaces: true });
      }),
  };
}
