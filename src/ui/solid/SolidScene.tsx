"use client";
import { OrbitControls } from "@react-three/drei";
import { Canvas, type ThreeEvent, useThree } from "@react-three/fiber";
import { type ComponentRef, type RefObject, useEffect, useMemo } from "react";
import { BufferAttribute, BufferGeometry, type PerspectiveCamera, Vector3 } from "three";
import { radians } from "@/core/base/number";
import type { PartMesh } from "@/core/knife/kernel/partMeshes";
import type { MaterialOf } from "@/core/materials/types";
import type { Offset } from "./explode";
import { shaded } from "./shading";

export type Controls = ComponentRef<typeof OrbitControls>;

/** Faces that meet flatter than this are shaded as one surface; steeper ones show an edge. */
const CREASE = radians(35);
/** The same for the light on a blade, whose grinds meet its flats at a few degrees. */
const GRIND = radians(1.6);

export interface SceneProps {
  readonly parts: readonly PartMesh[];
  readonly offsets: ReadonlyMap<string, Offset>;
  readonly hidden: ReadonlySet<string>;
  readonly picked: string | null;
  readonly onPick: (id: string | null) => void;
  readonly dark: boolean;
  /** Given from outside: the canvas is a tree of its own. */
  readonly materialOf: MaterialOf;
  readonly controls: RefObject<Controls | null>;
}

/** The knife as solids, seen in perspective; +x to the right, +y up, the right side toward the eye. */
export function SolidScene(props: SceneProps) {
  const { parts, offsets, hidden, picked, onPick, dark, controls, materialOf } = props;
  const span = useMemo(() => spanOf(parts, offsets), [parts, offsets]);
  return (
    <Canvas
      frameloop="demand"
      dpr={[1, 2]}
      camera={{ fov: 28, near: 1, far: 5000, position: [0, 60, 600] }}
      gl={{ antialias: true }}
      aria-hidden
    >
      <hemisphereLight args={[dark ? "#e6ecec" : "#ffffff", dark ? "#2a2e31" : "#8d9794", 1.6]} />
      <directionalLight position={[120, 260, 320]} intensity={1.7} />
      <directionalLight position={[-200, -120, -260]} intensity={0.7} />
      {parts.map(
        (p) =>
          !hidden.has(p.id) && (
            <Part
              key={p.id}
              part={p}
              offset={offsets.get(p.id) ?? [0, 0, 0]}
              picked={picked === p.id}
              onPick={onPick}
              dark={dark}
              materialOf={materialOf}
            />
          ),
      )}
      <View span={span} controls={controls} />
    </Canvas>
  );
}

interface Span {
  readonly middle: readonly [number, number, number];
  readonly length: number;
}

/** From the rearmost part, where it is drawn, to the tip. */
function spanOf(parts: readonly PartMesh[], offsets: SceneProps["offsets"]): Span {
  let [low, high] = [Infinity, -Infinity];
  for (const { id, mesh } of parts) {
    const off = offsets.get(id)?.[0] ?? 0;
    for (let i = 0; i < mesh.vertices.length; i += 3) {
      low = Math.min(low, mesh.vertices[i] + off);
      high = Math.max(high, mesh.vertices[i] + off);
    }
  }
  return high > low
    ? { middle: [(low + high) / 2, 0, 0], length: high - low }
    : { middle: [0, 0, 0], length: 200 };
}

/** Looks at the whole knife once, and again when it is another length by far. */
function View({ span, controls }: { span: Span; controls: RefObject<Controls | null> }) {
  const { camera, size, invalidate } = useThree();
  const length = Math.round(span.length / 40) * 40;
  // biome-ignore lint/correctness/useExhaustiveDependencies: moved only when the length steps, not at every drag
  useEffect(() => {
    frameKnife(camera as PerspectiveCamera, size.width / size.height, span, controls.current);
    controls.current?.saveState();
    invalidate();
  }, [length]);
  return <OrbitControls ref={controls} makeDefault enableDamping={false} onChange={() => invalidate()} />;
}

function frameKnife(camera: PerspectiveCamera, aspect: number, span: Span, controls: Controls | null): void {
  const half = Math.tan((camera.fov * Math.PI) / 360);
  const far = (span.length * 0.6) / (half * Math.max(0.4, aspect));
  const [x, y, z] = span.middle;
  camera.position.set(x + far * 0.28, y + far * 0.3, z + far * 0.95);
  controls?.target.copy(new Vector3(x, y, z));
  controls?.update();
}

function Part(props: {
  part: PartMesh;
  offset: Offset;
  picked: boolean;
  onPick: (id: string | null) => void;
  dark: boolean;
  materialOf: MaterialOf;
}) {
  const { part, offset, picked, onPick, dark, materialOf } = props;
  const { geometry, edges } = useMemo(() => shapeOf(part), [part]);
  useEffect(
    () => () => {
      geometry.dispose();
      edges.dispose();
    },
    [geometry, edges],
  );
  const { invalidate } = useThree();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is drawn on demand is drawn when these change
  useEffect(() => invalidate(), [offset, picked, geometry]);
  const material = materialOf(part.materialId);
  const metal = material?.class === "metal" || material?.class === "steel";
  const over = (e: ThreeEvent<PointerEvent>) => {
    e.stopPropagation();
    onPick(part.id);
  };
  return (
    <group position={offset as [number, number, number]}>
      <mesh geometry={geometry} onPointerOver={over} onPointerOut={() => onPick(null)}>
        <meshStandardMaterial
          color={material?.tint ?? "#999999"}
          metalness={metal ? 0.35 : 0}
          roughness={metal ? 0.45 : 0.75}
          emissive={picked ? "#7f8c92" : "#000000"}
          emissiveIntensity={picked ? 0.45 : 0}
        />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color={dark ? "#0b0d0e" : "#1d2326"} transparent opacity={0.55} />
      </lineSegments>
    </group>
  );
}

function shapeOf({ key, mesh }: PartMesh): { geometry: BufferGeometry; edges: BufferGeometry } {
  const { positions, normals, edges: ends } = shaded(mesh, key.kind === "blade" ? GRIND : CREASE, CREASE);
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(positions, 3));
  geometry.setAttribute("normal", new BufferAttribute(normals, 3));
  const edges = new BufferGeometry();
  edges.setAttribute("position", new BufferAttribute(ends, 3));
  return { geometry, edges };
}
