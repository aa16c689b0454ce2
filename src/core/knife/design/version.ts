/** The version of the records that this code writes, of every product. By itself: what writes files needs no validator. */
export const RECORD_VERSION = 18;
