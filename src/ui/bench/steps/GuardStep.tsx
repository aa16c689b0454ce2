"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { Fragment } from "react";
import { GUARD_FORMS, guardOfForm, newGuard } from "@/core/design/guards";
import { namesWithout } from "@/core/design/marks";
import type { Guard } from "@/core/design/schema";
import { FITTINGS, newFitting, withFitting } from "@/core/guardFittings/registry";
import { plateNaming } from "@/core/layout/itemNames";
import { own } from "@/core/own";
import { printLengthPlain } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { GUARD_FORM_WORDS } from "@/words/constructions";
import { FITTING_WORDS } from "@/words/fittings";
import { guardName } from "@/words/parts";
import { FillAt, LengthAt, MaterialAt, ShareAt, TickAt } from "../../fields/bound";
import { FOR_GUARDS, FOR_PIECES, FOR_PINS } from "../../fields/MaterialField";
import { RecordFields } from "../../fields/RecordFields";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign } from "../BenchContext";
import { AddButton } from "./AddButton";
import { Group } from "./Group";
import { ItemCard } from "./ItemCard";
import { ImportShape, MeshPlaceFields } from "./MeshFields";
import { PrintedFields } from "./PrintedFields";

const FOR_PLATES = [...new Set([...FOR_GUARDS, ...FOR_PIECES])];

/** The guard across the tang, its front face on the datum. */
export function GuardStep() {
  const { session } = useBench();
  const guard = useDesign((d) => d.guard);
  return (
    <>
      <Group title="Guard">
        <TickAt at="guard" label="Plate guard" make={() => newGuard(session.getState().design)} />
        {!guard && (
          <Text color="graphite" fontSize="sm">
            None.
          </Text>
        )}
        {guard && !guard.mesh && <Forms />}
      </Group>
      {guard && <Plates guard={guard} />}
      {guard && !guard.mesh && <FaceFields guard={guard} />}
      {guard && <FittedFields guard={guard} />}
      {guard && <MeshOfGuard guard={guard} />}
      <Text color="graphite" fontSize="sm">
        Fit the guard before any hole of the handle is drilled. It goes on from the butt: everything behind
        its seat must pass the slot.
      </Text>
    </>
  );
}

function Forms() {
  const { edit, session } = useBench();
  return (
    <>
      <Text color="graphite" fontSize="sm">
        Begin from a form, keeping plates and collar:
      </Text>
      <Stack direction="row" wrap="wrap" gap="2">
        {GUARD_FORMS.map((form) => (
          <Button
            key={form}
            size="xs"
            variant="outline"
            onClick={() =>
              edit(`${GUARD_FORM_WORDS[form]} guard`, (d) => {
                d.guard = guardOfForm(form, session.getState().design);
              })
            }
          >
            {GUARD_FORM_WORDS[form]}
          </Button>
        ))}
      </Stack>
    </>
  );
}

/** One plate's fields stand bare; several are cards, front to back. */
function Plates({ guard: { plates, mesh } }: { guard: Guard }) {
  const { edit } = useBench();
  const change = (label: string, recipe: (plates: Guard["plates"]) => void) =>
    edit(label, (d) => {
      if (d.guard) recipe(d.guard.plates);
    });
  const called = useDesign((d) => plates.map((_, i) => plateNaming(d, i).called));
  const fields = (i: number) => (
    <Stack gap="2">
      <LengthAt at={`guard.plates.${i}.thicknessMm`} label="Thickness" />
      <MaterialAt at={`guard.plates.${i}.material`} label="Material" classes={FOR_PLATES} />
      <PrintedFields at={`guard.plates.${i}.printed`} />
    </Stack>
  );
  return (
    <Group
      title={plates.length > 1 ? "Plates, front to back" : "Plate"}
      aside={
        !mesh && (
          <AddButton
            to="guard.plates"
            onClick={() =>
              change("Add guard plate", (all) => {
                all.push({ material: "vulcanised-fibre", thicknessMm: 1, printed: null });
              })
            }
          >
            <Plus /> Add plate
          </AddButton>
        )
      }
    >
      {plates.length === 1 || mesh
        ? fields(0)
        : plates.map((_, i) => (
            <ItemCard
              // biome-ignore lint/suspicious/noArrayIndexKey: a plate is its place in the stack
              key={i}
              id={`plate-${i + 1}`}
              title={guardName({ number: i + 1, called: called[i] ?? undefined })}
              nameAt={`guard.plates.${i}`}
              onRemove={() =>
                edit("Remove guard plate", (d) => {
                  d.guard?.plates.splice(i, 1);
                  d.names = namesWithout(d.names, "guard.plates", i);
                })
              }
            >
              {fields(i)}
            </ItemCard>
          ))}
      {mesh && (
        <Text color="graphite" fontSize="sm">
          The handle begins so far behind the front of the guard; the imported shape is not scaled.
        </Text>
      )}
    </Group>
  );
}

function FaceFields({ guard }: { guard: Guard }) {
  return (
    <Group title="Shape">
      <LengthAt at="guard.aboveMm" label="Above the axis" />
      <LengthAt at="guard.belowMm" label="Below the axis" />
      <LengthAt at="guard.widthMm" label="Width" />
      <TickAt at="guard.armWidthMm" label="Narrows to arms" make={() => Math.max(0.5, guard.widthMm * 0.4)} />
      {guard.armWidthMm !== null ? (
        <LengthAt at="guard.armWidthMm" label="Width at the ends" />
      ) : (
        <ShareAt
          at="guard.roundness"
          label="Roundness"
          help="0 is a rectangle from the front, 100 an oval."
        />
      )}
      <LengthAt
        at="guard.bossMm"
        label="Middle stays flat to"
        help="Above and below the axis: where the handle seats."
      />
      <LengthAt at="guard.sweepAboveMm" label="Upper end leans forward" />
      <LengthAt at="guard.sweepBelowMm" label="Lower end leans forward" />
      <ShareAt at="guard.endShare" label="Thickness at the ends" />
      <LengthAt
        at="guard.domeMm"
        label="Front face domed by"
        help="Its middle stays flat for the shoulder."
      />
      <FittingFields guard={guard} ofShape />
    </Group>
  );
}

function FittedFields({ guard }: { guard: Guard }) {
  const units = useUnits();
  const bar = useDesign((d) => d.tang.kind !== "full");
  return (
    <Group title="Fit">
      {bar && (
        <>
          <LengthAt
            at="guard.slot.clearanceMm"
            label="Slot wider than the tang by"
            help={`All round; up to ${printLengthPlain(0.1, units)} closes by itself.`}
          />
          {guard.slot.clearanceMm > 0 && <FillAt at="guard.slot.fill" label="Gap filled with" />}
        </>
      )}
      <FittingFields guard={guard} ofShape={false} />
    </Group>
  );
}

/** Ticks and sizes of what can be fitted to a guard: what takes a bite out of it, or what is put on it. */
function FittingFields({ guard, ofShape }: { guard: Guard; ofShape: boolean }) {
  const { edit } = useBench();
  return FITTINGS.filter((f) => (f.seen === "void") === ofShape).map(({ kind, fields }) => {
    const { tick, fields: called } = FITTING_WORDS[kind];
    const place = guard.fittings.findIndex((f) => f.kind === kind);
    const at = `guard.fittings.${place}`;
    const words = {
      of: (path: string) => ({ label: own(called, path) ?? path }),
      classes: kind === "dowels" ? FOR_PINS : FOR_GUARDS,
    };
    return (
      <Fragment key={kind}>
        <Tick
          label={tick}
          checked={place >= 0}
          onChange={(on) =>
            edit(`Change ${tick.toLowerCase()}`, (d) => {
              if (!d.guard) return;
              const made = on ? newFitting(kind, d.guard.plates[0].material) : null;
              d.guard.fittings = withFitting(d.guard.fittings, kind, made);
            })
          }
        />
        {place >= 0 && (
          <>
            <RecordFields at={at} fields={fields} which="sizes" words={words} />
            <RecordFields at={at} fields={fields} which="materials" words={words} />
          </>
        )}
      </Fragment>
    );
  });
}

function MeshOfGuard({ guard }: { guard: Guard }) {
  const { edit } = useBench();
  return (
    <Group title="Imported shape">
      {guard.mesh ? (
        <>
          <MeshPlaceFields at="guard.mesh" />
          <Button
            size="xs"
            variant="outline"
            alignSelf="start"
            onClick={() =>
              edit("Go back to a plate guard", (d) => {
                if (d.guard) d.guard.mesh = null;
              })
            }
          >
            Back to a plate
          </Button>
        </>
      ) : (
        <Text color="graphite" fontSize="sm">
          A guard drawn elsewhere can take the plate's place.
        </Text>
      )}
      <ImportShape
        onImported={(meshId) =>
          edit("Use an imported guard", (d) => {
            if (d.guard) d.guard.mesh = { meshId, forward: "x", rollDeg: 0, yMm: 0 };
          })
        }
      />
    </Group>
  );
}
