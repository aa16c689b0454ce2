/** Goes up with every change that moves a figure: figures that were kept are worked out anew then. */
export const ENGINE_VERSION = 3;
