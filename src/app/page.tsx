import { headers } from "next/headers";
import { GLANCE_SCRIPT } from "@/ui/rack/glance";
import { Rack } from "@/ui/rack/Rack";

export default async function Page() {
  const nonce = (await headers()).get("x-nonce") ?? undefined;
  return (
    <>
      <Rack />
      {/* Before anything else has loaded: the rack as it last stood. The policy of the page names its nonce. */}
      <script
        nonce={nonce}
        suppressHydrationWarning
        // biome-ignore lint/security/noDangerouslySetInnerHtml: our own words, nothing that came in
        dangerouslySetInnerHTML={{ __html: GLANCE_SCRIPT }}
      />
    </>
  );
}
