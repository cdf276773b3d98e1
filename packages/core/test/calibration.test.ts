import { normal, seededRandom } from '@orthokin/core/cue';
import { calibrate, CALIBRATION_BEEPS } from '@orthokin/core/timing';

const beeps = Array.from({ length: CALIBRATION_BEEPS }, (_, i) => 1000 + 700 * i);

function calibrated(presses: readonly number[]) {
  const result = calibrate(beeps, presses);
  if (!result.ok) throw new Error(result.problem.allowed);
  return result.value;
}

test('the median error is the bias, the rest the sd', () => {
  const random = seededRandom(4);
  const found = calibrated(beeps.map((beep) => beep + normal(random, -32, 18)));
  expect(found.n).toBe(20);
  expect(Math.abs(found.biasMs + 32)).toBeLessThan(12);
  expect(found.sdMs).toBeGreaterThan(10);
  expect(found.sdMs).toBeLessThan(28);
});

test('a press too many or too few changes little; a shift of the whole only the bias', () => {
  const presses = beeps.map((beep, i) => beep + (i % 2 ? 20 : -20));
  const odd = [...presses.slice(3), 12_345, 400];
  expect(calibrated(odd).n).toBe(17);
  const shifted = calibrated(presses.map((at) => at + 50));
  expect(shifted.biasMs - calibrated(presses).biasMs).toBeCloseTo(50, 9);
  expect(shifted.sdMs).toBeCloseTo(calibrated(presses).sdMs, 9);
});

test('nobody is surer than hand and screen allow, and too few presses are refused', () => {
  expect(calibrated(beeps).sdMs).toBe(5);
  expect(calibrate(beeps, beeps.slice(0, 11))).toMatchObject({
    ok: false,
    problem: { field: 'presses', given: '11' },
  });
});
