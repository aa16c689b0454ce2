"use client";
import { Flex, Input, InputGroup, NativeSelect, Text } from "@chakra-ui/react";
import { Search } from "lucide-react";
import type { KnifeState, UseKind } from "@/core/knife/design/schema";
import { counted } from "@/words/grammar";
import { STATE_WORDS } from "@/words/job";
import { USE_WORDS } from "@/words/levers";
import { ORDERS, type Order, type RackView } from "./order";

const ORDER_WORDS: Record<Order, string> = {
  newest: "Newest first",
  changed: "Last changed first",
  name: "By name",
  weight: "By weight",
  balance: "By balance",
  use: "By use",
  state: "By state",
};

const STATES = Object.keys(STATE_WORDS) as KnifeState[];
const USES = Object.keys(USE_WORDS) as UseKind[];

interface RackToolsProps {
  readonly view: RackView;
  readonly onChange: (view: RackView) => void;
  /** Knives shown, and knives there are. */
  readonly shown: number;
  readonly all: number;
}

/** Search, filters and order of the rack. */
export function RackTools({ view, onChange, shown, all }: RackToolsProps) {
  return (
    <Flex gap="3" align="center" wrap="wrap" role="search" aria-label="Knives on the rack">
      <InputGroup startElement={<Search size={16} aria-hidden />} w={{ base: "full", sm: "280px" }}>
        <Input
          size="sm"
          bg="sheet"
          type="search"
          aria-label="Search the rack"
          placeholder="Name, notes, customer, material"
          value={view.search}
          onChange={(e) => onChange({ ...view, search: e.target.value })}
          onKeyDown={(e) => {
            if (e.key === "Escape") onChange({ ...view, search: "" });
          }}
        />
      </InputGroup>
      <Choice
        label="State"
        value={view.state}
        choices={[["all", "Any state"], ...STATES.map((s) => [s, STATE_WORDS[s]] as const)]}
        onChange={(state) => onChange({ ...view, state: state as RackView["state"] })}
      />
      <Choice
        label="Use"
        value={view.use}
        choices={[["all", "Any use"], ...USES.map((u) => [u, USE_WORDS[u]] as const)]}
        onChange={(use) => onChange({ ...view, use: use as RackView["use"] })}
      />
      <Choice
        label="Order"
        value={view.order}
        choices={ORDERS.map((o) => [o, ORDER_WORDS[o]] as const)}
        onChange={(order) => onChange({ ...view, order: order as Order })}
      />
      <Text color="graphite" ms="auto" aria-live="polite">
        {shown === all ? counted(all, "knife", "knives") : `${shown} of ${all}`}
      </Text>
    </Flex>
  );
}

function Choice(props: {
  label: string;
  value: string;
  choices: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
}) {
  return (
    <NativeSelect.Root size="sm" w="auto">
      <NativeSelect.Field
        bg="sheet"
        aria-label={props.label}
        value={props.value}
        onChange={(e) => props.onChange(e.target.value)}
      >
        {props.choices.map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </NativeSelect.Field>
      <NativeSelect.Indicator />
    </NativeSelect.Root>
  );
}
