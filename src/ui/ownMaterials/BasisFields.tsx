"use client";
import { Stack } from "@chakra-ui/react";
import type { BasisKind, DensityBasis } from "@/core/materials/own/types";
import { CastFields } from "./CastFields";
import { IngredientRow } from "./IngredientRow";
import { MixFields } from "./MixFields";
import { DensityRange, Mass, Percent, Plain, Side } from "./numbers";

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
  mix: (b, put) => <MixFields basis={b} put={put} />,
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
  cast: (b, put) => <CastFields basis={b} put={put} />,
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

/** What a density is worked out from, in words. */
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
