import { describe, expect, it } from "vitest";
import { USUAL_SEEING } from "@/core/exchange/photo/shapes";
import { firstScale, NO_PHOTO, type PhotoStep, photoAfter } from "./photoState";

const picture = { blob: new Blob(["x"]), url: "blob:1", width: 400, height: 300 };
const workAfter = (...steps: PhotoStep[]) => steps.reduce(photoAfter, NO_PHOTO);
const opened: PhotoStep = {
  what: "opened",
  name: "a.jpg",
  photo: picture,
  scale: firstScale(400, 300, null),
};
const found = { outlines: [], holes: [], threshold: 90 } as never;

describe("the work on a photo", () => {
  it("begins with its scale, and nothing of the photo before", () => {
    const work = workAfter(opened, { what: "flat", flat: picture }, { what: "found", found }, opened);
    expect(work).toMatchObject({ name: "a.jpg", photo: picture, flat: null, found: null, wrong: null });
    expect(work.scale?.corners[0]).toEqual({ x: 40, y: 30 });
  });

  it("keeps how shapes are looked for when another photo comes, and nothing of the photo before", () => {
    const to = { ...USUAL_SEEING, shape: "light", smoothMm: 1, thicknessMm: 4, cameraMm: 450 } as const;
    const kept = { ...to, thicknessMm: null, cameraMm: null };
    expect(workAfter(opened, { what: "seeing", to }).seeing).toEqual(to);
    expect(workAfter(opened, { what: "seeing", to }, { what: "closed" }).seeing).toEqual(kept);
    expect(workAfter(opened, { what: "seeing", to }, opened).seeing).toEqual(kept);
  });

  it("goes back to the scale without what was seen at true size, and with its marks where they were", () => {
    const scale = { ...firstScale(400, 300, null), mm: 57 };
    const work = workAfter(
      opened,
      { what: "scale", scale },
      { what: "flat", flat: picture },
      { what: "found", found },
      { what: "wrong", says: "no" },
      { what: "not-flat" },
    );
    expect(work).toMatchObject({ photo: picture, flat: null, found: null, wrong: null, scale: { mm: 57 } });
  });

  it("says how far it is, and leaves what went wrong said unless something else is begun", () => {
    const wrong: PhotoStep = { what: "wrong", says: "no sheet" };
    const busy = { what: "busy", says: "Opening …", done: 0.5 } as const;
    expect(workAfter(opened, wrong, busy)).toMatchObject({ wrong: "no sheet", busy: { done: 0.5 } });
    expect(workAfter(opened, wrong, { ...busy, clears: true }).wrong).toBeNull();
    expect(workAfter(opened, busy, { what: "done" }).busy).toBeNull();
  });

  it("takes the sheet's corners where they were found", () => {
    const corners = [1, 2, 3, 4].map((x) => ({ x, y: x }));
    expect(firstScale(400, 300, corners).corners).toBe(corners);
  });
});
