"use client";
import { Field, Flex, IconButton, NativeSelect, Spacer } from "@chakra-ui/react";
import { Search } from "lucide-react";
import dynamic from "next/dynamic";
import { memo, useEffect, useRef, useState } from "react";
import type { MaterialClass } from "@/core/materials/types";
import { noteChosen, useSettings } from "@/store/settings";
import { HAZARD_WORDS } from "@/words/materials";
import { FavouriteStar } from "../fields/FavouriteStar";
import { FieldLabel } from "../fields/FieldLabel";
import { MaterialOptions } from "../fields/MaterialOptions";
import { useMaterialOf } from "../kit/materials";
import { useSteady } from "../kit/useSteady";
import { useNameWithWhose } from "../kit/whose";
import { useOwnDialog } from "../ownMaterials/useOwnDialog";

interface MaterialFieldProps {
  readonly label: string;
  readonly value: string;
  /** Classes offered, in this order. */
  readonly classes: readonly MaterialClass[];
  readonly onChange: (id: string) => void;
  /** The choice of nothing, by its words; its value is the empty string. */
  readonly none?: string;
  /** Without the cautions beneath: in lists that say them elsewhere. */
  readonly quiet?: boolean;
}

/** A material from the stock, grouped by class or found by its everyday name, with its cautions beneath. */
export function MaterialField(props: MaterialFieldProps) {
  return <Chooser {...props} onChange={useSteady(props.onChange)} />;
}

const MaterialFinder = dynamic(() => import("../fields/MaterialFinder"), { ssr: false });

const Chooser = memo(function Chooser(props: MaterialFieldProps) {
  const { label, value, classes, onChange, none, quiet } = props;
  const findName = useNameWithWhose(`Find: ${label}`);
  const [finding, setFinding] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const wasFinding = useRef(false);
  // When the finder has gone, and took the focus with it, work goes on where it was opened.
  useEffect(() => {
    if (wasFinding.current && !finding && document.activeElement === document.body) opener.current?.focus();
    wasFinding.current = finding;
  }, [finding]);
  const choose = (id: string) => {
    noteChosen(id);
    onChange(id);
  };
  const own = useOwnDialog(({ id }) => choose(id));
  const materialOf = useMaterialOf();
  const chosen = materialOf(value);
  const unknown = value !== "" && !chosen;
  return (
    <Field.Root invalid={unknown}>
      {own.dialog}
      <Flex w="full" align="center" gap="1">
        <FieldLabel label={label} />
        <Spacer />
        {chosen && <FavouriteStar id={chosen.id} name={chosen.name} />}
        <IconButton
          ref={opener}
          size="2xs"
          variant="ghost"
          color="graphite"
          aria-expanded={finding}
          aria-label={findName}
          title="Find a material by its everyday name"
          onClick={() => setFinding(!finding)}
        >
          <Search />
        </IconButton>
      </Flex>
      {finding ? (
        <MaterialFinder
          classes={classes}
          onChoose={(id) => {
            setFinding(false);
            choose(id);
          }}
          onClose={() => setFinding(false)}
          onMake={(name) => {
            setFinding(false);
            own.begin(name);
          }}
        />
      ) : (
        <NativeSelect.Root size="sm">
          <NativeSelect.Field bg="ground" value={value} onChange={(e) => choose(e.target.value)}>
            {none !== undefined && <option value="">{none}</option>}
            {unknown && <option value={value}>{value} (not in stock)</option>}
            {/* What was found by its name may be of another class than is usual here. */}
            {chosen && !classes.includes(chosen.class) && <option value={value}>{chosen.name}</option>}
            <FirstChoices classes={classes} />
            <MaterialOptions classes={classes} />
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
      )}
      {!quiet && chosen && chosen.hazards.length > 0 && (
        <Field.HelperText mt="0">{chosen.hazards.map((h) => HAZARD_WORDS[h]).join("; ")}</Field.HelperText>
      )}
    </Field.Root>
  );
});

/** Favourites and those that were chosen last, of the classes that are offered. */
function FirstChoices({ classes }: { classes: readonly MaterialClass[] }) {
  const { favourites, recent } = useSettings();
  const materialOf = useMaterialOf();
  const first = [...new Set([...favourites, ...recent])].flatMap((id) => {
    const m = materialOf(id);
    return m && classes.includes(m.class) ? [m] : [];
  });
  if (first.length === 0) return null;
  return (
    <optgroup label="Favourites and recent">
      {first.map((m) => (
        <option key={m.id} value={m.id}>
          {m.name} · {m.densityGcc.typical.toFixed(2)}
        </option>
      ))}
    </optgroup>
  );
}

/** What each place on a knife is usually made of. */
export const FOR_BLADES = ["steel"] as const satisfies readonly MaterialClass[];
export const FOR_SCALES = [
  "wood",
  "stabilised-wood",
  "laminate",
  "horn-bone",
  "plastic",
  "metal",
  "leather",
] as const satisfies readonly MaterialClass[];
export const FOR_PIECES = [
  "wood",
  "stabilised-wood",
  "laminate",
  "horn-bone",
  "leather",
  "plastic",
  "metal",
] as const satisfies readonly MaterialClass[];
export const FOR_GUARDS = [
  "metal",
  "steel",
  "laminate",
  "wood",
  "horn-bone",
] as const satisfies readonly MaterialClass[];
export const FOR_WRAPS: readonly MaterialClass[] = ["cord", "leather", "plastic"];
export const FOR_LINERS = [
  "laminate",
  "metal",
  "plastic",
  "leather",
] as const satisfies readonly MaterialClass[];
export const FOR_PINS = [
  "metal",
  "steel",
  "laminate",
  "plastic",
  "wood",
] as const satisfies readonly MaterialClass[];
export const FOR_FILLS = ["adhesive", "plastic"] as const satisfies readonly MaterialClass[];
