"use client";
import { Button } from "@chakra-ui/react";
import { removeKnife, restoreKnife } from "@/store/knives";
import type { Damaged } from "@/store/reading";
import { attempt, notices } from "../kit/notice";
import { DamagedNote } from "../shell/DamagedNote";

/** A knife on the rack whose record cannot be read, and what can be done with it. */
export function DamagedRow({ damaged }: { damaged: Damaged }) {
  const remove = async () => {
    if (!(await removeKnife(damaged.id)))
      return notices.error({ title: "It could not be taken off the rack" });
    notices.create({
      title: "The damaged record is in the bin",
      duration: 15_000,
      action: {
        label: "Put it back",
        onClick: () => void attempt("It could not be put back", () => restoreKnife(damaged.id)),
      },
    });
  };
  return (
    <DamagedNote damaged={damaged}>
      <Button
        size="sm"
        variant="outline"
        onClick={() => void attempt("It could not be taken off the rack", remove)}
      >
        To the bin
      </Button>
    </DamagedNote>
  );
}
