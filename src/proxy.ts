import { type NextRequest, NextResponse } from "next/server";
import { hostsOf, shutTo } from "./server/gate";
import { pagePolicy } from "./server/pagePolicy";

const HOSTS = hostsOf(process.env);

/**
 * Lets in what comes to a host name of this server, from its own pages, by a method that it knows; and gives every page its
 * Content-Security-Policy, with a nonce of its own for the scripts that the page itself has in it.
 */
export function proxy(request: NextRequest): NextResponse {
  const path = request.nextUrl.pathname;
  const shut = shutTo({ method: request.method, path, header: (name) => request.headers.get(name) }, HOSTS);
  if (shut) {
    const headers = { "Content-Type": "application/json", ...(shut.allow ? { Allow: shut.allow } : {}) };
    return new NextResponse(shut.body, { status: shut.status, headers });
  }
  if (path.startsWith("/_next/static/") || path.startsWith("/api/")) return NextResponse.next();
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

export const config = { matcher: [{ source: "/(.*)" }] };
