"use client";
import { Box, Button, Flex, Input, NativeSelect, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { OWN_PREFIX } from "@/core/materials/own/types";
import { searchMaterials } from "@/core/materials/search";
import { MATERIAL_CLASSES, type Material, type MaterialClass } from "@/core/materials/types";
import { useOwnList } from "@/store/ownMaterials";
import { useSettings } from "@/store/settings";
import { useShop } from "@/store/shop";
import { byCount } from "@/words/grammar";
import { MATERIAL_CLASS_WORDS } from "@/words/materials";
import { useMaterials } from "../kit/materials";
import { useOwnDialog } from "../ownMaterials/useOwnDialog";
import { Header } from "../shell/Header";
import { PageHead } from "../shell/PageHead";
import { MaterialTable } from "./MaterialTable";
import { StockImport } from "./StockTable";

/** The choice of own materials alone, among the classes. */
const OWN = "own";
const isOwn = (m: Material) => m.id.startsWith(OWN_PREFIX);

/** Every material: density with its range, what can hurt, and where the figure comes from. */
export function Stock() {
  const [words, setWords] = useState("");
  const [cls, setCls] = useState<MaterialClass | "" | typeof OWN>("");
  const materials = useMaterials();
  const { materials: own, unreadable } = useOwnList();
  const ask = useOwnDialog();
  const [below, setBelow] = useState<HTMLElement | null>(null);
  const shop = useShop();
  const { units, favourites } = useSettings();
  const shown = useMemo(() => {
    const found = searchMaterials(words, materials).filter(
      (m) => cls === "" || (cls === OWN ? isOwn(m) : m.class === cls),
    );
    // Without words favourites stand first, then own ones.
    const rank = (m: Material) => (favourites.includes(m.id) ? 0 : isOwn(m) ? 1 : 2);
    return words.trim() === "" ? [...found].sort((a, b) => rank(a) - rank(b)) : found;
  }, [words, cls, favourites, materials]);
  return (
    <Flex direction="column" minH="100vh">
      <Header />
      <Stack as="main" w="full" maxW="1240px" mx="auto" px="6" py="5" gap="4">
        <PageHead
          title="Materials"
          note="What a knife can be made of. The range is what pieces off the shelf fall in; it decides the interval under every weight."
        >
          <Input
            aria-label="Find a material"
            placeholder="Find a material"
            value={words}
            onChange={(e) => setWords(e.target.value)}
            bg="sheet"
          />
          <NativeSelect.Root width="220px" flexShrink="0">
            <NativeSelect.Field
              aria-label="Class of material"
              value={cls}
              onChange={(e) => setCls(e.target.value as typeof cls)}
              bg="sheet"
            >
              <option value="">All classes</option>
              <option value={OWN}>My own</option>
              {MATERIAL_CLASSES.map((c) => (
                <option key={c} value={c}>
                  {MATERIAL_CLASS_WORDS[c]}
                </option>
              ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <StockImport below={below} />
          <Button size="sm" flexShrink="0" onClick={() => ask.begin()}>
            <Plus /> New material
          </Button>
        </PageHead>
        {ask.dialog}
        <Box ref={setBelow} display="contents" />
        {unreadable.length > 0 && (
          <Text color="fault" role="status">
            Of your own materials {byCount(unreadable.length, "one", String(unreadable.length))} cannot be
            read here, and {byCount(unreadable.length, "is", "are")} kept as{" "}
            {byCount(unreadable.length, "it is", "they are")}: {unreadable.join(", ")}.
          </Text>
        )}
        <Text color="graphite" aria-live="polite">
          {shown.length === 0
            ? cls === OWN && words.trim() === ""
              ? "You have none of your own yet. Make one, or copy one that comes near with the button beside its name."
              : "No material is called that. Try another word, or fewer letters."
            : `${shown.length} of ${materials.length} materials`}
        </Text>
        {shown.length === 0 && words.trim() !== "" && (
          <Button size="sm" variant="outline" alignSelf="start" onClick={() => ask.begin(words)}>
            <Plus /> Make “{words.trim()}” of your own
          </Button>
        )}
        {shown.length > 0 && (
          <MaterialTable shown={shown} own={own} shop={shop} units={units} ask={ask.openers} />
        )}
        <Text color="graphite" fontSize="sm">
          Fine dust of every handle material harms the lungs: respirator and extraction. Trade in some species
          is regulated: ask the authority where you live before buying or selling.
        </Text>
      </Stack>
    </Flex>
  );
}
