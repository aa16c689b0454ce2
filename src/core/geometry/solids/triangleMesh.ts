/** A closed triangle mesh: vertices as x, y, z …, triangles as three vertex numbers, outward by the right hand. */
export interface TriangleMesh {
  readonly vertices: Float32Array;
  readonly triangles: Uint32Array;
}
