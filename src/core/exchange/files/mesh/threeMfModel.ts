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

/** The elements of a model part, taken down as they come; `sound` until a number is none. */
class ModelElements {
  readonly objects = new Map<string, ModelObject>();
  readonly items: Placed[] = [];
  unit: string | null = null;
  triangles = 0;
  corners = 0;
  sound = true;
  private object: ModelObject | null = null;

  open(name: string, a: Record<string, string>): void {
    switch (name) {
      case "model":
        this.unit = a.unit ?? null;
        break;
      case "object":
        this.object = { vertices: [], triangles: [], components: [] };
        if (a.id !== undefined) this.objects.set(a.id, this.object);
        break;
      case "vertex":
        this.object?.vertices.push(this.number(a.x), this.number(a.y), this.number(a.z));
        this.corners++;
        break;
      case "triangle":
        this.object?.triangles.push(this.index(a.v1), this.index(a.v2), this.index(a.v3));
        this.triangles++;
        break;
      case "component":
        this.object?.components.push(placed(a));
        break;
      case "item":
        this.items.push(placed(a));
        break;
    }
  }

  close(name: string): void {
    if (name === "object") this.object = null;
  }

  private number(text: string | undefined): number {
    const value = text === undefined || text.trim() === "" ? Number.NaN : Number(text);
    if (!Number.isFinite(value)) this.sound = false;
    return value;
  }

  private index(text: string | undefined): number {
    const value = this.number(text);
    if (!Number.isInteger(value) || value < 0) this.sound = false;
    return value;
  }
}

const placed = (a: Record<string, string>): Placed => ({
  id: a.objectid ?? "",
  by: transformOf(a.transform),
});

/** A name without what stands for its namespace. */
const localName = (name: string): string => name.slice(name.indexOf(":") + 1);

/**
 * Reads a model part as it comes, piece by piece. `write` answers false where it is no sound XML, or past
 * `mostTriangles` triangles or corners, and throws where no model part looks like that; `close` gives the model, or null where it is damaged.
 */
export function readModel(mostTriangles: number) {
  const parser = new SaxesParser();
  const decoder = new TextDecoder();
  const model = new ModelElements();
  let nested = 0;
  let attributes = 0;

  // At once: a piece may hold a hundred thousand faults, and each is put into words.
  parser.on("error", (error) => {
    throw error;
  });
  parser.on("opentag", (tag: SaxesTagPlain) => {
    if (++nested > MOST_NESTED) throw new Error("nested too deep");
    attributes = 0;
    model.open(localName(tag.name), tag.attributes);
  });
  // Said at once, not at the end of the piece: one piece may hold a million of them.
  parser.on("attribute", () => {
    if (++attributes > MOST_ATTRIBUTES) throw new Error("too many attributes");
  });
  parser.on("closetag", ({ name }) => {
    nested--;
    model.close(localName(name));
  });

  return {
    triangles: () => model.triangles,
    write: (piece: Uint8Array): boolean => {
      parser.write(decoder.decode(piece, { stream: true }));
      return model.sound && model.triangles <= mostTriangles && model.corners <= 3 * mostTriangles;
    },
    close: (): Model | null => {
      parser.close();
      const { sound, unit, objects, items } = model;
      return sound ? { unit, objects, items } : null;
    },
  };
}

function transformOf(text: string | undefined): Transform {
  const m = text?.trim().split(/\s+/, 13).map(Number) ?? [];
  return m.length === 12 && m.every(Number.isFinite) ? m : STILL;
}
