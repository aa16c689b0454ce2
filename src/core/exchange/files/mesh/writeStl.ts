import type { TriangleMesh } from "../../../geometry/solids/triangleMesh";

/** A mesh as binary STL, in mm; `title` is kept in its head as far as it fits. */
export function writeStl(mesh: TriangleMesh, title: string): Uint8Array<ArrayBuffer> {
  const { vertices: v, triangles: t } = mesh;
  const count = t.length / 3;
  const bytes = new Uint8Array(84 + 50 * count);
  const view = new DataView(bytes.buffer);
  // The head must not begin with "solid", by which readers tell the text form.
  const head = new TextEncoder().encode(`Euaxis, mm: ${title}`.replace(/[^\x20-\x7e]/g, "?"));
  bytes.set(head.subarray(0, 80));
  view.setUint32(80, count, true);
  for (let i = 0; i < count; i++) {
    const at = 84 + 50 * i;
    const [a, b, c] = [0, 1, 2].map((k) => [0, 1, 2].map((d) => v[3 * t[3 * i + k] + d]));
    normalOf(a, b, c).forEach((n, d) => {
      view.setFloat32(at + 4 * d, n, true);
    });
    [a, b, c].forEach((p, k) => {
      for (let d = 0; d < 3; d++) view.setFloat32(at + 12 + 12 * k + 4 * d, p[d], true);
    });
  }
  return bytes;
}

/** Unit normal by the right hand; nothing for a triangle without area. */
function normalOf(a: number[], b: number[], c: number[]): number[] {
  const [p, q] = [[0, 1, 2].map((d) => b[d] - a[d]), [0, 1, 2].map((d) => c[d] - a[d])];
  const n = [p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]];
  const size = Math.hypot(...n);
  return size > 0 ? n.map((x) => x / size) : [0, 0, 0];
}
