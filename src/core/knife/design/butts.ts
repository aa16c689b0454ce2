import { round } from "./create";
import type { NodeRole, OutlineNode } from "./schema";

/** Forms of the handle's rear end. */
export const BUTT_FORMS = ["rounded", "birds-head", "hooked", "fishtail"] as const;
export type ButtForm = (typeof BUTT_FORMS)[number];

/** Points of each form, as shares of the handle's length (behind the front) and of its height at the rear (from its top). */
const FORMS: Record<ButtForm, readonly { role: NodeRole; x: number; y: number; corner?: boolean }[]> = {
  rounded: [
    { role: "rear-top", x: 0.88, y: 0 },
    { role: "butt", x: 1, y: 0.55 },
    { role: "rear-bottom", x: 0.91, y: 1 },
  ],
  "birds-head": [
    { role: "rear-top", x: 0.88, y: 0 },
    { role: "butt", x: 1, y: 0.5 },
    { role: "free", x: 0.975, y: 1.15 },
    { role: "rear-bottom", x: 0.87, y: 1.35, corner: true },
    { role: "free", x: 0.84, y: 1 },
  ],
  hooked: [
    { role: "rear-top", x: 0.86, y: 0 },
    { role: "butt", x: 0.99, y: 0.45 },
    { role: "free", x: 1, y: 1.1 },
    { role: "rear-bottom", x: 0.9, y: 1.6, corner: true },
    { role: "free", x: 0.915, y: 1.2 },
    { role: "free", x: 0.84, y: 0.95 },
  ],
  fishtail: [
    { role: "rear-top", x: 0.86, y: 0.05 },
    { role: "free", x: 1, y: -0.2, corner: true },
    { role: "butt", x: 0.985, y: 0.5 },
    { role: "free", x: 1, y: 1.2, corner: true },
    { role: "rear-bottom", x: 0.86, y: 0.95 },
  ],
};

/** The outline with another rear end; its length, its front and its height at the rear stay. */
export function withButt(nodes: readonly OutlineNode[], form: ButtForm): OutlineNode[] {
  const L = -Math.min(...nodes.map((n) => n.xMm));
  const top = nodes.find((n) => n.role === "rear-top") ?? nodes[0];
  const swell = nodes.find((n) => n.role === "swell") ?? nodes[nodes.length - 1];
  const height = Math.max(6, 0.95 * (top.yMm - swell.yMm));
  // What lies further back than four fifths of the handle gives way; the two at the front never do.
  const kept = (n: OutlineNode, i: number) => i === 0 || i === nodes.length - 1 || -n.xMm < 0.8 * L;
  const firstRear = nodes.findIndex((n, i) => !kept(n, i));
  const before = nodes.filter((n, i) => kept(n, i) && i < (firstRear < 0 ? nodes.length / 2 : firstRear));
  const after = nodes.filter((n, i) => kept(n, i) && !before.includes(n));
  const used = new Set([...before, ...after].map((n) => n.id));
  const made = FORMS[form].map((p, i): OutlineNode => {
    const plain = p.role === "free" ? `rear-${i + 1}` : p.role;
    const id = used.has(plain) ? `${plain}-new` : plain;
    used.add(id);
    return {
      id,
      role: p.role,
      xMm: round(-p.x * L),
      yMm: round(top.yMm - p.y * height),
      corner: p.corner === true,
    };
  });
  return [...before, ...made, ...after].slice(0, 40);
}

/**
 * The outline with finger grooves along its lower edge: so many hollows of one depth between the groove and the
 * swell, crests between them. What points lay there give way; with no room it comes back as it was.
 */
export function withFingerGrooves(
  nodes: readonly OutlineNode[],
  count: number,
  depthMm: number,
): OutlineNode[] {
  const last = nodes[nodes.length - 1];
  const L = -Math.min(...nodes.map((n) => n.xMm));
  const [x0, x1] = [-0.06 * L, -0.78 * L];
  const top = nodes.filter((n) => n.yMm >= (nodes[0].yMm + last.yMm) / 2);
  const rear = nodes.filter((n, i) => i < nodes.length - 1 && !top.includes(n) && n.xMm < x1);
  if (!(count >= 1) || nodes.length - 1 + 2 * count + 1 > 40) return [...nodes];
  const inner = nodes.find((n) => n.role === "swell") ?? last;
  const crest = Math.min(last.yMm, inner.yMm);
  const made: OutlineNode[] = [];
  const pitch = (x0 - x1) / count;
  for (let i = count; i >= 0; i--) {
    const x = round(x0 - i * pitch);
    made.push({ id: `crest-${i + 1}`, role: "free", xMm: x, yMm: round(crest), corner: false });
    if (i > 0) {
      const id = `finger-${i}`;
      made.push({ id, role: "free", xMm: round(x + pitch / 2), yMm: round(crest + depthMm), corner: false });
    }
  }
  return [...top.filter((n) => n !== last), ...rear, ...made, last];
}
