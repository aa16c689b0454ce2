"use client";
import { useEffect, useState } from "react";
import { pictureData } from "./pictures";
import { ready } from "./storage";

/** An address to show a picture by, as long as it is shown; null of none, and until it is read. */
export function usePicture(id: string | null): string | null {
  const [shown, setShown] = useState<{ readonly id: string; readonly url: string } | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let gone = false;
    if (id !== null)
      void ready()
        .then(() => pictureData(id))
        .then((data) => {
          if (!data || gone) return;
          url = URL.createObjectURL(data);
          setShown({ id, url });
        })
        .catch((error: unknown) => console.error("a photo could not be read", error));
    return () => {
      gone = true;
      if (url !== null) URL.revokeObjectURL(url);
    };
  }, [id]);
  return shown !== null && shown.id === id ? shown.url : null;
}
