import type { SizeM } from './court.js';
import { courtOf, type CourtName } from './courts.js';
import type { Point } from './point.js';

/** A named line or edge of a court, and its distance from the back edge or from the middle, m. */
export interface CourtMark {
  readonly name: string;
  readonly atM: number;
}

/** The named lines of a court: across it, from back to front, and along it, from left to right. */
export interface CourtMarks {
  readonly across: readonly CourtMark[];
  readonly along: readonly CourtMark[];
}

const mark = (name: string, atM: number): CourtMark => ({ name, atM });

/** A name on both sides of the middle. */
const either = (name: string, atM: number): CourtMark[] => [
  mark(`left ${name}`, -atM),
  mark(`right ${name}`, atM),
];

/** Lines across by court; those along besides the middle and the edges. Dimensions as in the outlines. */
const ACROSS: Readonly<Record<CourtName, readonly CourtMark[]>> = {
  rectangle: [],
  grid: [],
  tennis: [mark('baseline', 3.5), mark('service line', 8.985), mark('net', 15.385)],
  badminton: [
    mark('back boundary', 0),
    mark('long service line', 0.76),
    mark('short service line', 4.72),
    mark('net', 6.7),
  ],
  squash: [mark('back wall', 0), mark('short line', 4.26), mark('front wall', 9.75)],
  tableTennis: [mark('end of the table', 5.63), mark('net', 7)],
  volleyball: [mark('end line', 0), mark('attack line', 6), mark('net', 9)],
  beachVolleyball: [mark('end line', 0), mark('net', 8)],
  basketball: [mark('half-way line', 0), mark('free-throw line', 8.2), mark('end line', 14)],
  handball: [
    mark('goal line', 0),
    mark('goal-area line', 6),
    mark('seven-metre mark', 7),
    mark('nine-metre line', 9),
  ],
  football: [
    mark('goal line', 0),
    mark('goal area', 5.5),
    mark('penalty spot', 11),
    mark('penalty area', 16.5),
  ],
  baseball: [mark('home plate', 0), mark('pitcher’s plate', 18.44), mark('second base', 38.8)],
  cricket: [mark('bowling crease', 4), mark('popping crease', 5.22)],
  fencing: [
    mark('near warning line', 2),
    mark('near on-guard line', 5),
    mark('middle line', 7),
    mark('far on-guard line', 9),
    mark('far warning line', 12),
  ],
};

const ALONG: Readonly<Partial<Record<CourtName, readonly CourtMark[]>>> = {
  tennis: either('singles sideline', 4.115),
  badminton: either('singles sideline', 2.59),
  squash: either('edge of the service boxes', 1.6),
  tableTennis: either('side of the table', 0.7625),
  basketball: either('side of the lane', 2.45),
  cricket: either('return crease', 1.32),
};

/** The named lines of a court of a size. */
export function courtMarks(name: CourtName, size: SizeM | null): CourtMarks {
  const { widthM, lengthM } = courtOf(name, size);
  const across = ACROSS[name];
  return {
    across:
      across.length > 0
        ? across
        : [mark('back edge', 0), mark('middle', lengthM / 2), mark('front edge', lengthM)],
    along: [
      ...either(name === 'squash' ? 'side wall' : 'edge', widthM / 2),
      ...(ALONG[name] ?? []),
      mark('middle', 0),
    ].sort((a, b) => a.atM - b.atM),
  };
}

/** A place relative to the nearest named lines of a court, m; positive is in front and to the right. */
export interface PlaceOnCourt {
  readonly across: CourtMark;
  readonly beforeM: number;
  readonly along: CourtMark;
  readonly rightM: number;
}

const nearestTo = (marks: readonly CourtMark[], atM: number): CourtMark =>
  marks.reduce((a, b) => (Math.abs(b.atM - atM) < Math.abs(a.atM - atM) ? b : a));

/** A place in a court's own coordinates (metres from the middle of its back edge) by its named lines. */
export function placeOnCourt(name: CourtName, size: SizeM | null, { x, y }: Point): PlaceOnCourt {
  const marks = courtMarks(name, size);
  const [across, along] = [nearestTo(marks.across, y), nearestTo(marks.along, x)];
  return { across, beforeM: y - across.atM, along, rightM: x - along.atM };
}

/** The nearest place inside a court, in its own coordinates. */
export function withinCourt(name: CourtName, size: SizeM | null, { x, y }: Point): Point {
  const { widthM, lengthM } = courtOf(name, size);
  return {
    x: Math.min(widthM / 2, Math.max(-widthM / 2, x)),
    y: Math.min(lengthM, Math.max(0, y)),
  };
}
