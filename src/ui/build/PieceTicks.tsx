"use client";
import { Button, Flex, Text } from "@chakra-ui/react";
import { Check } from "lucide-react";
import { own } from "@/core/base/own";
import { doneOfPiece, withPieceDone } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { plannedWords } from "@/words/plan";
import { Tick } from "../fields/Tick";
import { useBuild } from "./BuildContext";
import { doneNow } from "./tickTask";

/** Of a design that several are made of: a tick for each piece, and one for all of them at once. */
export function PieceTicks({ task }: { task: PlannedTask }) {
  const build = useBuild();
  const { plan, change } = build;
  if (plan.pieces < 2) return null;
  const pieces = Array.from({ length: plan.pieces }, (_, k) => k);
  const isDone = (piece: number) => own(doneOfPiece(plan, piece), task.id) !== undefined;
  const of = () => doneNow(build, task.id);
  const count = pieces.filter(isDone).length;
  return (
    <Flex gap="3" align="center" wrap="wrap" role="group" aria-label={`Pieces: ${plannedWords(task)}`}>
      <Text fontSize="sm" color="graphite">
        Done of {count} of {plan.pieces} pieces:
      </Text>
      {pieces.map((k) => (
        <Tick
          key={k}
          label={String(k + 1)}
          checked={isDone(k)}
          onChange={(on) => change((p) => withPieceDone(p, k, task.id, on ? of() : null))}
        />
      ))}
      {count < plan.pieces && (
        <Button
          size="xs"
          variant="outline"
          onClick={() =>
            change((p) =>
              pieces.reduce(
                (next, k) =>
                  own(doneOfPiece(next, k), task.id) ? next : withPieceDone(next, k, task.id, of()),
                p,
              ),
            )
          }
        >
          <Check /> All of them
        </Button>
      )}
    </Flex>
  );
}
