import { upToTenth } from "../../../base/number";
import { leastWeb, thinnestIn } from "../../../knife/layout/fullers";
import { found, PRACTICE, type Rule } from "./context";

/** From memory: what is left between two grooves of one side. */
const WEB_MM = 1.5;

const web: Rule = {
  code: "fuller-web",
  limit: WEB_MM,
  unit: "mm",
  source: "from memory: at least 1.5 mm between two fullers",
  check: (c) => {
    const { blade } = c.design;
    const limit = c.limit("fuller-web");
    return blade.fullers.flatMap((f, i) =>
      blade.fullers.slice(i + 1).flatMap((g, k) => {
        const least = leastWeb(blade, f, g);
        if (!least || least.mm >= limit) return [];
        const by = upToTenth(limit - least.mm);
        const [lower, at] = g.downMm > f.downMm ? [g, i + 1 + k] : [f, i];
        return [
          found("fuller-web", "warning", {
            at: least,
            subject: g.id,
            measured: least.mm,
            limit,
            fix: { kind: "set", changes: [{ path: `blade.fullers.${at}.downMm`, value: lower.downMm + by }] },
          }),
        ];
      }),
    );
  },
};

const floor: Rule = {
  code: "fuller-floor",
  limit: 0.8,
  unit: "mm",
  source: "from memory: a blade thinner than that between its fullers is torn by polishing and rings in use",
  check: (c) => {
    const { blade } = c.design;
    const limit = c.limit("fuller-floor");
    return blade.fullers.flatMap((f, i) => {
      const thin = thinnestIn(blade, f);
      if (thin.mm >= limit) return [];
      const share = f.sides === "both" ? 2 : 1;
      const depthMm = Math.max(0.05, Math.floor((f.depthMm - (limit - thin.mm) / share) * 100) / 100);
      return [
        found("fuller-floor", "warning", {
          at: thin,
          subject: f.id,
          measured: thin.mm,
          limit,
          fix: { kind: "set", changes: [{ path: `blade.fullers.${i}.depthMm`, value: depthMm }] },
        }),
      ];
    });
  },
};

/** A step between spine and handle that a finger feels, mm. */
const FELT_MM = 0.1;

const step: Rule = {
  code: "step-at-joint",
  limit: FELT_MM,
  unit: "mm",
  source: `${PRACTICE}: a step of more than 0.1 mm is felt`,
  check: (c) => {
    const { blade, handle, guard, tang } = c.design;
    // Where a guard or a bolster stands between them the handle need not follow the spine.
    if (guard || blade.bolster || tang.kind !== "full") return [];
    const [top] = handle.outline;
    const by = top.yMm - blade.spineOverAxisMm;
    const limit = c.limit("step-at-joint");
    if (!(Math.abs(by) > limit)) return [];
    return [
      found("step-at-joint", "note", {
        at: { x: 0, y: top.yMm },
        measured: Math.abs(by),
        limit,
        fix: { kind: "set", changes: [{ path: "handle.outline.0.yMm", value: blade.spineOverAxisMm }] },
      }),
    ];
  },
};

export const BLADE_RULES: readonly Rule[] = [web, floor, step];
