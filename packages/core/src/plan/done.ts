import type { Practised } from './home-practice.js';
import { weekOf, type OfProgramme, type Programme } from './weeks.js';

/** What an athlete has done in a week, compared with the plan. */
export interface WeekDone {
  readonly planned: number;
  readonly done: number;
  /** In the programme's sessions, min. */
  readonly plannedMinutes: number;
  readonly doneMinutes: number;
  /** At home, min. */
  readonly homePlanned: number;
  readonly homeDone: number;
}

/** A planned session that took place, with its attendance. */
export interface Held {
  readonly planId: string | null;
  readonly attended: readonly { readonly athleteId: string; readonly minutes: number }[];
}

/** For each athlete and week of a programme, what was done of what was planned. */
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
