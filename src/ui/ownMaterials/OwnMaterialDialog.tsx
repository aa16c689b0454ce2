"use client";
import {
  Button,
  CloseButton,
  Dialog,
  Grid,
  Heading,
  Input,
  NativeSelect,
  Portal,
  SimpleGrid,
  Stack,
  Text,
  Textarea,
} from "@chakra-ui/react";
import { useRef, useState } from "react";
import { sameData } from "@/core/base/sameData";
import { MATERIALS } from "@/core/materials/materials";
import { densityOf } from "@/core/materials/own/densityOf";
import { ofClass, plainBasis } from "@/core/materials/own/make";
import {
  BASIS_KINDS,
  type BasisKind,
  type DensityBasis,
  NAME_AT_MOST,
  OTHER_NAMES_AT_MOST,
  type OwnMaterial,
} from "@/core/materials/own/types";
import { HAZARDS, MATERIAL_CLASSES } from "@/core/materials/types";
import { useUnits } from "@/store/settings";
import { HAZARD_WORDS, MATERIAL_CLASS_WORDS } from "@/words/materials";
import { BASIS_HELP, BASIS_WORDS, densityFaultWords, densityWords } from "@/words/ownMaterials";
import { ChoiceField } from "../fields/ChoiceField";
import { FieldRow } from "../fields/FieldRow";
import { Tick } from "../fields/Tick";
import { ConfirmLeave } from "../shell/ConfirmLeave";
import { BasisFields } from "./BasisFields";
import { CastFacts } from "./CastFacts";
import { ConflictChoice, type OwnConflict } from "./ConflictChoice";

interface DialogProps {
  readonly start: OwnMaterial;
  readonly title: string;
  /** Said above the buttons: what saving does beside keeping it. */
  readonly note?: string;
  /** What another tab made of it meanwhile; null of nothing. */
  readonly conflict: OwnConflict | null;
  readonly onTakeTheirs: () => void;
  readonly onKeepBoth: (own: OwnMaterial) => void;
  readonly onSave: (own: OwnMaterial) => void;
  readonly onClose: () => void;
}

type Put = (by: Partial<OwnMaterial>) => void;

/** A material of the maker's own, made or changed. Nothing is kept before "Save". */
export default function OwnMaterialDialog(props: DialogProps) {
  const { start, title, onClose } = props;
  const [own, setOwn] = useState(start);
  const [tried, setTried] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const leave = () => (sameData(own, start) ? onClose() : setLeaving(true));
  const put: Put = (by) => setOwn((now) => ({ ...now, ...by }));
  // In a field that is not taken Escape gives the figure back that was there.
  const stay = (e: Event) => {
    if (document.activeElement?.getAttribute("aria-invalid") === "true") e.preventDefault();
  };
  return (
    <Dialog.Root
      open
      onOpenChange={(e) => !e.open && leave()}
      onEscapeKeyDown={stay}
      size="xl"
      scrollBehavior="inside"
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content bg="sheet" data-testid="own-material">
            <Dialog.Header>
              <Dialog.Title>{title}</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Grid templateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="6">
                <Nature own={own} put={put} unnamed={tried && own.name.trim() === ""} />
                <Density own={own} put={put} />
              </Grid>
            </Dialog.Body>
            <Footer
              {...props}
              own={own}
              leaving={leaving}
              onTried={() => setTried(true)}
              onLeave={leave}
              onStay={() => setLeaving(false)}
            />
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

/** What it is called, what it is like to work, and what to take care of. */
function Nature({ own, put, unnamed }: { own: OwnMaterial; put: Put; unnamed: boolean }) {
  return (
    <Stack gap="3">
      <FieldRow label="Name" wide wrong={unnamed ? "Give it a name to find it by." : null}>
        <Input
          size="sm"
          bg="ground"
          value={own.name}
          maxLength={NAME_AT_MOST}
          onChange={(e) => put({ name: e.target.value })}
        />
      </FieldRow>
      <OtherNames names={own.otherNames} onChange={(otherNames) => put({ otherNames })} />
      <ChoiceField
        label="Class"
        value={own.class}
        choices={MATERIAL_CLASSES.map((value) => ({ value, name: MATERIAL_CLASS_WORDS[value] }))}
        onChange={(cls) => put(ofClass(own, cls))}
      />
      <LikeField like={own.like} onChange={(like) => put({ like })} />
      <Text color="graphite" fontSize="sm">
        That decides how it moves with moisture, whether its oil keeps glue off, and how metals corrode beside
        it.
      </Text>
      <FieldRow label="Tint on the drawing">
        <Input
          size="sm"
          type="color"
          p="0.5"
          value={own.tint}
          onChange={(e) => put({ tint: e.target.value })}
        />
      </FieldRow>
      <Stack role="group" aria-label="Take care" gap="1">
        <Text>Take care</Text>
        <SimpleGrid columns={1} gap="1">
          {HAZARDS.map((h) => (
            <Tick
              key={h}
              label={HAZARD_WORDS[h]}
              checked={own.hazards.includes(h)}
              onChange={(on) =>
                put({ hazards: on ? [...own.hazards, h] : own.hazards.filter((other) => other !== h) })
              }
            />
          ))}
        </SimpleGrid>
      </Stack>
      <FieldRow label="Note" wide>
        <Textarea
          size="sm"
          bg="ground"
          rows={2}
          maxLength={500}
          placeholder="Where it came from, what it was like to work"
          value={own.note}
          onChange={(e) => put({ note: e.target.value })}
        />
      </FieldRow>
    </Stack>
  );
}

/** Other names to find it by, as they are typed: with commas between them. */
function OtherNames(props: { names: readonly string[]; onChange: (names: readonly string[]) => void }) {
  const [typed, setTyped] = useState(props.names.join(", "));
  const names = namesIn(typed);
  const wrong =
    names.length > OTHER_NAMES_AT_MOST
      ? `Up to ${OTHER_NAMES_AT_MOST} other names.`
      : names.some((n) => n.length > NAME_AT_MOST)
        ? `Up to ${NAME_AT_MOST} letters each, with commas between them.`
        : null;
  return (
    <FieldRow
      label="Also called"
      wide
      wrong={wrong}
      help="With commas between names: the search finds it by each."
    >
      <Input
        size="sm"
        bg="ground"
        value={typed}
        placeholder="lot 12, the brown one"
        onChange={(e) => {
          setTyped(e.target.value);
          const next = namesIn(e.target.value);
          if (next.length <= OTHER_NAMES_AT_MOST && next.every((n) => n.length <= NAME_AT_MOST))
            props.onChange(next);
        }}
      />
    </FieldRow>
  );
}

/** The names in a list with commas, each once. */
const namesIn = (typed: string): readonly string[] => [
  ...new Set(
    typed
      .split(",")
      .map((n) => n.trim())
      .filter((n) => n !== ""),
  ),
];

/** The shipped material that it works like; null of none. */
function LikeField({ like, onChange }: { like: string | null; onChange: (like: string | null) => void }) {
  return (
    <FieldRow label="Works like" wide>
      <NativeSelect.Root size="sm">
        <NativeSelect.Field bg="ground" value={like ?? ""} onChange={(e) => onChange(e.target.value || null)}>
          <option value="">What is usual of its class</option>
          {MATERIAL_CLASSES.map((cls) => (
            <optgroup key={cls} label={MATERIAL_CLASS_WORDS[cls]}>
              {MATERIALS.filter((m) => m.class === cls).map((m) => (
                <option key={m.id} value={m.id}>
                  {m.name}
                </option>
              ))}
            </optgroup>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
    </FieldRow>
  );
}

/** What its density is known from, and the figures of that. */
function Density({ own, put }: { own: OwnMaterial; put: Put }) {
  const units = useUnits();
  // What was typed for each kind of basis: looking at another loses nothing.
  const typed = useRef<Partial<Record<BasisKind, DensityBasis>>>({});
  const reading = densityOf(own.density);
  const toBasis = (kind: BasisKind) => {
    typed.current[own.density.kind] = own.density;
    const from = reading.ok ? reading.densityGcc : { typical: 1, low: 0.9, high: 1.1 };
    put({ density: typed.current[kind] ?? plainBasis(kind, from) });
  };
  return (
    <Stack gap="3">
      <ChoiceField
        label="Density known from"
        value={own.density.kind}
        choices={BASIS_KINDS.map((value) => ({ value, name: BASIS_WORDS[value] }))}
        onChange={toBasis}
      />
      <Text color="graphite" fontSize="sm">
        {BASIS_HELP[own.density.kind]}
      </Text>
      <BasisFields key={own.density.kind} basis={own.density} onChange={(density) => put({ density })} />
      {own.density.kind === "cast" && reading.ok && <CastFacts basis={own.density} units={units} />}
    </Stack>
  );
}

interface FooterProps extends DialogProps {
  readonly own: OwnMaterial;
  /** Whether it was asked to be left with something changed. */
  readonly leaving: boolean;
  readonly onTried: () => void;
  readonly onLeave: () => void;
  readonly onStay: () => void;
}

/** The density that follows, what another tab did meanwhile, and the ways out. */
function Footer(props: FooterProps) {
  const { own, start, note, conflict, leaving } = props;
  const reading = densityOf(own.density);
  const name = own.name.trim();
  const save = () => {
    props.onTried();
    if (name !== "" && reading.ok) props.onSave({ ...own, name, note: own.note.slice(0, 500) });
  };
  return (
    <Dialog.Footer>
      <Stack gap="1" flex="1">
        {conflict && (
          <ConflictChoice
            conflict={conflict}
            onTakeTheirs={props.onTakeTheirs}
            onKeepBoth={() => props.onKeepBoth({ ...own, name: name || start.name })}
          />
        )}
        <Heading
          as="h3"
          size="sm"
          fontWeight="600"
          color={reading.ok ? undefined : "fault"}
          aria-live="polite"
          data-testid="own-density"
        >
          {reading.ok ? densityWords(reading.densityGcc) : densityFaultWords(reading)}
        </Heading>
        {note && (
          <Text color="graphite" fontSize="sm">
            {note}
          </Text>
        )}
      </Stack>
      {leaving ? (
        <ConfirmLeave onStay={props.onStay} onLeave={props.onClose} />
      ) : (
        <>
          <Button variant="outline" onClick={props.onLeave}>
            Cancel
          </Button>
          <Button onClick={save} disabled={!reading.ok || conflict !== null}>
            Save
          </Button>
        </>
      )}
    </Dialog.Footer>
  );
}
