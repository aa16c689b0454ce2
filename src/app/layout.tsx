import "@fontsource/barlow/400.css";
import "@fontsource/barlow/500.css";
import "@fontsource/barlow/600.css";
import type { Metadata } from "next";
import type { ReactNode } from "react";
import { Providers } from "@/ui/Providers";

export const metadata: Metadata = {
  title: "Euaxis",
  description: "Design a knife's handle assembly and know its weight and balance before cutting.",
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Providers>{children}</Providers>
      </body>
    </html>
  );
}
