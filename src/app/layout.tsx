import "@fontsource/barlow/400.css";
import "@fontsource/barlow/500.css";
import "@fontsource/barlow/600.css";
import type { Metadata } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Providers } from "@/ui/shell/Providers";

export const metadata: Metadata = {
  title: "Euaxis",
  description: "Design a knife's handle assembly and know its weight and balance before cutting.",
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Scripts that stand in the page itself carry the nonce that its policy names.
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Providers nonce={nonce}>{children}</Providers>
      </body>
    </html>
  );
}
