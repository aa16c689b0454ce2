"use client";
import { proxy } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { FoundShapes } from "@/core/exchange/pattern/found";
import { SHEETS_OF_PAPER, type SheetOfPaper } from "@/core/exchange/photo/picture";
import type { PhotoScale } from "@/core/exchange/photo/planeScale";
import { type Seeing, USUAL_SEEING } from "@/core/exchange/photo/shapes";
import type { Point } from "@/core/geometry/curve/bezier";
import { pictureFailureWords, scaleFailureWords } from "@/words/photos";
import type { Client } from "@/workers/client";
import type { PatternService } from "@/workers/pattern.messages";
import { createPatternReader } from "@/workers/services";

/** How the maker says what the true size is. */
export interface ScaleChoice {
  readonly by: SheetOfPaper | "own" | "points";
  readonly corners: readonly Point[];
  readonly ends: readonly [Point, Point];
  readonly mm: number;
  readonly ownMm: { readonly longMm: number; readonly shortMm: number };
}

interface Shown {
  readonly blob: Blob;
  readonly url: string;
  readonly width: number;
  readonly height: number;
}

export interface PhotoState {
  readonly name: string | null;
  /** The photo as it is seen, in pixels. */
  readonly photo: Shown | null;
  readonly scale: ScaleChoice | null;
  /** The photo at true size, mm. */
  readonly flat: Shown | null;
  readonly seeing: Seeing;
  readonly found: (FoundShapes & { readonly threshold: number }) | null;
  readonly wrong: string | null;
  /** What is being done, and how far it is. */
  readonly busy: { readonly says: string; readonly done: number | null } | null;
  /** Whether it was taken; what is no picture leaves the photo that was there. */
  readonly open: (file: File) => Promise<boolean>;
  readonly clearWrong: () => void;
  /** Calls off what is being done: a photo that is being opened, or all of the one that is worked on. */
  readonly cancel: () => void;
  readonly setScale: (scale: ScaleChoice) => void;
  readonly findCorners: () => Promise<void>;
  readonly flatten: () => Promise<void>;
  readonly backToScale: () => void;
  /** The photo at true size as a data address, to be kept under the knife; null before there is one. */
  readonly picture: () => Blob | null;
  readonly setSeeing: (seeing: Seeing) => Promise<void>;
  readonly close: () => void;
}

/** Corners of a sheet are looked for this near to where they are marked, as a share of the picture's longer side. */
const REACH_SHARE = 0.02;

function scaleOf({ by, corners, ends, mm, ownMm }: ScaleChoice): PhotoScale {
  if (by === "points") return { kind: "points", a: ends[0], b: ends[1], mm };
  return { kind: "paper", corners, ...(by === "own" ? ownMm : SHEETS_OF_PAPER[by]) };
}

/** A photo from its file to the shapes in it: all of the work is a worker's, and can be called off. */
export function usePhoto(): PhotoState {
  const client = useRef<Client<PatternService> | null>(null);
  const opening = useRef<Client<PatternService> | null>(null);
  const urls = useRef<string[]>([]);
  const [name, setName] = useState<string | null>(null);
  const [photo, setPhoto] = useState<Shown | null>(null);
  const [scale, setScale] = useState<ScaleChoice | null>(null);
  const [flat, setFlat] = useState<Shown | null>(null);
  const [seeing, setSeen] = useState<Seeing>(USUAL_SEEING);
  const [found, setFound] = useState<PhotoState["found"]>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState<PhotoState["busy"]>(null);

  const shownAs = (blob: Blob, width: number, height: number): Shown => {
    const url = URL.createObjectURL(blob);
    urls.current.push(url);
    return { blob, url, width, height };
  };
  const drop = () => {
    for (const held of [client, opening]) {
      held.current?.dispose();
      held.current = null;
    }
    for (const url of urls.current) URL.revokeObjectURL(url);
    urls.current = [];
  };
  useEffect(
    () => () => {
      client.current?.dispose();
      opening.current?.dispose();
      for (const url of urls.current) URL.revokeObjectURL(url);
    },
    [],
  );
  const close = () => {
    drop();
    setName(null);
    setPhoto(null);
    setScale(null);
    setFlat(null);
    setFound(null);
    setWrong(null);
    setBusy(null);
  };
  /** Asks the worker; null where it was called off or failed, which is said. */
  const ask = async <T>(says: string, question: (s: PatternService) => T): Promise<Awaited<T> | null> => {
    const mine = client.current;
    if (!mine) return null;
    setBusy({ says, done: null });
    const answer = await mine.ask(question);
    if (client.current !== mine || (!answer.ok && answer.code === "superseded")) return null;
    setBusy(null);
    if (answer.ok) return answer.value;
    if (answer.code === "failed") setWrong(`The photo could not be worked on: ${answer.message}`);
    return null;
  };
  const see = async (to: Seeing) => {
    setSeen(to);
    const shapes = await ask("Looking for shapes …", (s) => s.findShapes(to));
    if (shapes) setFound(shapes);
  };

  return {
    name,
    photo,
    scale,
    flat,
    seeing,
    found,
    wrong,
    busy,
    close,
    clearWrong: () => setWrong(null),
    cancel: () => {
      if (!opening.current) return close();
      opening.current.dispose();
      opening.current = null;
      setBusy(null);
    },
    setScale,
    open: async (file) => {
      opening.current?.dispose();
      const mine = createPatternReader();
      opening.current = mine;
      setWrong(null);
      setBusy({ says: "Opening the photo …", done: null });
      const bytes = new Uint8Array(await file.arrayBuffer());
      const answer = await mine.ask((s) => s.openPhoto(bytes));
      // Called off, or another photo was opened meanwhile.
      if (opening.current !== mine) return false;
      opening.current = null;
      setBusy(null);
      if (!answer.ok || !answer.value.ok) {
        mine.dispose();
        if (!answer.ok) setWrong(`${file.name} could not be opened: ${answer.message}`);
        else if (!answer.value.ok) setWrong(`${file.name}: ${pictureFailureWords(answer.value)}`);
        return false;
      }
      close();
      client.current = mine;
      const opened = answer.value;
      const { width, height } = opened;
      setName(file.name);
      setPhoto(shownAs(opened.picture, width, height));
      const at = (u: number, v: number) => ({ x: Math.round(u * width), y: Math.round(v * height) });
      setScale({
        by: "a4",
        corners: opened.corners ?? [at(0.1, 0.1), at(0.9, 0.1), at(0.9, 0.9), at(0.1, 0.9)],
        ends: [at(0.2, 0.5), at(0.8, 0.5)],
        mm: 100,
        ownMm: { longMm: 420, shortMm: 297 },
      });
      return true;
    },
    findCorners: async () => {
      if (!scale || !photo) return;
      const reach = REACH_SHARE * Math.max(photo.width, photo.height);
      const corners = await ask("Finding the sheet …", (s) => s.findCorners(scale.corners, reach));
      if (!corners) return;
      // Every corner where it was: no edge was found near the marks.
      const moved = corners.some((c) => !scale.corners.some((m) => m.x === c.x && m.y === c.y));
      setWrong(
        moved
          ? null
          : "The sheet's edges are not to be found near the marks: drag each mark nearer to its corner.",
      );
      setScale({ ...scale, corners });
    },
    flatten: async () => {
      if (!scale) return;
      setWrong(null);
      const tell = (done: number) => setBusy({ says: "Taking the perspective out …", done });
      const made = await ask("Taking the perspective out …", (s) => s.flatten(scaleOf(scale), proxy(tell)));
      if (!made) return;
      if (!made.ok) {
        setWrong(scaleFailureWords(made));
        return;
      }
      setFlat(shownAs(made.picture, made.widthMm, made.heightMm));
      await see(seeing);
    },
    backToScale: () => {
      setFlat(null);
      setFound(null);
      setWrong(null);
    },
    picture: () => flat?.blob ?? null,
    setSeeing: see,
  };
}
