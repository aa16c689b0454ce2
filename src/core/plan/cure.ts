import type { Design } from "../knife/design/schema";

/** How long the shop waits at least before it grinds or drills what is glued, min. */
export const cureMin = ({ workshop }: Design): number => workshop.glue.leastCureH * 60;
