"use client";
import { IconButton } from "@chakra-ui/react";
import { Star } from "lucide-react";
import { toggleFavourite, useSettings } from "@/store/settings";

/** Makes a material a favourite, which stands first wherever one is chosen, or no longer one. */
export function FavouriteStar({ id, name }: { id: string; name: string }) {
  const on = useSettings().favourites.includes(id);
  return (
    <IconButton
      size="2xs"
      variant="ghost"
      color={on ? "bronze" : "graphite"}
      aria-pressed={on}
      aria-label={`Favourite: ${name}`}
      title={on ? "A favourite: stands first in lists" : "Make it a favourite: it stands first in lists"}
      onClick={() => toggleFavourite(id)}
    >
      <Star fill={on ? "currentColor" : "none"} />
    </IconButton>
  );
}
