import fc from 'fast-check';
import {
  COLOUR_VISIONS,
  colourSeen,
  COURT_NAMES,
  courtMarks,
  courtOf,
  courtOnFloor,
  distance,
  hasOwnSize,
  heading,
  lengthWords,
  MARKER_COLOURS,
  MARKER_SHAPES,
  parseLength,
  pathLength,
  placeOnCourt,
  seenTargets,
  sideOf,
  snapped,
  swapSides,
  turn,
  withinCourt,
  type Target,
} from '@orthokin/core/floor';

describe('places', () => {
  test('headings run clockwise from forward; straight ahead is no side', () => {
    const from = { x: 0, y: 0 };
    const at = [
      { x: 0, y: 1 },
      { x: 1, y: 0 },
      { x: -1, y: 0 },
    ];
    expect(at.map((to) => heading(from, to))).toEqual([0, 90, -90]);
    expect(
      [
        { x: -1, y: 0 },
        { x: 0.1, y: 3 },
        { x: 1, y: 0 },
      ].map(sideOf),
    ).toEqual([...['left', null, 'right']]);
  });

  test('the least turn goes the short way round', () => {
    expect([turn(170, -170), turn(-170, 170), turn(0, 90), turn(10, 10)]).toEqual([20, -20, 90, 0]);
  });

  test('a path is as long as its pieces', () => {
    expect(
      pathLength([
        { x: 0, y: 0 },
        { x: 3, y: 4 },
        { x: 3, y: 5 },
      ]),
    ).toBe(6);
    expect(pathLength([])).toBe(0);
  });

  test('left and right change places in words, and only as words', () => {
    expect(swapSides('Left leg right, not leftover')).toBe('Right leg left, not leftover');
  });
});

describe('snapping', () => {
  const others = [{ x: 2, y: 3 }];

  test('a place nearly in line with home or a marker, or mirrored to one, falls into line', () => {
    expect(snapped({ x: 0.05, y: 2.95 }, others)).toEqual({ x: 0, y: 3 });
    expect(snapped({ x: -1.94, y: 1 }, others)).toEqual({ x: -2, y: 1 });
  });

  test('any other place falls on the grid of 5 cm, and one that has fallen stays', () => {
    const metres = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(metres, metres, (x, y) => {
        const once = snapped({ x, y }, others);
        expect(Math.abs(once.x - x)).toBeLessThanOrEqual(0.0801);
        expect(snapped(once, others)).toEqual(once);
      }),
    );
  });
});

describe('lengths', () => {
  test('are shown to the centimetre or to the inch', () => {
    expect(lengthWords(2.354, 'metres')).toBe('2.35 m');
    expect(lengthWords(2.35, 'feet')).toBe('7′ 9″');
    expect(lengthWords(-0.305, 'feet')).toBe('−1′ 0″');
  });

  test.each([
    ['2.35', 'metres', 2.35],
    ['2,35 m', 'feet', 2.35],
    ['235 cm', 'metres', 2.35],
    ['−1.2', 'metres', -1.2],
    ['6', 'feet', 1.8288],
    [`7' 9"`, 'metres', 2.3622],
    ['7 ft 9 in', 'metres', 2.3622],
    ['93 in', 'metres', 2.3622],
    ['-1′ 6″', 'feet', -0.4572],
  ] as const)('%s typed in %s', (text, unit, metres) => {
    const parsed = parseLength(text, unit);
    expect(parsed.ok && parsed.value).toBeCloseTo(metres, 9);
  });

  test.each(['', 'wide', '2.3.4', '5 miles'])('"%s" is refused, saying what is allowed', (text) => {
    expect(parseLength(text, 'metres')).toMatchObject({
      ok: false,
      problem: { given: text || 'nothing', allowed: expect.stringContaining('2.35 m') as unknown },
    });
  });

  test('what is shown can be typed again', () => {
    const metres = fc.double({ min: -60, max: 60, noNaN: true });
    fc.assert(
      fc.property(metres, fc.constantFrom('metres', 'feet'), (length, unit) => {
        const again = parseLength(lengthWords(length, unit), unit);
        expect(again.ok && Math.abs(again.value - length)).toBeLessThan(
          unit === 'metres' ? 0.0051 : 0.013,
        );
      }),
    );
  });
});

describe('courts', () => {
  test.each(COURT_NAMES)('%s: every line and arc centre lies on the court', (name) => {
    const { widthM, lengthM, lines, arcs } = courtOf(name, null);
    const points = [
      ...lines.flatMap(({ from, to }) => [from, to]),
      ...arcs.map(({ centre }) => centre),
    ];
    for (const { x, y } of points) {
      expect(Math.abs(x)).toBeLessThanOrEqual(widthM / 2 + 1e-9);
      expect(y).toBeGreaterThanOrEqual(-1e-9);
      expect(y).toBeLessThanOrEqual(lengthM + 1e-9);
    }
  });

  /** Public dimensions: distances between named lines, metres. */
  test.each([
    ['squash', 6.4, 9.75],
    ['badminton', 6.1, 6.7],
    ['volleyball', 9, 9],
    ['beachVolleyball', 8, 8],
    ['basketball', 15, 14],
    ['fencing', 1.5, 14],
  ] as const)('%s has the size of its rules, whatever is asked', (name, widthM, lengthM) => {
    expect(courtOf(name, { widthM: 1, lengthM: 1 })).toMatchObject({ widthM, lengthM });
  });

  test('bases of an infield are 27.43 m apart, and the second is 38.80 m from home plate', () => {
    const [first] = courtOf('baseball', null).lines;
    expect(first && Math.hypot(first.to.x - first.from.x, first.to.y - first.from.y)).toBeCloseTo(
      27.43,
      1,
    );
  });

  test('a plain floor is as large as somebody says', () => {
    expect(courtOf('rectangle', { widthM: 5, lengthM: 3 })).toMatchObject({
      widthM: 5,
      lengthM: 3,
    });
    expect(courtOf('grid', { widthM: 10, lengthM: 12 }).lines[0]?.from).toEqual({ x: -5, y: 6 });
    expect(COURT_NAMES.filter(hasOwnSize)).toEqual(['rectangle', 'grid']);
  });

  test('the court is seen from home base', () => {
    const court = courtOnFloor(courtOf('squash', null), { x: 0, y: 4.26 });
    expect(court.backLeft).toEqual({ x: -3.2, y: -4.26 });
    expect(court.frontRight.y).toBeCloseTo(5.49, 9);
    expect(court.lines[0]?.from.y).toBe(0);
  });
});

describe('markers for those who do not tell certain colours apart', () => {
  const targets: Target[] = MARKER_COLOURS.map((colour, i) => ({
    letter: 'ABCDEF'[i] ?? '',
    name: 'wide',
    kind: 'wide',
    shape: MARKER_SHAPES[i] ?? 'circle',
    colour,
    at: { x: i, y: 1 },
    radiusM: 0.3,
  }));

  test.each(COLOUR_VISIONS)('%s: only colours that are told apart, spread evenly', (vision) => {
    const shown = seenTargets(targets, vision);
    expect(shown.every(({ colour }) => colourSeen(colour, vision))).toBe(true);
    expect(shown.map(({ letter, shape }) => letter + shape)).toEqual(
      targets.map(({ letter, shape }) => letter + shape),
    );
    const uses = MARKER_COLOURS.map((c) => shown.filter(({ colour }) => colour === c).length);
    const used = uses.filter((n) => n > 0);
    expect(Math.max(...used) - Math.min(...used)).toBeLessThanOrEqual(1);
    // A colour that is seen well stays where it was.
    for (const [i, { colour }] of targets.entries())
      if (colourSeen(colour, vision)) expect(shown[i]?.colour).toBe(colour);
  });
});

describe('the words a court has for its lines', () => {
  const names = fc.constantFrom(...COURT_NAMES);
  const place = fc.record({
    x: fc.double({ min: -60, max: 60, noNaN: true }),
    y: fc.double({ min: -60, max: 60, noNaN: true }),
  });

  test('every line lies on its court, and a place says how it lies to the nearest', () => {
    fc.assert(
      fc.property(names, place, (name, at) => {
        const { widthM, lengthM } = courtOf(name, null);
        const { across, along } = courtMarks(name, null);
        for (const { atM } of across) expect(atM >= 0 && atM <= lengthM).toBe(true);
        for (const { atM } of along) expect(Math.abs(atM)).toBeLessThanOrEqual(widthM / 2);
        const found = placeOnCourt(name, null, at);
        expect(found.across.atM + found.beforeM).toBeCloseTo(at.y, 9);
        expect(found.along.atM + found.rightM).toBeCloseTo(at.x, 9);
        for (const { atM } of across)
          expect(Math.abs(at.y - atM)).toBeGreaterThanOrEqual(Math.abs(found.beforeM) - 1e-9);
      }),
    );
  });

  test('a place outside is brought to the edge; one inside stays', () => {
    fc.assert(
      fc.property(names, place, (name, at) => {
        const inside = withinCourt(name, null, at);
        expect(withinCourt(name, null, inside)).toEqual(inside);
        expect(distance(inside, at)).toBeLessThanOrEqual(
          distance(withinCourt(name, null, { x: 0, y: 0 }), at) + 1e-9,
        );
      }),
    );
    expect(placeOnCourt('squash', null, { x: 0, y: 3.26 })).toMatchObject({
      ...{ across: { name: 'short line' }, along: { name: 'middle' }, rightM: 0 },
    });
  });

  test('a marker falls onto a court line that is near', () => {
    const lines = { across: [4.26], along: [-1.6] };
    expect(snapped({ x: -1.55, y: 4.2 }, [], lines)).toEqual({ x: -1.6, y: 4.26 });
    expect(snapped({ x: -1.4, y: 4.4 }, [], lines)).toEqual({ x: -1.4, y: 4.4 });
  });
});
