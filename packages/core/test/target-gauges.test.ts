import { targetGauges } from '@orthokin/core/progress';
import fc from 'fast-check';

const rung = {
  targets: ['A', 'B'],
  limitsMs: { recovery: 1000 },
  targetLimits: [
    { gate: 'recovery', target: 'B', limitMs: 700, source: { kind: 'coach' } },
  ] as const,
};

describe('each target against its own limit', () => {
  test('has its own limit, its own middle, and only where somebody was timed', () => {
    const found = targetGauges(
      {
        target: ['A', 'B', 'B', 'B', 'C', 'B'],
        response: [800, 700, 710, 720, 900, 500],
        recovery: [null, 600, 640, 720, 900, 500],
        // The last is of a set on another rung.
        ...{ set: [0, 0, 0, 0, 0, 1], setIds: ['here', 'elsewhere'] },
      },
      rung,
      ['here'],
    );
    expect(found).toEqual([
      {
        gate: 'recovery',
        targets: [{ target: 'B', n: 3, medianMs: 640, middle: [620, 680], limitMs: 700 }],
      },
    ]);
    expect(
      targetGauges({ target: [], response: [], recovery: [], set: [], setIds: [] }, rung, []),
    ).toEqual([]);
  });

  test('the middle rep lies in the middle half, whatever the times', () => {
    const times = fc.array(fc.double({ min: 100, max: 5000, noNaN: true }), { minLength: 1 });
    fc.assert(
      fc.property(times, (recovery) => {
        const none = recovery.map(() => null);
        const [gauge] = targetGauges(
          {
            ...{ target: recovery.map(() => 'A'), response: none, recovery },
            ...{ set: recovery.map(() => 0), setIds: ['here'] },
          },
          rung,
          ['here'],
        ).flatMap(({ targets }) => targets);
        if (!gauge) throw new Error('no gauge');
        expect(gauge.n).toBe(recovery.length);
        expect(gauge.middle[0]).toBeLessThanOrEqual(gauge.medianMs + 1e-9);
        expect(gauge.middle[1]).toBeGreaterThanOrEqual(gauge.medianMs - 1e-9);
        expect(gauge.limitMs).toBe(1000);
      }),
    );
  });
});
