"use client";
import { useEffect, useState } from "react";
import { createPortal, flushSync } from "react-dom";
import type { Page } from "@/core/exchange/paper/page";
import { PageSvg } from "./PageSvg";

const wayOf = ({ widthMm, heightMm }: Page) => (widthMm > heightMm ? "across" : "upright");

/** Everything but the sheets is left out of a print, and every sheet has a page of its own at its own size. */
const styleFor = (pages: readonly Page[]) => `
@page { margin: 0; }
${pages.map((p) => `@page ${wayOf(p)} { size: ${p.widthMm}mm ${p.heightMm}mm; margin: 0; }`).join("\n")}
@media screen { #printed-sheets { display: none; } }
@media print {
  html, body { background: #fff !important; margin: 0 !important; padding: 0 !important; }
  body > *:not(#printed-sheets) { display: none !important; }
  #printed-sheets > div { break-after: page; break-inside: avoid; overflow: hidden; }
  #printed-sheets > div:last-child { break-after: auto; }
}`;

/** The sheets for the browser's own print: they are drawn when it begins, and gone after it. */
export function PrintedPages({
  pages,
  title,
  correction,
}: {
  pages: readonly Page[];
  title: string;
  correction: { readonly x: number; readonly y: number };
}) {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // At once: the print begins as soon as the handler is through.
    const before = () => flushSync(() => setPrinting(true));
    const after = () => setPrinting(false);
    window.addEventListener("beforeprint", before);
    window.addEventListener("afterprint", after);
    return () => {
      window.removeEventListener("beforeprint", before);
      window.removeEventListener("afterprint", after);
    };
  }, []);
  if (!printing || pages.length === 0) return null;
  return createPortal(
    <div id="printed-sheets">
      <style>{styleFor(pages)}</style>
      {[...pages.entries()].map(([i, page]) => (
        <div key={i} style={{ page: wayOf(page), width: `${page.widthMm}mm`, height: `${page.heightMm}mm` }}>
          <PageSvg page={page} title={`${title}, ${i + 1}`} correction={correction} />
        </div>
      ))}
    </div>,
    document.body,
  );
}
