import { memo } from "react";
import { PENS } from "@/core/exchange/paper/item";
import type { Page } from "@/core/exchange/paper/page";
import { corrected, mappedSteps, type Step, stepsOf } from "@/core/exchange/paper/strokes";

const n = (value: number) => String(Math.round(value * 1000) / 1000);

function dataOf(steps: readonly Step[]): string {
  return steps
    .map(
      (s) =>
        s[0] +
        s
          .slice(1)
          .map((p) => (typeof p === "string" ? "" : `${n(p.x)} ${n(p.y)}`))
          .join(" "),
    )
    .join("");
}

const ANCHORS = { start: "start", middle: "middle", end: "end" } as const;
const TRUE = { x: 1, y: 1 };

/** A sheet as it is printed, in millimetres; drawn larger for a printer that prints smaller. Always black on white. */
export const PageSvg = memo(function PageSvg({
  page,
  title,
  correction = TRUE,
}: {
  page: Page;
  title: string;
  correction?: { readonly x: number; readonly y: number };
}) {
  const to = corrected(page, correction);
  return (
    <svg
      viewBox={`0 0 ${page.widthMm} ${page.heightMm}`}
      width={`${page.widthMm}mm`}
      height={`${page.heightMm}mm`}
      role="img"
      aria-label={title}
      style={{ background: "#fff", display: "block", fontFamily: "Barlow, sans-serif" }}
    >
      {[...page.items.entries()].map(([i, item]) => {
        if (item.kind === "text") {
          const at = to(item);
          return (
            <text
              key={i}
              x={n(at.x)}
              y={n(at.y)}
              textAnchor={ANCHORS[item.anchor]}
              fill="#000"
              // As style: the page's reset would override attributes.
              style={{ fontSize: item.sizeMm, fontWeight: item.bold ? 600 : 400 }}
            >
              {item.text}
            </text>
          );
        }
        if (item.kind === "fill")
          return (
            <path key={i} d={dataOf(mappedSteps(stepsOf(item), to))} fill={item.tint} fillRule="evenodd" />
          );
        const { widthMm, dashMm, grey = 0 } = PENS[item.pen];
        const ink = Math.round(grey * 255);
        return (
          <path
            key={i}
            d={dataOf(mappedSteps(stepsOf(item), to))}
            fill="none"
            stroke={`rgb(${ink},${ink},${ink})`}
            strokeWidth={widthMm}
            strokeDasharray={dashMm?.join(" ")}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        );
      })}
    </svg>
  );
});
