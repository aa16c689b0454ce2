import { SaxesParser, type SaxesTagPlain } from "saxes";

/** A transform's twelve numbers: three rows of the turn, then the shift. Points are rows. */
export type Transform = readonly number[];
const STILL: Transform = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0];

/** An object put somewhere. */
interface Placed {
  readonly id: string;
  readonly by: Transform;
}

interface ModelObject {
  /** x, y, z of each corner. */
  readonly vertices: number[];
  /** Three corner numbers a triangle. */
  readonly triangles: number[];
  readonly components: Placed[];
}

/** What we read of a model part: its unit, its objects by id, and what is built of them. */
export interface Model {
  readonly unit: string | null;
  readonly objects: ReadonlyMap<string, ModelObject>;
  readonly items: readonly Placed[];
}

/** Elements may stand in each other so deep, and have so many attributes. */
const MOST_NESTED = 64;
const MOST_ATTRIBUTES = 64;

/**
 * Reads a model part as it comes, piece by piece. `write` answers false where it is no sound XML, or past
 * `mostTriangles` triangles or corners, and throws where no model part looks like that; `close` gives the model, or null where it is damaged.
 */
export function readModel(mostTriangles: number) {
  const parser = new SaxesParser();
  const decoder = new TextDecoder();
  const objects = new Map<string, ModelObject>();
  const items: Placed[] = [];
  let unit: string | null = null;
  let object: ModelObject | null = null;
  let triangles = 0;
  let corners = 0;
  let nested = 0;
  let seen = 0;
  let sound = true;

  // At once: a piece may hold a hundred thousand faults, and each is put into words.
  parser.on("error", (error) => {
    throw error;
  });
  parser.on("opentag", ({ name, attributes: a }: SaxesTagPlain) => {
    if (++nested > MOST_NESTED) throw new Error("nested too deep");
    seen = 0;
    switch (name.slice(name.indexOf(":") + 1)) {
      case "model":
        unit = a.unit ?? null;
        break;
      case "object":
        object = { vertices: [], triangles: [], components: [] };
        if (a.id !== undefined) objects.set(a.id, object);
        break;
      case "vertex":
        object?.vertices.push(number(a.x), number(a.y), number(a.z));
        corners++;
        break;
      case "triangle":
        object?.triangles.push(index(a.v1), index(a.v2), index(a.v3));
        triangles++;
        break;
      case "component":
        object?.components.push(placed(a));
        break;
      case "item":
        items.push(placed(a));
        break;
    }
  });
  // Said at once, not at the end of the piece: one piece may hold a million of them.
  parser.on("attribute", () => {
    if (++seen > MOST_ATTRIBUTES) throw new Error("too many attributes");
  });
  parser.on("closetag", ({ name }) => {
    nested--;
    if (name.slice(name.indexOf(":") + 1) === "object") object = null;
  });

  const number = (text: string | undefined): number => {
    const value = text === undefined || text.trim() === "" ? Number.NaN : Number(text);
    if (!Number.isFinite(value)) sound = false;
    return value;
  };
  const index = (text: string | undefined): number => {
    const value = number(text);
    if (!Number.isInteger(value) || value < 0) sound = false;
    return value;
  };
  const placed = (a: Record<string, string>): Placed => ({
    id: a.objectid ?? "",
    by: transformOf(a.transform),
  });

  return {
    triangles: () => triangles,
    write: (piece: Uint8Array): boolean => {
      parser.write(decoder.decode(piece, { stream: true }));
      return sound && triangles <= mostTriangles && corners <= 3 * mostTriangles;
    },
    close: (): Model | null => {
      parser.close();
      return sound ? { unit, objects, items } : null;
    },
  };
}

function transformOf(text: string | undefined): Transform {
  const m = text?.trim().split(/\s+/, 13).map(Number) ?? [];
  return m.length === 12 && m.every(Number.isFinite) ? m : STILL;
}
