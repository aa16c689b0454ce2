"use client";
import { nanoid } from "nanoid";
import dynamic from "next/dynamic";
import { type ReactNode, useState } from "react";
import { ownFrom, ownId, plainOwn } from "@/core/materials/own/make";
import { NAME_AT_MOST, type OwnMaterial } from "@/core/materials/own/types";
import type { Material } from "@/core/materials/types";
import { redefineMaterial, usesOfMaterial } from "@/store/materialUses";
import { keepMaterial, materialBase, materialRow } from "@/store/ownMaterials";
import type { StoredMaterial } from "@/store/rows";
import { ownMaterialIn } from "@/store/tables/materials";
import { byCount } from "@/words/grammar";
import { attempt, notices } from "../kit/notice";
import type { OwnConflict } from "./ConflictChoice";

const OwnMaterialDialog = dynamic(() => import("./OwnMaterialDialog"), { ssr: false });

interface Asked {
  readonly start: OwnMaterial;
  readonly title: string;
  readonly note?: string;
  /** The row that it is changed from; null of a new one. */
  readonly base: StoredMaterial | null;
}

export interface OwnDialog extends OwnDialogOpeners {
  /** The dialog, while it is open. */
  readonly dialog: ReactNode;
  /** What opens it, the same for as long as the page is. */
  readonly openers: OwnDialogOpeners;
}

export interface OwnDialogOpeners {
  /** A new one, called so for the time being. */
  begin(name?: string): void;
  /** A copy of a material that ships, or of an own one, to be changed. */
  copy(material: Material, own: OwnMaterial | undefined): void;
  change(own: OwnMaterial): void;
}

/** Makes and changes own materials in a dialog, which is fetched when it is first asked for. */
export function useOwnDialog(onKept?: (own: OwnMaterial) => void): OwnDialog {
  const [asked, setAsked] = useState<Asked | null>(null);
  const [conflict, setConflict] = useState<OwnConflict | null>(null);
  const close = () => {
    setAsked(null);
    setConflict(null);
  };
  const kept = (own: OwnMaterial, description?: string) => {
    close();
    notices.success({ id: "own-material", title: `${own.name} is kept in your stock`, description });
    onKept?.(own);
  };
  const save = (own: OwnMaterial) =>
    attempt(`${own.name} was not kept`, async () => {
      const base = asked?.base ?? null;
      const saved = await (base ? redefineMaterial(own, base, "ask") : keepMaterial(own));
      if (saved.ok) return kept(own);
      setConflict(saved.code === "deleted" ? { code: "deleted" } : { code: "changed", theirs: saved.theirs });
    });
  /** This tab's state stands; the other tab's becomes a material of its own, so that neither is lost. */
  const keepBoth = (own: OwnMaterial) =>
    attempt(`${own.name} was not kept`, async () => {
      if (conflict?.code === "changed") {
        const theirs = ownMaterialIn(conflict.theirs) as OwnMaterial;
        const name = `${theirs.name.slice(0, 48)} (other tab)`;
        await keepMaterial({ ...theirs, id: ownId(nanoid(10)), name });
        await redefineMaterial(own, conflict.theirs, "keep-both");
        return kept(own, `The other tab's is kept as ${name}.`);
      }
      await redefineMaterial(own, null, "keep-both");
      kept(own);
    });
  // The same for as long as the page is: a long table is not drawn again because a dialog opens.
  const [openers] = useState(
    (): OwnDialogOpeners => ({
      begin: (name = "") => {
        const start = { ...plainOwn(ownId(nanoid(10))), name: name.trim().slice(0, NAME_AT_MOST) };
        setAsked({ start, title: "New material", base: null });
      },
      copy: (material, own) => {
        const copy = ownFrom(material, ownId(nanoid(10)), own);
        const name = `${material.name}, mine`.slice(0, NAME_AT_MOST);
        setAsked({ start: { ...copy, name }, title: `One like ${material.name}`, base: null });
      },
      change: (own) =>
        void attempt(`${own.name} cannot be changed now`, async () => {
          const uses = await usesOfMaterial(own.id);
          const count = uses.filter((u) => u.where !== "bin").length;
          const many = byCount(count, "One knife or variant is", `${count} knives and variants are`);
          const note = count > 0 ? `${many} made of it, and will weigh with what you save.` : undefined;
          const base = await materialBase(own.id);
          // What stands in the list is what is changed, even where this page has not shown it yet.
          const start = base ? (ownMaterialIn(base) as OwnMaterial) : own;
          setAsked({ start, title: start.name, note, base: base ?? materialRow(own, null) });
        }),
    }),
  );
  return {
    ...openers,
    openers,
    dialog: asked && (
      <OwnMaterialDialog
        key={asked.start.id}
        {...asked}
        conflict={conflict}
        onSave={(own) => void save(own)}
        onTakeTheirs={close}
        onKeepBoth={(own) => void keepBoth(own)}
        onClose={close}
      />
    ),
  };
}
