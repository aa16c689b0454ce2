/** A reason to stop, for standard error. */
export class Refusal extends Error {}
