"use client";
import { Button, Flex, IconButton, Stack, Text } from "@chakra-ui/react";
import { Plus, X } from "lucide-react";
import { useState } from "react";
import { dayWords } from "@/words/job";
import { DayField } from "../fields/DayField";

interface DaysOffProps {
  readonly days: readonly string[];
  readonly onChange: (days: string[]) => void;
}

/** Days on which nobody works, in order. */
export function DaysOffFields({ days, onChange }: DaysOffProps) {
  const [day, setDay] = useState<string | null>(null);
  const add = () => {
    if (!day) return;
    onChange([...new Set([...days, day])].sort());
    setDay(null);
  };
  return (
    <Stack gap="1.5" role="group" aria-label="Days off">
      <Text color="graphite" fontSize="sm">
        Days off
      </Text>
      {days.length === 0 && <Text fontSize="sm">None but those of the week.</Text>}
      <Flex gap="1" wrap="wrap">
        {days.map((d) => (
          <Flex key={d} align="center" borderWidth="1px" borderRadius="sm" ps="2" fontSize="sm">
            {dayWords(d)}
            <IconButton
              size="2xs"
              variant="ghost"
              aria-label={`Work on ${dayWords(d)}`}
              onClick={() => onChange(days.filter((o) => o !== d))}
            >
              <X />
            </IconButton>
          </Flex>
        ))}
      </Flex>
      <Flex gap="1.5">
        <DayField label="A day off" value={day} onChange={setDay} />
        <Button size="sm" variant="outline" disabled={!day} onClick={add}>
          <Plus /> Add
        </Button>
      </Flex>
    </Stack>
  );
}
