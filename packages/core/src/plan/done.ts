import type { Practised } from './home-practice.js';
import { weekOf, type OfProgramme, type Programme } from './weeks.js';

/** What somebody has done of a week, against what was planned for them. */
export interface WeekDone {
  readonly planned: number;
  readonly done: number;
  /** In sessions of the programme, min. */
  readonly plannedMinutes: number;
  readonly doneMinutes: number;
  /** At home, min. */
  readonly homePlanned: number;
  readonly homeDone: number;
}

/** Who was at a session that was planned. */
export interface Held {
  readonly planId: string | null;
  readonly attended: readonly { readonly athleteId: string; readonly minutes: number }[];
}

/** Done against planned, of each athlete of a programme and each of its weeks. */
export function doneAgainstPlanned(
  programme: Programme,
  sessions: readonly OfProgramme[],
  held: readonly Held[],
  practised: readonly Practised[],
): ReadonlyMap<string, readonly WeekDone[]> {
  const sum = (some: readonly { readonly minutes: number }[]): number =>
    some.reduce((total, { minutes }) => total + minutes, 0);
  return new Map(
    programme.athleteIds.map((athleteId) => [
      athleteId,
      programme.weeks.map(({ kind, homeMinutes }, place): WeekDone => {
        const own = sessions.filter(
          ({ day, athleteIds }) =>
            weekOf(programme, day) === place && athleteIds.includes(athleteId),
        );
        const done = own.flatMap(({ id }) => {
          const there = held
            .filter(({ planId }) => planId === id)
            .flatMap(({ attended }) => attended.filter((one) => one.athleteId === athleteId));
          return there.length > 0 ? [{ minutes: sum(there) }] : [];
        });
        return {
          ...{ planned: own.length, done: done.length },
          ...{ plannedMinutes: sum(own), doneMinutes: sum(done) },
          homePlanned: kind === 'off' ? 0 : homeMinutes,
          homeDone: sum(
            practised.filter(
              (one) => one.athleteId === athleteId && weekOf(programme, one.day) === place,
            ),
          ),
        };
      }),
    ]),
  );
}
