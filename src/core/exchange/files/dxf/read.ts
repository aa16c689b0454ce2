import { type Entity, type Known, type Parsed, type Place, parseString } from "dxf";
import { TooMuchWork, Work } from "../../../base/work";
import { arcOf } from "../../../geometry/contours/loop";
import { alongSpline, isSound } from "../../../geometry/contours/nurbs";
import {
  CHORD_SHARE,
  CHORD_TURN,
  DEEPEST,
  type DrawingReading,
  LARGEST_DRAWING_BYTES,
  MOST_POINTS,
  type RawRun,
  type Unseen,
} from "../../../geometry/contours/raw";
import {
  type Affine,
  after,
  likeScale,
  SAME,
  shifted,
  stretched,
  through,
  turned,
} from "../../../geometry/curve/affine";
import type { Point } from "../../../geometry/curve/bezier";
import { Counts } from "../counts";
import { roughSize } from "./roughSize";
import { linesOnly, type Tags } from "./tags";

/**
 * Millimetres to a unit by the number in $INSUNITS; other numbers, and 0, say nothing.
 * @see DXF reference, HEADER section, $INSUNITS (from memory).
 */
const MM_PER_UNIT: ReadonlyMap<number, number> = new Map([
  [1, 25.4],
  [2, 304.8],
  [4, 1],
  [5, 10],
  [6, 1000],
  [8, 25.4e-6],
  [9, 0.0254],
  [10, 914.4],
  [13, 0.001],
  [14, 100],
]);

/** Entities that are given in a frame of their own: seen from behind, x runs the other way. The others are in the drawing's. */
const IN_OWN_FRAME = ["CIRCLE", "ARC", "LWPOLYLINE", "POLYLINE", "INSERT"];
const MIRRORED: Affine = [-1, 0, 0, 1, 0, 0];

/** Solids, faces and meshes: what a flat drawing has none of. */
const SOLID_KINDS = ["3DFACE", "3DSOLID", "MESH", "BODY", "SURFACE", "REGION"];
/** Heights that differ by more than this share of the drawing are not in one plane. */
const FLAT_SHARE = 1e-4;

/**
 * Reads the lines of a DXF file; blocks are put in where they are inserted. What it asks for is counted before it is done,
 * from `work`, which whoever goes on with the drawing spends from as well.
 */
export function readDxf(bytes: Uint8Array, work = new Work()): DrawingReading {
  if (bytes.byteLength > LARGEST_DRAWING_BYTES)
    return { ok: false, code: "too-large", bytes: bytes.byteLength, most: LARGEST_DRAWING_BYTES };
  try {
    const text = new TextDecoder().decode(bytes);
    if (text.slice(0, 40).includes(BINARY)) return { ok: false, code: "binary" };
    const tags = linesOnly(text, work);
    const dxf = tags && parsed(tags.text);
    if (!tags || !dxf) return { ok: false, code: "not-a-drawing", format: "DXF" };
    const reader = new EntityReader(dxf, tags, work);
    reader.readAll();
    const { runs } = reader;
    const [passedOver, unseen] = [reader.passedOver.all(), reader.unseen.all()];
    const solid = SOLID_KINDS.some((kind) => reader.passedOver.has(kind));
    if (reader.notFlat() || (solid && runs.length === 0)) return { ok: false, code: "three-dimensional" };
    if (runs.length === 0) return { ok: false, code: "no-lines", passedOver, unseen };
    const { insUnits } = dxf.header;
    const mmPerUnit = insUnits === undefined ? null : (MM_PER_UNIT.get(insUnits) ?? null);
    return { ok: true, drawing: { runs, mmPerUnit, passedOver, unseen, doubts: {} } };
  } catch (error) {
    if (error instanceof TooMuchWork) return { ok: false, code: "too-much", most: MOST_POINTS };
    throw error;
  }
}

/** What stands in the first line of a binary file of the format. */
const BINARY = "Binary DXF";

function parsed(text: string): Parsed | null {
  try {
    return parseString(text);
  } catch {
    return null;
  }
}

/** A place of a file: what it leaves out is 0. */
const at = ({ x = 0, y = 0 }: Place): Point => ({ x, y });

class EntityReader {
  readonly runs: RawRun[] = [];
  readonly passedOver: Counts<string>;
  readonly unseen = new Counts<Unseen>();
  private points = 0;
  private readonly zs: number[] = [];
  /** Of the whole drawing, to choose chords by. */
  private readonly size: number;
  private readonly blocks: ReadonlyMap<string, Parsed["blocks"][number]>;

  constructor(
    private readonly dxf: Parsed,
    private readonly tags: Tags,
    private readonly work: Work,
  ) {
    this.passedOver = new Counts(tags.passedOver);
    this.size = roughSize(dxf);
    this.blocks = new Map(dxf.blocks.map((b) => [b.name ?? "", b]));
  }

  readAll(): void {
    this.readList(this.dxf.entities, SAME, 0, null);
  }

  notFlat(): boolean {
    const ends = this.zs.reduce(
      ([low, high], z) => [Math.min(low, z), Math.max(high, z)],
      [Infinity, -Infinity],
    );
    return ends[1] - ends[0] > FLAT_SHARE * this.size;
  }

  private readList(entities: readonly Entity[], map: Affine, depth: number, layer: string | null): void {
    for (const entity of entities) {
      this.work.spend();
      // What lies on a sheet of paper is not the drawing.
      if (entity.paperSpace) continue;
      const unseen = this.whyUnseen(entity, layer);
      if (unseen) {
        this.unseen.add(unseen);
        continue;
      }
      const flips = IN_OWN_FRAME.includes(entity.type) && (entity.extrusionZ ?? 1) < 0;
      this.read(entity as Known, flips ? after(map, MIRRORED) : map, depth, layer);
    }
  }

  /** Of what is on a layer that is off or frozen; a block that is put in on one that is only off shows its other layers. */
  private whyUnseen(entity: Entity, inserted: string | null): Unseen | null {
    if (entity.visible === false) return "marked-invisible";
    const why = this.tags.hiddenLayers.get(layerOf(entity, inserted).toLowerCase());
    return why === "layer-off" && entity.type === "INSERT" ? null : (why ?? null);
  }

  private pass(type: string): void {
    this.passedOver.add(type);
  }

  private put(
    entity: Entity,
    layer: string | null,
    map: Affine,
    points: readonly Point[],
    closed: boolean,
  ): void {
    this.work.spend(RUN + points.length);
    const moved = points
      .map((p) => through(map, p))
      .filter((p) => Number.isFinite(p.x) && Number.isFinite(p.y));
    if (moved.length < 2) return;
    this.points += moved.length;
    if (this.points > MOST_POINTS) throw new TooMuchWork();
    this.runs.push({ layer: layerOf(entity, layer), points: moved, closed });
  }

  private heights(places: readonly Place[]): void {
    for (const { z } of places) if (z !== undefined && Number.isFinite(z)) this.zs.push(z);
  }

  private read(e: Known, map: Affine, depth: number, layer: string | null): void {
    switch (e.type) {
      case "LINE":
        this.heights([e.start, e.end]);
        this.put(e, layer, map, [at(e.start), at(e.end)], false);
        break;
      case "POLYLINE":
      case "LWPOLYLINE":
        if (e.type === "POLYLINE" && (e.polygonMesh || e.polyfaceMesh)) this.pass("MESH");
        else {
          this.heights(e.vertices);
          this.put(e, layer, map, this.bent(e.vertices, e.closed ?? false), e.closed ?? false);
        }
        break;
      case "CIRCLE":
        this.readCircle(e, map, layer);
        break;
      case "ARC": {
        this.heights([e]);
        const from = e.startAngle ?? 0;
        this.put(
          e,
          layer,
          map,
          this.turn(at(e), e.r ?? 0, 0, 1, from, sweepOf(from, e.endAngle ?? 0)),
          false,
        );
        break;
      }
      case "ELLIPSE": {
        this.heights([e]);
        const [major, from] = [at({ x: e.majorX, y: e.majorY }), e.startAngle ?? 0];
        const sweep = sweepOf(from, e.endAngle ?? FULL_TURN);
        const whole = Math.abs(sweep - FULL_TURN) < WHOLE_TURN;
        const [radius, axis] = [Math.hypot(major.x, major.y), Math.atan2(major.y, major.x)];
        const points = this.turn(at(e), radius, axis, e.axisRatio ?? 1, from, sweep);
        this.put(e, layer, map, whole ? points.slice(0, -1) : points, whole);
        break;
      }
      case "SPLINE": {
        this.heights(e.controlPoints);
        const control = e.controlPoints.map(at);
        const spline = { degree: e.degree ?? 3, knots: e.knots, control, weights: e.weights };
        // One that is given by places to run through has no control points.
        if (!isSound(spline)) this.pass("SPLINE");
        else {
          this.work.spend(e.knots.length * SPLINE_CHORDS * (spline.degree + 1));
          this.put(e, layer, map, alongSpline(spline, SPLINE_CHORDS), e.closed ?? false);
        }
        break;
      }
      case "INSERT":
        this.readInsert(e, map, depth, layer);
        break;
      default:
        this.pass((e as Entity).type);
    }
  }

  private readCircle(e: Extract<Known, { type: "CIRCLE" }>, map: Affine, layer: string | null): void {
    const radius = e.r ?? 0;
    if (!(radius > 0)) {
      this.pass("CIRCLE");
      return;
    }
    this.heights([e]);
    const before = this.runs.length;
    this.put(e, layer, map, this.turn(at(e), radius, 0, 1, 0, FULL_TURN).slice(0, -1), true);
    // Enlarged alike both ways it stays a circle.
    const scale = likeScale(map);
    if (scale === null || this.runs.length === before) return;
    this.runs[before] = { ...this.runs[before], circle: { ...through(map, at(e)), radius: radius * scale } };
  }

  private readInsert(
    e: Extract<Known, { type: "INSERT" }>,
    map: Affine,
    depth: number,
    layer: string | null,
  ): void {
    const block = this.blocks.get(e.block ?? "");
    const [columns, rows] = [Math.max(1, e.columnCount ?? 1), Math.max(1, e.rowCount ?? 1)];
    if (!block?.entities || depth >= DEEPEST || !(columns * rows <= MOST_COPIES)) {
      this.pass("INSERT");
      return;
    }
    const turn = turned(e.rotation ?? 0);
    const base = at(block);
    const inBlock = after(turn, after(stretched(e.scaleX ?? 1, e.scaleY ?? 1), shifted(-base.x, -base.y)));
    for (let i = 0; i < columns; i++)
      for (let k = 0; k < rows; k++) {
        this.work.spend(COPY);
        const cell = through(turn, { x: i * (e.columnSpacing ?? 0), y: k * (e.rowSpacing ?? 0) });
        const { x, y } = at(e);
        const place = after(shifted(x + cell.x, y + cell.y), inBlock);
        this.readList(block.entities, after(map, place), depth + 1, layerOf(e, layer));
      }
  }

  /** Chords along an arc of an ellipse about a centre, its major axis at an angle. */
  private turn(
    centre: Point,
    radius: number,
    axis: number,
    ratio: number,
    from: number,
    sweep: number,
  ): Point[] {
    const n = this.chordsFor(radius, sweep);
    this.work.spend(ARC_CHORD * (n + 1));
    const [c, s] = [Math.cos(axis), Math.sin(axis)];
    return Array.from({ length: n + 1 }, (_, k) => {
      const t = from + (sweep * k) / n;
      const [u, v] = [radius * Math.cos(t), radius * ratio * Math.sin(t)];
      return { x: centre.x + u * c - v * s, y: centre.y + u * s + v * c };
    });
  }

  private chordsFor(radius: number, sweep: number): number {
    const sagitta = Math.min(1, (CHORD_SHARE * this.size) / radius);
    const most = Math.min(CHORD_TURN, 2 * Math.acos(1 - sagitta));
    const n = Math.ceil(Math.abs(sweep) / most);
    return n >= 2 ? Math.min(MOST_CHORDS, n) : 2;
  }

  /** Chords along a polyline whose pieces may be arcs. */
  private bent(vertices: readonly (Place & { bulge?: number })[], closed: boolean): Point[] {
    this.work.spend(vertices.length);
    return vertices.flatMap((v, i): Point[] => {
      const a = { ...at(v), bulge: v.bulge ?? 0 };
      const last = i === vertices.length - 1;
      const round = last && !closed ? null : arcOf(a, at(vertices[(i + 1) % vertices.length]));
      if (!round) return [{ x: a.x, y: a.y }];
      return this.turn(round.centre, round.radius, 0, 1, round.from, round.to - round.from).slice(0, -1);
    });
  }
}

const FULL_TURN = 2 * Math.PI;
/** An arc that is short of a whole turn by less is one, radians. */
const WHOLE_TURN = 1e-9;
/** A block is inserted in so many rows and columns at most. */
const MOST_COPIES = 2500;
/** Chords between two knots of a spline, and along one arc at most. */
const SPLINE_CHORDS = 32;
const MOST_CHORDS = 4000;
/** What a chord of an arc, a copy of a block and an entity cost, beside their places. */
const ARC_CHORD = 2;
const COPY = 4;
const RUN = 1;

/** Block entities on layer 0 lie on the layer that the block is inserted on. */
const layerOf = (entity: Entity, inserted: string | null): string =>
  inserted !== null && (!entity.layer || entity.layer === "0") ? inserted : (entity.layer ?? "0");

/** An arc that turns by less goes all round, radians. */
const SAME_SWEEP = 1e-12;

/** Arcs run counter-clockwise. */
function sweepOf(from: number, to: number): number {
  const sweep = (to - from) % FULL_TURN;
  return sweep > SAME_SWEEP ? sweep : sweep + FULL_TURN;
}
