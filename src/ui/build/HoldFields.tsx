"use client";
import { own } from "@/core/base/own";
import { withHold } from "@/core/plan/progress";
import type { PlannedTask } from "@/core/plan/state";
import { HOLD_REASONS } from "@/core/plan/types";
import { HOLD_WORDS } from "@/words/days";
import { ChoiceField } from "../fields/ChoiceField";
import { DayField } from "../fields/DayField";
import { FieldRow } from "../fields/FieldRow";
import { useBuild } from "./BuildContext";

/** The day before which a task is not begun, and why. */
export function HoldFields({ task, name }: { task: PlannedTask; name: string }) {
  const { plan, change } = useBuild();
  const hold = own(plan.holds, task.id) ?? null;
  if (task.state === "done") return null;
  return (
    <>
      <FieldRow label="Not before">
        <DayField
          label={`Not before: ${name}`}
          value={hold?.day ?? null}
          onChange={(day) =>
            change((p) => withHold(p, task.id, day === null ? null : { day, why: hold?.why ?? "chosen" }))
          }
        />
      </FieldRow>
      {hold && (
        <ChoiceField
          wide
          label={`Why: ${name}`}
          value={hold.why}
          choices={HOLD_REASONS.map((value) => ({ value, name: HOLD_WORDS[value] }))}
          onChange={(why) => change((p) => withHold(p, task.id, { ...hold, why }))}
        />
      )}
    </>
  );
}
