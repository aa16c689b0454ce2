import { weighingJson } from "@/words/weighingJson";
import { command } from "../command";
import { weighed } from "../input";

export const weighKnife = command({
  name: "weigh",
  says: "weight, balance, inertia and intervals of a knife, and of each part",
  args: ["FILE"],
  options: {},
  run: async ({ args: [path] }) => weighingJson((await weighed(path)).report),
});
