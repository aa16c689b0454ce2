import { tangEndKind } from "./kind";

/** Glued in, blind. */
export const plain = tangEndKind({
  kind: "plain",
  fields: {},
  start: () => ({}),
  through: false,
  glueOnly: true,
});
