import { sampleBuilds } from "@/core/figures/tune/sample";
import { command } from "../command";
import { numberIn, weighedFixed } from "../input";
import { Refusal } from "../refusal";

const MOST = 1_000_000;

export const sample = command({
  name: "sample",
  says: "builds drawn at random within tolerances: percentiles of weight and balance",
  args: ["FILE"],
  options: {
    count: { value: "N", short: "n", says: "how many builds; 1000 where it is not given" },
    seed: { value: "N", says: "of the random numbers; 1 where it is not given" },
  },
  run: async ({ args: [path], text }) => {
    const count = numberIn(text("count") ?? "1000", "-n");
    const seed = numberIn(text("seed") ?? "1", "--seed");
    if (!Number.isInteger(count) || count < 1 || count > MOST)
      throw new Refusal(`-n is a whole number from 1 to ${MOST}`);
    const { design } = await weighedFixed(path);
    const sampled = sampleBuilds(design, count, seed);
    if (!sampled) throw new Refusal("this knife cannot be built, so it cannot be sampled");
    const { masses, balances, ...rest } = sampled;
    return { seed, ...rest };
  },
});
