import {
  GATED_DURATIONS,
  limitAt,
  type Doing,
  type Pressure,
  type Rung,
  type RungOrder,
} from './rung.js';

/** A change between two rungs. */
export type StepUp =
  | { readonly what: 'targets'; readonly more: number }
  | { readonly what: 'order'; readonly order: RungOrder }
  | { readonly what: 'doing'; readonly doing: Doing }
  | { readonly what: 'pressure'; readonly pressure: Pressure }
  /** A kind of test that is added or removed. */
  | { readonly what: 'catch' | 'switch'; readonly comes: boolean }
  | { readonly what: 'floor'; readonly larger: boolean }
  | { readonly what: 'pace'; readonly quicker: boolean };

const tests = (what: 'catch' | 'switch', from: number, to: number): StepUp[] =>
  from > 0 === to > 0 ? [] : [{ what, comes: to > 0 }];

/** Whether limits became tighter; `null` if they did not change, or only some did. */
function paceOf(from: Rung, to: Rung): boolean | null {
  if (from.timeFactor !== to.timeFactor) return to.timeFactor < from.timeFactor;
  const changes = GATED_DURATIONS.flatMap((gate) =>
    to.targets.flatMap((target) => {
      const [before, after] = [limitAt(from, gate, target), limitAt(to, gate, target)];
      return before === undefined || after === undefined || before === after
        ? []
        : [after < before];
    }),
  );
  if (changes.length === 0 || new Set(changes).size > 1) return null;
  return changes[0] ?? null;
}

/** The changes between two rungs, in the order a coach would name them. */
export function stepUp(from: Rung, to: Rung): StepUp[] {
  const more = to.targets.length - from.targets.length;
  const quicker = paceOf(from, to);
  return [
    ...(more === 0 ? [] : [{ what: 'targets', more } as const]),
    ...(from.order === to.order ? [] : [{ what: 'order', order: to.order } as const]),
    ...(from.doing === to.doing ? [] : [{ what: 'doing', doing: to.doing } as const]),
    ...(from.pressure === to.pressure
      ? []
      : [{ what: 'pressure', pressure: to.pressure } as const]),
    ...tests('catch', from.catchShare, to.catchShare),
    ...tests('switch', from.switchShare, to.switchShare),
    ...(from.floorScale === to.floorScale
      ? []
      : [{ what: 'floor', larger: to.floorScale > from.floorScale } as const]),
    ...(quicker === null ? [] : [{ what: 'pace', quicker } as const]),
  ];
}
