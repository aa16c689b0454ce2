import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  devIndicators: false,
  poweredByHeader: false,
  experimental: { optimizePackageImports: ["@chakra-ui/react"] },
};

export default config;
