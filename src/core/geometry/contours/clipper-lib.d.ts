/** What is used of the library, which ships no types. */
declare module "clipper-lib" {
  type Path = { X: number; Y: number }[];
  const ClipperLib: {
    Clipper: {
      new (): {
        AddPaths(paths: Path[], type: number, closed: boolean): boolean;
        Execute(kind: number, solution: Path[], subject: number, clip: number): boolean;
      };
      Area(path: Path): number;
      MinkowskiSum(pattern: Path, path: Path, pathIsClosed: boolean): Path[];
      CleanPolygons(paths: Path[], distance: number): Path[];
      Orientation(path: Path): boolean;
    };
    ClipperOffset: {
      new (
        miterLimit: number,
        arcTolerance: number,
      ): {
        AddPaths(paths: Path[], join: number, end: number): void;
        Execute(solution: Path[], delta: number): void;
      };
    };
    PolyType: { ptSubject: number; ptClip: number };
    PolyFillType: { pftNonZero: number; pftEvenOdd: number };
    ClipType: { ctUnion: number; ctDifference: number; ctIntersection: number };
    JoinType: { jtRound: number; jtMiter: number };
    EndType: { etClosedPolygon: number };
  };
  export default ClipperLib;
}
