"use client";
import { Box, Flex, IconButton, Input, Text } from "@chakra-ui/react";
import { PencilLine, Trash2 } from "lucide-react";
import { type ReactNode, useRef, useState } from "react";
import { mostAt } from "@/core/knife/design/limits";
import { calledAt } from "@/core/knife/design/marks";
import { small } from "@/words/grammar";
import { WhoseContext } from "../kit/whose";
import { useBench, useDesign, useSelected } from "../session/BenchContext";

interface ItemCardProps {
  readonly id: string;
  readonly title: string;
  /** Path of the item in the design, where its maker can give it a name of its own. */
  readonly nameAt?: string;
  readonly onRemove?: () => void;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}

/** One pin, hole or liner in the panel; marked when it is picked out on the drawing. */
export function ItemCard(props: ItemCardProps) {
  const { setSelected } = useBench();
  const selected = useSelected();
  const [naming, setNaming] = useState(false);
  const picked = selected === props.id;
  return (
    <Box
      borderWidth="1px"
      borderLeftWidth="3px"
      borderLeftColor={picked ? "ink" : "rule"}
      borderRadius="sm"
      p="2.5"
      onFocusCapture={() => setSelected(props.id)}
      data-item={props.id}
      role="group"
      aria-label={props.title}
    >
      <Flex justify="space-between" align="center" mb="2" gap="1">
        {naming && props.nameAt ? (
          <NameInput at={props.nameAt} title={props.title} onDone={() => setNaming(false)} />
        ) : (
          <Text fontWeight="600" minW="0" overflowWrap="anywhere">
            {props.title}
          </Text>
        )}
        <Flex align="center" flexShrink="0">
          {props.nameAt && !naming && (
            <IconButton
              size="xs"
              variant="ghost"
              aria-label={`Name ${props.title}`}
              onClick={() => setNaming(true)}
            >
              <PencilLine />
            </IconButton>
          )}
          {props.aside}
          {props.onRemove && (
            <IconButton
              size="xs"
              variant="ghost"
              aria-label={`Remove ${props.title}`}
              onClick={props.onRemove}
            >
              <Trash2 />
            </IconButton>
          )}
        </Flex>
      </Flex>
      <WhoseContext value={small(props.title)}>{props.children}</WhoseContext>
    </Box>
  );
}

/** What the maker calls an item; without one it is called by its kind and number again. */
function NameInput({ at, title, onDone }: { at: string; title: string; onDone: () => void }) {
  const { edit } = useBench();
  const called = useDesign((d) => calledAt(d, at));
  const most = useDesign((d) => mostAt(d, `names.${at}`));
  const [typed, setTyped] = useState(called ?? "");
  // An input that is taken away loses the focus as well.
  const done = useRef(false);
  const leave = (keeps: boolean) => {
    if (done.current) return;
    done.current = true;
    const name = typed.trim();
    if (keeps && name !== (called ?? "")) edit({ code: "name-item", at, to: name || null, title });
    onDone();
  };
  return (
    <Input
      size="xs"
      aria-label={`Name of ${title}`}
      placeholder={title}
      value={typed}
      maxLength={most ?? undefined}
      autoFocus
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => leave(true)}
      onKeyDown={(e) => {
        if (e.key === "Enter") leave(true);
        if (e.key === "Escape") leave(false);
      }}
    />
  );
}
