"use client";
import { Button, Flex, Text } from "@chakra-ui/react";
import { format } from "date-fns";
import { withoutWayBack } from "@/core/plan/progress";
import { counted } from "@/words/grammar";
import { reworkWords } from "@/words/waysBack";
import { Section } from "../report/Section";
import { useBuild } from "./BuildContext";

/** Everything that was done over: each can be taken back. */
export function ReworksSection() {
  const { plan, change } = useBuild();
  if (plan.reworks.length === 0) return null;
  return (
    <Section id="reworks" title="What went wrong">
      {plan.reworks.map((r) => {
        const name = reworkWords(r.way);
        return (
          <Flex key={r.id} gap="3" align="center" wrap="wrap">
            <Text flex="1" minW="200px">
              {name}
              {r.note ? `, ${r.note}` : ""}
              <Text as="span" color="graphite">
                {" "}
                · {format(r.at, "d MMM yyyy, HH:mm")} · {counted(Object.keys(r.undone).length, "task")} done
                over
              </Text>
            </Text>
            <Button
              size="xs"
              variant="outline"
              aria-label={`Take back: ${name}`}
              title="Tasks stand done again; a change of the design is taken back by Undo"
              onClick={() => change((p) => withoutWayBack(p, r.id))}
            >
              Take back
            </Button>
          </Flex>
        );
      })}
    </Section>
  );
}
