import { flightOf } from '@orthokin/core/budget';
import { expectClose, reference } from './reference.js';

interface FlightCase {
  projectile: string;
  massKg: number;
  diameterM: number;
  dragCoefficient: number;
  airDensity: number;
  launchSpeed: number;
  distance: number;
  bounceAt: number | null;
  speedKept: number | null;
  time: number;
  arrivalSpeed: number;
  timeWithoutDrag: number | null;
}

const file = reference('flight') as { relativeTolerance: number; cases: FlightCase[] };

test.each(file.cases.map((given, i) => [i + 1, given.projectile, given] as const))(
  'flight %i: %s',
  (_, name, given) => {
    const { massKg, diameterM, dragCoefficient, airDensity, launchSpeed, bounceAt, speedKept } =
      given;
    const flight = flightOf({
      projectile: { name, massKg, diameterM, dragCoefficient },
      ...{ launchSpeed, airDensity, distanceM: given.distance },
      bounce: bounceAt === null || speedKept === null ? null : { atM: bounceAt, speedKept },
    });
    if (!flight.ok) throw new Error(flight.problem.allowed);
    expectClose(flight.value.timeS, given.time, file.relativeTolerance);
    expectClose(flight.value.arrivalSpeed, given.arrivalSpeed, file.relativeTolerance);
    if (given.timeWithoutDrag !== null)
      expectClose(flight.value.plainTimeS, given.timeWithoutDrag, file.relativeTolerance);
  },
);
