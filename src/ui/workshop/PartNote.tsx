"use client";
import { Button, Flex, Link, Text } from "@chakra-ui/react";
import type { ReactNode } from "react";
import type { WorkshopPart } from "@/core/knife/design/schema";
import { changeWorkshop, usePresentWorkshop, useWorkshops } from "@/store/workshops";
import { PART_WORDS } from "@/words/workshop";
import { NearLink } from "../kit/NearLink";
import { attempt } from "../kit/notice";
import { useBench, useDesign } from "../session/BenchContext";

/**
 * Whether a part of the shop is as the workshop has it or this knife's own, and the ways from one to the other. What is
 * changed beside it becomes the knife's own.
 */
export function PartNote({ part }: { part: WorkshopPart }) {
  const { edit } = useBench();
  const { id, own } = useDesign((d) => d.workshop);
  const facts = useDesign((d) => d.workshop[part]);
  const list = useWorkshops();
  const present = usePresentWorkshop();
  const workshop = list?.find((w) => w.id === id);
  const what = PART_WORDS[part];
  if (!list) return null;
  if (!workshop)
    return (
      <Said says="This knife follows no workshop.">
        {present && (
          <Button
            size="2xs"
            variant="outline"
            onClick={() => edit({ code: "follow-workshop", workshop: present, name: present.name })}
          >
            Follow {present.name}
          </Button>
        )}
      </Said>
    );
  if (!own.includes(part))
    return (
      <Said
        says={
          <>
            As in{" "}
            <Link asChild textDecoration="underline" color="ink">
              <NearLink href="/workshop">{workshop.name}</NearLink>
            </Link>
            . Changed here, it is this knife's own.
          </>
        }
      />
    );
  return (
    <Said says={`This knife's own ${what}.`}>
      <Button size="2xs" variant="outline" onClick={() => edit({ code: "share-part", part, workshop })}>
        Use the workshop's
      </Button>
      <Button
        size="2xs"
        variant="outline"
        title={`Every knife that follows ${workshop.name} has it then, but those that have their own`}
        onClick={() =>
          void attempt("The workshop was not changed", async () => {
            await changeWorkshop(workshop.id, (w) => ({ ...w, facts: { ...w.facts, [part]: facts } }));
            edit({ code: "part-is-shared", part });
          })
        }
      >
        Make it the workshop's
      </Button>
    </Said>
  );
}

function Said({ says, children }: { says: ReactNode; children?: ReactNode }) {
  return (
    <Flex gap="1.5" wrap="wrap" align="center" data-testid="part-note">
      <Text fontSize="sm" color="graphite">
        {says}
      </Text>
      {children}
    </Flex>
  );
}
