import fc from 'fast-check';
import {
  anglesOver,
  BODY_POINTS,
  bodyAngles,
  cropOfBody,
  figureAt,
  figureSeenBy,
  filmedReps,
  foundBody,
  fromCrop,
  hipHeightAgainst,
  MODEL_PX,
  MODEL_VALUES,
  USUAL_CAMERA,
  withPoint,
  type Body,
  type BodyCrop,
  type BodyPointName,
} from '@orthokin/core/film';
import { HOME } from '@orthokin/core/floor';
import { layoutTargets } from '@orthokin/core/pattern';
import { eventOf } from '@orthokin/core/timing';

/** A body that stands straight, each point where it is given or at a place of no matter. */
const bodyOf = (points: Partial<Record<BodyPointName, readonly [number, number, number?]>>): Body =>
  Object.fromEntries(
    BODY_POINTS.map((name) => {
      const [x, y, seen = 1] = points[name] ?? [0, 0, 0];
      return [name, { x, y, seen }];
    }),
  ) as unknown as Body;

const UPRIGHT = bodyOf({
  ...{
    leftShoulder: [90, 100],
    rightShoulder: [110, 100],
    leftHip: [92, 160],
    rightHip: [108, 160],
  },
  ...{ leftKnee: [92, 200], rightKnee: [108, 200], leftAnkle: [92, 240], rightAnkle: [108, 240] },
});

const cropArb = fc.record({
  centre: fc.record({
    x: fc.double({ min: -500, max: 2500, noNaN: true }),
    y: fc.double({ min: -500, max: 2500, noNaN: true }),
  }),
  sizePx: fc.double({ min: 10, max: 2000, noNaN: true }),
  turnRad: fc.double({ min: -3, max: 3, noNaN: true }),
});

/** Values as a model gives them, for some places in its square; the others are in its middle. */
function valuesOf(places: Readonly<Record<number, readonly [number, number]>>, seen = 4): number[] {
  const values = Array.from({ length: MODEL_VALUES }, () => 0);
  for (let place = 0; place < 39; place++) {
    const [x, y] = places[place] ?? [MODEL_PX / 2, MODEL_PX / 2];
    values.splice(5 * place, 5, x, y, 0, seen, seen);
  }
  return values;
}

describe('where a body is looked for', () => {
  test('is a square round the hips that holds the whole body, turned with it', () => {
    const upright = cropOfBody({ x: 100, y: 200 }, { x: 100, y: 110 });
    expect(upright.centre).toEqual({ x: 100, y: 200 });
    expect(upright.turnRad).toBeCloseTo(0, 12);
    expect(upright.sizePx / 2).toBeGreaterThan(90 * 1.25);
    const lying = cropOfBody({ x: 100, y: 200 }, { x: 190, y: 200 });
    expect(lying.turnRad).toBeCloseTo(Math.PI / 2, 12);
    // Up in the square is toward the head.
    const top = fromCrop(lying, MODEL_PX / 2, 0);
    expect([top.x, top.y]).toEqual([expect.closeTo(100 + lying.sizePx / 2), expect.closeTo(200)]);
  });

  test('keeps its middle, its size and its angles in the picture, however it is turned', () => {
    fc.assert(
      fc.property(cropArb, (crop) => {
        const middle = fromCrop(crop, MODEL_PX / 2, MODEL_PX / 2);
        expect(middle.x).toBeCloseTo(crop.centre.x, 6);
        expect(middle.y).toBeCloseTo(crop.centre.y, 6);
        const [corner, next, across] = [
          fromCrop(crop, 0, 0),
          fromCrop(crop, MODEL_PX, 0),
          fromCrop(crop, MODEL_PX, MODEL_PX),
        ];
        expect(Math.hypot(next.x - corner.x, next.y - corner.y)).toBeCloseTo(crop.sizePx, 6);
        expect(Math.hypot(across.x - corner.x, across.y - corner.y)).toBeCloseTo(
          crop.sizePx * Math.SQRT2,
          6,
        );
      }),
    );
  });
});

describe('what a model found', () => {
  const crop: BodyCrop = { centre: { x: 300, y: 200 }, sizePx: 512, turnRad: 0 };

  test('is a body in the picture, and where to look in the next frame', () => {
    const found = foundBody(
      valuesOf({ 23: [118, 128], 24: [138, 128], 33: [128, 130], 34: [128, 30] }),
      0.99,
      crop,
    );
    expect(found?.body.leftHip).toEqual({
      x: 280,
      y: 200,
      seen: expect.closeTo(0.982, 3) as number,
    });
    expect(found?.body.rightHip.x).toBe(320);
    expect(found?.next.centre).toEqual({ x: 300, y: 204 });
    expect(found?.next.sizePx).toBeCloseTo(2 * 1.25 * 200, 6);
    expect(found?.next.turnRad).toBeCloseTo(0, 12);
  });

  test('is nothing where it is not sure, or gave something else', () => {
    const values = valuesOf({ 34: [128, 30] });
    expect(foundBody(values, 0.49, crop)).toBeNull();
    expect(foundBody(values, NaN, crop)).toBeNull();
    expect(foundBody(values.slice(1), 1, crop)).toBeNull();
    // Without an extent there is nothing to look for next.
    expect(foundBody(valuesOf({}), 1, crop)).toBeNull();
    expect(
      foundBody(
        values.map(() => NaN),
        1,
        crop,
      ),
    ).toBeNull();
  });

  test('looking again in the same place finds the same, wherever the square was', () => {
    fc.assert(
      fc.property(cropArb, (where) => {
        const found = foundBody(valuesOf({ 33: [128, 128], 34: [128, 25.6] }), 1, where);
        // A body that fills the square as it should is looked for where it is.
        expect(found?.next.centre.x).toBeCloseTo(where.centre.x, 6);
        expect(found?.next.sizePx).toBeCloseTo(where.sizePx, 6);
        expect(Math.cos((found?.next.turnRad ?? NaN) - where.turnRad)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('angles of a body', () => {
  test('of one that stands straight are straight', () => {
    const angles = bodyAngles(UPRIGHT);
    expect(angles.leftKnee).toBeCloseTo(180, 9);
    expect(angles.leftHip).toBeGreaterThan(175);
    expect(angles.trunkLean).toBeCloseTo(0, 9);
    expect(angles.hipHeight).toBeCloseTo(1, 9);
  });

  test('a bent knee, a lean and low hips are seen', () => {
    const low = withPoint(withPoint(UPRIGHT, 'leftKnee', { x: 52, y: 200 }), 'rightShoulder', {
      x: 170,
      y: 100,
    });
    const angles = bodyAngles(low);
    expect(angles.leftKnee).toBeCloseTo(90, 9);
    expect(angles.rightKnee).toBeCloseTo(180, 9);
    expect(angles.trunkLean).toBeCloseTo((Math.atan2(30, 60) * 180) / Math.PI, 6);
    expect(angles.hipHeight).toBeLessThan(0.9);
  });

  test('hips are told against the stance, where both are known', () => {
    const low = bodyAngles(withPoint(UPRIGHT, 'leftKnee', { x: 52, y: 200 }));
    expect(hipHeightAgainst(low, bodyAngles(UPRIGHT))).toBeCloseTo(low.hipHeight ?? NaN, 9);
    expect(hipHeightAgainst(low, null)).toBeNull();
    expect(hipHeightAgainst(bodyAngles(bodyOf({})), low)).toBeNull();
  });

  test('a joint of which an end is not seen has none; one that somebody put there is seen', () => {
    const hidden: Body = { ...UPRIGHT, leftAnkle: { x: 92, y: 240, seen: 0.3 } };
    expect(bodyAngles(hidden)).toMatchObject({ leftKnee: null, hipHeight: null });
    expect(bodyAngles(hidden).rightKnee).toBeCloseTo(180, 9);
    expect(bodyAngles(withPoint(hidden, 'leftAnkle', { x: 92, y: 241 })).leftKnee).not.toBeNull();
    expect(Object.values(bodyAngles(bodyOf({})))).toEqual([null, null, null, null, null, null]);
  });

  test('are the same wherever the body is, however large', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        fc.integer({ min: -900, max: 900 }),
        (times, by) => {
          const moved = bodyOf(
            Object.fromEntries(
              BODY_POINTS.map((name) => {
                const { x, y, seen } = UPRIGHT[name];
                return [name, [x * times + by, y * times - by, seen]];
              }),
            ),
          );
          for (const [name, value] of Object.entries(bodyAngles(moved)))
            expect(value).toBeCloseTo(bodyAngles(UPRIGHT)[name as 'leftKnee'] ?? NaN, 4);
        },
      ),
    );
  });

  test('over several bodies are the middle, the least and the most of those that have them', () => {
    const bent = withPoint(UPRIGHT, 'leftKnee', { x: 52, y: 200 });
    const hidden: Body = { ...UPRIGHT, leftKnee: { x: 0, y: 0, seen: 0 } };
    const { leftKnee, rightKnee } = anglesOver([UPRIGHT, bent, hidden]);
    expect(leftKnee).toMatchObject({ median: 135, least: 90, most: 180, of: 2 });
    expect(rightKnee).toMatchObject({ of: 3 });
    expect(anglesOver([]).trunkLean).toBeNull();
  });
});

describe('the simulated athlete’s body', () => {
  const targets = layoutTargets('star', 3);
  const reps = filmedReps({
    seed: 5,
    targets,
    cues: [{ ordinal: 1, target: targets[0]?.letter ?? 'A', atMs: 2000 }],
  });
  const at = (name: 'arrival' | 'action' | 'departure') =>
    eventOf(reps[0]?.events ?? [], name)?.atMs ?? NaN;

  test('stands on its feet, its left on the left, its head above all', () => {
    const figure = figureAt(reps, 0);
    const seen = (name: BodyPointName) => figureSeenBy(USUAL_CAMERA, figure[name]);
    expect(seen('leftAnkle').x).toBeLessThan(seen('rightAnkle').x);
    for (const name of BODY_POINTS) expect(seen(name).y).toBeGreaterThanOrEqual(seen('nose').y);
    expect(figure.leftHeel.heightM).toBe(0);
    expect((figure.leftAnkle.over.x + figure.rightAnkle.over.x) / 2).toBeCloseTo(HOME.x, 12);
  });

  test('goes to the target, and raises its arm in the action', () => {
    const load = figureAt(reps, (at('arrival') + at('action')) / 2);
    const acts = figureAt(reps, (at('action') + at('departure')) / 2);
    const { x } = targets[0]?.at ?? HOME;
    expect((load.leftHip.over.x + load.rightHip.over.x) / 2).toBeCloseTo(x, 1);
    expect(acts.rightWrist.heightM).toBeGreaterThan(acts.rightShoulder.heightM);
    expect(load.rightWrist.heightM).toBeLessThan(load.rightShoulder.heightM);
  });
});
