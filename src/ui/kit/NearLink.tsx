"use client";
import NextLink from "next/link";
import { type ComponentProps, useState } from "react";

/** A link whose page is fetched once it is pointed at or reached by the keyboard, not at the first sight of it. */
export function NearLink(props: ComponentProps<typeof NextLink>) {
  const [near, setNear] = useState(false);
  return (
    <NextLink
      {...props}
      prefetch={near ? null : false}
      onPointerEnter={() => setNear(true)}
      onFocus={() => setNear(true)}
    />
  );
}
