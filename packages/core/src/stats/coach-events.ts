import { EVENT_ANCHORS, type EventAnchor } from '../pattern/index.js';
import { coachDuration, coachEventNames, type RepReading } from '../timing/index.js';
import { summariseTimes, type DurationSummary } from './summary.js';

/** The times of a coach's own event in a set, after the cue or the arrival. */
export interface CoachEventFigures {
  readonly event: string;
  readonly from: EventAnchor;
  readonly summary: DurationSummary;
}

/** Every event of the coach's own against the cue and against the arrival, over the reps that count. */
export function coachEventFigures(readings: readonly RepReading[]): CoachEventFigures[] {
  const counted = readings.filter(({ leftOut }) => leftOut === null);
  return coachEventNames(counted.map(({ rep }) => rep)).flatMap((event) =>
    EVENT_ANCHORS.flatMap((from): CoachEventFigures[] => {
      const times = counted.flatMap(({ rep: { ordinal, events, marks } }) => {
        const duration = coachDuration(events, marks?.coachEvents ?? [], event, from);
        return duration ? [{ ordinal, duration }] : [];
      });
      const summary = summariseTimes(times);
      return summary ? [{ event, from, summary }] : [];
    }),
  );
}
