"use client";
import { Button, Stack, Text } from "@chakra-ui/react";
import { Plus } from "lucide-react";
import {
  BASIS_LIMITS,
  type BasisKind,
  DENSITY_LIMITS,
  type DensityBasis,
  MIX_PARTS,
  SHARE_KINDS,
} from "@/core/stock/own/types";
import type { Density } from "@/core/stock/types";
import { GRAMS_PER_OUNCE } from "@/core/units/print";
import { useUnits } from "@/store/settings";
import { SHARE_KIND_WORDS } from "@/words/ownMaterials";
import { ChoiceField } from "../../fields/ChoiceField";
import { LengthField } from "../../fields/LengthField";
import { ShareField } from "../../fields/ShareField";
import { IngredientRow } from "./IngredientRow";

type Limited = keyof typeof BASIS_LIMITS;

interface NumberProps {
  readonly label: string;
  readonly value: number;
  readonly of: Limited;
  readonly onChange: (value: number) => void;
  readonly help?: string;
  readonly bare?: boolean;
}

/** A weight in the maker's unit. */
function Mass({ of, ...props }: NumberProps) {
  const metric = useUnits() === "metric";
  const [min, max] = BASIS_LIMITS[of];
  return (
    <ShareField
      {...props}
      min={min}
      max={max}
      digits={metric ? 2 : 3}
      unit={metric ? "g" : "oz"}
      factor={metric ? 1 : 1 / GRAMS_PER_OUNCE}
    />
  );
}

function Side({ of, value, ...props }: NumberProps) {
  const [min, max] = BASIS_LIMITS[of];
  return <LengthField {...props} mm={value} min={min} max={max} />;
}

function Plain({ of, unit, ...props }: NumberProps & { unit: string }) {
  const [min, max] = BASIS_LIMITS[of];
  return <ShareField {...props} min={min} max={max} unit={unit} digits={3} />;
}

function Gcc({ label, value, onChange, bare }: Omit<NumberProps, "of">) {
  return (
    <ShareField
      label={label}
      value={value}
      min={DENSITY_LIMITS[0]}
      max={DENSITY_LIMITS[1]}
      unit="g/cm³"
      digits={3}
      bare={bare}
      onChange={onChange}
    />
  );
}

/** A density with both ends of its range. */
function DensityRange({ value, onChange }: { value: Density; onChange: (value: Density) => void }) {
  const words = { typical: "Density", low: "Lightest piece", high: "Heaviest piece" };
  return (["typical", "low", "high"] as const).map((end) => (
    <Gcc
      key={end}
      label={words[end]}
      value={value[end]}
      onChange={(to) => onChange({ ...value, [end]: to })}
    />
  ));
}

type Fields = {
  [K in BasisKind]: (
    basis: Extract<DensityBasis, { kind: K }>,
    put: (by: Partial<Extract<DensityBasis, { kind: K }>>) => void,
  ) => React.ReactNode;
};

const FIELDS: Fields = {
  stated: (b, put) => <DensityRange value={b} onChange={put} />,
  piece: (b, put) => (
    <>
      <Mass label="Weight" value={b.massG} of="massG" onChange={(massG) => put({ massG })} />
      <Mass
        label="The scale may be off by"
        value={b.massOffG}
        of="offG"
        onChange={(massOffG) => put({ massOffG })}
      />
      <Side label="Length" value={b.lengthMm} of="sideMm" onChange={(lengthMm) => put({ lengthMm })} />
      <Side label="Height" value={b.heightMm} of="sideMm" onChange={(heightMm) => put({ heightMm })} />
      <Side
        label="Thickness"
        value={b.thicknessMm}
        of="sideMm"
        onChange={(thicknessMm) => put({ thicknessMm })}
      />
      <Side
        label="Each size may be off by"
        value={b.sizeOffMm}
        of="sizeOffMm"
        onChange={(sizeOffMm) => put({ sizeOffMm })}
      />
    </>
  ),
  immersion: (b, put) => (
    <>
      <Mass label="Weight in air" value={b.massG} of="massG" onChange={(massG) => put({ massG })} />
      <Mass
        label="More on the scale, in water"
        value={b.displacedG}
        of="massG"
        onChange={(displacedG) => put({ displacedG })}
      />
      <Mass label="The scale may be off by" value={b.offG} of="offG" onChange={(offG) => put({ offG })} />
      <Plain label="Water" unit="°C" value={b.waterC} of="waterC" onChange={(waterC) => put({ waterC })} />
    </>
  ),
  mix: (b, put) => {
    const replace = (i: number, by: Partial<(typeof b.parts)[number]>) =>
      put({ parts: b.parts.map((p, k) => (k === i ? { ...p, ...by } : p)) });
    return (
      <>
        <ChoiceField
          label="Shares"
          value={b.by}
          choices={SHARE_KINDS.map((value) => ({ value, name: SHARE_KIND_WORDS[value] }))}
          onChange={(by) => put({ by })}
        />
        {b.parts.map((p, i) => (
          <IngredientRow
            // biome-ignore lint/suspicious/noArrayIndexKey: parts have no identity but their place
            key={i}
            label={`Part ${i + 1}`}
            ingredient={p}
            onPick={(found) => replace(i, found)}
            onRemove={
              b.parts.length > MIX_PARTS[0] ? () => put({ parts: b.parts.filter((_, k) => k !== i) }) : null
            }
          >
            <Plain
              bare
              label={`Share of part ${i + 1}`}
              unit=""
              value={p.share}
              of="share"
              onChange={(share) => replace(i, { share })}
            />
          </IngredientRow>
        ))}
        <AddButton
          says="Add a part"
          full={b.parts.length >= MIX_PARTS[1]}
          onAdd={() => put({ parts: [...b.parts, { ...b.parts[b.parts.length - 1], share: 10 }] })}
        />
        <Text color="graphite" fontSize="sm">
          Shares need not add up to 100: layers 12 : 1 are as good.
        </Text>
      </>
    );
  },
  "taken-up": (b, put) => (
    <>
      <IngredientRow
        label="Like the dry wood of"
        ingredient={null}
        onPick={({ densityGcc }) => put({ dry: densityGcc })}
        onRemove={null}
      />
      <DensityRange value={b.dry} onChange={(dry) => put({ dry })} />
      <Percent
        label="Resin taken up, of the dry weight"
        value={b.takenUpShare}
        of="takenUpShare"
        onChange={(takenUpShare) => put({ takenUpShare })}
      />
      <Percent
        label="Give or take"
        value={b.takenUpOffShare}
        of="takenUpOffShare"
        onChange={(takenUpOffShare) => put({ takenUpOffShare })}
      />
      <Plain
        label="Density of the resin"
        unit="g/cm³"
        value={b.resinGcc}
        of="resinGcc"
        onChange={(resinGcc) => put({ resinGcc })}
      />
    </>
  ),
  cast: (b, put) => {
    const replace = (i: number, by: Partial<(typeof b.inclusions)[number]>) =>
      put({ inclusions: b.inclusions.map((p, k) => (k === i ? { ...p, ...by } : p)) });
    const mix = (by: Partial<typeof b.mixing>) => put({ mixing: { ...b.mixing, ...by } });
    return (
      <>
        <Side
          label="Mould, length"
          value={b.lengthMm}
          of="sideMm"
          onChange={(lengthMm) => put({ lengthMm })}
        />
        <Side
          label="Mould, height"
          value={b.heightMm}
          of="sideMm"
          onChange={(heightMm) => put({ heightMm })}
        />
        <Side
          label="Mould, thickness"
          value={b.thicknessMm}
          of="sideMm"
          onChange={(thicknessMm) => put({ thicknessMm })}
        />
        <IngredientRow
          label="Resin"
          ingredient={b.resin}
          onPick={(resin) => put({ resin })}
          onRemove={null}
        />
        {b.inclusions.map((p, i) => (
          <IngredientRow
            // biome-ignore lint/suspicious/noArrayIndexKey: pieces have no identity but their place
            key={i}
            label={`Pieces ${i + 1}`}
            ingredient={p}
            onPick={(found) => replace(i, found)}
            onRemove={() => put({ inclusions: b.inclusions.filter((_, k) => k !== i) })}
          >
            <Mass
              bare
              label={`Weight of pieces ${i + 1}`}
              value={p.massG}
              of="massG"
              onChange={(massG) => replace(i, { massG })}
            />
          </IngredientRow>
        ))}
        <AddButton
          says="Add pieces"
          full={b.inclusions.length >= MIX_PARTS[1]}
          onAdd={() =>
            put({
              inclusions: [
                ...b.inclusions,
                { name: "Dry wood", densityGcc: { typical: 0.7, low: 0.6, high: 0.8 }, massG: 20 },
              ],
            })
          }
        />
        <Plain
          label="Part A to one of B"
          unit=""
          value={b.mixing.ratio}
          of="ratio"
          onChange={(ratio) => mix({ ratio })}
        />
        <ChoiceField
          label="Mixed"
          value={b.mixing.by}
          choices={SHARE_KINDS.map((value) => ({ value, name: SHARE_KIND_WORDS[value] }))}
          onChange={(by) => mix({ by })}
        />
        <Plain
          label="Density of part A"
          unit="g/cm³"
          value={b.mixing.densityA}
          of="resinGcc"
          onChange={(densityA) => mix({ densityA })}
        />
        <Plain
          label="Density of part B"
          unit="g/cm³"
          value={b.mixing.densityB}
          of="resinGcc"
          onChange={(densityB) => mix({ densityB })}
        />
        <Percent
          label="Wasted"
          value={b.mixing.wasteShare}
          of="wasteShare"
          onChange={(wasteShare) => mix({ wasteShare })}
        />
      </>
    );
  },
  moisture: (b, put) => (
    <>
      <IngredientRow
        label="Like"
        ingredient={null}
        onPick={({ densityGcc }) => put({ at12: densityGcc })}
        onRemove={null}
      />
      <DensityRange value={b.at12} onChange={(at12) => put({ at12 })} />
      <Plain
        label="Moisture, of the dry weight"
        unit="%"
        value={b.moisturePercent}
        of="moisturePercent"
        onChange={(moisturePercent) => put({ moisturePercent })}
      />
      <Plain
        label="Give or take"
        unit="%"
        value={b.moistureOffPercent}
        of="moistureOffPercent"
        onChange={(moistureOffPercent) => put({ moistureOffPercent })}
      />
    </>
  ),
};

function Percent({ of, ...props }: NumberProps) {
  const [min, max] = BASIS_LIMITS[of];
  return <ShareField {...props} min={min} max={max} unit="%" digits={1} />;
}

function AddButton({ says, full, onAdd }: { says: string; full: boolean; onAdd: () => void }) {
  return (
    <Button size="xs" variant="outline" alignSelf="start" disabled={full} onClick={onAdd}>
      <Plus /> {says}
    </Button>
  );
}

/** What a density is worked out from, to be told. */
export function BasisFields({
  basis,
  onChange,
}: {
  basis: DensityBasis;
  onChange: (basis: DensityBasis) => void;
}) {
  const fields = FIELDS[basis.kind] as (
    b: DensityBasis,
    put: (by: Partial<DensityBasis>) => void,
  ) => React.ReactNode;
  return <Stack gap="2">{fields(basis, (by) => onChange({ ...basis, ...by } as DensityBasis))}</Stack>;
}
