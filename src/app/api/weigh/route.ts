import { LARGEST_KNIFE_BYTES } from "@/core/exchange/files/knife/format";
import { type Answer, refusal } from "@/server/answerWeighing";
import { weighPool } from "@/server/weighPool";

/**
 * Weighs the knife file in the request's body. 400 with reasons for a bad one, 413 past the size limit, 503 where it
 * would take too long or too many wait, 500 where something broke: always `{ reasons: [{ code, message }] }`.
 */
export async function POST(request: Request): Promise<Response> {
  try {
    const bytes = await bodyUpTo(request, LARGEST_KNIFE_BYTES);
    return bytes ? answered(await weighPool().weigh(bytes)) : answered(TOO_LARGE);
  } catch (error) {
    console.error("a request could not be answered", error);
    return answered(BROKEN);
  }
}

/** Every other method: in the same shape. */
function notAllowed(): Response {
  const answer = answered(refusal(405, [{ code: "method", message: "Send a knife file with POST." }]));
  answer.headers.set("Allow", "POST");
  return answer;
}

export { notAllowed as DELETE, notAllowed as GET, notAllowed as PATCH, notAllowed as PUT };

const TOO_LARGE = refusal(413, [
  { code: "too-large", message: `A knife file may be ${LARGEST_KNIFE_BYTES} bytes at most.` },
]);
const BROKEN = refusal(500, [{ code: "failed", message: "The request could not be read." }]);

function answered({ status, body }: Answer): Response {
  const headers: Record<string, string> = { "Content-Type": "application/json", "Cache-Control": "no-store" };
  if (status === 503) headers["Retry-After"] = "2";
  return new Response(body, { status, headers });
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
