import { alignCues, groundOf, inRecording, onFloor } from '@orthokin/core/film';
import { reference } from './reference.js';

const align = reference('align') as {
  cases: {
    plannedMs: number[];
    heardMs: number[];
    factor: number;
    trueOffsetMs: number;
    trueRate: number;
    worstErrorMs: number;
  }[];
};

test.each(align.cases.map((given, i) => [i + 1, given] as const))('alignment %i', (_, given) => {
  const found = alignCues(given.plannedMs, given.heardMs);
  if (!found.ok) throw new Error(found.problem.given);
  expect(Math.round(found.value.rate)).toBe(given.factor);
  for (const planned of given.plannedMs) {
    const truth = given.trueOffsetMs + given.trueRate * planned;
    expect(Math.abs(inRecording(found.value, planned) - truth)).toBeLessThanOrEqual(
      given.worstErrorMs,
    );
  }
});

type Pair = [number, number];
const ground = reference('ground') as {
  relativeTolerance: number;
  relativeToleranceOfSd: number;
  cases: {
    world: Pair[];
    image: Pair[];
    clickSdPx: number;
    rmsPx: number;
    queries: { image: Pair; floor: Pair; sdX: number; sdY: number; covariance: number }[];
  }[];
};
const point = ([x, y]: Pair) => ({ x, y });

test.each(ground.cases.map((given, i) => [i + 1, given] as const))('ground %i', (_, given) => {
  const places = given.world.map((floor, i) => ({
    floor: point(floor),
    image: point(given.image[i] as Pair),
  }));
  const found = groundOf(places, given.clickSdPx);
  if (!found.ok) throw new Error(found.problem.given);
  const close = (actual: number, expected: number, relative: number, least: number) =>
    expect(Math.abs(actual - expected)).toBeLessThanOrEqual(
      Math.max(least, relative * Math.abs(expected)),
    );
  close(found.value.rmsPx, given.rmsPx, ground.relativeTolerance, 1e-6);
  for (const query of given.queries) {
    const { x, y, sdX, sdY, covariance } = onFloor(found.value, point(query.image));
    close(x, query.floor[0], ground.relativeTolerance, 1e-6);
    close(y, query.floor[1], ground.relativeTolerance, 1e-6);
    close(sdX, query.sdX, ground.relativeToleranceOfSd, 1e-7);
    close(sdY, query.sdY, ground.relativeToleranceOfSd, 1e-7);
    close(covariance, query.covariance, ground.relativeToleranceOfSd, 1e-8);
  }
});
