import type { NextConfig } from "next";

/** Of every answer; a page has its Content-Security-Policy from src/proxy.ts on top. */
const EVERYWHERE = [
  { key: "X-Content-Type-Options", value: "nosniff" },
  { key: "X-Frame-Options", value: "DENY" },
  { key: "Referrer-Policy", value: "no-referrer" },
  { key: "Cross-Origin-Opener-Policy", value: "same-origin" },
  { key: "Cross-Origin-Resource-Policy", value: "same-origin" },
  { key: "Permissions-Policy", value: "camera=(), microphone=(), geolocation=(), payment=(), usb=()" },
];

/** Of scripts, workers among them: the mesh kernel is WebAssembly, which a worker compiles. */
const SCRIPTS =
  "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'; frame-ancestors 'none'";

/** Of answers to programs, which show nothing. */
const DATA = "default-src 'none'; frame-ancestors 'none'";

const config: NextConfig = {
  // Types are checked by `npm run typecheck` and `npm test`: who starts the application need not wait for it again.
  typescript: { ignoreBuildErrors: true },
  reactStrictMode: true,
  devIndicators: false,
  poweredByHeader: false,
  experimental: { optimizePackageImports: ["@chakra-ui/react"] },
  headers: async () => [
    { source: "/:path*", headers: EVERYWHERE },
    {
      source: "/_next/static/:path*",
      headers: [{ key: "Content-Security-Policy", value: SCRIPTS }],
    },
    { source: "/api/:path*", headers: [{ key: "Content-Security-Policy", value: DATA }] },
  ],
};

export default config;
