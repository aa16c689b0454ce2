"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import { Fragment } from "react";
import { own } from "@/core/base/own";
import { printLengthPlain } from "@/core/base/units/print";
import { FITTINGS } from "@/core/kinds/guardFittings/registry";
import { GUARD_FORMS, newGuard } from "@/core/knife/design/guards";
import type { Guard } from "@/core/knife/design/schema";
import { plateNaming } from "@/core/knife/shapes/itemNames";
import { useUnits } from "@/store/settings";
import { GUARD_FORM_WORDS } from "@/words/constructions";
import { FITTING_WORDS } from "@/words/fittings";
import { guardName } from "@/words/parts";
import { AddButton } from "../../bound/AddButton";
import { FillAt, LengthAt, MaterialAt, ShareAt, TickAt } from "../../bound/bound";
import { ItemCard } from "../../bound/ItemCard";
import { FOR_GUARDS, FOR_PIECES, FOR_PINS } from "../../bound/MaterialField";
import { RecordFields } from "../../bound/RecordFields";
import { Tick } from "../../fields/Tick";
import { useBench, useDesign } from "../../session/BenchContext";
import { FaceFields } from "./FaceFields";
import { Group } from "./Group";
import { ImportShape, MeshPlaceFields } from "./MeshFields";
import { PrintedFields } from "./PrintedFields";

const FOR_PLATES = [...new Set([...FOR_GUARDS, ...FOR_PIECES])];

/** A spacer of fibre. */
const NEW_PLATE = { material: "vulcanised-fibre", thicknessMm: 1, printed: null };

/** The guard across the tang, its front face on the datum. */
export function GuardStep() {
  const { session } = useBench();
  const guard = useDesign((d) => d.guard);
  return (
    <>
      <Group title="Guard">
        <TickAt at="guard" make={() => newGuard(session.getState().design)} />
        {!guard && (
          <Text color="graphite" fontSize="sm">
            None.
          </Text>
        )}
        {guard && !guard.mesh && <Forms />}
      </Group>
      {guard && <Plates guard={guard} />}
      {guard && !guard.mesh && <ShapeFields guard={guard} />}
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
  const { edit } = useBench();
  return (
    <>
      <Text color="graphite" fontSize="sm">
        Begin from a form, keeping plates and collar:
      </Text>
      <Stack direction="row" wrap="wrap" gap="2">
        {GUARD_FORMS.map((form) => (
          <Button key={form} size="xs" variant="outline" onClick={() => edit({ code: "guard-form", form })}>
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
  const called = useDesign((d) => plates.map((_, i) => plateNaming(d, i).called));
  const fields = (i: number) => (
    <Stack gap="2">
      <LengthAt at={`guard.plates.${i}.thicknessMm`} />
      <MaterialAt at={`guard.plates.${i}.material`} classes={FOR_PLATES} />
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
            onClick={() => edit({ code: "add", list: "guard.plates", item: NEW_PLATE })}
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
              onRemove={() => edit({ code: "plate-remove", at: i })}
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

function ShapeFields({ guard }: { guard: Guard }) {
  return (
    <Group title="Shape">
      <LengthAt at="guard.aboveMm" />
      <LengthAt at="guard.belowMm" />
      <LengthAt at="guard.widthMm" />
      <TickAt at="guard.armWidthMm" make={() => Math.max(0.5, guard.widthMm * 0.4)} />
      {guard.armWidthMm !== null ? (
        <LengthAt at="guard.armWidthMm" label="Width at the ends" />
      ) : (
        <ShareAt at="guard.roundness" help="0 is a rectangle from the front, 100 an oval." />
      )}
      <LengthAt at="guard.bossMm" help="Above and below the axis: where the handle seats." />
      <LengthAt at="guard.sweepAboveMm" />
      <LengthAt at="guard.sweepBelowMm" />
      <ShareAt at="guard.endShare" />
      <LengthAt at="guard.domeMm" help="Its middle stays flat for the shoulder." />
      <FaceFields at="guard.face" label="Front face" parts={(id) => id === "guard" || id === "guard:1"} />
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
            help={`All round; up to ${printLengthPlain(0.1, units)} closes by itself.`}
          />
          {guard.slot.clearanceMm > 0 && <FillAt at="guard.slot.fill" />}
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
          onChange={(fitted) => edit({ code: "guard-fitting", kind, fitted })}
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
          <LengthAt
            at="guard.mesh.xMm"
            help="What reaches forward along the blade lies ahead of the datum."
          />
          <Button
            size="xs"
            variant="outline"
            alignSelf="start"
            onClick={() => edit({ code: "clear", path: "guard.mesh" })}
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
          edit({
            code: "put",
            path: "guard.mesh",
            item: { meshId, forward: "x", rollDeg: 0, yMm: 0, xMm: 0 },
          })
        }
      />
    </Group>
  );
}
