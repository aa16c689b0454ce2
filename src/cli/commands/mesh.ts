import { modelOf } from "@/core/products/modelOf";
import { command } from "../command";
import { weighed, writeTo } from "../input";
import { Refusal } from "../refusal";

/** Writes the mesh of the whole knife or of one part, and says what was written. */
export const mesh = command({
  name: "mesh",
  says: "writes the knife, or one part, as a mesh",
  args: ["FILE"],
  options: {
    out: { value: "FILE.stl|FILE.3mf", says: "where to", needed: true },
    part: { value: "ID", says: "one part, by the id that weigh gives it; all where it is not given" },
  },
  run: async ({ args: [path], needed, text }) => {
    const out = needed("out");
    const format = /\.(stl|3mf)$/i.exec(out)?.[1].toLowerCase();
    if (!format) throw new Refusal(`--out must end in .stl or .3mf, not "${out}"`);
    const part = text("part") ?? null;
    const { design, report } = await weighed(path);
    // Loaded when asked for: the kernel is several times as large as the rest.
    const [{ default: load }, { exportMesh }] = await Promise.all([
      import("manifold-3d"),
      import("@/core/exchange/files/mesh/exportMesh"),
    ]);
    const kernel = await load();
    kernel.setup();
    const bytes = exportMesh(
      kernel,
      { name: design.name, assembly: modelOf(design).assemble(design) },
      part,
      format as "stl" | "3mf",
    );
    if (!bytes) {
      const ids = report.parts.map((p) => p.id).join(", ");
      throw new Refusal(`no part "${part}" with a volume; this knife has: ${ids}`);
    }
    await writeTo(out, bytes);
    return { out, part, format, bytes: bytes.byteLength };
  },
});
