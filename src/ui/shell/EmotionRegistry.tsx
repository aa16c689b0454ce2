"use client";
import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { useServerInsertedHTML } from "next/navigation";
import { type ReactNode, useState } from "react";

interface Inserted {
  readonly name: string;
  readonly global: boolean;
}

/** A style cache that notes what each rendering pass put in. */
function notingCache() {
  const cache = createCache({ key: "css" });
  cache.compat = true;
  const insert = cache.insert.bind(cache);
  let fresh: Inserted[] = [];
  cache.insert = (...args) => {
    const [selector, { name }] = args;
    if (cache.inserted[name] === undefined) fresh.push({ name, global: selector === "" });
    return insert(...args);
  };
  const take = () => {
    const taken = fresh;
    fresh = [];
    return taken;
  };
  return { cache, take };
}

/** Sends styles made on the server ahead of the markup that uses them, so that both sides render the same tree. */
export function EmotionRegistry({ children }: { children: ReactNode }) {
  const [{ cache, take }] = useState(notingCache);
  useServerInsertedHTML(() => {
    const fresh = take();
    if (fresh.length === 0) return null;
    const css = (name: string) =>
      typeof cache.inserted[name] === "string" ? (cache.inserted[name] as string) : "";
    const local = fresh.filter((i) => !i.global);
    return (
      <>
        {fresh
          .filter((i) => i.global)
          .map((i) => (
            <style
              key={i.name}
              data-emotion={`${cache.key}-global ${i.name}`}
              dangerouslySetInnerHTML={{ __html: css(i.name) }}
            />
          ))}
        {local.length > 0 && (
          <style
            data-emotion={`${cache.key} ${local.map((i) => i.name).join(" ")}`}
            dangerouslySetInnerHTML={{ __html: local.map((i) => css(i.name)).join("") }}
          />
        )}
      </>
    );
  });
  return <CacheProvider value={cache}>{children}</CacheProvider>;
}
