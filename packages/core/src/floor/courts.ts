import type { Arc, Court, Line, SizeM } from './court.js';

const line = (x1: number, y1: number, x2: number, y2: number): Line => ({
  from: { x: x1, y: y1 },
  to: { x: x2, y: y2 },
});

/** The lines through the points in order: x1, y1, x2, y2, … */
const polyline = (...xy: number[]): Line[] =>
  Array.from({ length: xy.length / 2 - 1 }, (_, i) =>
    line(xy[2 * i] ?? 0, xy[2 * i + 1] ?? 0, xy[2 * i + 2] ?? 0, xy[2 * i + 3] ?? 0),
  );

const arc = (x: number, y: number, radiusM: number, fromDeg: number, toDeg: number): Arc => ({
  centre: { x, y },
  radiusM,
  fromDeg,
  toDeg,
});

const circle = (x: number, y: number, radiusM: number): Arc => arc(x, y, radiusM, 0, 360);

/** The same line on both sides. */
const both = ({ from, to }: Line): Line[] => [{ from, to }, line(-from.x, from.y, -to.x, to.y)];

const across = (widthM: number, y: number): Line => line(-widthM / 2, y, widthM / 2, y);

type Marks = SizeM & Partial<Pick<Court, 'lines' | 'arcs' | 'edged'>>;

const court = (name: string, marks: Marks): Court => ({
  name,
  lines: [],
  arcs: [],
  edged: true,
  ...marks,
});

/** Half a court with its run-back, looking at the net, which is the front edge. */
const tennis = court('tennis, one half', {
  widthM: 10.97,
  lengthM: 11.885 + 3.5,
  edged: false,
  lines: [
    ...polyline(-5.485, 15.385, -5.485, 3.5, 5.485, 3.5, 5.485, 15.385, -5.485, 15.385),
    ...both(line(4.115, 3.5, 4.115, 15.385)),
    across(8.23, 15.385 - 6.4),
    line(0, 15.385 - 6.4, 0, 15.385),
    line(0, 3.5, 0, 3.6),
  ],
});

const badminton = court('badminton, one half', {
  widthM: 6.1,
  lengthM: 6.7,
  lines: [
    ...both(line(2.59, 0, 2.59, 6.7)),
    across(6.1, 0.76),
    across(6.1, 4.72),
    line(0, 0, 0, 4.72),
  ],
});

/** Singles squash: short line 4.26 m from the back wall, boxes 1.60 m square. */
const squash = court('squash', {
  widthM: 6.4,
  lengthM: 9.75,
  lines: [
    across(6.4, 4.26),
    line(0, 0, 0, 4.26),
    ...both(line(1.6, 4.26, 1.6, 2.66)),
    ...both(line(1.6, 2.66, 3.2, 2.66)),
  ],
});

/** One end: the near half of the 2.74 × 1.525 m table with the run-back of a competition area. */
const tableTennis = court('table tennis, one end', {
  widthM: 7,
  lengthM: 7,
  lines: [...polyline(-0.7625, 7, -0.7625, 5.63, 0.7625, 5.63, 0.7625, 7), line(0, 5.63, 0, 7)],
});

const volleyball = court('volleyball, one half', {
  widthM: 9,
  lengthM: 9,
  lines: [across(9, 6)],
});

const beachVolleyball = court('beach volleyball, one half', { widthM: 8, lengthM: 8 });

/** Half a 28 × 15 m court, looking at the basket; three-point line 6.75 m from the basket's point. */
const basketball = court('basketball, half court', {
  widthM: 15,
  lengthM: 14,
  lines: [
    ...polyline(-2.45, 14, -2.45, 8.2, 2.45, 8.2, 2.45, 14),
    ...both(line(6.6, 14, 6.6, 11.01)),
  ],
  arcs: [
    arc(0, 8.2, 1.8, 90, 270),
    arc(0, 14 - 1.575, 6.75, 102.08, 257.92),
    arc(0, 14 - 1.575, 1.25, 90, 270),
    arc(0, 0, 1.8, -90, 90),
  ],
});

/** A goal area seen by its defenders, back to a 3 m goal: 6 m line, dashed 9 m line, 7 m mark. */
const handball = court('handball, goal area', {
  widthM: 20,
  lengthM: 12,
  edged: false,
  lines: [
    across(20, 0),
    ...both(line(10, 0, 10, 12)),
    ...both(line(1.5, 0, 1.5, 0.3)),
    across(3, 6),
    across(1, 7),
    across(3, 9),
    across(0.15, 4),
  ],
  arcs: [
    arc(-1.5, 0, 6, -90, 0),
    arc(1.5, 0, 6, 0, 90),
    arc(-1.5, 0, 9, -70.8, 0),
    arc(1.5, 0, 9, 0, 70.8),
  ],
});

/** The area in front of a 7.32 m goal, seen from it: 16.5 m and 5.5 m boxes, spot at 11 m. */
const football = court('football, penalty area', {
  widthM: 44,
  lengthM: 22,
  edged: false,
  lines: [
    across(44, 0),
    ...polyline(-20.16, 0, -20.16, 16.5, 20.16, 16.5, 20.16, 0),
    ...polyline(-9.16, 0, -9.16, 5.5, 9.16, 5.5, 9.16, 0),
    ...both(line(3.66, 0, 3.66, 0.4)),
  ],
  arcs: [circle(0, 11, 0.11), arc(0, 11, 9.15, -53.05, 53.05)],
});

/** Home plate at the back; 90 ft (27.43 m) between bases, pitcher's plate at 60 ft 6 in. */
const baseball = court('baseball, infield', {
  widthM: 44,
  lengthM: 42,
  edged: false,
  lines: [...polyline(0, 0, 19.4, 19.4, 0, 38.8, -19.4, 19.4, 0, 0), across(0.61, 18.44)],
  arcs: [circle(0, 18, 2.74)],
});

/** Round one wicket: creases 1.22 m apart, return creases 1.32 m from the middle, pitch 3.05 m wide. */
const cricket = court('cricket, crease and surroundings', {
  widthM: 16,
  lengthM: 14,
  edged: false,
  lines: [
    across(2.64, 4),
    across(3.66, 5.22),
    ...both(line(1.32, 2.78, 1.32, 5.22)),
    ...both(line(1.525, 2.78, 1.525, 14)),
  ],
});

/** 14 m piste, 1.5 m wide: middle line, on-guard lines 2 m from it, warning lines 2 m before the ends. */
const fencing = court('fencing strip', {
  widthM: 1.5,
  lengthM: 14,
  lines: [2, 5, 7, 9, 12].map((y) => across(1.5, y)),
});

/** Court outlines with their public dimensions, m, by name. */
export const COURTS = {
  rectangle: court('plain rectangle', { widthM: 8, lengthM: 8 }),
  grid: court('small-sided grid', { widthM: 20, lengthM: 30 }),
  tennis,
  badminton,
  squash,
  tableTennis,
  volleyball,
  beachVolleyball,
  basketball,
  handball,
  football,
  baseball,
  cricket,
  fencing,
} as const satisfies Record<string, Court>;

export type CourtName = keyof typeof COURTS;
/** The names, in the order they are offered. */
export const COURT_NAMES = Object.keys(COURTS) as CourtName[];

/** Courts without a prescribed size. */
export const hasOwnSize = (name: CourtName): boolean => name === 'rectangle' || name === 'grid';

/** A grid is marked in quarters and a middle circle, whatever its size. */
const gridMarks = ({ widthM, lengthM }: SizeM): Pick<Court, 'lines' | 'arcs'> => ({
  lines: [across(widthM, lengthM / 2), line(0, 0, 0, lengthM)],
  arcs: [circle(0, lengthM / 2, Math.min(widthM, lengthM) / 10)],
});

/** The court of a name; `size` applies if it has no prescribed one. */
export function courtOf(name: CourtName, size: SizeM | null): Court {
  const known = COURTS[name];
  if (!hasOwnSize(name)) return known;
  const { widthM, lengthM } = size ?? known;
  const marks = name === 'grid' ? gridMarks({ widthM, lengthM }) : {};
  return { ...known, widthM, lengthM, ...marks };
}
