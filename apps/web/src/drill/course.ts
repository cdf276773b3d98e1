import { restBefore, rotaOf, type Turn } from '@orthokin/core/drill';

/** Several sets after one another: of one athlete, or of a few who change every set. */
export interface Course {
  readonly turns: readonly Turn[];
  /** Which turn is on, or next. */
  readonly place: number;
  readonly restRatio: number;
  /** Last work of each, in the order it ended; epoch ms. */
  readonly worked: readonly {
    readonly athleteId: string;
    readonly workMs: number;
    readonly endedAt: number;
  }[];
}

export const MOST_IN_ROTA = 8;

export const beginCourse = (
  athleteIds: readonly string[],
  sets: number,
  restRatio: number,
): Course => ({ turns: rotaOf(athleteIds, sets), place: 0, restRatio, worked: [] });

export const turnOf = (course: Course): Turn | undefined => course.turns[course.place];

/** The turn that is on has been worked, or is passed over when no work is given. */
export const nextTurn = (course: Course, workMs: number | null, endedAt: number): Course => {
  const athleteId = turnOf(course)?.athleteId;
  const worked =
    workMs === null || athleteId === undefined
      ? course.worked
      : [...course.worked, { athleteId, workMs, endedAt }];
  return { ...course, place: course.place + 1, worked };
};

/** When the next set may begin, epoch ms: whoever is next must have rested. */
export function restEndsAt(course: Course, now: number): number {
  const next = turnOf(course)?.athleteId;
  const own = course.worked.findLast(({ athleteId }) => athleteId === next);
  return now + restBefore(own?.workMs ?? null, course.restRatio, own ? now - own.endedAt : 0);
}
