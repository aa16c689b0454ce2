import type { TriangleMesh } from "../../geometry/solids/triangleMesh";
import type { StoredMesh } from "./schema";

/** A stored shape's numbers, or null where they are damaged: not whole, not finite, or corners that are not there. */
export function decodeMesh(stored: Pick<StoredMesh, "vertices" | "triangles">): TriangleMesh | null {
  const [v, t] = [bytesOf(stored.vertices), bytesOf(stored.triangles)];
  if (!v || !t || v.byteLength % 12 !== 0 || t.byteLength % 12 !== 0) return null;
  const vertices = new Float32Array(v.buffer, 0, v.byteLength / 4);
  const triangles = new Uint32Array(t.buffer, 0, t.byteLength / 4);
  if (triangles.length === 0 || !vertices.every(Number.isFinite)) return null;
  const count = vertices.length / 3;
  return triangles.every((k) => k < count) ? { vertices, triangles } : null;
}

/** A shape as a design keeps it. */
export function encodeMesh(mesh: TriangleMesh): Pick<StoredMesh, "vertices" | "triangles"> {
  return { vertices: base64Of(mesh.vertices), triangles: base64Of(mesh.triangles) };
}

function bytesOf(base64: string): Uint8Array<ArrayBuffer> | null {
  try {
    const text = atob(base64);
    const bytes = new Uint8Array(text.length);
    for (let i = 0; i < bytes.length; i++) bytes[i] = text.charCodeAt(i);
    return bytes;
  } catch {
    return null;
  }
}

function base64Of(numbers: Float32Array | Uint32Array): string {
  const bytes = new Uint8Array(numbers.buffer, numbers.byteOffset, numbers.byteLength);
  let text = "";
  for (let i = 0; i < bytes.length; i += 0x8000)
    text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}
