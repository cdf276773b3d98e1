import fc from 'fast-check';
import { distance, HOME } from '@orthokin/core/floor';
import {
  bestLandmark,
  changeLeg,
  changePlacement,
  checkPattern,
  copyLegAcross,
  counterpartOf,
  insertPlacement,
  landmarksOf,
  LAYOUTS,
  layoutTargets,
  legOf,
  MAX_TARGETS,
  mirrorPattern,
  nextMarker,
  notesOf,
  positionOf,
  removePlacement,
  standings,
  tapeMarks,
  targetOf,
  withLeg,
  withNotes,
  withoutTarget,
  withTarget,
  withTargets,
  type Pattern,
  USUAL_RUNG,
} from '@orthokin/core/pattern';
import { anyPattern, bare, laid } from './patterns.js';

const star = laid(bare('star', 2.5));

/** What is known to be there. */
function must<T>(value: T | undefined): T {
  if (value === undefined) throw new Error('Not there.');
  return value;
}
const someTarget = must(star.targets[0]);
const someLeg = must(star.legs[0]);

describe('layouts', () => {
  test.each(LAYOUTS)('%s gives every target its own letter, shape and place', (layout) => {
    const targets = layoutTargets(layout, 2.5);
    for (const key of ['letter', 'shape', 'colour', 'name'] as const)
      expect(new Set(targets.map((target) => target[key])).size).toBe(targets.length);
  });

  test.each(LAYOUTS.filter((layout) => layout !== 'box'))(
    '%s: the one distance is every target’s',
    (layout) => {
      for (const { at } of layoutTargets(layout, 3)) expect(distance(HOME, at)).toBeCloseTo(3, 9);
    },
  );

  test('twelve markers can be told apart by shape and colour together; there is no thirteenth', () => {
    let targets = bare('star', 2).targets;
    for (let n = targets.length; n < MAX_TARGETS; n++) {
      const added = nextMarker(targets, { x: 1, y: n });
      if (added) targets = [...targets, added];
    }
    expect(new Set(targets.map(({ shape, colour }) => `${shape} ${colour}`)).size).toBe(
      MAX_TARGETS,
    );
    expect(nextMarker(targets, HOME)).toBeNull();
    expect(
      nextMarker(
        targets.filter(({ letter }) => letter !== 'C'),
        HOME,
      )?.letter,
    ).toBe('C');
  });
});

describe('sides', () => {
  test('a mirrored pattern swaps the sides in place, in feet and in words', () => {
    const written = withNotes(star, 'A', 'load', {
      cue: 'Sit on the right',
      checkPoints: ['left heel up'],
    });
    const mirrored = mirrorPattern(written);
    expect(targetOf(star, 'A')).toMatchObject({ name: 'short right' });
    expect(targetOf(mirrored, 'A')).toMatchObject({ name: 'short left' });
    expect(mirrored.hand).toBe('left');
    const [leg, there] = [legOf(written, 'A'), legOf(mirrored, 'A')];
    expect(there?.notes.load).toEqual({ cue: 'Sit on the left', checkPoints: ['right heel up'] });
    expect(there?.placements.map(({ foot }) => foot)).toEqual(
      leg?.placements.map(({ foot }) => (foot === 'left' ? 'right' : 'left')),
    );
  });

  test('mirrored twice equals the original', () => {
    fc.assert(
      fc.property(anyPattern, (pattern) => {
        expect(mirrorPattern(mirrorPattern(pattern))).toEqual(pattern);
      }),
    );
  });

  test('a leg is copied to the target across, which is moved to the exact mirrored place', () => {
    const nudged = withTarget(star, { ...must(star.targets[1]), at: { x: -1.6, y: 1.9 } });
    expect(counterpartOf(nudged, 'A')?.letter).toBe('B');
    const copied = copyLegAcross(nudged, 'A');
    if (!copied.ok) throw new Error(copied.problem.allowed);
    const [a, b] = [targetOf(copied.value, 'A'), targetOf(copied.value, 'B')];
    expect(b?.at).toEqual({ x: -(a?.at.x ?? 0), y: a?.at.y });
    expect(legOf(copied.value, 'B')?.placements[2]?.foot).not.toBe(
      legOf(copied.value, 'A')?.placements[2]?.foot,
    );
  });

  test('without a target across, a marker is added there; without feet there is nothing to copy', () => {
    const fork = laid(bare('fork', 2.5));
    const copied = copyLegAcross(fork, 'A');
    expect(copied.ok && targetOf(copied.value, 'C')).toMatchObject({
      name: 'short left',
      kind: 'short',
    });
    expect(copyLegAcross(bare('fork', 2.5), 'A')).toMatchObject({
      ok: false,
      problem: { field: 'target' },
    });
  });
});

describe('edits', () => {
  const leg = must(legOf(star, 'A'));

  test('a target goes with its leg; legs stay with the letters that are left', () => {
    const without = withoutTarget(star, 'A');
    expect([targetOf(without, 'A'), legOf(without, 'A')]).toEqual([undefined, undefined]);
    expect(withTargets(star, layoutTargets('line', 3)).legs.map(({ target }) => target)).toEqual([
      'A',
      'B',
    ]);
  });

  test('a changed leg takes its own place; a leg that is not there is not made up', () => {
    const changed = changeLeg(star, 'A', (old) => ({ ...old, intent: 'defend' }));
    expect(legOf(changed, 'A')?.intent).toBe('defend');
    expect(changed.legs).toHaveLength(star.legs.length);
    expect(withLeg(withoutTarget(star, 'B'), leg).legs.map(({ target }) => target)).toEqual([
      ...'ACDEF',
    ]);
    expect(changeLeg(bare('star', 2), 'A', (old) => old).legs).toEqual([]);
  });

  test('placements stay in order of landing, whatever their times become', () => {
    const late = changePlacement(leg, 2, { atMs: 5000 });
    expect(late.placements.at(-1)?.atMs).toBe(5000);
    expect(removePlacement(leg, 2).placements).toHaveLength(leg.placements.length - 1);
  });

  test('a step put in belongs to the other foot, between its neighbours in place and time', () => {
    const longer = insertPlacement(leg, 2);
    const [before, added, after] = longer.placements.slice(2, 5);
    expect(added?.foot).not.toBe(before?.foot);
    expect(added?.atMs).toBe(Math.round(((before?.atMs ?? 0) + (after?.atMs ?? 0)) / 2));
    expect(insertPlacement(leg, 99)).toBe(leg);
    expect(insertPlacement(leg, leg.placements.length - 1).placements).toHaveLength(
      leg.placements.length + 1,
    );
  });

  test('notes go to the leg or to all legs, and a cue keeps its first five words', () => {
    const long = { cue: 'sit and stop and then swing', checkPoints: [] };
    const written = withNotes(withNotes(star, 'A', 'load', long), 'A', 'split', {
      cue: 'Land, look',
      checkPoints: [],
    });
    expect(notesOf(written, must(legOf(written, 'A')), 'load').cue).toBe('sit and stop and then');
    expect(notesOf(written, must(legOf(written, 'B')), 'load').cue).toBe('');
    expect(notesOf(written, must(legOf(written, 'B')), 'split').cue).toBe('Land, look');
  });
});

describe('positions', () => {
  test('stance and recovery are the same stance; weight is on the leg that loads', () => {
    const leg = must(legOf(star, 'F'));
    expect(positionOf(star, leg, 'stance')).toBe(star.stance);
    expect(positionOf(star, leg, 'recovery')?.left.at).toEqual(star.stance.left.at);
    expect(positionOf(star, leg, 'load')?.leftWeight).toBeCloseTo(0.3, 9);
    expect(positionOf(star, { ...leg, placements: [] }, 'load')).toBeNull();
  });
});

test('the feet stand where they landed last, each with the weight of the newest landing', () => {
  fc.assert(
    fc.property(anyPattern, ({ legs, stance }) => {
      for (const { placements } of legs) {
        for (const [i, standing] of standings(stance, placements).entries()) {
          const landed = placements.slice(0, i + 1);
          for (const side of ['left', 'right'] as const) {
            const last = landed.findLast(({ foot }) => foot === side);
            expect(standing[side]).toBe(last ?? stance[side]);
          }
          const newest = must(landed.at(-1));
          const weight = newest.foot === 'left' ? standing.leftWeight : 1 - standing.leftWeight;
          expect(weight).toBeCloseTo(newest.weight, 12);
        }
      }
    }),
    { numRuns: 30 },
  );
});

describe('a pattern whose parts do not fit', () => {
  const wrongs: [string, Partial<Pattern>][] = [
    ['targets', { targets: Array.from({ length: 13 }, () => someTarget) }],
    ['targets[1].letter', { targets: [someTarget, someTarget] }],
    ['sizeM', { sizeM: null }],
    ['sizeM', { court: 'squash' }],
    ['home.onCourt', { home: { onCourt: { x: 40, y: 2 }, radiusM: 0.4 } }],
    ['home.onCourt', { home: { onCourt: { x: 0, y: -0.1 }, radiusM: 0.4 } }],
    ['splitWindowMs', { splitWindowMs: [100, -60] }],
    [
      'positions.stance.cue',
      {
        positions: {
          ...star.positions,
          stance: { cue: 'one two three four five six', checkPoints: [] },
        },
      },
    ],
    ['legs[1].target', { legs: [someLeg, someLeg] }],
    ['legs[0].target', { legs: [{ ...someLeg, target: 'Z' }] }],
    [
      'legs[0].placements[1].atMs',
      { legs: [{ ...someLeg, placements: [...someLeg.placements].reverse() }] },
    ],
    [
      'legs[0].notes.load.cue',
      {
        legs: [
          {
            ...someLeg,
            notes: { ...someLeg.notes, load: { cue: '1 2 3 4 5 6', checkPoints: [] } },
          },
        ],
      },
    ],
    [
      'rungs[0].number',
      {
        rungs: [{ ...USUAL_RUNG, number: 2, name: '', targets: [], limitsMs: {} }],
      },
    ],
    [
      'rungs[0].targets',
      {
        rungs: [{ ...USUAL_RUNG, number: 1, name: '', targets: ['Z'], limitsMs: {} }],
      },
    ],
  ];
  test.each(wrongs)('says %s', (field, change) => {
    const checked = checkPattern({ ...star, ...change });
    expect(checked.ok ? 'accepted' : checked.problem.field).toBe(field);
  });

  test('one that fits is handed back', () => {
    fc.assert(
      fc.property(anyPattern, (pattern) =>
        expect(checkPattern(pattern)).toEqual({ ok: true, value: pattern }),
      ),
    );
  });
});

describe('setting out', () => {
  const squash: Pattern = {
    ...star,
    court: 'squash',
    sizeM: null,
    home: { onCourt: { x: 0, y: 4.26 }, radiusM: 0.45 },
  };

  test('two tapes and a side give back every marker', () => {
    for (const second of landmarksOf(squash)) {
      for (const { target, fromHomeM, fromSecondM, side } of tapeMarks(squash, second)) {
        const apart = distance(HOME, second.at);
        const along = (fromHomeM ** 2 - fromSecondM ** 2 + apart ** 2) / (2 * apart);
        const off =
          Math.sqrt(Math.max(0, fromHomeM ** 2 - along ** 2)) * (side === 'left' ? -1 : 1);
        const [ux, uy] = [second.at.x / apart, second.at.y / apart];
        const found = { x: along * ux + off * uy, y: along * uy - off * ux };
        expect(distance(found, target.at)).toBeLessThan(0.15);
      }
    }
  });

  test('the second point is one from which no marker lies in line with home', () => {
    const second = bestLandmark(squash);
    expect(tapeMarks(squash, second).every(({ side }) => side !== null)).toBe(true);
  });

  test('clearance is measured to the nearest edge, negative outside', () => {
    const [mark] = tapeMarks(
      { ...squash, targets: [{ ...someTarget, at: { x: 3.5, y: 0 } }] },
      bestLandmark(squash),
    );
    expect(mark?.clearanceM).toBeCloseTo(-0.3, 9);
  });
});
