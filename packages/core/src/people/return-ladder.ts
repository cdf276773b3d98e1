import { distance, HOME } from '../floor/index.js';
import { legOf, USUAL_RUNG, type Pattern, type Rung } from '../pattern/index.js';
import { demandsOf } from './moves.js';

/** Steps of returning after an injury, in order. */
export const RETURN_STEPS = [
  'range',
  'straight',
  'change of direction',
  'reaction',
  'speed',
] as const;
export type ReturnStep = (typeof RETURN_STEPS)[number];

type StepRung = Pick<Rung, 'order' | 'floorScale' | 'timeFactor'>;

const STEPS: Readonly<Record<ReturnStep, StepRung>> = {
  range: { order: 'known', floorScale: 0.5, timeFactor: 2 },
  straight: { order: 'blocked', floorScale: 0.7, timeFactor: 1.6 },
  'change of direction': { order: 'known', floorScale: 0.8, timeFactor: 1.4 },
  reaction: { order: 'shuffled', floorScale: 1, timeFactor: 1.3 },
  speed: { order: 'chained', floorScale: 1, timeFactor: 1 },
};

/** Clean reps needed before moving on; more than on an ordinary rung. */
const CLEAN_SHARE = 0.9;

/**
 * A ladder back after an injury: small and slow, then straight ways only, then changes of direction, then
 * cues that have to be read, then speed. Its rungs have no time limits of their own: nobody is to hurry,
 * and it is meant for a ladder that nobody climbs without a person's word.
 * Straight ways are those whose feet do not turn; where every way turns, the nearest target.
 */
export function returnLadder(pattern: Pick<Pattern, 'targets' | 'legs' | 'stance'>): Rung[] {
  const all = pattern.targets.map(({ letter }) => letter);
  if (all.length === 0) return [];
  const straight = all.filter((letter) => {
    const { placements } = legOf(pattern, letter) ?? {};
    return placements && demandsOf(pattern.stance, placements).every(({ move }) => move !== 'turn');
  });
  const [nearest = ''] = [...pattern.targets]
    .sort((a, b) => distance(HOME, a.at) - distance(HOME, b.at))
    .map(({ letter }) => letter);
  return RETURN_STEPS.map((step, i): Rung => ({
    ...USUAL_RUNG,
    ...STEPS[step],
    ...{ number: i + 1, name: step, doing: 'feet only', pressure: 'none' },
    ...{ catchShare: 0, switchShare: 0, cleanShare: CLEAN_SHARE },
    targets: step === 'straight' ? (straight.length > 0 ? straight : [nearest]) : all,
    ...{ limitsMs: {}, limitSources: {} },
  }));
}
