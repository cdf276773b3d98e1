import fc from 'fast-check';
import { distance } from '@orthokin/core/floor';
import {
  applyTaps,
  changesOfDirection,
  contactsOf,
  detourRatio,
  feetAt,
  legFigures,
  patternFigures,
  phaseSpans,
  playSpan,
  rhythmOf,
  stepLengthsM,
  type Tap,
} from '@orthokin/core/footwork';
import { arrivalMs, homeMs, legOf, type Leg, type Pattern } from '@orthokin/core/pattern';
import { anyPattern, bare, laid } from './patterns.js';

const star = laid(bare('star', 2.5));
const legTo = (letter: string, pattern: Pattern = star): Leg => {
  const leg = legOf(pattern, letter);
  if (!leg) throw new Error(`no leg to ${letter}`);
  return leg;
};

describe('figures', () => {
  test('of a leg: distances, detour, steps and times', () => {
    const { toTargetM, out, back, baseWidthsM } = legFigures(star, legTo('F'));
    expect(toTargetM).toBeCloseTo(2.5, 9);
    expect(out.straightM).toBeCloseTo(2.5 - 0.315, 3);
    expect(out.detour).toBeCloseTo(out.pathM / out.straightM, 12);
    expect(out.ms).toBe(arrivalMs(legTo('F')));
    expect(back.ms).toBe((homeMs(legTo('F')) ?? 0) - legTo('F').actionMs);
    expect(out.steps).toBe(
      legTo('F').placements.filter(({ phase }) => phase === 'travel' || phase === 'load').length,
    );
    expect(baseWidthsM.stance).toBeCloseTo(1.4 * 0.42, 9);
  });

  test('of each step: from where the other foot stands to where this one lands', () => {
    const { stance } = star;
    const leg = legTo('F');
    const placed = (foot: 'left' | 'right', x: number, y: number) => ({
      ...(leg.placements[0] as (typeof leg.placements)[number]),
      ...{ foot, at: { x, y } },
    });
    const two = {
      ...leg,
      placements: [placed('right', 1, 0), placed('right', 1.5, 0), placed('left', 1, 0)],
    };
    const [first, again, second] = stepLengthsM(star, two);
    expect(first).toBeCloseTo(distance({ x: 1, y: 0 }, stance.left.at), 12);
    // A foot that is set again steps from the foot that stood, not from itself.
    expect(again).toBeCloseTo(distance({ x: 1.5, y: 0 }, stance.left.at), 12);
    expect(second).toBeCloseTo(0.5, 12);
    expect(stepLengthsM(star, { ...leg, placements: [] })).toEqual([]);
    for (const length of stepLengthsM(star, leg)) expect(length).toBeLessThan(2);
  });

  test('of a pattern: bits of choice, distance, turns and cycle; unknown without feet', () => {
    const figures = patternFigures(star);
    expect(figures.bitsOfChoice).toBeCloseTo(Math.log2(6), 12);
    expect(figures.distancePerRepM).toBeCloseTo(5, 9);
    expect(figures.turnsPerRep).toBeCloseTo(2, 9);
    expect(patternFigures(bare('star', 2.5))).toMatchObject({ turnsPerRep: null, cycleMs: null });
    expect(patternFigures({ ...bare('star', 2), targets: [] })).toMatchObject({
      bitsOfChoice: 0,
      distancePerRepM: 0,
    });
  });

  test('a straight path has a detour of 1; one that goes nowhere has none', () => {
    const path = [
      { x: 0, y: 0 },
      { x: 1, y: 1 },
      { x: 2, y: 2 },
    ];
    expect(detourRatio(path)).toBeCloseTo(1, 12);
    expect(
      detourRatio([
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 0, y: 0 },
      ]),
    ).toBeNull();
  });

  test('small wobbles are no change of direction; turning back is one', () => {
    const wobble = [0, 0.05, 0, 0.05].map((y, i) => ({ x: i * 0.5, y }));
    expect(changesOfDirection(wobble)).toBe(0);
    expect(changesOfDirection([...wobble, { x: 0, y: 0 }])).toBe(1);
  });
});

describe('playing a leg through', () => {
  test('a foot never leaves the floor before it landed, and stands where it was put', () => {
    fc.assert(
      fc.property(anyPattern, (pattern) => {
        for (const leg of pattern.legs) {
          for (const { fromMs, toMs } of contactsOf(leg))
            expect(toMs).toBeGreaterThanOrEqual(fromMs);
          for (const { foot, at, atMs } of leg.placements.slice(-2)) {
            expect(distance(feetAt(pattern, leg, atMs + 1)[foot].at, at)).toBeLessThan(1e-9);
          }
        }
      }),
      { numRuns: 30 },
    );
  });

  test('feet move without jumps', () => {
    const leg = legTo('C');
    const { fromMs, toMs } = playSpan(leg);
    for (let ms = fromMs; ms < toMs; ms += 5) {
      const [now, next] = [feetAt(star, leg, ms), feetAt(star, leg, ms + 5)];
      for (const side of ['left', 'right'] as const)
        expect(distance(now[side].at, next[side].at)).toBeLessThan(0.12);
    }
    expect(feetAt(star, leg, fromMs).left).toMatchObject({ at: star.stance.left.at, lift: 0 });
  });

  test('the phases follow each other from first to last without a gap', () => {
    const leg = legTo('C');
    const spans = phaseSpans(leg);
    expect(spans.map(({ phase }) => phase)).toEqual([
      ...['stance', 'split', 'reaction', 'travel', 'load', 'action', 'recovery', 'ready margin'],
    ]);
    expect([spans[0]?.fromMs, spans.at(-1)?.toMs]).toEqual(Object.values(playSpan(leg)));
    for (const [i, span] of spans.entries())
      expect(span.toMs).toBe(spans[i + 1]?.fromMs ?? span.toMs);
  });
});

describe('rhythm', () => {
  test('intervals, their ratio to the first, and whether they quicken', () => {
    expect(rhythmOf([0, 200, 380, 520])).toEqual({
      intervalsMs: [200, 180, 140],
      ratios: [1, 0.9, 0.7],
      quickens: true,
      breaksAt: -1,
    });
    expect(rhythmOf([0, 200, 409]).quickens).toBe(true);
    expect(rhythmOf([0, 200, 411])).toMatchObject({ quickens: false, breaksAt: 1 });
    expect(rhythmOf([0, 200]).quickens).toBeNull();
    expect(rhythmOf([]).intervalsMs).toEqual([]);
  });

  const tapsFor = (leg: Leg, everyMs: number, count?: number): Tap[] =>
    leg.placements
      .filter(({ phase }) => phase !== 'split')
      .slice(0, count)
      .map(({ foot }, i) => ({ foot, atMs: 5000 + i * everyMs }));

  test('taps become the times of the steps, the first where it was', () => {
    const leg = legTo('A');
    const { leg: tapped, otherFoot, unused } = applyTaps(leg, tapsFor(leg, 210));
    const [, , ...steps] = tapped.placements;
    expect(rhythmOf(steps.map(({ atMs }) => atMs)).intervalsMs).toEqual(
      steps.slice(1).map(() => 210),
    );
    expect(steps[0]?.atMs).toBe(leg.placements[2]?.atMs);
    expect([otherFoot, unused]).toEqual([[], 0]);
  });

  test('tapped as it is, a leg stays as it is', () => {
    fc.assert(
      fc.property(anyPattern, ({ legs }) => {
        for (const leg of legs) {
          const taps = leg.placements.slice(2).map(({ foot, atMs }) => ({ foot, atMs: atMs + 77 }));
          expect(applyTaps(leg, taps).leg).toEqual(leg);
        }
      }),
      { numRuns: 30 },
    );
  });

  test('what follows the last tap moves along with it; the order of the feet is not changed', () => {
    const leg = legTo('A');
    const taps = tapsFor(leg, 300, 2).map((tap) => ({ ...tap, foot: 'left' as const }));
    const { leg: tapped, otherFoot } = applyTaps(leg, taps);
    const shift = (tapped.placements[3]?.atMs ?? 0) - (leg.placements[3]?.atMs ?? 0);
    expect(tapped.placements.at(-1)?.atMs).toBe((leg.placements.at(-1)?.atMs ?? 0) + shift);
    expect(tapped.actionMs).toBe(leg.actionMs + shift);
    expect(tapped.placements.map(({ foot }) => foot)).toEqual(
      leg.placements.map(({ foot }) => foot),
    );
    expect(otherFoot).toHaveLength(1);
  });

  test('taps that no step is left for are counted, and no taps change nothing', () => {
    const leg = legTo('A');
    const many = [...tapsFor(leg, 200), { foot: 'left', atMs: 9000 } as const];
    expect(applyTaps(leg, many).unused).toBe(1);
    expect(applyTaps(leg, []).leg).toBe(leg);
  });
});
