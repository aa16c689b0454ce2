import { FIXED_EDITS } from "../edit/fixed/edits";
import { meshFault } from "../geometry/solids/meshFaults";
import { followingBlade } from "../knife/design/followed";
import { withoutStaleMarks } from "../knife/design/marks";
import { MIGRATIONS } from "../knife/design/migrate";
import { type Design, designSchema, type StoredMesh } from "../knife/design/schema";
import { decodeMesh } from "../knife/design/storedMesh";
import { STARTING_FORMS, startingForm } from "../knife/starts/startingForms";
import type { RecordSpec } from "./product";

/** What of a design says nothing of its parts. */
const NOT_WEIGHED: readonly (keyof Design)[] = ["name", "notes", "job", "workshop", "use", "locked"];

/** What keeps a shape inside a file from being one that the import would have kept, or null. */
function meshProblem(stored: StoredMesh): string | null {
  const mesh = decodeMesh(stored);
  const fault = mesh ? meshFault(mesh) : ({ code: "damaged" } as const);
  switch (fault?.code) {
    case undefined:
      return null;
    case "damaged":
    case "not-finite":
      return "the shape's numbers are damaged";
    case "empty":
      return "the shape encloses nothing";
    case "open":
      return `the shape is not closed: ${fault.edges} edges do not join two triangles`;
    case "size":
      return `the shape is ${Math.round(fault.mm)} mm long; up to ${fault.limit} mm are taken`;
    case "too-fine":
      return `the shape has ${fault.triangles} triangles; up to ${fault.limit} are taken`;
  }
}

/** The record of a knife with a fixed blade. */
export const fixedRecord: RecordSpec<Design> = {
  kind: "fixed",
  schema: designSchema,
  migrations: MIGRATIONS,
  problems: ({ meshes }) =>
    meshes.flatMap((stored, i) => {
      const message = meshProblem(stored);
      return message ? [{ keys: ["meshes", i], message }] : [];
    }),
  tidied: (design, before) => withoutStaleMarks(followingBlade(before, design)),
  notWeighed: new Set(NOT_WEIGHED),
  edits: FIXED_EDITS,
  starts: STARTING_FORMS.map((code) => ({ code, begin: (name) => startingForm(code, name) })),
};
