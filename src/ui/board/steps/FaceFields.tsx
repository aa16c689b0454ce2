"use client";
import { Text } from "@chakra-ui/react";
import { valueAt } from "@/core/base/record/path";
import { printMass } from "@/core/base/units/print";
import type { Texture, TextureKind } from "@/core/knife/design/schema";
import { PRINT_KINDS, TEXTURE_KINDS } from "@/core/knife/design/textureKinds";
import { newTexture } from "@/core/knife/design/textures";
import { useUnits } from "@/store/settings";
import { TEXTURE_WORDS } from "@/words/textures";
import { LengthAt, ShareAt } from "../../bound/bound";
import { ChoiceField } from "../../fields/ChoiceField";
import { useMaterialOf } from "../../kit/materials";
import { useBench, useDesign, useReport } from "../../session/BenchContext";

type FacePath =
  | "blade.face"
  | "guard.face"
  | "handle.right.face"
  | "handle.left.face"
  | `handle.bolsters.${"front" | "rear"}.face`
  | `handle.pieces.${number}.face`;

const TOOLED = new Set<TextureKind | "smooth">(["smooth", "jigged", ...PRINT_KINDS]);

/** Whether a face is smooth, and how deep it is cut where it is not; `parts` are those that it is the face of. */
export function FaceFields({
  at,
  parts,
  label,
  grown = false,
}: {
  at: FacePath;
  parts: (id: string) => boolean;
  label: string;
  /** Whether it may be as it grew: of scales and blocks. */
  grown?: boolean;
}) {
  const { edit } = useBench();
  const face = useDesign((d) => (valueAt(d, at) ?? null) as Texture | null);
  const kinds = (["smooth", ...TEXTURE_KINDS] as const).filter((k) => grown || TOOLED.has(k));
  return (
    <>
      <ChoiceField<TextureKind | "smooth">
        label={label}
        value={face?.kind ?? "smooth"}
        choices={kinds.map((value) => ({ value, name: TEXTURE_WORDS[value] }))}
        onChange={(kind) =>
          edit(
            kind === "smooth"
              ? { code: "clear", path: at }
              : { code: "put", path: at, item: newTexture(kind) },
          )
        }
      />
      {face && (
        <>
          <LengthAt at={`${at}.depthMm`} />
          {"share" in face ? <ShareAt at={`${at}.share`} /> : <LengthAt at={`${at}.meanLossMm`} />}
          <WeightOff parts={parts} />
        </>
      )}
    </>
  );
}

/** What a face that is not smooth takes off the weight: what its parts would weigh by their volume, and what they do. */
function WeightOff({ parts }: { parts: (id: string) => boolean }) {
  const units = useUnits();
  const materialOf = useMaterialOf();
  const report = useReport();
  const of = report?.parts.filter((p) => parts(p.id)) ?? [];
  const off = of.reduce((sum, p) => {
    const density = materialOf(p.material)?.densityGcc.typical;
    return density === undefined ? sum : sum + (density * p.volumeMm3) / 1000 - p.massG;
  }, 0);
  if (!(off > 0)) return null;
  return (
    <Text color="graphite" fontSize="sm" data-testid="face-weight-off">
      Takes {printMass(off, units, 2)} off, against a smooth face as high as the high places.
    </Text>
  );
}
