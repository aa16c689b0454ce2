"use client";
import { proxy } from "comlink";
import { useEffect, useReducer, useState } from "react";
import { EDGE_REACH_SHARE, SHEETS_OF_PAPER } from "@/core/exchange/photo/picture";
import type { PhotoScale } from "@/core/exchange/photo/planeScale";
import type { Seeing } from "@/core/exchange/photo/shapes";
import { pictureFailureWords, scaleFailureWords } from "@/words/photos";
import type { Client } from "@/workers/client";
import type { PatternService } from "@/workers/pattern.messages";
import { createPatternReader } from "@/workers/services";
import { firstScale, NO_PHOTO, type PhotoWork, photoAfter, type ScaleChoice, type Shown } from "./photoState";

export type { ScaleChoice } from "./photoState";

export interface PhotoState extends PhotoWork {
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

function scaleOf({ by, corners, ends, mm, ownMm }: ScaleChoice): PhotoScale {
  if (by === "points") return { kind: "points", a: ends[0], b: ends[1], mm };
  return { kind: "paper", corners, ...(by === "own" ? ownMm : SHEETS_OF_PAPER[by]) };
}

type Reader = Client<PatternService>;

/** What of a photo has to be let go by hand: its workers, and the addresses of its pictures. */
class PhotoHold {
  /** Of the photo that is worked on, and of one that is being opened. */
  reader: Reader | null = null;
  opening: Reader | null = null;
  private urls: string[] = [];

  shownAs(blob: Blob, width: number, height: number): Shown {
    const url = URL.createObjectURL(blob);
    this.urls.push(url);
    return { blob, url, width, height };
  }

  drop(): void {
    this.reader?.dispose();
    this.opening?.dispose();
    this.reader = null;
    this.opening = null;
    for (const url of this.urls) URL.revokeObjectURL(url);
    this.urls = [];
  }
}

/** A photo from its file to the shapes in it: all of the work is a worker's, and can be called off. */
export function usePhoto(): PhotoState {
  const [held] = useState(() => new PhotoHold());
  const [work, step] = useReducer(photoAfter, NO_PHOTO);
  useEffect(() => () => held.drop(), [held]);

  const close = () => {
    held.drop();
    step({ what: "closed" });
  };
  /** Asks the worker; null where it was called off or failed, which is said. */
  const ask = async <T>(says: string, question: (s: PatternService) => T): Promise<Awaited<T> | null> => {
    const mine = held.reader;
    if (!mine) return null;
    step({ what: "busy", says, done: null });
    const answer = await mine.ask(question);
    if (held.reader !== mine || (!answer.ok && answer.code === "superseded")) return null;
    step({ what: "done" });
    if (answer.ok) return answer.value;
    if (answer.code === "failed")
      step({ what: "wrong", says: `The photo could not be worked on: ${answer.message}` });
    return null;
  };
  const setSeeing = async (to: Seeing) => {
    step({ what: "seeing", to });
    const found = await ask("Looking for shapes …", (s) => s.findShapes(to));
    if (found) step({ what: "found", found });
  };
  const open = async (file: File) => {
    held.opening?.dispose();
    const mine = createPatternReader();
    held.opening = mine;
    step({ what: "busy", says: "Opening the photo …", done: null, clears: true });
    const bytes = new Uint8Array(await file.arrayBuffer());
    const answer = await mine.ask((s) => s.openPhoto(bytes));
    // Called off, or another photo was opened meanwhile.
    if (held.opening !== mine) return false;
    held.opening = null;
    step({ what: "done" });
    if (!answer.ok || !answer.value.ok) {
      mine.dispose();
      if (!answer.ok) step({ what: "wrong", says: `${file.name} could not be opened: ${answer.message}` });
      else if (!answer.value.ok)
        step({ what: "wrong", says: `${file.name}: ${pictureFailureWords(answer.value)}` });
      return false;
    }
    held.drop();
    held.reader = mine;
    const { picture, width, height, corners } = answer.value;
    const photo = held.shownAs(picture, width, height);
    step({ what: "opened", name: file.name, photo, scale: firstScale(width, height, corners) });
    return true;
  };
  return {
    ...work,
    close,
    open,
    setSeeing,
    ...scaling(work, step, ask, (flat) => {
      step({ what: "flat", flat: held.shownAs(flat.picture, flat.widthMm, flat.heightMm) });
      return setSeeing(work.seeing);
    }),
    clearWrong: () => step({ what: "wrong", says: null }),
    cancel: () => {
      if (!held.opening) return close();
      held.opening.dispose();
      held.opening = null;
      step({ what: "done" });
    },
    backToScale: () => step({ what: "not-flat" }),
    picture: () => work.flat?.blob ?? null,
  };
}

type Ask = <T>(says: string, question: (s: PatternService) => T) => Promise<Awaited<T> | null>;
type Flattened = Extract<Awaited<ReturnType<PatternService["flatten"]>>, { readonly ok: true }>;

/** How a photo comes to its true size. */
function scaling(
  { scale, photo }: PhotoWork,
  step: (step: Parameters<typeof photoAfter>[1]) => void,
  ask: Ask,
  flattened: (flat: Flattened) => Promise<void>,
): Pick<PhotoState, "setScale" | "findCorners" | "flatten"> {
  return {
    setScale: (to) => step({ what: "scale", scale: to }),
    findCorners: async () => {
      if (!scale || !photo) return;
      const withinPx = EDGE_REACH_SHARE * Math.max(photo.width, photo.height);
      const corners = await ask("Finding the sheet …", (s) => s.findCorners(scale.corners, withinPx));
      if (!corners) return;
      // Every corner where it was: no edge was found near the marks.
      const moved = corners.some((c) => !scale.corners.some((m) => m.x === c.x && m.y === c.y));
      const lost =
        "The sheet's edges are not to be found near the marks: drag each mark nearer to its corner.";
      step({ what: "wrong", says: moved ? null : lost });
      step({ what: "scale", scale: { ...scale, corners } });
    },
    flatten: async () => {
      if (!scale) return;
      const says = "Taking the perspective out …";
      step({ what: "wrong", says: null });
      const tell = (done: number) => step({ what: "busy", says, done });
      const made = await ask(says, (s) => s.flatten(scaleOf(scale), proxy(tell)));
      if (!made) return;
      if (made.ok) await flattened(made);
      else step({ what: "wrong", says: scaleFailureWords(made) });
    },
  };
}
