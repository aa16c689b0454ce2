"use client";
import { Button } from "@chakra-ui/react";
import { Trash2 } from "lucide-react";
import { binCount } from "@/store/bin";
import { useKept } from "@/store/useKept";
import { NearLink } from "../kit/NearLink";

/** The way to what was deleted; not there while nothing was. */
export function BinLink() {
  const count = useKept(binCount, []) ?? 0;
  if (count === 0) return null;
  return (
    <Button asChild variant="ghost">
      <NearLink href="/bin">
        <Trash2 /> Bin ({count})
      </NearLink>
    </Button>
  );
}
