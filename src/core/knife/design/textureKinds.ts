/** What grew, or was cut into it, by hand or by a machine: bark, antler's crown, jigging. */
export const RELIEF_KINDS = ["natural", "jigged"] as const;
/** Round prints of a tool, shallow against their width. */
export const PRINT_KINDS = ["dimpled", "peened", "hammered"] as const;
/** Every kind of face that is not smooth. */
export const TEXTURE_KINDS = [...RELIEF_KINDS, ...PRINT_KINDS] as const;
