import { type NextRequest, NextResponse } from "next/server";
import { pagePolicy } from "./server/pagePolicy";

/** Gives every page its Content-Security-Policy, with a nonce of its own for the scripts that the page itself has in it. */
export function proxy(request: NextRequest): NextResponse {
  const nonce = btoa(crypto.randomUUID());
  const policy = pagePolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  // The renderer takes the nonce for its own scripts from here.
  headers.set("Content-Security-Policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("Content-Security-Policy", policy);
  return response;
}

export const config = { matcher: [{ source: "/((?!_next/static|api/).*)" }] };
