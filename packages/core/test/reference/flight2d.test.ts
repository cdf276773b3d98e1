import { arcOf } from '@orthokin/core/budget';
import { expectClose, reference } from './reference.js';

interface ArcCase {
  projectile: string;
  massKg: number;
  diameterM: number;
  dragCoefficient: number;
  airDensity: number;
  launchSpeed: number;
  launchAngleDeg: number;
  launchHeight: number;
  distance: number;
  alongKept: number;
  upKept: number;
  time: number;
  height: number;
  speed: number;
  highest: number;
  bounces: { time: number; x: number }[];
}

const file = reference('flight2d') as { relativeTolerance: number; cases: ArcCase[] };

test.each(file.cases.map((given, i) => [i + 1, given.projectile, given] as const))(
  'flight with height %i: %s',
  (_, name, given) => {
    const { massKg, diameterM, dragCoefficient, airDensity, launchSpeed, launchAngleDeg } = given;
    const found = arcOf({
      projectile: { name, massKg, diameterM, dragCoefficient },
      ...{ launchSpeed, launchAngleDeg, launchHeightM: given.launchHeight, airDensity },
      ...{ distanceM: given.distance, alongKept: given.alongKept, upKept: given.upKept },
      wall: null,
    });
    if (!found.ok) throw new Error(found.problem.allowed);
    const { timeS, heightM, speed, highestM, bounces } = found.value;
    expectClose(timeS, given.time, file.relativeTolerance);
    expect(Math.abs(heightM - given.height)).toBeLessThan(1e-4);
    expectClose(speed, given.speed, file.relativeTolerance);
    expect(Math.abs(highestM - given.highest)).toBeLessThan(1e-3);
    expect(bounces).toHaveLength(given.bounces.length);
    for (const [i, bounce] of bounces.entries()) {
      expectClose(bounce.timeS, given.bounces[i]?.time ?? NaN, file.relativeTolerance);
      expectClose(bounce.atM, given.bounces[i]?.x ?? NaN, file.relativeTolerance);
    }
  },
);
