/** The version of the design record that this code writes. By itself: what writes files needs no validator. */
export const DESIGN_VERSION = 11;
