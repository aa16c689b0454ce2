"use client";
import { type DensityBasis, MIX_PARTS, SHARE_KINDS } from "@/core/materials/own/types";
import { SHARE_KIND_WORDS } from "@/words/ownMaterials";
import { ChoiceField } from "../fields/ChoiceField";
import { IngredientRow } from "./IngredientRow";
import { AddButton, Mass, Percent, Plain, Side } from "./numbers";

type Basis = Extract<DensityBasis, { kind: "cast" }>;

/** A mould, what is laid in it, and the resin poured over. */
export function CastFields({ basis: b, put }: { basis: Basis; put: (by: Partial<Basis>) => void }) {
  const replace = (i: number, by: Partial<(typeof b.inclusions)[number]>) =>
    put({ inclusions: b.inclusions.map((p, k) => (k === i ? { ...p, ...by } : p)) });
  const mix = (by: Partial<typeof b.mixing>) => put({ mixing: { ...b.mixing, ...by } });
  return (
    <>
      <Side label="Mould, length" value={b.lengthMm} of="sideMm" onChange={(lengthMm) => put({ lengthMm })} />
      <Side label="Mould, height" value={b.heightMm} of="sideMm" onChange={(heightMm) => put({ heightMm })} />
      <Side
        label="Mould, thickness"
        value={b.thicknessMm}
        of="sideMm"
        onChange={(thicknessMm) => put({ thicknessMm })}
      />
      <IngredientRow label="Resin" ingredient={b.resin} onPick={(resin) => put({ resin })} onRemove={null} />
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
}
