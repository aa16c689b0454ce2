import { useStore } from "zustand";
import { type Toy, toyModel } from "@/core/products/toy.fixtures";
import { balanceShort } from "@/words/balance";
import { LengthField } from "../fields/LengthField";
import { useBenchOf } from "../session/BenchContext";
import type { ProductViews } from "../session/product";
import { AssemblySide, assemblyExtent } from "./AssemblySide";

function BlockStep() {
  const { session, edit } = useBenchOf<Toy>();
  const lengthMm = useStore(session, (s) => s.design.block.lengthMm);
  return (
    <LengthField
      label="Length of the block"
      mm={lengthMm}
      min={10}
      max={300}
      onChange={(mm) => edit({ code: "set", path: "block.lengthMm", to: mm })}
    />
  );
}

export const toyViews: ProductViews<Toy> = {
  kind: "toy",
  extent: (design) => assemblyExtent(toyModel.assemble(design)),
  halfWidthMm: ({ block }) => block.thicknessMm / 2,
  Side: ({ design, scale, line }) => (
    <AssemblySide assembly={toyModel.assemble(design)} scale={scale} line={line} />
  ),
  Board: ({ other }) => <div>The block is drawn here. {other}</div>,
  steps: [{ id: "block", name: "Block", Panel: BlockStep }],
  places: {},
  preload: () => undefined,
  balance: (mm, _, units) => balanceShort(mm, units),
  partRefs: () => [],
  editWords: ({ code }) => (code === "set" ? "Change length of the block" : code),
  startWords: () => ({ name: "Small block", says: "A block with a pin" }),
};
