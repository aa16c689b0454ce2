"use client";
import { Button, Combobox, createListCollection, HStack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { searchMaterials } from "@/core/materials/search";
import type { Material, MaterialClass } from "@/core/materials/types";
import { useSettings } from "@/store/settings";
import { MATERIAL_CLASS_WORDS } from "@/words/materials";
import { useMaterials } from "../kit/materials";
import { firstOf } from "./firstOf";

/** Matches that are listed. */
const MOST_LISTED = 12;

interface FinderProps {
  /** Classes that are usual at the place: their materials come before others. */
  readonly classes: readonly MaterialClass[];
  readonly onChoose: (id: string) => void;
  readonly onClose: () => void;
  /** Asks for a material of one's own, called what was looked for. */
  readonly onMake: (name: string) => void;
}

/** Materials that everyday words find, what is usual at the place first; with no words favourites and those chosen last. */
function useFound(words: string, classes: readonly MaterialClass[]): readonly Material[] {
  const { favourites, recent } = useSettings();
  const materials = useMaterials();
  return useMemo(() => {
    const usual = (m: Material) => classes.includes(m.class);
    const all = searchMaterials(words, materials);
    const ordered =
      words.trim() === ""
        ? firstOf(
            classes.flatMap((cls) => all.filter((m) => m.class === cls)),
            favourites,
            recent,
          )
        : [...all.filter(usual), ...all.filter((m) => !usual(m))];
    return ordered.slice(0, MOST_LISTED);
  }, [words, classes, favourites, recent, materials]);
}

/**
 * Finds a material by everyday words, in either spelling and with a typo: favourites and those chosen last first, then what
 * is usual at the place, best match first. Arrow keys and Enter choose, Escape puts it away.
 */
export default function MaterialFinder({ classes, onChoose, onClose, onMake }: FinderProps) {
  const [words, setWords] = useState("");
  const found = useFound(words, classes);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  const collection = useMemo(
    () =>
      createListCollection({
        items: [...found],
        itemToString: (m) => m.name,
        itemToValue: (m) => m.id,
      }),
    [found],
  );
  return (
    <Combobox.Root
      collection={collection}
      defaultOpen
      open
      size="sm"
      inputBehavior="autohighlight"
      selectionBehavior="clear"
      placeholder="brass, ebony, phenolic …"
      onInputValueChange={(e) => setWords(e.inputValue)}
      onValueChange={(e) => e.value[0] && onChoose(e.value[0])}
      onOpenChange={(e) => !e.open && onClose()}
    >
      <Combobox.Control>
        <Combobox.Input
          ref={input}
          bg="ground"
          aria-label="Find a material"
          onBlur={onClose}
          onKeyDown={(e) => {
            if (e.key === "Escape") onClose();
          }}
        />
      </Combobox.Control>
      <Combobox.Positioner zIndex="5">
        <Combobox.Content bg="sheet" maxH="320px" data-testid="materials-found">
          <FoundList found={found} />
          {/* Pressed before the field is left, which closes the list. */}
          <Button
            size="xs"
            variant="ghost"
            w="full"
            justifyContent="start"
            onPointerDown={() => onMake(words)}
            onClick={() => onMake(words)}
          >
            <Plus /> {makeWords(words, found.length)}
          </Button>
        </Combobox.Content>
      </Combobox.Positioner>
    </Combobox.Root>
  );
}

/** What the button says that makes a material: by its name, where nothing is called that. */
const makeWords = (words: string, found: number): string =>
  found === 0 && words.trim() !== ""
    ? `Make “${words.trim()}” of your own`
    : "None of these: make one of your own";

function FoundList({ found }: { found: readonly Material[] }) {
  if (found.length === 0)
    return (
      <Text px="2" py="1" color="graphite">
        No material is called that.
      </Text>
    );
  return found.map((m) => (
    <Combobox.Item key={m.id} item={m}>
      <HStack gap="2" w="full">
        <span className="strip-tint" style={{ background: m.tint }} />
        <Text flex="1">{m.name}</Text>
        <Text color="graphite" fontSize="sm">
          {MATERIAL_CLASS_WORDS[m.class]} · {m.densityGcc.typical.toFixed(2)}
        </Text>
      </HStack>
    </Combobox.Item>
  ));
}
