"use client";
import { Button, Flex, IconButton, Input, Text } from "@chakra-ui/react";
import { Plus, RotateCcw, X } from "lucide-react";
import { nanoid } from "nanoid";
import type { Bill } from "@/core/figures/cost/bill";
import { isFull } from "@/core/knife/design/limits";
import type { Work } from "@/core/knife/design/schema";
import { TASK_WORDS } from "@/words/cost";
import { printMinutes } from "@/words/money";
import { shownLimits, useShownLimits } from "../bound/bound";
import { ShareField } from "../fields/ShareField";
import { Figures } from "../report/Section";
import { useBench, useDesign } from "../session/BenchContext";

/** The tasks with their minutes, and whatever else it takes; those of another knife can only be read. */
export function WorkTable({ bill, own }: { bill: Bill; own: boolean }) {
  const { edit } = useBench();
  const design = useDesign();
  const say = (task: string, minutes: number | null) =>
    edit({ code: "entry", map: "work.minutes", key: task, to: minutes });
  return (
    <>
      <Figures
        label="Work"
        rows={bill.work}
        keyOf={(w) => w.task}
        none="No work is counted."
        columns={[
          { name: "Task", of: (w) => TASK_WORDS[w.task] },
          {
            name: "Minutes",
            of: (w) =>
              own ? (
                <Flex gap="1" align="center" maxW="150px">
                  <ShareField
                    bare
                    label={`Minutes: ${TASK_WORDS[w.task]}`}
                    value={w.minutes}
                    {...shownLimits(design, `work.minutes.${w.task}`)}
                    unit="min"
                    factor={1}
                    onChange={(minutes) => say(w.task, minutes)}
                  />
                  <IconButton
                    size="2xs"
                    variant="ghost"
                    visibility={w.minutes === w.proposedMin ? "hidden" : undefined}
                    aria-label={`Back to ${w.proposedMin} min: ${TASK_WORDS[w.task]}`}
                    title={`Back to ${w.proposedMin} min`}
                    onClick={() => say(w.task, null)}
                  >
                    <RotateCcw />
                  </IconButton>
                </Flex>
              ) : (
                printMinutes(w.minutes)
              ),
          },
        ]}
      />
      {own && (
        <>
          {design.work.others.map((other, i) => (
            <OtherRow key={other.id} other={other} index={i} />
          ))}
          <Button
            size="xs"
            variant="outline"
            alignSelf="start"
            disabled={isFull(design, "work.others")}
            onClick={() =>
              edit({
                code: "add",
                list: "work.others",
                item: { id: nanoid(8), name: "Other work", minutes: 0, money: 0 },
              })
            }
          >
            <Plus /> Other work
          </Button>
        </>
      )}
    </>
  );
}

/** Something besides: what, how long, and money of its own. */
function OtherRow({ other, index }: { other: Work["others"][number]; index: number }) {
  const { edit } = useBench();
  const minutes = useShownLimits(`work.others.${index}.minutes`);
  const money = useShownLimits(`work.others.${index}.money`);
  const name = other.name;
  return (
    <Flex gap="2" align="center" data-testid="other-cost">
      <Input
        size="sm"
        bg="ground"
        flex="1"
        maxLength={80}
        aria-label="Other work, name"
        defaultValue={name}
        key={name}
        onBlur={(e) => {
          const next = e.target.value.trim();
          if (next && next !== name) edit({ code: "set", path: `work.others.${index}.name`, to: next });
          else e.target.value = name;
        }}
        onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
      />
      <Flex w="110px" flexShrink="0">
        <ShareField
          bare
          label={`Minutes: ${name}`}
          value={other.minutes}
          {...minutes}
          unit="min"
          factor={1}
          onChange={(to) => edit({ code: "set", path: `work.others.${index}.minutes`, to })}
        />
      </Flex>
      <Text color="graphite">and</Text>
      <Flex w="110px" flexShrink="0">
        <ShareField
          bare
          label={`Money: ${name}`}
          value={other.money}
          {...money}
          unit=""
          factor={1}
          onChange={(to) => edit({ code: "set", path: `work.others.${index}.money`, to })}
        />
      </Flex>
      <IconButton
        size="2xs"
        variant="ghost"
        aria-label={`Leave out ${name}`}
        onClick={() => edit({ code: "remove", list: "work.others", at: index })}
      >
        <X />
      </IconButton>
    </Flex>
  );
}
