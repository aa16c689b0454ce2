"use client";
import { Stack, Text } from "@chakra-ui/react";
import { OUNCE_MM, SHEATH_LIMITS, SHEATH_STYLES, USUAL_SHEATH } from "@/core/sheath/settings";
import { changeSettings, useSettings } from "@/store/settings";
import { SHEATH_FIELD_WORDS, SHEATH_STYLE_WORDS } from "@/words/sheath";
import { ChoiceField } from "../fields/ChoiceField";
import { LengthField } from "../fields/LengthField";
import { ShareField } from "../fields/ShareField";
import { Tick } from "../fields/Tick";
import { Note } from "../report/Section";

const LENGTHS = ["weltMm", "marginMm", "pitchMm", "clearanceMm"] as const;

/** How the maker makes sheaths: it holds for every knife. */
export function SheathFields() {
  const { sheath } = useSettings();
  const set = (to: Partial<typeof sheath>) =>
    void changeSettings((now) => ({ sheath: { ...now.sheath, ...to } }));
  const { min, max } = SHEATH_LIMITS.leatherMm;
  return (
    <Stack gap="2" pb="4" mb="2" borderBottomWidth="1px">
      <Text fontWeight="600">How you make sheaths</Text>
      <ChoiceField
        wide
        label="Style"
        value={sheath.style}
        choices={SHEATH_STYLES.map((value) => ({ value, name: SHEATH_STYLE_WORDS[value] }))}
        onChange={(style) => set({ style })}
      />
      <ShareField
        label={SHEATH_FIELD_WORDS.leatherMm}
        help="In ounces of leather: one is a 64th of an inch."
        value={Number((sheath.leatherMm / OUNCE_MM).toFixed(3))}
        unit="oz"
        factor={1}
        digits={1}
        min={Number((min / OUNCE_MM).toFixed(2))}
        max={Number((max / OUNCE_MM).toFixed(2))}
        onChange={(ounces) => set({ leatherMm: ounces * OUNCE_MM })}
      />
      {LENGTHS.map((field) => (
        <LengthField
          key={field}
          label={SHEATH_FIELD_WORDS[field]}
          mm={sheath[field]}
          min={SHEATH_LIMITS[field].min}
          max={field === "marginMm" ? sheath.weltMm - 1 : SHEATH_LIMITS[field].max}
          onChange={(mm) => set({ [field]: mm })}
        />
      ))}
      <Tick
        label="Belt loop"
        checked={sheath.beltMm !== null}
        onChange={(on) => set({ beltMm: on ? USUAL_SHEATH.beltMm : null })}
      />
      {sheath.beltMm !== null && (
        <LengthField
          label={SHEATH_FIELD_WORDS.beltMm}
          mm={sheath.beltMm}
          min={SHEATH_LIMITS.beltMm.min}
          max={SHEATH_LIMITS.beltMm.max}
          onChange={(beltMm) => set({ beltMm })}
        />
      )}
      <Note>
        It holds for every knife. The throat lies at the guard, or covers the handle up to its swell.
      </Note>
    </Stack>
  );
}
