import { minus, type Point } from './point.js';

/** A line painted on the floor, from end to end, m. */
export interface Line {
  readonly from: Point;
  readonly to: Point;
}

/** Part of a circle, clockwise from one heading to another, degrees from forward. */
export interface Arc {
  readonly centre: Point;
  readonly radiusM: number;
  readonly fromDeg: number;
  readonly toDeg: number;
}

/** Width across and length forward, m. */
export interface SizeM {
  readonly widthM: number;
  readonly lengthM: number;
}

/** A court's lines in its own coordinates: metres from the middle of its back edge, y forward. */
export interface Court extends SizeM {
  readonly name: string;
  readonly lines: readonly Line[];
  readonly arcs: readonly Arc[];
  /** Whether its outer edge is a line or a wall; otherwise just where the drawing ends. */
  readonly edged: boolean;
}

/** A court seen from home base. */
export interface CourtOnFloor {
  readonly backLeft: Point;
  readonly frontRight: Point;
  readonly lines: readonly Line[];
  readonly arcs: readonly Arc[];
  readonly edged: boolean;
}

/** The court's edge and lines in floor coordinates, for a home base standing at `home` on it. */
export const courtOnFloor = (court: Court, home: Point): CourtOnFloor => ({
  backLeft: minus({ x: -court.widthM / 2, y: 0 }, home),
  frontRight: minus({ x: court.widthM / 2, y: court.lengthM }, home),
  lines: court.lines.map(({ from, to }) => ({ from: minus(from, home), to: minus(to, home) })),
  edged: court.edged,
  arcs: court.arcs.map((arc) => ({ ...arc, centre: minus(arc.centre, home) })),
});
