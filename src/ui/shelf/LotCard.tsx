"use client";
import { Badge, Box, Button, Flex, Text } from "@chakra-ui/react";
import { ChevronDown, ChevronRight, Copy, Trash2 } from "lucide-react";
import { today } from "@/core/knife/design/job";
import { lotDensity } from "@/core/shelf/lotMaterial";
import { isMaterial } from "@/core/shelf/newLot";
import type { Taken } from "@/core/shelf/shopping";
import type { Lot } from "@/core/shelf/version";
import { addLot, removeLot } from "@/store/lots";
import { useUnits } from "@/store/settings";
import { lotSizeWords, stuffWords, timesWords } from "@/words/shelf";
import { useMaterialOf } from "../kit/materials";
import { attempt } from "../kit/notice";
import { offerBack } from "../kit/offerBack";
import { LotFields } from "./LotFields";

interface LotCardProps {
  readonly lot: Lot;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly taken: readonly Taken[];
}

/** One lot: what it is, how much is there and where, who has it; unfolded, all that can be said of it. */
export function LotCard({ lot, open, onOpen, taken }: LotCardProps) {
  const units = useUnits();
  const materialOf = useMaterialOf();
  const reserved = taken.filter((t) => t.reserved);
  const stuff = stuffWords(lot.of, materialOf);
  const size = lotSizeWords(lot, units);
  return (
    <Box borderBottomWidth="1px" data-testid="lot" role="group" aria-label={lot.name}>
      <Flex align="center" gap="2" px="2" minH="44px" wrap="wrap">
        <Button
          variant="ghost"
          px="1"
          flex="1"
          minW="200px"
          h="auto"
          py="1.5"
          justifyContent="flex-start"
          whiteSpace="normal"
          textAlign="start"
          aria-expanded={open}
          onClick={() => onOpen(!open)}
        >
          {open ? <ChevronDown /> : <ChevronRight />}
          <Text as="span" fontWeight="600">
            {lot.name}
          </Text>
          <Text as="span" color="graphite" fontWeight="400">
            {stuff === lot.name ? "" : stuff}
          </Text>
        </Button>
        {lot.guessed && (
          <Badge variant="outline" size="sm">
            a guess
          </Badge>
        )}
        {lot.bestBefore !== null && lot.bestBefore < today() && (
          <Badge variant="outline" size="sm" color="warn">
            out of date
          </Badge>
        )}
        {reserved.length > 0 && (
          <Badge size="sm">reserved: {[...new Set(reserved.map((t) => t.knife))].join(", ")}</Badge>
        )}
        <Text fontSize="sm" w={{ lg: "230px" }}>
          {timesWords(lot.count, size, lot.shape.form === "each" ? lot.shape.key : "")}
        </Text>
        <Box w={{ lg: "130px" }}>
          <LotGcc lot={lot} />
        </Box>
        <Text fontSize="sm" color="graphite" w={{ lg: "150px" }}>
          {lot.place}
        </Text>
      </Flex>
      {open && (
        <Box px={{ base: "3", sm: "8" }} pb="4">
          <LotFields lot={lot} />
          <Flex gap="2" mt="3">
            <Button
              size="xs"
              variant="outline"
              aria-label={`Copy ${lot.name}`}
              onClick={() =>
                void attempt("It was not copied", () => {
                  const { id: _, picture: __, ...rest } = lot;
                  return addLot(lot.of, lot.name, rest);
                })
              }
            >
              <Copy /> Copy
            </Button>
            <Button
              size="xs"
              variant="ghost"
              color="fault"
              aria-label={`Delete ${lot.name}`}
              onClick={() =>
                void offerBack(
                  lot.name,
                  () => removeLot(lot.id),
                  "Knives that are made of it keep its density.",
                )
              }
            >
              <Trash2 /> Delete
            </Button>
          </Flex>
        </Box>
      )}
    </Box>
  );
}

/** Its density as it was weighed, with how far it may be off; or what is wrong with what was weighed. */
function LotGcc({ lot }: { lot: Lot }) {
  const materialOf = useMaterialOf();
  const material = isMaterial(lot) ? materialOf(lot.of) : undefined;
  if (!material) return null;
  const density = lotDensity(lot, material);
  if (!density.ok)
    return (
      <Text fontSize="sm" color="fault">
        weight and sizes cannot both be true
      </Text>
    );
  const { typical, low, high } = density.densityGcc;
  return (
    <Text
      fontSize="sm"
      color={lot.weighed ? "ink" : "graphite"}
      title={lot.weighed ? "Weighed" : "As its material"}
    >
      {typical.toFixed(2)} ± {((high - low) / 2).toFixed(2)} g/cm³
    </Text>
  );
}
