import { LARGEST_KNIFE_BYTES } from "@/core/files/knife/format";
import { readKnife } from "@/core/files/knife/read";
import { weigh } from "@/core/weigh/weigh";
import { fileFailureWords } from "@/words/fileFailures";
import { findingWords } from "@/words/findings";
import { weighingJson } from "@/words/weighingJson";

/** Weighs the knife file in the request's body. 400 with reasons for a bad one, 413 past the size limit. */
export async function POST(request: Request): Promise<Response> {
  const bytes = await bodyUpTo(request, LARGEST_KNIFE_BYTES);
  if (!bytes) {
    const reasons = [
      { code: "too-large", message: `A knife file may be ${LARGEST_KNIFE_BYTES} bytes at most.` },
    ];
    return Response.json({ reasons }, { status: 413 });
  }
  const reading = readKnife(bytes);
  if (!reading.ok) {
    const reasons =
      reading.code === "invalid"
        ? reading.problems.map((p) => ({ code: reading.code, at: p.path, message: p.message }))
        : [{ code: reading.code, message: fileFailureWords(reading) }];
    return Response.json({ reasons }, { status: 400 });
  }
  const weighing = weigh(reading.design);
  if (!weighing.ok) {
    const reasons = weighing.findings
      .filter((f) => f.severity === "error")
      .map((f) => ({ code: f.rule, at: f.at, subject: f.subject, message: findingWords(f, "metric") }));
    return Response.json({ reasons }, { status: 400 });
  }
  return Response.json(weighingJson(weighing.report));
}

/** The body's bytes, or null as soon as it passes the limit: the rest is never read. */
async function bodyUpTo(request: Request, limit: number): Promise<Uint8Array | null> {
  if (Number(request.headers.get("content-length") ?? 0) > limit) return null;
  if (!request.body) return new Uint8Array();
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body.getReader();
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    size += part.value.byteLength;
    if (size > limit) {
      await reader.cancel();
      return null;
    }
    chunks.push(part.value);
  }
  return Buffer.concat(chunks);
}
