import type { Point } from './point.js';

export interface Line {
  readonly from: Point;
  readonly to: Point;
}

/** A court's lines in its own coordinates: metres from the middle of its back edge, y forward. */
export interface Court {
  readonly name: string;
  readonly widthM: number;
  readonly lengthM: number;
  readonly lines: readonly Line[];
}

const line = (x1: number, y1: number, x2: number, y2: number): Line => ({
  from: { x: x1, y: y1 },
  to: { x: x2, y: y2 },
});

/** Singles squash: 6.40 × 9.75 m, short line 4.26 m from the back wall, boxes 1.60 m square. */
const squash: Court = {
  name: 'squash court',
  widthM: 6.4,
  lengthM: 9.75,
  lines: [
    line(-3.2, 4.26, 3.2, 4.26),
    line(0, 0, 0, 4.26),
    line(-1.6, 4.26, -1.6, 2.66),
    line(-3.2, 2.66, -1.6, 2.66),
    line(1.6, 4.26, 1.6, 2.66),
    line(1.6, 2.66, 3.2, 2.66),
  ],
};

export const COURTS = { squash } as const satisfies Record<string, Court>;
export type CourtName = keyof typeof COURTS;
export const COURT_NAMES = Object.keys(COURTS) as CourtName[];

const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });

/** A court seen from home base. */
export interface CourtOnFloor {
  readonly backLeft: Point;
  readonly frontRight: Point;
  readonly lines: readonly Line[];
}

/** The court's edge and lines in floor coordinates, for a home base standing at `home` on it. */
export const courtOnFloor = (court: Court, home: Point): CourtOnFloor => ({
  backLeft: minus({ x: -court.widthM / 2, y: 0 }, home),
  frontRight: minus({ x: court.widthM / 2, y: court.lengthM }, home),
  lines: court.lines.map(({ from, to }) => ({ from: minus(from, home), to: minus(to, home) })),
});
