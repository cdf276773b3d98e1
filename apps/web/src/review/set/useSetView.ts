import { ALIGN_AT, type AlignAt } from '../../parts/ribbon/scale.js';
import { medianRep } from '@orthokin/core/stats';
import type { RepReading } from '@orthokin/core/timing';
import { useAddress } from '../../parts/useAddress.js';
import { timedBy } from '../../words/verdict.js';

export const SORTS = ['order', 'target', 'time'] as const;
export type Sort = (typeof SORTS)[number];

/** How to show a set's reps; kept in the address, so that a view can be shared. */
export interface SetView {
  readonly at: AlignAt;
  readonly sort: Sort;
  /** `none`, `median`, or the ordinal of a rep. */
  readonly reference: string;
  /** The timing source of the reps to show, or `all`. */
  readonly by: string;
}

export const PLAIN_VIEW: SetView = { at: 'cue', sort: 'order', reference: 'none', by: 'all' };

const oneOf = <T extends string>(all: readonly T[], given: string | null, usual: T): T =>
  all.find((each) => each === given) ?? usual;

const viewOf = (params: URLSearchParams): SetView => ({
  at: oneOf(ALIGN_AT, params.get('at'), PLAIN_VIEW.at),
  sort: oneOf(SORTS, params.get('sort'), PLAIN_VIEW.sort),
  reference: params.get('reference') ?? PLAIN_VIEW.reference,
  by: params.get('by') ?? PLAIN_VIEW.by,
});

/** Only values that differ from the default are in the address. */
const addressOf = (view: SetView): URLSearchParams =>
  new URLSearchParams(
    Object.entries(view).filter(([name, value]) => value !== PLAIN_VIEW[name as keyof SetView]),
  );

export function useSetView(): [SetView, (change: Partial<SetView>) => void] {
  const [params, change] = useAddress();
  return [viewOf(params), (part) => change((now) => addressOf({ ...viewOf(now), ...part }))];
}

const cycleOf = ({ durations }: RepReading): number =>
  durations.cycle?.ms ?? durations.response?.ms ?? Infinity;

/** The reps in the chosen order, without those that lack the event to align by. */
export function inView(readings: readonly RepReading[], { at, sort, by }: SetView): RepReading[] {
  const shown = readings.filter(
    (reading) =>
      (at === 'cue' || reading.rep.events.some(({ name }) => name === at)) &&
      (by === 'all' || timedBy(reading) === by),
  );
  const order = (a: RepReading, b: RepReading) => a.rep.ordinal - b.rep.ordinal;
  if (sort === 'target')
    return shown.sort((a, b) => a.rep.target.localeCompare(b.rep.target) || order(a, b));
  return sort === 'time' ? shown.sort((a, b) => cycleOf(a) - cycleOf(b)) : shown.sort(order);
}

/** The rep to compare the others with. */
export function referenceOf(
  readings: readonly RepReading[],
  { reference }: SetView,
): RepReading | undefined {
  if (reference === 'none') return undefined;
  if (reference === 'median') return medianRep(readings) ?? undefined;
  return readings.find(({ rep }) => String(rep.ordinal) === reference);
}
